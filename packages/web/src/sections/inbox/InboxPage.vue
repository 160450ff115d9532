<script setup lang="ts">
import { computed, defineAsyncComponent, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { routes, type EntryRow, type ThreadEntry } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useEntryList } from '../../composables/useEntryList.ts'
import { useShortcuts } from '../../composables/useShortcuts.ts'
import { useLens } from '../../composables/useLens.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { provideSearch } from '../../composables/useSearch.ts'
import { useTouchedThreads } from '../../composables/useTouchedThreads.ts'
import { useTags } from '../../composables/useTags.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useTide } from '../../composables/useTide.ts'
import EmptyPlace from '../../parts/EmptyPlace.vue'
import LensLine from '../../parts/LensLine.vue'
import LensProblem from '../../parts/LensProblem.vue'
import ProblemNote from '../../parts/ProblemNote.vue'
import TideLine from '../../parts/TideLine.vue'
import VirtualList from '../../parts/VirtualList.vue'
import { onDemand } from '../../parts/onDemand.ts'
import { useBrand } from '../../stores/brand.ts'
import { rowHeights, useDensity } from '../../stores/density.ts'
import { useNotices } from '../../stores/notices.ts'
import LensMenu from './LensMenu.vue'
import ManyBar from './ManyBar.vue'
import InboxViews from './InboxViews.vue'
import PersonPanel from './PersonPanel.vue'
import ReplyBox from './ReplyBox.vue'
import ThreadActions from './ThreadActions.vue'
import ThreadEntries from './ThreadEntries.vue'
import ThreadRow from './ThreadRow.vue'
import { useThread } from './useThread.ts'
import { useManyThreads } from './useManyThreads.ts'
import { useThreadActions } from './useThreadActions.ts'
import RowShapes from '../../parts/RowShapes.vue'

const HandOffSheet = onDemand(() => import('./HandOffSheet.vue'))
const HandOverSheet = defineAsyncComponent(() => import('./HandOverSheet.vue'))
const NoteBox = defineAsyncComponent(() => import('./NoteBox.vue'))
const MergeSheet = onDemand(() => import('./MergeSheet.vue'))
const TagSheet = onDemand(() => import('../../parts/TagSheet.vue'))
const route = useRoute()
const brand = useBrand()
const density = useDensity()
const { t, called, list: joined } = useTexts()
const { lens, problems, query, change, reset } = useLens('threads')
provideSearch(lens)
const entries = useEntryList(query)
const { rows, count } = entries
const tide = useTide(lens)
const threadId = computed(() => (route.params.thread ? Number(route.params.thread) : null))
const {
  thread,
  problem,
  load: loadThread,
} = useThread(threadId, {
  neighbours: () => {
    const at = rows.value.findIndex((row) => row.threadId === threadId.value)
    return at < 0 ? [] : [rows.value[at + 1], rows.value[at - 1]].flatMap((row) => row?.threadId ?? [])
  },
})
const lensLine = useTemplateRef<InstanceType<typeof LensLine>>('lensLine')
const replyBox = useTemplateRef<InstanceType<typeof ReplyBox>>('replyBox')
const actions = useTemplateRef<InstanceType<typeof ThreadActions>>('actions')
const fresh = ref(0)
const tagSheet = ref(false)
const handOffSheet = ref(false)
const mergeSheet = ref(false)
/** A failed answer that waits for another way. */
const stuck = ref<ThreadEntry | null>(null)
function seekOtherWay(entry: ThreadEntry | null): void {
  stuck.value = entry
  handOffSheet.value = true
}
/** Its text comes back to the writer, who sends it the other way. */
async function goOtherWay(): Promise<void> {
  if (stuck.value) await callBack(stuck.value)
  stuck.value = null
  await loadThread()
  replyBox.value?.focus()
}
async function goSameWay(): Promise<void> {
  await call(routes.takeBackHandOff, { params: { id: thread.value!.id } })
  await loadThread()
}
/** A note for colleagues is being written. */
const noting = ref(false)
watch(threadId, () => (noting.value = false))
async function noted(): Promise<void> {
  noting.value = false
  await loadThread()
}
const notices = useNotices()
// Whoever reads a thread has seen what they were told of it.
watch(
  () => [thread.value?.id, notices.unseen.length],
  () => thread.value && void notices.seeThread(thread.value.id).catch(() => {}),
)
const changeTags = useTags(() => void loadThread())

