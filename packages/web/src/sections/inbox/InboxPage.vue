<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { routes, type ThreadEntry } from '@murrabel/contract'
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
import InboxViews from './InboxViews.vue'
import PersonPanel from './PersonPanel.vue'
import ReplyBox from './ReplyBox.vue'
import ThreadActions from './ThreadActions.vue'
import ThreadEntries from './ThreadEntries.vue'
import ThreadRow from './ThreadRow.vue'
import { useThread } from './useThread.ts'
import { useThreadActions } from './useThreadActions.ts'
import RowShapes from '../../parts/RowShapes.vue'

const HandOffSheet = onDemand(() => import('./HandOffSheet.vue'))
const TagSheet = onDemand(() => import('../../parts/TagSheet.vue'))
const route = useRoute()
const brand = useBrand()
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
const changeTags = useTags(() => void loadThread())

const { mayAnswer, index, open, event, give, onSent, judge, retry, callBack, drop } = useThreadActions({
  lens,
  entries,
  thread,
  threadId,
  loadThread,
  loadTide: tide.load,
  putBack: (text) => replyBox.value?.put(text),
})
const selectedRow = computed(() => rows.value[index.value]?.id ?? null)
const lead = computed(() => thread.value?.entries.findLast((e) => e.direction === 'in') ?? null)
const emptyText = computed(() => (lens.value.state === 'open' ? t('inbox.emptyOpen') : t('inbox.emptyOther')))

function step(way: 1 | -1): void {
  const next = rows.value[index.value < 0 ? 0 : index.value + way]
  if (next) void open(next, true)
}

/** New entries are counted while somebody reads; an untouched list takes them in by itself. */
const touch = useTouchedThreads(entries)
/** What counts everything comes less often: a stream of news costs the server no more than this. */
const refreshCounts = gathered(() => {
  void entries.fetchCount()
  void tide.load()
}, 500)
useLive((live) => {
  if (live.kind !== 'entries' && live.kind !== 'thread') return
  refreshCounts()
  if (threadId.value !== null && (live.threads.includes(threadId.value) || !live.threads.length))
    void loadThread()
  if (live.kind === 'entries' && live.count > 0 && lens.value.order !== 'pressing' && index.value > 0)
    fresh.value += live.count
  else touch(live.threads)
})
async function showFresh(): Promise<void> {
  fresh.value = 0
  await entries.refresh()
}

useShortcuts({
  next: () => step(1),
  previous: () => step(-1),
  finish: () => event('finish'),
  reply: () => replyBox.value?.focus(),
  give: () => actions.value?.openGive(),
  aside: () => actions.value?.openAside(),
  tag: () => (tagSheet.value = thread.value !== null && mayAnswer.value),
  negative: () => void (lead.value && judge(lead.value, 'negative')),
  neutral: () => void (lead.value && judge(lead.value, 'neutral')),
  positive: () => void (lead.value && judge(lead.value, 'positive')),
  lens: () => void lensLine.value?.focus(),
})

/** Beside the list there is room for a thread: the first, unless the one that is open is of the list. */
async function openFirst(): Promise<void> {
  const first = rows.value[0]
  if (first && window.innerWidth >= 720) await open(first, true)
}
onMounted(async () => {
  void tide.load()
  await entries.load()
  if (threadId.value === null) await openFirst()
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
  <LensLine ref="lensLine" :lens="lens" :count="count" @change="change" @reset="reset" />
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
      <VirtualList
        v-if="rows.length"
        :rows="rows"
        :estimate="75"
        :label="t('inbox.list')"
        :selected="selectedRow"
        :total="count?.count"
        @end="entries.more"
      >
        <template #default="{ row }"
          ><ThreadRow :row="row" :selected="row.threadId === threadId" @open="open(row)"
        /></template>
      </VirtualList>
      <RowShapes v-else-if="entries.loading.value" :height="75" />
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
            @retry="retry"
            @call-back="callBack"
            @drop="drop"
            @other-way="seekOtherWay"
          />
        </div>
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
          <ThreadActions ref="actions" :thread="thread" @event="event" @give="give" @tags="tagSheet = true" />
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
            @tags="tagSheet = true"
          />
        </div>
      </section>
      <PersonPanel class="side" :thread="thread" />
      <HandOffSheet v-model="handOffSheet" :thread="thread" @done="goOtherWay" />
      <TagSheet
        v-model="tagSheet"
        :tags="thread.tags"
        :count="1"
        @save="(change) => thread && changeTags([thread.id], change)"
      />
    </template>
    <section v-else class="reading-column">
      <ProblemNote v-if="problem" :problem="problem" @again="loadThread" />
      <RowShapes v-else-if="threadId !== null || entries.loading.value" :rows="2" :height="180" />
      <EmptyPlace v-else-if="rows.length" :text="t('inbox.choose')" />
    </section>
  </main>
</template>

<style scoped>
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
