<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Lens } from '@murrabel/core/lens'
import type { EntryRow } from '@murrabel/contract'
import type { useEntryList } from '../../composables/useEntryList.ts'
import { useShortcuts } from '../../composables/useShortcuts.ts'
import { useTexts } from '../../composables/useTexts.ts'
import EmptyPlace from '../../parts/EmptyPlace.vue'
import ProblemNote from '../../parts/ProblemNote.vue'
import VirtualList from '../../parts/VirtualList.vue'
import { onDemand } from '../../parts/onDemand.ts'
import { useBrand } from '../../stores/brand.ts'
import { tagsAfter, useTags } from '../../composables/useTags.ts'
import { useVoices } from '../../stores/voices.ts'
import MentionRow from './MentionRow.vue'
import { useMentionActions } from './useMentionActions.ts'
import RowShapes from '../../parts/RowShapes.vue'

const TagSheet = onDemand(() => import('../../parts/TagSheet.vue'))
const { entries, lens, copies } = defineProps<{
  entries: ReturnType<typeof useEntryList>
  lens: Lens
  /** Rows that folding takes away. */
  copies: number
}>()
const fold = defineModel<boolean>('fold', { required: true })
const emit = defineEmits<{ change: [part: Partial<Lens>]; judged: []; reset: [] }>()
const { t } = useTexts()
const brand = useBrand()
const router = useRouter()
const voices = useVoices()
const { rows } = entries
const selected = ref<number | null>(null)
const chosen = ref<ReadonlySet<number>>(new Set())
const orders = ['newest', 'oldest', 'reach', 'distinctive'] as const

const actions = useMentionActions({
  changed(ids, part) {
    for (const id of ids) entries.change(id, part)
    emit('judged')
  },
})
const tagging = ref<EntryRow[]>([])
const tagSheet = ref(false)
const changeTags = useTags((changes) => {
  for (const change of changes)
    for (const row of rows.value.filter((each) => each.threadId === change.thread))
      entries.change(row.id, { tags: tagsAfter(row.tags, change) })
})
const commonTags = computed(() =>
  (tagging.value[0]?.tags ?? []).filter((id) => tagging.value.every((row) => row.tags.includes(id))),
)
const taggedThreads = computed(() => [...new Set(tagging.value.map((row) => row.threadId))])
const several = computed(() => rows.value.filter((row) => chosen.value.has(row.id)))
const current = computed(() => rows.value.find((row) => row.id === selected.value))
/** What an action is for: those chosen, else the one selected. */
const meant = () => (several.value.length ? several.value : current.value ? [current.value] : [])

watch(
  () => lens,
  () => {
    selected.value = null
    chosen.value = new Set()
  },
)
watch(rows, (list) => {
  for (const row of list) voices.know(row.voiceId, row.author)
})
function step(way: 1 | -1): void {
  const index = rows.value.findIndex((row) => row.id === selected.value)
  const next = rows.value[index < 0 ? 0 : index + way]
  if (next) selected.value = next.id
}
function toggle(id: number): void {
  const next = new Set(chosen.value)
  if (!next.delete(id)) next.add(id)
  chosen.value = next
}
async function judge(sentiment: 'positive' | 'neutral' | 'negative'): Promise<void> {
  await actions.judge(meant(), sentiment)
  chosen.value = new Set()
}
function openTags(list: readonly EntryRow[]): void {
  if (!list.length || !brand.may('answer')) return
  tagging.value = [...list]
  tagSheet.value = true
}
const answer = (row: EntryRow) =>
  router.push({
    path: `/inbox/${row.threadId}`,
    query: { state: 'any', given: 'anybody', kind: 'all', time: 'all', order: 'newest' },
    hash: '#answer',
  })
/** Kept if not all are, else let go. */
const keep = (list: readonly EntryRow[]) => actions.keep(list, !list.every((row) => row.kept))
function leave(row: EntryRow): void {
  const own = brand.watches.find((w) => w.id === lens.watch)
  if (own && brand.mayCall('updateWatch')) void actions.leaveOut(own, row.author)
}
useShortcuts({
  next: () => step(1),
  previous: () => step(-1),
  choose: () => selected.value !== null && toggle(selected.value),
  negative: () => void judge('negative'),
  neutral: () => void judge('neutral'),
  positive: () => void judge('positive'),
  finish: () => void actions.finish(meant()),
  tag: () => openTags(meant()),
  keep: () => void keep(meant()),
  reply: () => current.value && answer(current.value),
})
</script>

