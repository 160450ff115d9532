<script setup lang="ts">
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { line, max, scaleLinear } from 'd3'
import { useElementSize } from '@vueuse/core'
import { useTemplateRef } from 'vue'
import { instantsOf, printLens, type Lens } from '@murrabel/core/lens'
import { routes, type PhraseAnswer } from '@murrabel/contract'
import { useAsked } from '../../composables/useAsked.ts'
import { bases, useLens } from '../../composables/useLens.ts'
import { localDay } from '../../composables/formats.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ChartFrame from '../../parts/ChartFrame.vue'
import DataTable from '../../parts/DataTable.vue'
import EmptyPlace from '../../parts/EmptyPlace.vue'
import LensLine from '../../parts/LensLine.vue'
import ProblemNote from '../../parts/ProblemNote.vue'
import SentimentMark from '../../parts/SentimentMark.vue'
import { useBrand } from '../../stores/brand.ts'
import NetFigure from './NetFigure.vue'
import SubjectSelect from './SubjectSelect.vue'
import WatchFrame from './WatchFrame.vue'
import { leaning, times, totalOfCounts } from './watchFigures.ts'
import RowShapes from '../../parts/RowShapes.vue'

/** A lens beside itself at another time, or beside another watch; what with stands in the address. */
const route = useRoute()
const router = useRouter()
const { t, number, day } = useTexts()
const brand = useBrand()
const { lens, query, change, reset } = useLens('entries')
const other = computed(() => String(route.query.with ?? 'before'))

const iso = (at: number) => localDay(at, brand.zone)
function shifted(by: 'before' | 'year'): Partial<Lens> | null {
  const range = instantsOf(lens.value.range ?? { last: 90 }, { now: Date.now(), zone: brand.zone })!
  const half = 12 * 3_600_000
  const length = Math.max(86_400_000, range.to - range.from)
  const back = by === 'year' ? 364 * 86_400_000 : length
  return { range: { from: iso(range.from - back + half), to: iso(range.to - back - half) } }
}
/** What the other side differs in, as pairs for the server. */
const difference = computed<Partial<Lens> | null>(() => {
  if (other.value === 'before' || other.value === 'year') return shifted(other.value)
  const group = /^g(\d+)$/.exec(other.value)
  if (group) return { watch: null, group: Number(group[1]) }
  return /^\d+$/.test(other.value) ? { watch: Number(other.value), group: null } : null
})
const question = computed<[string, string][] | null>(() => {
  if (!difference.value) return null
  const pairs = printLens(
    { ...lens.value, ...difference.value },
    { ...bases.entries, range: null, watch: null },
  )
  const changed = pairs.filter(([name]) => ['time', 'watch', 'group'].includes(name))
  const whole = new URLSearchParams([['watch', 'all'], ['group', 'all'], ...changed])
  return [...query.value, ['with', whole.toString()]]
})
const asked = useAsked(routes.compare, question)
const answer = asked.answer
const choices = computed(() => [
  { value: 'before', label: t('watch.comparing.before') },
  { value: 'year', label: t('watch.comparing.yearBefore') },
  ...brand.watches
    .filter((w) => w.id !== lens.value.watch)
    .map((w) => ({ value: String(w.id), label: w.name })),
  ...brand.groups.map((g) => ({ value: `g${g.id}`, label: `${t('lens.groups')}: ${g.name}` })),
])
const otherName = computed(() => choices.value.find((c) => c.value === other.value)?.label ?? '')
const names = computed(() => [answer.value?.one.name || t('watch.comparing.one'), otherName.value])

const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const height = 180
const left = 36
const sides = computed(() => (answer.value ? [answer.value.one.series, answer.value.two.series] : []))
const length = computed(() => Math.max(2, ...sides.value.map((s) => s.length)))
const y = computed(() =>
  scaleLinear()
    .domain([0, Math.max(1, max(sides.value.flat(), totalOfCounts) ?? 1)])
    .nice(3)
    .range([height - 20, 6]),
)
const x = computed(() =>
  scaleLinear()
    .domain([0, length.value - 1])
    .range([left, width.value - 4]),
)
const paths = computed(() =>
  sides.value.map(
    (series) =>
      line<(typeof series)[number]>(
        (_, i) => x.value(i),
        (b) => y.value(totalOfCounts(b)),
      )(series) ?? '',
  ),
)
const volumeText = computed(() => {
  const volume = answer.value?.volume
  if (volume && !volume.enough) return t('watch.comparing.few')
  return volume?.sure && volume.ratio !== null
    ? t('watch.comparing.sure', { ratio: times(volume.ratio, number) })
    : volume?.ratio && (volume.ratio >= 2 || volume.ratio <= 0.5)
      ? t('watch.comparing.bunched', { ratio: times(volume.ratio, number) })
      : t('watch.comparing.unsure')
})
const netText = computed(() => {
  const net = answer.value?.net
  if (!net) return t('watch.comparing.netNone')
  if (!net.enough) return t('watch.comparing.netFew')
  return net.sure
    ? t(net.difference > 0 ? 'watch.comparing.netHigher' : 'watch.comparing.netLower', {
        n: Math.abs(Math.round(100 * net.difference)),
      })
    : t('watch.comparing.netUnsure')
})
const toPhrase = (phrase: PhraseAnswer, side: 0 | 1) => ({
  path: '/watch',
  query: Object.fromEntries([
    ...printLens({ ...lens.value, ...(side ? difference.value : {}), phrase: phrase.phrase }, bases.entries),
    ['view', 'mentions'],
  ]),
})
</script>

