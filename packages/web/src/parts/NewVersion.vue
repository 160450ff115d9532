<script setup lang="ts">
import { useTexts } from '../composables/useTexts.ts'
import { useFaults } from '../stores/faults.ts'

/** Another version was installed: the page is loaded afresh when one says so, with what was typed. */
const { t } = useTexts()
const faults = useFaults()
const reload = () => location.reload()
</script>

<template>
  <p v-if="faults.outdated" class="version" role="status">
    {{ t('problem.newVersion') }}
    <button type="button" class="button primary" @click="reload">{{ t('problem.loadAfresh') }}</button>
  </p>
</template>

<style scoped>
.version {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 8px 20px;
  background: var(--note);
  border-bottom: 1px solid var(--line);
}
</style>
