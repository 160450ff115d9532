<script setup lang="ts">
import { computed } from 'vue'
import type { Sentiment } from '@murrabel/core/lens'
import { useTexts } from '../../composables/useTexts.ts'
import SentimentMark from '../../parts/SentimentMark.vue'

/** How the latest of what somebody said felt, latest last. */
const { sentiments } = defineProps<{ sentiments: readonly Sentiment[] }>()
const { t, list } = useTexts()
const label = computed(() => list(sentiments.map((each) => t(`sentiment.${each}`))))
</script>

<template>
  <span class="dots" role="img" :aria-label="label">
    <SentimentMark v-for="(sentiment, i) in sentiments" :key="i" :sentiment="sentiment" />
  </span>
</template>

<style scoped>
.dots {
  display: inline-flex;
  gap: 2px;
}
.dots :deep(svg) {
  width: 10px;
  height: 10px;
}
</style>
