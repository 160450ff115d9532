<script setup lang="ts">
import { useTexts } from '../composables/useTexts.ts'
import { useFaults } from '../stores/faults.ts'
import PageStrip from './PageStrip.vue'

/** Another version was installed: the page is loaded afresh when one says so, with what was typed. */
const { t } = useTexts()
const faults = useFaults()
</script>

<template>
  <PageStrip v-if="faults.outdated">{{ t('problem.newVersion') }}</PageStrip>
</template>
