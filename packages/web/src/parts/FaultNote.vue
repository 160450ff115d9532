<script setup lang="ts">
import { useTexts } from '../composables/useTexts.ts'
import { useFaults } from '../stores/faults.ts'
import PageStrip from './PageStrip.vue'

/** A fault of ours, as a sentence with its number. */
const { t } = useTexts()
const faults = useFaults()
</script>

<template>
  <PageStrip v-if="faults.last" urgent>
    {{ t('problem.fault', { n: faults.last.number }) }}
    <template #more>
      <button type="button" class="plain" @click="faults.clear">{{ t('problem.close') }}</button>
    </template>
  </PageStrip>
</template>
