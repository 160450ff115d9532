<script setup lang="ts">
import { useT } from '../composables/useT.ts'

defineProps<{ rating: number }>()
const { t } = useT()
</script>

<template>
  <span class="rating" role="img" :aria-label="t('rating', { n: rating })">
    <svg viewBox="0 0 24 11" aria-hidden="true">
      <rect
        v-for="n in 5"
        :key="n"
        :x="(n - 1) * 5"
        :y="9 - n * 1.7"
        width="4"
        :height="2 + n * 1.7"
        :class="{ full: n <= Math.round(rating) }"
      />
    </svg>
    <b>{{ rating.toFixed(1) }}</b>
  </span>
</template>

<style scoped>
.rating {
  display: inline-flex;
  align-items: center;
  gap: 5px;
}
svg {
  width: 24px;
  height: 11px;
  fill: var(--line);
}
.full {
  fill: var(--ink);
}
b {
  font-weight: 600;
  font-size: 13px;
}
</style>
