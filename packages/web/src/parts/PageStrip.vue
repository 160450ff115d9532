<script setup lang="ts">
import { useTexts } from '../composables/useTexts.ts'

/** A line over the page that is about the application itself, with the way to load it afresh. */
const { urgent = false } = defineProps<{ urgent?: boolean }>()
const { t } = useTexts()
const reload = () => location.reload()
</script>

<template>
  <p class="strip" :class="{ urgent }" :role="urgent ? 'alert' : 'status'">
    <span><slot /></span>
    <button type="button" class="button" @click="reload">{{ t('problem.loadAfresh') }}</button>
    <slot name="more" />
  </p>
</template>

<style scoped>
.strip {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 8px 20px;
  background: var(--note);
  border-bottom: 1px solid var(--line);
}
.urgent {
  border-left: 3px solid var(--flare);
}
</style>
