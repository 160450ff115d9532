<script setup lang="ts">
import { useT } from '../composables/useT.ts'
import type { Sentiment } from '@murrabel/core/lens'

defineProps<{ sentiment: Sentiment }>()
const { t } = useT()
</script>

<template>
  <svg
    class="mark"
    :class="sentiment"
    viewBox="0 0 12 12"
    role="img"
    :aria-label="t(`sentiment.${sentiment}`)"
  >
    <title>{{ t(`sentiment.${sentiment}`) }}</title>
    <path v-if="sentiment === 'positive'" d="M1 9h10L6 2z" />
    <path v-else-if="sentiment === 'negative'" d="M1 3h10L6 10z" />
    <rect v-else-if="sentiment === 'neutral'" x="1" y="4.5" width="10" height="3" />
    <circle v-else cx="6" cy="6" r="4" fill="none" stroke-width="2" />
  </svg>
</template>

<style scoped>
.mark {
  width: 12px;
  height: 12px;
  flex: none;
  vertical-align: -1px;
}
.positive {
  fill: var(--pos);
}
.negative {
  fill: var(--neg);
}
.neutral {
  fill: var(--neu);
}
.unread {
  stroke: var(--control-line);
}
</style>