const {
  mayAnswer,
  index,
  open,
  event,
  give,
  prioritise,
  merge,
  split,
  onSent,
  judge,
  retry,
  callBack,
  drop,
} = useThreadActions({
  lens,
  entries,
  thread,
  threadId,
  loadThread,
  loadTide: tide.load,
  putBack: (text) => replyBox.value?.put(text),
})
const manyBar = useTemplateRef<InstanceType<typeof ManyBar>>('manyBar')
const many = useManyThreads({
  rows,
  lens,
  async changed() {
    await entries.refresh()
    // As after one thread alone: what has left the list makes way for the first that is there.
    if (threadId.value !== null && index.value < 0) await openFirst()
    else await loadThread()
    void tide.load()
  },
})
/** The end of a shift: of what is selected, or (null) of all that is mine. */
const handOver = ref<{ rows: EntryRow[] | null } | null>(null)
const router = useRouter()
watch(
  () => route.hash,
  (hash) => hash === '#hand-over' && (handOver.value = { rows: null }),
  { immediate: true },
)
function endHandOver(): void {
  handOver.value = null
  if (route.hash) void router.replace({ query: route.query })
}
async function handedOver(): Promise<void> {
  many.clear()
  await entries.refresh()
  await loadThread()
}
/** The selected threads, or the one that is open, with the tags that all of them bear. */
const tagged = computed(() => {
  const { there } = many
  if (!there.value.length)
    return { threads: thread.value ? [thread.value.id] : [], common: thread.value?.tags ?? [] }
  const of = rows.value.filter(({ threadId: id }) => there.value.includes(id))
  const common = (of[0]?.tags ?? []).filter((tag) => of.every(({ tags }) => tags.includes(tag)))
  return { threads: there.value, common }
})
const selectedRow = computed(() => rows.value[index.value]?.id ?? null)
const lead = computed(() => thread.value?.entries.findLast((e) => e.direction === 'in') ?? null)
const emptyText = computed(() => (lens.value.state === 'open' ? t('inbox.emptyOpen') : t('inbox.emptyOther')))

/** Somebody chose a thread: none is opened by itself. */
let chosenOne = false
function choose(row: EntryRow, replace = false): void {
  chosenOne = true
  void open(row, replace)
}
function step(way: 1 | -1): void {
  const next = rows.value[index.value < 0 ? 0 : index.value + way]
  if (next) choose(next, true)
}

/** The thread that nobody chose. */
let openedByItself: number | null = null
/** New entries are counted while somebody reads; an untouched list takes them in by itself. */
const touch = useTouchedThreads(entries)
/** What counts everything comes less often: a stream of news costs the server no more than this. */
const refreshCounts = gathered(() => Promise.all([entries.fetchCount(), tide.load()]), 500)
useLive((live) => {
  if (live.kind !== 'entries' && live.kind !== 'thread') return
  refreshCounts()
  if (threadId.value !== null && (live.threads.includes(threadId.value) || !live.threads.length))
    void loadThread()
  const isReading = index.value > 0 && threadId.value !== openedByItself
  if (live.kind === 'entries' && live.count > 0 && lens.value.order !== 'pressing' && isReading)
    fresh.value += live.count
  else {
    // Everything is looked at again.
    if (!live.threads.length) fresh.value = 0
    touch(live.threads)
  }
})
async function showFresh(): Promise<void> {
  fresh.value = 0
  await entries.refresh()
}

useShortcuts({
  next: () => step(1),
  previous: () => step(-1),
  choose: () => mayAnswer.value && threadId.value !== null && many.toggle(threadId.value),
  finish: () => (many.there.value.length ? manyBar.value?.finish() : event('finish')),
  reply: () => replyBox.value?.focus(),
  pattern: () => replyBox.value?.openStarts(),
  note: () => (noting.value = thread.value !== null && mayAnswer.value),
  give: () => actions.value?.openGive(),
  aside: () => actions.value?.openAside(),
  more: () => actions.value?.openMore(),
  tag: () => (tagSheet.value = thread.value !== null && mayAnswer.value),
  negative: () => void (lead.value && judge(lead.value, 'negative')),
  neutral: () => void (lead.value && judge(lead.value, 'neutral')),
  positive: () => void (lead.value && judge(lead.value, 'positive')),
  lens: () => void lensLine.value?.focus(),
})