<template>
  <div class="list">
    <header>
      <h4>{{ t('watch.mentions') }}</h4>
      <button
        v-if="copies && lens.story === null && lens.order !== 'distinctive'"
        type="button"
        class="plain"
        :aria-pressed="fold"
        @click="fold = !fold"
      >
        {{ fold ? t('watch.list.folded', { n: copies }, copies) : t('watch.list.fold') }}
      </button>
      <span v-if="several.length" class="chosen" data-test="chosen">
        {{ t('watch.list.chosen', { n: several.length }) }}:
        <button
          v-for="sentiment in ['negative', 'neutral', 'positive'] as const"
          :key="sentiment"
          type="button"
          class="plain"
          @click="judge(sentiment)"
        >
          {{ t(`sentiment.${sentiment}`) }}
        </button>
        <button type="button" class="plain" @click="openTags(several)">{{ t('tags.tag') }}</button>
        <button type="button" class="plain" @click="keep(several)">{{ t('tags.keep') }}</button>
        <button type="button" class="plain" @click="actions.finish(several)">
          {{ t('watch.list.done') }}
        </button>
        <el-dropdown :persistent="false" trigger="click" @command="(to: number) => actions.give(several, to)">
          <button type="button" class="plain">{{ t('watch.list.give') }}</button>
          <template #dropdown>
            <el-dropdown-menu>
              <el-dropdown-item v-for="who in brand.colleagues" :key="who.id" :command="who.id">{{
                who.name
              }}</el-dropdown-item>
            </el-dropdown-menu>
          </template>
        </el-dropdown>
        <button type="button" class="plain" @click="chosen = new Set()">{{ t('watch.list.clear') }}</button>
      </span>
      <span class="orders" role="group" :aria-label="t('watch.list.order')">
        <button
          v-for="order in orders"
          :key="order"
          type="button"
          class="plain"
          :class="{ here: lens.order === order }"
          :aria-pressed="lens.order === order"
          @click="emit('change', { order })"
        >
          {{ t(`watch.list.${order}`) }}
        </button>
      </span>
    </header>
    <ProblemNote v-if="entries.problem.value" :problem="entries.problem.value" @again="entries.load" />
    <div class="rows">
      <VirtualList
        v-if="rows.length"
        :rows="rows"
        :total="fold ? undefined : entries.count.value?.count"
        :estimate="86"
        :label="t('watch.mentions')"
        :selected="selected"
        @end="entries.more"
      >
        <template #default="{ row }"
          ><MentionRow
            :row="row"
            :selected="row.id === selected"
            @click="selected = row.id"
            @voice="({ voiceId }) => emit('change', { voice: voiceId, range: null })"
            @story="(story) => emit('change', { story })"
            @leave="leave"
            @tag="openTags([row])"
            @keep="keep([row])"
          >
            <template #before
              ><input
                type="checkbox"
                class="choose"
                :checked="chosen.has(row.id)"
                :aria-label="t('watch.list.choose')"
                @click.stop="toggle(row.id)"
            /></template>
          </MentionRow>
        </template>
      </VirtualList>
      <RowShapes v-else-if="entries.loading.value" :height="76" />
      <EmptyPlace v-else-if="!entries.problem.value" :text="t('watch.noMentions')"
        ><button type="button" class="button" @click="emit('reset')">
          {{ t('lens.reset') }}
        </button></EmptyPlace
      >
    </div>
    <TagSheet
      v-model="tagSheet"
      :tags="commonTags"
      :count="taggedThreads.length"
      @save="(change) => changeTags(taggedThreads, change)"
    />
  </div>
</template>

<style scoped>
.list {
  display: flex;
  flex-direction: column;
  flex: 1;
  min-height: 160px;
}
header {
  display: flex;
  align-items: baseline;
  flex-wrap: wrap;
  gap: 4px 16px;
  padding: 8px 0 4px;
  font-size: 13px;
}
h4 {
  margin: 0;
}
.orders,
.chosen {
  display: flex;
  align-items: baseline;
  gap: 12px;
}
.orders {
  margin-left: auto;
}
.orders .plain {
  color: var(--ink-soft);
}
.orders .here {
  color: var(--ink);
  font-weight: 600;
}
.rows {
  flex: 1;
  min-height: 0;
}
.choose {
  margin: 6px 0 0;
  accent-color: var(--deep);
  align-self: flex-start;
}
</style>
