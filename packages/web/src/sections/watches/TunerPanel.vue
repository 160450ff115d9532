<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { max, scaleLinear } from 'd3'
import type { EntryRow, TunerAnswer } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import MarkButtons from './MarkButtons.vue'
import MentionRow from './MentionRow.vue'
import { percent } from './watchFigures.ts'

const { tuned, marks, stale } = defineProps<{
  tuned: TunerAnswer
  /** Marks of this sheet by entry, over those kept before. */
  marks: ReadonlyMap<number, boolean>
  stale: boolean
}>()
const emit = defineEmits<{
  mark: [entryId: number, onTopic: boolean | null]
  exclude: [term: string]
  ask: [term: string]
}>()
const { t, called, number, day, languageName } = useTexts()
const selected = ref(0)
const looked = ref<string | null>(null)
const marksNeeded = 10

const perDay = computed(() => (tuned.days ? tuned.hits / tuned.days : 0))
const bars = computed(() => {
  const y = scaleLinear()
    .domain([0, Math.max(1, max(tuned.perDay, (d) => d.count) ?? 1)])
    .range([0, 46])
  return tuned.perDay.map((d, i) => ({ x: i * 4, height: y(d.count), title: `${day(d.at)}: ${d.count}` }))
})
const markOf = (row: EntryRow & { onTopic?: boolean | null }) => marks.get(row.id) ?? row.onTopic ?? null
const done = computed(() => tuned.sample.filter((row) => markOf(row) !== null).length)
const verdict = computed(() =>
  t(`watch.tuner.verdict.${tuned.verdict}`, { n: Math.max(1, marksNeeded - tuned.precision.marked) }),
)
const reason = computed(() =>
  tuned.precision.marked
    ? t(
        'watch.tuner.reason',
        {
          value: percent(tuned.precision.value),
          low: percent(tuned.precision.low),
          high: percent(tuned.precision.high),
          n: tuned.precision.marked,
        },
        tuned.precision.marked,
      )
    : '',
)
const list = (items: readonly { name: string; n: number }[]) =>
  items
    .slice(0, 5)
    .map(({ name, n }) => `${name} ${number(n)}`)
    .join(', ')

/** y, n and Space on the sample; arrows move. */
function onKey(event: KeyboardEvent): void {
  const row = tuned.sample[selected.value]
  const step = { ArrowDown: 1, j: 1, ' ': 1, ArrowUp: -1, k: -1 }[event.key]
  if (event.key === 'y' || event.key === 'n') {
    if (row) emit('mark', row.id, event.key === 'y')
    select(selected.value + 1)
  } else if (step) select(selected.value + step)
  else return
  event.preventDefault()
}
/** Another sample begins with its first hit that has no mark. */
watch(
  () => tuned.sample.map((row) => row.id).join(),
  () =>
    (selected.value = Math.max(
      0,
      tuned.sample.findIndex((row) => markOf(row) === null),
    )),
)
function select(index: number): void {
  selected.value = Math.max(0, Math.min(tuned.sample.length - 1, index))
  document.querySelector(`[data-sample="${selected.value}"]`)?.scrollIntoView({ block: 'nearest' })
}
</script>

