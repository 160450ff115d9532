<script setup lang="ts">
import { computed } from 'vue'
import { useT } from '../composables/useT.ts'
import type { Sentiment } from '@murrabel/core/lens'

const { sentiment, doubt = false } = defineProps<{
  sentiment: Sentiment
  /** The reading is in doubt: drawn small, in a ring. */
  doubt?: boolean
}>()
const { t } = useT()
const name = computed(() =>
  doubt ? t('sentimentDoubt', { label: t(`sentiment.${sentiment}`) }) : t(`sentiment.${sentiment}`),
)
</script>

<template>
  <svg class="mark" :class="sentiment" viewBox="0 0 12 12" role="img" :aria-label="name">
    <title>{{ name }}</title>
    <circle v-if="doubt" class="ring" cx="6" cy="6" r="5.3" />
    <g :transform="doubt ? 'translate(2.7 2.7) scale(0.55)' : undefined">
      <path v-if="sentiment === 'positive'" d="M1 9h10L6 2z" />
      <path v-else-if="sentiment === 'negative'" d="M1 3h10L6 10z" />
      <rect v-else-if="sentiment === 'neutral'" x="1" y="4.5" width="10" height="3" />
      <circle v-else cx="6" cy="6" r="4" fill="none" stroke-width="2" />
    </g>
  </svg>
</template>

<style scoped>
.mark {
  width: 12px;
  height: 12px;
  flex: none;
  vertical-align: -1px;
}
.ring {
  fill: none;
  stroke: var(--control-line);
  stroke-width: 1;
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
