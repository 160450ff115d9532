<script setup lang="ts">
import type { ThreadEntry } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'

/** What came in a thread, from them or from a colleague, since somebody began to write. */
const {
  news,
  takenBy = null,
  restored = null,
} = defineProps<{
  news: readonly ThreadEntry[]
  takenBy?: string | null
  /** When a draft was written that was found again. */
  restored?: string | null
}>()
const { t, when } = useTexts()
</script>

<template>
  <div v-if="news.length || takenBy || restored" class="news" role="status" data-test="while-writing">
    <p v-if="restored" class="soft">{{ t('together.restored', { t: when(restored) }) }}</p>
    <p v-if="takenBy">
      <b>{{ t('together.taken', { name: takenBy }) }}</b>
    </p>
    <template v-if="news.length">
      <h4>{{ t('together.news') }}</h4>
      <p v-for="entry in news" :key="entry.id" class="entry">
        <b>{{ entry.direction === 'out' ? entry.author || t('inbox.us') : entry.author }}</b>,
        {{ when(entry.at) }}: <span :class="{ words: entry.direction === 'in' }">{{ entry.text }}</span>
      </p>
    </template>
  </div>
</template>

<style scoped>
.news {
  max-height: 130px;
  overflow-y: auto;
  margin: 0 0 8px;
  padding: 8px 12px;
  background: var(--note);
  border-left: 3px solid var(--glow);
}
p,
h4 {
  margin: 0 0 2px;
}
.entry {
  overflow-wrap: anywhere;
}
</style>
