<script setup lang="ts">
import type { Sentiment } from '@murrabel/core/lens'
import { useT } from '../composables/useT.ts'

/** Three buttons that say what the sentiment is; the one that holds is pressed. */
defineProps<{ chosen: Sentiment | undefined }>()
const emit = defineEmits<{ judge: [sentiment: 'positive' | 'neutral' | 'negative'] }>()
const { t } = useT()
const judgements = [
  ['negative', '-'],
  ['neutral', '0'],
  ['positive', '+'],
] as const
</script>

<template>
  <button
    v-for="[sentiment, key] in judgements"
    :key="sentiment"
    type="button"
    class="button small"
    :aria-pressed="chosen === sentiment"
    :title="t(`keys.${sentiment}`)"
    :aria-label="t(`keys.${sentiment}`)"
    @click="emit('judge', sentiment)"
  >
    {{ key }}
  </button>
</template>

<style scoped>
.small {
  min-width: 24px;
  padding: 0 7px;
  font-size: 13px;
  line-height: 22px;
}
.small[aria-pressed='true'] {
  border-color: var(--deep);
  background: var(--deep-wash);
}
</style>
