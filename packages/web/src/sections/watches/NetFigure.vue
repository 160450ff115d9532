<script setup lang="ts">
import { netMinimum, type NetSentiment } from '@murrabel/core/measures'
import { useTexts } from '../../composables/useTexts.ts'
import SentimentMark from '../../parts/SentimentMark.vue'
import { leaning, points } from './watchFigures.ts'

/** A net sentiment with its interval; of too few entries it says so instead. */
const { net } = defineProps<{ net: NetSentiment | null }>()
const { t, number } = useTexts()
</script>

<template>
  <span v-if="!net" class="soft">{{ t('watch.netNone') }}</span>
  <span v-else-if="net.n < netMinimum" class="soft">{{ t('watch.netFew', { n: net.n }, net.n) }}</span>
  <span v-else class="net" :title="`n = ${number(net.n)}`">
    <SentimentMark :sentiment="leaning(net)" /> {{ points(net.net) }}
    <span class="soft">{{ points(net.low) }} – {{ points(net.high) }}</span>
  </span>
</template>

<style scoped>
.net {
  white-space: nowrap;
}
</style>
