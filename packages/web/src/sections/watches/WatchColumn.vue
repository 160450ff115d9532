<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { blankLens, type Lens } from '@murrabel/core/lens'
import { useEntryList } from '../../composables/useEntryList.ts'
import { lensQuery } from '../../composables/useLens.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useTouchedThreads } from '../../composables/useTouchedThreads.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import VirtualList from '../../parts/VirtualList.vue'
import MentionRow from './MentionRow.vue'

/** The stream of one watch or group, newest first, copies folded, kept up to date. */
const { column } = defineProps<{ column: string }>()
const { t, number } = useTexts()
const lens = computed<Lens>(() =>
  column.startsWith('g')
    ? { ...blankLens, group: Number(column.slice(1)) }
    : { ...blankLens, watch: Number(column) },
)
const query = computed(() => lensQuery(lens.value))
const entries = useEntryList(query, { fold: ref(true) })
const { rows, count } = entries
onMounted(entries.load)
const touch = useTouchedThreads(entries, 400)
const recount = gathered(() => entries.fetchCount(), 400)
useLive((live) => {
  if (live.kind !== 'entries' && live.kind !== 'thread' && live.kind !== 'watches') return
  touch('threads' in live ? live.threads : [])
  recount()
})
</script>

<template>
  <p class="soft">{{ count ? t('lens.count.entries', { n: number(count.count) }, count.count) : '' }}</p>
  <ProblemNote v-if="entries.problem.value" :problem="entries.problem.value" @again="entries.load" />
  <div class="rows">
    <VirtualList :rows="rows" :estimate="120" :label="t('watch.mentions')" @end="entries.more">
      <template #default="{ row }"><MentionRow :row="row" bare /></template>
    </VirtualList>
  </div>
</template>

<style scoped>
p {
  font-size: 13px;
}
.rows {
  flex: 1;
  min-height: 0;
}
</style>