<template>
  <LensLine :lens="lens" :count="null" @change="change" @reset="reset" />
  <WatchFrame :title="t('watch.compareTitle')">
    <template #head>
      <span>{{ t('watch.comparing.with') }}</span>
      <SubjectSelect
        :model-value="other"
        :label="t('watch.comparing.with')"
        :choices="choices"
        @update:model-value="(value) => router.replace({ query: { ...route.query, with: value } })"
      />
    </template>
    <ProblemNote v-if="asked.problem.value" :problem="asked.problem.value" @again="asked.load" />
    <RowShapes v-if="asked.loading.value && !asked.answer.value" :rows="4" :height="120" />
    <EmptyPlace v-else-if="!question" :text="t('watch.comparing.choose')" />
    <template v-else-if="answer">
      <div class="sums">
        <section v-for="(side, i) in [answer.one, answer.two]" :key="i" :class="`side${i}`" data-test="side">
          <h3>{{ names[i] }}</h3>
          <p>
            <b>{{ t('lens.count.entries', { n: number(side.total) }, side.total) }}</b>,
            <span class="soft">{{ t('watch.form.aDay', { n: (side.total / side.days).toFixed(1) }) }}</span>
          </p>
          <p>{{ t('watch.net') }}: <NetFigure :net="side.net" /></p>
        </section>
        <section>
          <p>{{ volumeText }}</p>
          <p>{{ netText }}</p>
        </section>
      </div>
      <ChartFrame :title="t('watch.mentions')">
        <template #table
          ><DataTable
            :head="['', ...names]"
            :rows="
              Array.from({ length }, (_, i) => ({
                key: i,
                cells: [
                  answer!.one.series[i] ? day(answer!.one.series[i]!.at) : String(i + 1),
                  ...sides.map((s) => (s[i] ? number(totalOfCounts(s[i]!)) : '–')),
                ],
              }))
            "
        /></template>
        <div ref="box" class="box">
          <svg :width="width" :height="height" role="img" :aria-label="names.join(', ')">
            <g v-for="tick in y.ticks(3)" :key="tick">
              <line :x1="left" :x2="width" :y1="y(tick)" :y2="y(tick)" class="grid" />
              <text :x="left - 6" :y="y(tick) + 4" class="axis">{{ tick }}</text>
            </g>
            <path v-for="(path, i) in paths" :key="i" :d="path" :class="`line${i}`" />
          </svg>
        </div>
      </ChartFrame>
      <div class="said">
        <section v-for="(list, i) in [answer.phrasesOne, answer.phrasesTwo]" :key="i">
          <h4>
            {{ t(i ? 'watch.comparing.saidTwo' : 'watch.comparing.saidOne', { name: names[i] ?? '' }) }}
          </h4>
          <p v-if="!answer.fromOther[i]" class="soft">
            {{ t('watch.comparing.fromBefore', { name: names[i ? 0 : 1] ?? '' }) }}
          </p>
          <p v-if="!list.length" class="soft">{{ t('watch.comparing.none') }}</p>
          <ul>
            <li v-for="phrase in list" :key="phrase.phrase">
              <SentimentMark :sentiment="leaning(phrase.net)" />
              <RouterLink class="words" :to="toPhrase(phrase, i ? 1 : 0)">{{ phrase.text }}</RouterLink>
              <span class="soft"
                >{{ number(phrase.count)
                }}<template v-if="answer.fromOther[i]"> : {{ number(phrase.before) }}</template></span
              >
            </li>
          </ul>
        </section>
      </div>
    </template>
  </WatchFrame>
</template>

<style scoped>
.sums {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 24px;
  border-block: 1px solid var(--line);
  padding: 8px 0;
  margin-bottom: 14px;
}
.sums h3 {
  font-size: 14px;
  font-weight: 600;
}
.side0 h3 {
  box-shadow: inset 3px 0 0 var(--deep);
  padding-left: 10px;
}
.side1 h3 {
  box-shadow: inset 3px 0 0 var(--neu);
  padding-left: 10px;
}
.box {
  height: 180px;
}
.grid {
  stroke: var(--line);
}
.axis {
  font-size: 11px;
  fill: var(--ink-soft);
  text-anchor: end;
}
.line0,
.line1 {
  fill: none;
  stroke: var(--deep);
  stroke-width: 2;
}
.line1 {
  stroke: var(--neu);
  stroke-dasharray: 5 3;
}
.said {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
  margin-top: 14px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: flex;
  align-items: baseline;
  gap: 8px;
}
.words {
  font-size: 16px;
}
</style>
