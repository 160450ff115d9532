<script setup lang="ts">
import { computed } from 'vue'
import type { Lens } from '@murrabel/core/lens'
import type { Direction } from '@murrabel/core/measures'
import type { FiguresAnswer, Slice, TideAnswer } from '@murrabel/contract'
import { localDay } from '../../composables/formats.ts'
import { useTexts } from '../../composables/useTexts.ts'
import HourGrid from '../../parts/HourGrid.vue'
import PeriodBars from '../../parts/PeriodBars.vue'
import SentimentMark from '../../parts/SentimentMark.vue'
import SliceBars from '../../parts/SliceBars.vue'
import { rangeOfBuckets } from '../../parts/tideScale.ts'
import VolumeChart from '../../parts/VolumeChart.vue'
import { useBrand } from '../../stores/brand.ts'
import NetFigure from './NetFigure.vue'
import { percent, points, times, totalOfCounts } from './watchFigures.ts'

const { figures, chart } = defineProps<{ figures: FiguresAnswer; chart: TideAnswer | null }>()
/** Opens entries: a narrower lens, read in the list of mentions. */
const emit = defineEmits<{ open: [part: Partial<Lens>] }>()
const { t, called, number, languageName } = useTexts()
const brand = useBrand()

const channelName = (key: Slice['key']) => called('lens.channel', key ?? '')
const placeName = (key: Slice['key']) => brand.placeName(Number(key)) || t('watch.figures.noPlace')
const weekRange = (index: number) => {
  const from = new Date(figures.direction.starts[index]!)
  const to = new Date(from.getTime() + 6.5 * 86_400_000)
  return { from: localDay(from, brand.zone), to: localDay(to, brand.zone) }
}
function directionText(direction: Direction, inPoints: boolean): string {
  const size = inPoints
    ? t('watch.figures.points', { n: points(direction.slope) })
    : percent(Math.abs(direction.perPeriod ?? 0))
  const told = t(`watch.figures.direction.${direction.verdict}`, { n: size })
  const leftOut = figures.direction.missed.filter(Boolean).length
  return leftOut ? `${told}; ${t('watch.outage.weeks', { n: leftOut }, leftOut)}` : told
}
/** Of less than a week, the same days of the week before are compared. */
const weekdays = computed(() => figures.range.days < 6.5)
const countChange = computed(() => {
  const change = figures.countChange
  if (!change) return t('watch.change.none')
  const n = number(figures.before.total)
  if (!change.enough) return t('watch.change.few')
  return change.sure && change.ratio !== null
    ? t('watch.figures.changeSure', { ratio: times(change.ratio, number), n })
    : t('watch.figures.changeUnsure', { n })
})
function openBar(index: number): void {
  if (chart)
    emit('open', {
      range: rangeOfBuckets(chart.buckets, index, index, { zone: brand.zone, unit: chart.unit }),
    })
}
const openPlace = (key: Slice['key']) => key !== null && emit('open', { places: [Number(key)] })
</script>

<template>
  <div class="view">
    <VolumeChart
      v-if="chart"
      class="wide"
      :tide="chart"
      :outages="figures.outages"
      :caption="t('watch.perDay', { unit: t(`watch.unit.${chart.unit}`) })"
      @open="openBar"
    />
    <PeriodBars
      :values="figures.direction.volumes"
      :starts="figures.direction.starts"
      :title="t('watch.figures.directionVolume')"
      :note="directionText(figures.direction.volume, false)"
      :show="number"
      @open="(i) => emit('open', { range: weekRange(i) })"
    />
    <PeriodBars
      :values="figures.direction.nets"
      :starts="figures.direction.starts"
      :title="t('watch.figures.directionNet')"
      :note="directionText(figures.direction.net, true)"
      around
      :show="points"
      @open="(i) => emit('open', { range: weekRange(i) })"
    />
    <p class="wide change">
      <b>{{ t(weekdays ? 'watch.figures.changeOfWeekdays' : 'watch.figures.changeOf') }}:</b>
      {{ countChange }}
    </p>
    <SliceBars
      :slices="figures.channels"
      :title="t('watch.figures.channels')"
      :name-of="channelName"
      @open="(key) => emit('open', { channels: [String(key)] })"
    />
    <SliceBars
      :slices="figures.languages"
      :title="t('watch.figures.languages')"
      :name-of="(key) => languageName(String(key))"
      @open="(key) => emit('open', { languages: [String(key)] })"
    />
    <SliceBars
      :slices="figures.places"
      :title="t('watch.figures.placesBy')"
      :name-of="placeName"
      @open="openPlace"
    />
    <section v-if="figures.share">
      <h4>{{ t('watch.figures.shareOf') }}</h4>
      <ul class="shares">
        <li v-for="item in figures.share.among" :key="item.id">
          <RouterLink :to="{ path: '/watch', query: { watch: item.id } }">{{ item.name }}</RouterLink>
          <span class="track"
            ><span :style="{ width: `${(100 * item.count) / Math.max(1, figures.share.n)}%` }"
          /></span>
          <span>{{ number(item.count) }}</span>
        </li>
      </ul>
    </section>
    <HourGrid class="wide" :hours="figures.hours" @open="(weekHour) => emit('open', { weekHour })" />
    <section class="wide">
      <h4>{{ t('watch.figures.aspects') }}</h4>
      <table v-if="figures.aspects.length" class="aspects">
        <tbody>
          <tr v-for="aspect in figures.aspects" :key="aspect.id" data-test="aspect">
            <th>
              <button
                type="button"
                class="plain"
                @click="emit('open', { aspect: { id: aspect.id, sentiment: null } })"
              >
                {{ aspect.name }}
              </button>
            </th>
            <td>{{ number(totalOfCounts(aspect)) }}</td>
            <td v-for="sentiment in ['negative', 'neutral', 'positive'] as const" :key="sentiment">
              <button
                type="button"
                class="plain"
                @click="emit('open', { aspect: { id: aspect.id, sentiment } })"
              >
                <SentimentMark :sentiment="sentiment" /> {{ number(aspect[sentiment]) }}
              </button>
            </td>
            <td>
              <NetFigure :net="aspect.net" />
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else class="soft">
        {{ t('watch.figures.aspectsNone') }}
        <RouterLink to="/watch/teach">{{ t('watch.figures.aspectsMake') }}</RouterLink>
      </p>
    </section>
  </div>
</template>

<style scoped>
.view {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 20px 32px;
  padding: 10px 0 24px;
  overflow-y: auto;
  align-content: start;
}
.wide {
  grid-column: 1 / -1;
}
.change {
  font-size: 13px;
}
.shares {
  list-style: none;
  padding: 0;
  margin: 0;
  font-size: 13px;
}
.shares li {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr) 48px;
  gap: 8px;
  align-items: center;
  padding: 2px 0;
}
.shares li > :last-child {
  text-align: right;
}
.track span {
  display: block;
  height: 12px;
  background: var(--deep);
}
.aspects {
  border-collapse: collapse;
  width: 100%;
  font-size: 13px;
}
.aspects th,
.aspects td {
  text-align: left;
  font-weight: 400;
  padding: 3px 16px 3px 0;
  border-bottom: 1px solid var(--line);
}
@media (max-width: 900px) {
  .view {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