<template>
  <section class="tuner" :class="{ stale }" data-test="trial">
    <p class="sum">
      <template v-if="tuned.hits"
        ><b>{{
          t(
            'watch.form.hits',
            { n: number(tuned.hits), all: number(tuned.searched), days: tuned.days },
            tuned.hits,
          )
        }}</b
        >,
        {{
          t('watch.form.aDay', { n: perDay < 10 ? perDay.toFixed(1) : number(Math.round(perDay)) })
        }}</template
      >
      <b v-else>{{ t('watch.form.noHits', { all: number(tuned.searched), days: tuned.days }) }}</b>
      <span v-if="tuned.cut" class="soft"> {{ t('watch.tuner.cut', { n: number(tuned.searched) }) }}</span>
    </p>
    <template v-if="tuned.hits">
      <svg
        class="days"
        :viewBox="`0 0 ${bars.length * 4} 48`"
        preserveAspectRatio="none"
        role="img"
        :aria-label="t('watch.form.aDay', { n: perDay.toFixed(1) })"
      >
        <rect v-for="bar in bars" :key="bar.x" :x="bar.x" :y="48 - bar.height" width="3" :height="bar.height">
          <title>{{ bar.title }}</title>
        </rect>
      </svg>
      <dl class="parts">
        <dt>{{ t('watch.tuner.channels') }}</dt>
        <dd>{{ list(tuned.channels.map((c) => ({ name: called('lens.channel', c.key), n: c.count }))) }}</dd>
        <dt>{{ t('watch.tuner.languages') }}</dt>
        <dd>{{ list(tuned.languages.map((c) => ({ name: languageName(c.key), n: c.count }))) }}</dd>
        <dt>{{ t('watch.tuner.overlap') }}</dt>
        <dd>
          {{
            tuned.overlap.length
              ? list(tuned.overlap.map((o) => ({ name: o.name, n: o.both })))
              : t('watch.tuner.noOverlap')
          }}
        </dd>
      </dl>
    </template>
    <p class="verdict" :class="tuned.verdict" data-test="verdict">
      <b>{{ verdict }}</b> {{ reason }}
    </p>
    <template v-if="tuned.exclusions.length">
      <h4>{{ t('watch.tuner.exclusions') }}</h4>
      <ul class="proposals">
        <li v-for="item in tuned.exclusions" :key="item.term" data-test="exclusion">
          <span class="words term">{{ item.term }}</span>
          <span class="soft">{{
            t('watch.tuner.effect', {
              removed: number(item.removed),
              hits: number(tuned.hits),
              off: item.offTopicRemoved,
              lost: item.onTopicLost,
            })
          }}</span>
          <button
            v-if="item.sample.length"
            type="button"
            class="plain"
            :aria-expanded="looked === item.term"
            @click="looked = looked === item.term ? null : item.term"
          >
            {{ t('watch.tuner.look') }}
          </button>
          <button type="button" class="button" @click="emit('exclude', item.term)">
            {{ t('watch.tuner.apply') }}
          </button>
          <div v-if="looked === item.term" class="looked">
            <MentionRow v-for="row in item.sample" :key="row.id" :row="row" bare>
              <template #before>
                <MarkButtons :marked="markOf(row)" @mark="(onTopic) => emit('mark', row.id, onTopic)" />
              </template>
            </MentionRow>
          </div>
        </li>
      </ul>
    </template>
    <template v-if="tuned.additions.length && tuned.precision.marked >= marksNeeded">
      <h4>{{ t('watch.tuner.additions') }}</h4>
      <ul class="proposals">
        <li v-for="item in tuned.additions" :key="item.term" data-test="addition">
          <span class="words term">{{ item.term }}</span>
          <span class="soft">{{
            t('watch.tuner.adds', { with: number(item.hitsWith), fresh: number(item.fresh) })
          }}</span>
          <button
            type="button"
            class="plain"
            :aria-expanded="looked === item.term"
            @click="looked = looked === item.term ? null : item.term"
          >
            {{ t('watch.tuner.lookAdd') }}
          </button>
          <button type="button" class="button" @click="emit('ask', item.term)">
            {{ t('watch.tuner.applyAdd') }}
          </button>
          <div v-if="looked === item.term" class="looked">
            <MentionRow v-for="row in item.sample" :key="row.id" :row="row" bare />
          </div>
        </li>
      </ul>
    </template>
    <template v-if="tuned.sample.length">
      <h4>
        {{ t('watch.form.sample') }}:
        {{ t('watch.tuner.of', { done, n: tuned.sample.length }) }}
      </h4>
      <p class="soft hint">{{ t('watch.tuner.mark') }}</p>
      <div
        class="sample"
        tabindex="0"
        role="list"
        :aria-label="t('watch.form.sample')"
        data-test="sample"
        @keydown="onKey"
      >
        <div v-for="(row, i) in tuned.sample" :key="row.id" :data-sample="i" role="listitem">
          <MentionRow :row="row" bare :selected="i === selected" @click="selected = i">
            <template #before>
              <MarkButtons :marked="markOf(row)" @mark="(onTopic) => emit('mark', row.id, onTopic)" />
            </template>
          </MentionRow>
        </div>
      </div>
    </template>
  </section>
</template>

<style scoped>
.tuner {
  margin-top: 18px;
  border-top: 1px solid var(--line);
  padding-top: 12px;
}
.stale {
  opacity: 0.55;
}
.sum {
  margin-bottom: 8px;
}
.days {
  display: block;
  width: 100%;
  height: 48px;
  fill: var(--deep);
  border-bottom: 1px solid var(--line);
  margin-bottom: 8px;
}
.parts {
  display: grid;
  grid-template-columns: 90px minmax(0, 1fr);
  margin: 0 0 10px;
  font-size: 13px;
}
.parts dt {
  color: var(--ink-soft);
}
.parts dd {
  margin: 0;
}
.verdict {
  border-left: 3px solid var(--deep);
  background: var(--deep-wash);
  padding: 8px 12px;
  margin-bottom: 14px;
}
.verdict.tooWide {
  border-left-color: var(--flare);
  background: var(--note);
}
.proposals {
  list-style: none;
  padding: 0;
  margin: 0 0 14px;
}
.proposals li {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 12px;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
.term {
  font-size: 16px;
}
.proposals .soft {
  font-size: 13px;
  flex: 1;
  min-width: 220px;
}
.looked {
  flex-basis: 100%;
}
.hint {
  font-size: 13px;
  margin-bottom: 4px;
}
</style>