/** Beside the list there is room for a thread: the first, unless the one that is open is of the list. */
async function openFirst(): Promise<void> {
  const first = rows.value[0]
  if (!first || window.innerWidth < 720) return
  openedByItself = first.threadId
  await open(first, true)
}
/** Whether the first thread has been looked for. */
const begun = ref(false)
onMounted(async () => {
  void tide.load()
  await entries.load()
  if (threadId.value === null && !chosenOne) await openFirst()
  begun.value = true
})
// Who comes to answer lands in the answer.
watch(
  () => route.hash === '#answer' && replyBox.value,
  (box) => box && box.focus(),
  { flush: 'post' },
)
/** Another lens was asked for, not only another thread opened under the same. */
let asked = false
watch(
  () => JSON.stringify(query.value),
  () => {
    fresh.value = 0
    asked = true
  },
)
watch(rows, () => {
  if (asked && index.value < 0) void openFirst()
  asked = false
})
</script>

<template>
  <LensLine ref="lensLine" :lens="lens" :count="count" @change="change" @reset="reset"
    ><LensMenu :lens="lens"
  /></LensLine>
  <TideLine
    :lens="lens"
    :tide="tide.tide.value"
    :behind="tide.behind.value"
    :loading="tide.loading.value"
    @range="(range) => change({ range })"
  />
  <InboxViews here="threads" />
  <main class="body" :class="{ reading: threadId !== null }">
    <section class="list" :aria-label="t('inbox.list')">
      <LensProblem
        v-if="problems.length"
        :what="joined(problems.map((p) => `${p.field}=${p.value}`))"
        @reset="reset"
      />
      <ProblemNote v-if="entries.problem.value" :problem="entries.problem.value" @again="entries.load" />
      <button v-if="fresh" type="button" class="fresh" @click="showFresh">
        {{ t('inbox.newOnes', { n: fresh }, fresh) }}
      </button>
      <ManyBar
        v-if="many.there.value.length"
        ref="manyBar"
        :count="many.there.value.length"
        :busy="many.busy.value"
        @act="many.act"
        @tags="tagSheet = true"
        @hand-over="handOver = { rows: rows.filter((row) => many.there.value.includes(row.threadId)) }"
        @all="many.chooseAll"
        @clear="many.clear"
      />
      <VirtualList
        v-if="rows.length"
        :key="density.rows"
        :rows="rows"
        :estimate="rowHeights[density.rows]"
        :label="t('inbox.list')"
        :selected="selectedRow"
        :total="count?.count"
        @end="entries.more"
      >
        <template #default="{ row }"
          ><div
            class="holder"
            :class="{
              choosing: many.there.value.length,
              washed: many.chosen.value.has(row.threadId) || row.threadId === threadId,
            }"
          >
            <ThreadRow
              :row="row"
              :selected="row.threadId === threadId"
              :chosen="many.chosen.value.has(row.threadId)"
              @open="choose(row)"
            />
            <label v-if="mayAnswer" class="choose"
              ><input
                type="checkbox"
                :checked="many.chosen.value.has(row.threadId)"
                :aria-label="t('inbox.many.choose', { name: row.author })"
                @click="(event: MouseEvent) => many.toggle(row.threadId, event.shiftKey)"
            /></label></div
        ></template>
      </VirtualList>
      <RowShapes v-else-if="entries.loading.value" :height="rowHeights[density.rows]" />
      <EmptyPlace
        v-else-if="!entries.problem.value"
        :title="t('inbox.emptyTitle')"
        :text="brand.answer?.profileCount ? emptyText : t('inbox.emptyNoProfile')"
      >
        <RouterLink v-if="!brand.answer?.profileCount" to="/set-up/profiles">{{
          t('inbox.connect')
        }}</RouterLink>
        <button v-else type="button" class="button" @click="reset">{{ t('lens.reset') }}</button>
      </EmptyPlace>
    </section>
    <template v-if="thread">
      <section class="reading-column" :aria-label="thread.person?.name ?? thread.profile">
        <div class="scroll">
          <RouterLink class="back" :to="{ path: '/inbox', query: route.query }">{{
            t('inbox.list')
          }}</RouterLink>
          <ThreadEntries
            :thread="thread"
            :may="mayAnswer"
            @judge="judge"
            @unmark="event('notSpam')"
            @split="split"
            @retry="retry"
            @call-back="callBack"
            @put-back="(text) => replyBox?.put(text)"
            @drop="drop"
            @other-way="seekOtherWay"
            @changed="loadThread"
          />
        </div>
        <NoteBox v-if="noting && mayAnswer" v-model="noting" :thread="thread.id" @saved="noted" />
        <ReplyBox
          v-if="thread.reply.possible && mayAnswer"
          :key="thread.id"
          ref="replyBox"
          :thread="thread"
          @sent="onSent"
          @changed="loadThread"
          @other-way="seekOtherWay(null)"
          @same-way="goSameWay"
        >
          <ThreadActions
            ref="actions"
            :thread="thread"
            @event="event"
            @give="give"
            @prioritise="prioritise"
            @merge="mergeSheet = true"
            @tags="tagSheet = true"
            @note="noting = true"
          />
        </ReplyBox>
        <div v-else class="no-reply">
          <span class="soft">{{
            thread.reply.reason ? called('inbox.noReply', thread.reply.reason) : ''
          }}</span>
          <button
            v-if="mayAnswer && thread.reply.reason !== 'stopped' && thread.kind !== 'mention'"
            type="button"
            class="button"
            @click="seekOtherWay(null)"
          >
            {{ t('inbox.handOff.open') }}
          </button>
          <ThreadActions
            v-if="mayAnswer"
            ref="actions"
            :thread="thread"
            @event="event"
            @give="give"
            @prioritise="prioritise"
            @merge="mergeSheet = true"
            @tags="tagSheet = true"
            @note="noting = true"
          />
        </div>
      </section>
      <PersonPanel class="side" :thread="thread" />
      <HandOffSheet v-model="handOffSheet" :thread="thread" @done="goOtherWay" />
      <MergeSheet v-model="mergeSheet" :thread="thread" @merge="merge" />
      <TagSheet
        v-model="tagSheet"
        :tags="tagged.common"
        :count="tagged.threads.length"
        @save="(change) => changeTags(tagged.threads, change)"
      />
    </template>
    <section v-else class="reading-column">
      <ProblemNote v-if="problem" :problem="problem" @again="loadThread" />
      <RowShapes v-else-if="threadId !== null || entries.loading.value || !begun" :rows="2" :height="180" />
      <EmptyPlace v-else-if="rows.length" :text="t('inbox.choose')" />
    </section>
  </main>
  <HandOverSheet
    v-if="handOver"
    :model-value="true"
    :rows="handOver.rows"
    @update:model-value="(open) => !open && endHandOver()"
    @done="handedOver"
  />
