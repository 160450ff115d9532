<script setup lang="ts">
import { useTexts } from '../composables/useTexts.ts'

/** The shape of rows that are on their way, in the place where they will stand. */
/** Pixels of a row. */
const { rows = 8, height } = defineProps<{ rows?: number; height: number }>()
const { t } = useTexts()
/** Words end at different places: shares of the width, in turn. */
const widths = [72, 88, 64, 80]
</script>

<template>
  <div class="shapes" role="status" :aria-label="t('frame.loading')" data-test="shapes">
    <div v-for="row in rows" :key="row" class="shape" :style="{ height: `${height}px` }">
      <i class="head" />
      <i :style="{ width: `${widths[row % widths.length]}%` }" />
    </div>
  </div>
</template>

<style scoped>
.shapes {
  overflow: hidden;
  min-height: 0;
  animation: appear 0.2s 0.15s backwards;
}
.shape {
  border-bottom: 1px solid var(--line);
  padding: 10px 16px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  overflow: hidden;
}
i {
  display: block;
  height: 10px;
  border-radius: var(--corner);
  background: var(--line);
  opacity: 0.6;
  flex: none;
}
.head {
  width: 34%;
}
/* What comes at once shows no shape of it first. */
@keyframes appear {
  from {
    opacity: 0;
  }
}
@media (prefers-reduced-motion: reduce) {
  .shapes {
    animation: none;
  }
}
</style>
