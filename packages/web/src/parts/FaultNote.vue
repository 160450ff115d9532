<script setup lang="ts">
import { useTexts } from '../composables/useTexts.ts'
import { useFaults } from '../stores/faults.ts'

/** A fault of ours, as a sentence with its number. */
const { t } = useTexts()
const faults = useFaults()
const reload = () => location.reload()
</script>

<template>
  <p v-if="faults.last" class="fault" role="alert">
    <span>{{ t('problem.fault', { n: faults.last.number }) }}</span>
    <button type="button" class="button" @click="reload">{{ t('problem.loadAfresh') }}</button>
    <button type="button" class="plain" @click="faults.clear">{{ t('problem.close') }}</button>
  </p>
</template>

<style scoped>
.fault {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 8px 20px;
  background: var(--note);
  border-bottom: 1px solid var(--line);
  border-left: 3px solid var(--flare);
}
</style>