</template>

<style scoped>
.holder {
  position: relative;
}
/* It lies over the mark of sentiment, and makes room for it once something is selected. */
.choose {
  position: absolute;
  top: 0;
  left: 3px;
  display: grid;
  place-items: center;
  width: 32px;
  height: 24px;
  opacity: 0;
  background: var(--sheet);
  cursor: pointer;
}
.washed .choose {
  background: var(--deep-wash);
}
.choose input {
  width: 16px;
  height: 16px;
  margin: 0;
  accent-color: var(--deep);
}
.holder:hover .choose,
.choosing .choose,
.choose:focus-within {
  opacity: 1;
}
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  /* On a wide screen all three grow: more words in a row, lines that stay readable, more of the person. */
  grid-template-columns: clamp(392px, 30vw, 620px) minmax(0, 1fr) clamp(258px, 20vw, 420px);
}
.list {
  border-right: 1px solid var(--line);
  background: var(--sheet);
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.fresh {
  font: inherit;
  font-weight: 600;
  color: var(--on-deep);
  background: var(--deep);
  border: 0;
  padding: 6px;
  cursor: pointer;
}
.reading-column {
  background: var(--sheet);
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.scroll {
  flex: 1;
  overflow-y: auto;
  padding: 4px 28px;
}
.back {
  display: none;
}
.no-reply {
  border-top: 1px solid var(--line);
  padding: 12px 28px;
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
@media (max-width: 1100px) {
  .body {
    grid-template-columns: 330px minmax(0, 1fr);
  }
  .side {
    display: none;
  }
}
@media (max-width: 720px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
  }
  .reading .list,
  .body:not(.reading) .reading-column {
    display: none;
  }
  .back {
    display: inline-block;
    margin: 10px 0;
  }
}
</style>
