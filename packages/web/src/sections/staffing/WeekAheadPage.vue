<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import type { Shift, WeekForecast } from '@murrabel/core/staffing'
import { routes, type WeekAheadAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import { useLenses } from '../../stores/lenses.ts'
import InboxViews from '../inbox/InboxViews.vue'
import ChannelTable from './ChannelTable.vue'
import ForecastFigure from './ForecastFigure.vue'
import TeamTable from './TeamTable.vue'
import WeekHeat from './WeekHeat.vue'
import { useSimulation } from './useSimulation.ts'
import { useWeekTexts } from './weekTexts.ts'

/** What the coming week would bring with those who are there, and with one more or less. */
const { t, number, percent, day, list: joined } = useTexts()
const { clockOf, shiftText, shareRange, minutesText, channelName, worstHours } = useWeekTexts()
const { problem, run } = useBusy()
const simulation = useSimulation()
const lenses = useLenses()
const answer = shallowRef<WeekAheadAnswer | null>(null)
const planned = shallowRef<WeekForecast | null>(null)
const load = () =>
  run(async () => {
    const found = await call(routes.weekAhead)
    answer.value = found
    if (found.inputs.serviceMs.length >= timesAtLeast)
      planned.value = await simulation.forecast(found.inputs, { arrivals: 1, shift: null })
  })
onMounted(() => {
  void load()
  void lenses.loadAll().catch(() => {})
})
/** Of fewer measured times nothing is simulated. */
const timesAtLeast = 8
const start = computed(() => Date.parse(answer.value?.start ?? ''))
const enough = computed(() => (answer.value?.inputs.serviceMs.length ?? 0) >= timesAtLeast)

// What is tried: one more or less at some hours, twice the arrivals, or both.
const people = ref<0 | 1 | -1>(0)
const twice = ref(false)
const progress = ref<number | null>(null)
const shifts = shallowRef<Shift[]>([])
const shift = shallowRef<Shift | null>(null)
const tried = shallowRef<WeekForecast | null>(null)
let asked = 0
watch([people, twice], async () => {
  const mine = ++asked
  tried.value = null
  shift.value = null
  shifts.value = []
  if (!answer.value || (!people.value && !twice.value)) return
  const arrivals = twice.value ? 2 : 1
  if (!people.value) {
    const told = await simulation.forecast(answer.value.inputs, { arrivals, shift: null })
    if (mine === asked) tried.value = told
    return
  }
  progress.value = 0
  const found = await simulation.shifts(answer.value.inputs, {
    arrivals,
    people: people.value,
    clocks: answer.value.inputs.arrivals.map((_, hour) => clockOf(start.value + hour * 3_600_000)),
    progress: (share) => mine === asked && (progress.value = share),
  })
  if (mine !== asked) return
  progress.value = null
  shifts.value = found.map((each) => each.shift)
  shift.value = found[0]?.shift ?? null
  tried.value = found[0]?.forecast ?? null
})
async function choose(next: Shift): Promise<void> {
  if (!answer.value) return
  const mine = ++asked
  shift.value = next
  tried.value = null
  const told = await simulation.forecast(answer.value.inputs, { arrivals: twice.value ? 2 : 1, shift: next })
  if (mine === asked) tried.value = told
}
const triedTitle = computed(() => {
  const at = shift.value ? shiftText(shift.value, start.value) : ''
  if (people.value > 0)
    return t(twice.value ? 'weekAhead.figure.both' : 'weekAhead.figure.more', { shift: at })
  if (people.value < 0)
    return t(twice.value ? 'weekAhead.figure.bothLess' : 'weekAhead.figure.less', { shift: at })
  return t('weekAhead.figure.twice')
})
const isBest = computed(() => shift.value !== null && shift.value === shifts.value[0])
const forecast = computed(() => tried.value ?? planned.value)
const wrong = computed(() => {
  if (!forecast.value || !answer.value) return []
  const { inputs } = answer.value
  const all = inputs.arrivals.reduce((sum, n) => sum + n, 0)
  const alone = inputs.arrivals.reduce(
    (sum, n, hour) => sum + (inputs.people.some(({ presence }) => presence[hour]! >= 0.25) ? 0 : n),
    0,
  )
  const worst = worstHours(forecast.value.byHour, start.value)
  return [
    worst ? t('weekAhead.wrongHours', { t: worst }) : t('weekAhead.wrongNone'),
    ...(all && alone / all > 0.02 ? [t('weekAhead.wrongNobody', { p: percent(alone / all) })] : []),
  ]
})
const open = computed(() => {
  const rows = answer.value ? [...answer.value.colleagues, answer.value.nobodys] : []
  return {
    n: rows.reduce((sum, each) => sum + each.open, 0),
    late: rows.reduce((sum, each) => sum + each.pastDue, 0),
  }
})
</script>

<template>
  <header class="about">
    <p>{{ t('weekAhead.line', { n: answer?.weeks ?? 8 }) }}</p>
    <span v-if="answer" class="soft">{{
      t('weekAhead.open', { n: number(open.n), late: number(open.late) })
    }}</span>
  </header>
  <InboxViews here="weekAhead" />
  <main class="week">
    <section class="figures">
      <ProblemNote v-if="problem" :problem="problem" @again="load" />
      <template v-if="answer">
        <div class="four">
          <article>
            <h4>{{ t('weekAhead.figure.promise') }}</h4>
            <template v-if="answer.promise">
              <p class="big">
                {{ percent(answer.promise.share) }} <small>{{ shareRange(answer.promise) }}</small>
              </p>
              <p
                v-if="answer.promise.usual"
                class="under soft"
                :class="{ past: answer.promise.share < answer.promise.usual.low }"
              >
                {{ t('weekAhead.figure.usual', { range: shareRange(answer.promise.usual) }) }}
              </p>
              <p v-else class="under soft">
                {{ t('weekAhead.figure.promiseOf', { n: number(answer.promise.n) }) }}
              </p>
            </template>
            <p v-else class="under soft">{{ t('weekAhead.figure.promiseFew') }}</p>
          </article>
          <article>
            <h4>{{ t('weekAhead.figure.half') }}</h4>
            <template v-if="answer.time">
              <p class="big">{{ minutesText(answer.time.half) }}</p>
              <p class="under soft">
                {{ t('weekAhead.figure.tenth', { t: minutesText(answer.time.nineTenths) }) }}
              </p>
            </template>
            <p v-else class="under soft">{{ t('weekAhead.figure.halfFew') }}</p>
          </article>
          <ForecastFigure :title="t('weekAhead.figure.planned')" :forecast="planned" :waiting="enough" />
          <ForecastFigure
            v-if="people || twice"
            :title="triedTitle"
            :forecast="tried"
            :waiting="enough"
            :note="isBest ? t(people > 0 ? 'weekAhead.figure.most' : 'weekAhead.figure.least') : ''"
          />
          <article v-else>
            <h4>{{ t('weekAhead.figure.nothing') }}</h4>
            <p class="under soft">{{ t('weekAhead.figure.nothingText') }}</p>
          </article>
        </div>
        <template v-if="enough">
          <WeekHeat v-if="forecast" :start="start" :late="forecast.byHour" :people="answer.inputs.people" />
          <p v-else class="soft running" role="status">{{ t('weekAhead.running') }}</p>
          <p class="soft note">
            {{
              t('weekAhead.note', {
                runs: forecast?.runs ?? 400,
                weeks: answer.weeks,
                n: number(answer.measured),
              })
            }}
            {{ t('weekAhead.noteWho') }}
            <template v-if="answer.leftOut.length">{{
              t('weekAhead.noteOut', { days: joined(answer.leftOut.map((each) => day(`${each}T12:00:00Z`))) })
            }}</template>
          </p>
        </template>
        <p v-else class="soft note" data-test="few">
          {{ t('weekAhead.few', { n: number(answer.measured), weeks: answer.weeks }) }}
        </p>
        <TeamTable :answer="answer" />
        <ChannelTable :channels="answer.channels" />
      </template>
      <div v-else-if="!problem" class="shapes" aria-busy="true"><i v-for="i in 5" :key="i" /></div>
    </section>
    <aside v-if="answer">
      <template v-if="enough">
        <h4>{{ t('weekAhead.try') }}</h4>
        <div class="tries">
          <button
            type="button"
            class="button"
            :aria-pressed="people === 1"
            @click="people = people === 1 ? 0 : 1"
          >
            {{ t('weekAhead.oneMore') }}
          </button>
          <button
            type="button"
            class="button"
            :aria-pressed="people === -1"
            @click="people = people === -1 ? 0 : -1"
          >
            {{ t('weekAhead.oneLess') }}
          </button>
          <button type="button" class="button" :aria-pressed="twice" @click="twice = !twice">
            {{ t('weekAhead.twice') }}
          </button>
        </div>
        <p v-if="progress !== null" class="soft" role="status">
          {{ t('weekAhead.trying', { p: percent(progress) }) }}
        </p>
        <template v-if="shifts.length > 1">
          <h5>{{ t('weekAhead.hours') }}</h5>
          <p v-for="each in shifts" :key="each.from">
            <button type="button" class="plain shift" :aria-pressed="each === shift" @click="choose(each)">
              {{ shiftText(each, start) }}
            </button>
          </p>
        </template>
        <h4>{{ t('weekAhead.wrong') }}</h4>
        <p v-for="sentence in wrong" :key="sentence">{{ sentence }}</p>
      </template>
      <template v-if="answer.channels.some(({ eachMs }) => eachMs !== null)">
        <h4>{{ t('weekAhead.eachTitle') }}</h4>
        <p v-for="each in answer.channels.filter(({ eachMs }) => eachMs !== null)" :key="each.channel">
          {{
            t('weekAhead.each', { channel: channelName(each.channel), t: minutesText(each.eachMs! / 60_000) })
          }}
        </p>
      </template>
      <template v-if="lenses.counts && lenses.lenses.length">
        <h4>{{ t('weekAhead.uncaught') }}</h4>
        <p v-if="lenses.counts.none.count">
          {{ t('weekAhead.uncaughtOf', { n: number(lenses.counts.none.count) }, lenses.counts.none.count) }}
          <RouterLink :to="{ path: '/inbox', query: { caught: 'none', given: 'anybody', time: 'all' } }">{{
            t('weekAhead.look')
          }}</RouterLink>
        </p>
        <p v-else class="soft">{{ t('weekAhead.uncaughtNone') }}</p>
      </template>
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
  font-weight: 600;
}
.about span {
  font-size: 14px;
}
.week {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 222px;
}
.figures {
  background: var(--sheet);
  padding: 14px 24px 40px;
}
.four {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  border-bottom: 1px solid var(--line);
  padding-bottom: 10px;
  margin-bottom: 16px;
}
.four > * {
  padding: 8px 16px 4px;
  border-left: 1px solid var(--line);
}
.four > :first-child {
  padding-left: 0;
  border-left: 0;
}
.four :deep(h4) {
  font-size: 13px;
  font-weight: 600;
  color: var(--ink-soft);
  margin: 0;
}
.four :deep(.big) {
  font-size: 24px;
  line-height: 34px;
  font-weight: 600;
  margin: 0;
}
.four :deep(.big small) {
  font-size: 14px;
  font-weight: 400;
  color: var(--ink-soft);
}
.four :deep(.under) {
  margin: 0;
  font-size: 13px;
}
.four :deep(.past) {
  color: var(--flare-text);
}
.note {
  font-size: 13px;
  max-width: 980px;
  margin: 10px 0 18px;
}
.running {
  min-height: 300px;
}
aside {
  background: var(--paper);
  border-left: 1px solid var(--line);
  padding: 18px 18px 40px;
  font-size: 14px;
}
aside h4 {
  font-size: 13px;
  font-weight: 600;
  color: var(--ink-soft);
  margin: 18px 0 6px;
}
aside h4:first-child {
  margin-top: 0;
}
aside h5 {
  font-size: 13px;
  font-weight: 600;
  margin: 10px 0 2px;
}
aside p {
  margin: 0 0 6px;
}
.tries {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.tries [aria-pressed='true'] {
  background: var(--deep);
  color: var(--on-deep);
  border-color: var(--deep);
}
.shift {
  cursor: pointer;
  color: var(--deep);
}
.shift[aria-pressed='true'] {
  font-weight: 600;
  color: var(--ink);
}
.shapes i {
  display: block;
  height: 40px;
  margin: 16px 0;
  background: var(--paper);
}
.shapes i:nth-child(2) {
  height: 300px;
}
@media (max-width: 1000px) {
  .week {
    grid-template-columns: minmax(0, 1fr);
  }
  .four {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  .four > :nth-child(odd) {
    padding-left: 0;
    border-left: 0;
  }
  aside {
    border-left: 0;
    border-top: 1px solid var(--line);
  }
}
</style>
