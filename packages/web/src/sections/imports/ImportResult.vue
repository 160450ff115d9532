<script setup lang="ts">
import { computed } from 'vue'
import type { ImportState } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import ImportProblems from './ImportProblems.vue'

/** What became of a file. */
const { state } = defineProps<{ state: ImportState }>()
const { t, number } = useTexts()
const link = computed(() => {
  if (state.kind === 'feed') return { path: '/watch', query: { channel: 'news', time: 'all' } }
  // Cards tell of no visits: their people are found when they write.
  if (state.kind === 'cards') return null
  if (state.kind === 'customers') return { path: '/inbox/people', query: { visited: 'yes', time: 'all' } }
  const channel = { reviews: 'import', mail: 'email', chat: 'chat' }[state.kind]
  return {
    path: '/inbox',
    query: { state: 'any', given: 'anybody', channel, time: 'all', order: 'newest' },
  }
})
</script>

<template>
  <section class="result">
    <p role="status">
      {{
        t('import.result', {
          added: number(state.added),
          known: number(state.known),
          refused: number(state.refused),
        })
      }}
      <RouterLink v-if="state.added && link" :to="link">{{ t('import.see') }}</RouterLink>
    </p>
    <ImportProblems
      v-if="state.problems.length"
      :problems="state.problems"
      :of="Math.max(state.refused, state.problems.length)"
    />
  </section>
</template>

<style scoped>
.result {
  margin-top: 18px;
}
</style>
