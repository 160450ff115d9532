<script setup lang="ts">
import { computed, onMounted, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { blankLens, type Lens, type LensRange } from '@murrabel/core/lens'
import { routes, todaySince, type EntryRow, type TodayAnswer, type TodaySince } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { lensQuery } from '../../composables/useLens.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useTide } from '../../composables/useTide.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import TideLine from '../../parts/TideLine.vue'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import { useNoticeTexts } from '../alerts/useNoticeTexts.ts'
import { useFollowUps } from '../followUps/useFollowUps.ts'
import ColleaguesNow from './ColleaguesNow.vue'
import MorningMail from './MorningMail.vue'
import OwnList from './OwnList.vue'
import SetUpGaps from './SetUpGaps.vue'
import UnusualList from './UnusualList.vue'
import { tomorrowMorning, useTodayTexts } from './todayTexts.ts'

/** What somebody should know, since they looked last; each line can be done with from here. */
const route = useRoute()
const router = useRouter()
const brand = useBrand()
const undo = useUndo()
const attempt = useAttempt()
const { t, when, clock, span } = useTexts()
const { titleOf, sumOf, paceOf, placeOf } = useTodayTexts()
const { problem, run } = useBusy()
const answer = shallowRef<TodayAnswer | null>(null)
const since = computed<TodaySince>(() => todaySince.find((each) => each === route.query.since) ?? 'look')
/** One place, or (null) all of them. */
const place = computed(() => brand.places.find(({ id }) => String(id) === route.query.place)?.id ?? null)
const ofPlace = computed<[string, string][]>(() =>
  place.value === null ? [] : [['place', String(place.value)]],
)
const fetch = async () => {
  answer.value = await call(routes.today, { query: [['since', since.value], ...ofPlace.value] })
}
const load = () => run(fetch)
onMounted(async () => {
  await load()
  // The lens is another one only when one was away for more than a day.
  void tide.load()
  // Told once it stands there.
  if (answer.value) void call(routes.seeToday).catch(() => {})
})
watch([since, place], load)
/** What is heard of brings no note of trouble: the page stays as it was. */
const refresh = gathered(() => Promise.all([fetch().catch(() => {}), tide.load()]), 1500)
useLive(({ kind }) => {
  if (['entries', 'thread', 'profiles', 'followUps', 'notices', 'brand', 'patterns', 'afresh'].includes(kind))
    refresh()
})

const days = computed(() =>
  Math.max(1, Math.ceil((Date.now() - Date.parse(answer.value?.since ?? '')) / 86_400_000) || 1),
)
const lens = computed((): Lens => ({
  ...blankLens,
  unit: 'entries',
  places: place.value === null ? [] : [place.value],
  range: { last: days.value },
}))
const tide = useTide(lens)
const showRange = (range: LensRange | null) =>
  router.push({ path: '/watch', query: Object.fromEntries(lensQuery({ ...lens.value, range })) })

const { grouped, toldOf } = useNoticeTexts()
/** What waits for one's word stands there as itself. */
const notices = computed(() => grouped.value.filter(({ seen, kind }) => !seen && kind !== 'asked'))
const followUps = useFollowUps(fetch)
const nameOf = (id: number | null) => (id !== null && brand.colleagueName(id)) || t('together.somebody')
const mayAnswer = computed(() => brand.may('answer'))
const thread = (id: number) => ({ path: `/inbox/${id}`, query: { given: 'anybody', state: 'any' } })
const late = (at: string) => (Date.now() - Date.parse(at)) / 60_000

/** Done with from here, with the way back. */
const end = (row: EntryRow, kind: 'finish' | 'setAside') =>
  attempt(async () => {
    const until = kind === 'setAside' ? tomorrowMorning(Date.now(), brand.zone) : undefined
    const id = row.threadId
    const { eventId } = await call(routes.threadEvent, { params: { id }, body: { kind, until } })
    await fetch()
    if (eventId === null) return
    undo.tell({
      text: kind === 'finish' ? t('undo.finish') : t('undo.setAside', { t: when(until!) }),
      undo: () =>
        attempt(async () => {
          await call(routes.undo, { params: { id, event: eventId } })
          await fetch()
        }),
    })
  })
const ask = (part: { since?: TodaySince; place?: number | null }): void => {
  const now = { since: since.value, place: place.value, ...part }
  void router.replace({
    query: {
      ...(now.since === 'look' ? {} : { since: now.since }),
      ...(now.place === null ? {} : { place: String(now.place) }),
    },
  })
}
/** The inbox, of the place in hand. */
const inboxOf = (query: Record<string, string>) => ({
  path: '/inbox',
  query: { ...query, ...(place.value === null ? {} : { place: String(place.value) }) },
})
</script>

<template>
  <header class="about">
    <p>
      {{ t('today.about') }} <b class="brand-name">{{ brand.answer?.brand.name }}</b>,
      {{ t('today.atPlace') }}
      <el-dropdown :persistent="false" trigger="click" @command="(id: number) => ask({ place: id || null })">
        <button type="button" class="phrase" data-test="place">
          {{ brand.placeName(place) || t('today.allPlaces') }}
        </button>
        <template #dropdown>
          <el-dropdown-menu>
            <el-dropdown-item :command="0">{{ t('today.allPlaces') }}</el-dropdown-item>
            <el-dropdown-item v-for="each in brand.places" :key="each.id" :command="each.id">{{
              each.name
            }}</el-dropdown-item>
          </el-dropdown-menu>
        </template> </el-dropdown
      >, {{ t('today.since') }}
      <el-dropdown
        :persistent="false"
        trigger="click"
        @command="(value: TodaySince) => ask({ since: value })"
      >
        <button type="button" class="phrase" data-test="since">{{ t(`today.sinceWhat.${since}`) }}</button>
        <template #dropdown>
          <el-dropdown-menu>
            <el-dropdown-item v-for="each in todaySince" :key="each" :command="each">{{
              t(`today.sinceWhat.${each}`)
            }}</el-dropdown-item>
          </el-dropdown-menu>
        </template>
      </el-dropdown>
    </p>
    <MorningMail v-if="answer" :at="answer.mailAt" @changed="(at) => (answer = { ...answer!, mailAt: at })" />
  </header>
  <TideLine
    :lens="lens"
    :tide="tide.tide.value"
    :behind="tide.behind.value"
    :loading="tide.loading.value"
    @range="showRange"
  />
  <main class="today">
    <section class="news">
      <ProblemNote v-if="problem" :problem="problem" @again="load" />
      <template v-if="answer">
        <h1 class="words">{{ titleOf(answer.since) }}</h1>
        <p class="soft" data-test="sum" :title="paceOf(answer)">{{ sumOf(answer) }}</p>
        <h4>{{ t('today.first') }}</h4>
        <ul class="lines">
          <li v-for="lost in answer.notSent" :key="`lost${lost.id}`">
            <span class="mark past">{{ t('today.failed') }}</span>
            <span class="said">{{ t('today.failedOn', { text: lost.text, profile: lost.profile }) }}</span>
            <RouterLink class="do" :to="thread(lost.threadId)">{{ t('today.look') }}</RouterLink>
          </li>
          <li v-for="key in answer.keys" :key="`key${key.profileId}`">
            <span class="mark past">{{ t('today.cutOff') }}</span>
            <span class="said">{{ t('today.keyEnded', { profile: key.name }) }}</span>
            <RouterLink class="do" to="/set-up/profiles">{{ t('today.renew') }}</RouterLink>
          </li>
          <li v-for="waits in answer.approvals" :key="`approval${waits.id}`" data-test="approval-waits">
            <span class="mark">{{ clock(waits.askedAt) }}</span>
            <RouterLink class="said door" :to="thread(waits.thread)"
              >{{
                t('approvals.waits', {
                  name: nameOf(waits.by),
                  author: waits.author || t('together.aThread'),
                })
              }}
              <span class="quote soft">{{ waits.text }}</span></RouterLink
            >
          </li>
          <li v-for="row in answer.due" :key="row.id" data-test="due">
            <span class="mark" :class="{ past: late(row.dueAt!) > 0 }">{{
              late(row.dueAt!) > 0 ? t('today.late', { t: span(late(row.dueAt!)) }) : clock(row.dueAt!)
            }}</span>
            <RouterLink class="said door" :to="thread(row.threadId)"
              ><b>{{ row.author }}</b> <span class="soft">{{ placeOf(row) }}</span>
              <span class="words quote">{{ row.text || row.title }}</span></RouterLink
            >
            <span v-if="mayAnswer" class="do">
              <button type="button" class="plain" @click="end(row, 'finish')">{{ t('today.finish') }}</button>
              <button type="button" class="plain" @click="end(row, 'setAside')">
                {{ t('today.tomorrow') }}
              </button>
            </span>
          </li>
          <li v-for="each in answer.followUps" :key="`promise${each.id}`">
            <span class="mark" :class="{ past: each.late }">{{
              each.late ? t('today.late', { t: span(late(each.dueAt)) }) : clock(each.dueAt)
            }}</span>
            <RouterLink class="said door" :to="thread(each.threadId)"
              ><span class="soft">{{ t('today.followUp') }}</span> {{ each.what }}</RouterLink
            >
            <span class="do">
              <button type="button" class="plain" @click="followUps.finish(each, '')">
                {{ t('today.done') }}
              </button>
            </span>
          </li>
          <li v-for="notice in notices" :key="`notice${notice.id}`">
            <span class="mark">{{ clock(notice.at) }}</span>
            <RouterLink class="said door" :to="thread(notice.thread)">{{ toldOf(notice) }}</RouterLink>
          </li>
        </ul>
        <p
          v-if="
            !answer.due.length &&
            !answer.notSent.length &&
            !answer.keys.length &&
            !answer.followUps.length &&
            !answer.approvals.length &&
            !notices.length
          "
          class="soft"
        >
          {{ t('today.nothing') }}
        </p>
        <RouterLink v-if="answer.open.count" class="all" :to="inboxOf({ time: 'all' })">{{
          t('today.all')
        }}</RouterLink>
        <RouterLink
          v-if="mayAnswer"
          class="all"
          :to="{ path: '/inbox', query: { given: 'me', time: 'all' }, hash: '#hand-over' }"
          >{{ t('inbox.handOver.open') }}</RouterLink
        >
        <UnusualList :key="String(place)" :question="ofPlace" />
      </template>
      <div v-else-if="!problem" class="shapes" aria-busy="true">
        <i v-for="i in 7" :key="i" />
      </div>
    </section>
    <aside v-if="answer">
      <OwnList :lines="answer.list" @changed="fetch" />
      <SetUpGaps :gaps="answer.gaps" />
      <ColleaguesNow :colleagues="answer.colleagues" />
    </aside>
  </main>
</template>

<style scoped>
.about {
  display: flex;
  align-items: baseline;
  gap: 20px;
  padding: 9px 20px 8px;
  min-height: 45px;
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
  font-size: 16px;
}
.about p {
  margin: 0;
  flex: 1;
}
.brand-name {
  font-weight: 600;
}
.phrase {
  font: inherit;
  font-weight: 600;
  color: var(--deep);
  background: none;
  border: 0;
  border-bottom: 1px dotted currentcolor;
  padding: 0;
  cursor: pointer;
}
.today {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
}
.news {
  background: var(--sheet);
  padding: 18px 32px 40px;
}
h1 {
  font-size: 26px;
  line-height: 34px;
  font-weight: 600;
}
h4,
.news :deep(h4) {
  margin: 20px 0 4px;
  font-size: 13px;
  font-weight: 600;
  color: var(--ink-soft);
}
.lines,
.news :deep(.lines) {
  list-style: none;
  margin: 0;
  padding: 0;
  max-width: 860px;
}
.lines li,
.news :deep(.lines li) {
  display: grid;
  grid-template-columns: 88px minmax(0, 1fr) auto;
  gap: 4px 14px;
  align-items: baseline;
  padding: 10px 0;
  border-bottom: 1px solid var(--line);
}
.mark,
.news :deep(.mark) {
  font-size: 13px;
  font-weight: 600;
  color: var(--ink-soft);
}
.mark.past {
  color: var(--flare-text);
}
.said {
  min-width: 0;
}
.door {
  color: inherit;
  border: 0;
}
.door:hover b {
  text-decoration: underline;
}
.door b {
  font-weight: 600;
}
.quote {
  display: block;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
}
.do {
  display: flex;
  gap: 14px;
  font-size: 13px;
}
.do .plain {
  cursor: pointer;
  color: var(--deep);
}
.all {
  display: inline-block;
  margin-right: 20px;
  margin-top: 10px;
  font-size: 13px;
}
aside {
  background: var(--paper);
  border-left: 1px solid var(--line);
  padding: 18px 24px 40px;
}
.shapes i {
  display: block;
  height: 22px;
  margin: 22px 0;
  max-width: 860px;
  background: var(--paper);
}
.shapes i:first-child {
  height: 34px;
  width: 60%;
}
@media (max-width: 900px) {
  .today {
    grid-template-columns: minmax(0, 1fr);
  }
  aside {
    border-left: 0;
    border-top: 1px solid var(--line);
  }
}
@media (max-width: 560px) {
  .news {
    padding: 16px 16px 30px;
  }
  .lines li {
    grid-template-columns: 74px minmax(0, 1fr);
  }
  .do {
    grid-column: 2;
  }
}
</style>
