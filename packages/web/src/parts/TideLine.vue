<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import { defaultWindow, useElementSize } from '@vueuse/core'
import type { Lens, LensRange } from '@murrabel/core/lens'
import type { TideAnswer } from '@murrabel/contract'
import { useTexts } from '../composables/useTexts.ts'
import { useBrand } from '../stores/brand.ts'
import TideBars from './TideBars.vue'
import { rangeAfterKey, type RangeEnd } from './tideHandles.ts'
import { bucketsOfRange, rangeOfBuckets } from './tideScale.ts'

const {
  lens,
  tide,
  behind = null,
  loading,
} = defineProps<{ lens: Lens; tide: TideAnswer | null; behind?: TideAnswer | null; loading: boolean }>()
const emit = defineEmits<{ range: [range: LensRange | null] }>()
const { t, format, number } = useTexts()
const brand = useBrand()
const box = useTemplateRef<HTMLElement>('box')
/** Pixels of a usual window, where nothing can be measured. */
const usualWidth = 1240
const { width } = useElementSize(box, { width: defaultWindow ? 0 : usualWidth, height: 0 })
const height = 58

const buckets = computed(() => tide?.buckets ?? [])
const place = computed(() => ({ zone: brand.zone, unit: tide?.unit ?? ('day' as const) }))
const step = computed(() => (buckets.value.length ? width.value / buckets.value.length : 0))
// A range that ends below one entry would say nothing.
const usual = computed(() => {
  const range = (behind ?? tide)?.usual ?? null
  return range && range.high >= 1 ? range : null
})
const chosen = computed(() => bucketsOfRange(buckets.value, lens.range, place.value))
const drag = ref<[number, number] | null>(null)
const shown = computed(() =>
  drag.value ? ([Math.min(...drag.value), Math.max(...drag.value)] as [number, number]) : chosen.value,
)

const isLong = computed(() => {
  const [first, last] = shown.value ?? [0, 0]
  return last - first > (tide?.unit === 'week' ? 40 : tide?.unit === 'month' ? 10 : 300)
})
const dateOf = (index: number) =>
  buckets.value[index]
    ? format(buckets.value[index].at, {
        day: 'numeric',
        month: 'short',
        ...(isLong.value ? { year: 'numeric' } : {}),
      })
    : ''
const rangeLabel = computed(() => {
  const range = shown.value
  if (!range || !buckets.value.length) return ''
  return range[0] === range[1] ? dateOf(range[0]) : `${dateOf(range[0])} – ${dateOf(range[1])}`
})

/** Pixels that a range in words needs at most. */
const labelWidth = 190
/** Beside the frame where there is room, otherwise inside it at its end. */
const rangePlace = computed(() => {
  const [first, last] = shown.value ?? [0, 0]
  const left = first * step.value
  const right = (last + 1) * step.value
  if (left > labelWidth) return { right: `${width.value - left + 6}px` }
  return width.value - right > labelWidth ? { left: `${right + 6}px` } : { right: '6px' }
})

const indexAt = (event: PointerEvent) => {
  const left = box.value?.getBoundingClientRect().left ?? 0
  return Math.max(
    0,
    Math.min(buckets.value.length - 1, Math.floor((event.clientX - left) / (step.value || 1))),
  )
}
function down(event: PointerEvent): void {
  if (!buckets.value.length || event.button !== 0) return
  box.value?.setPointerCapture(event.pointerId)
  drag.value = [indexAt(event), indexAt(event)]
}
function move(event: PointerEvent): void {
  if (drag.value) drag.value = [drag.value[0], indexAt(event)]
}
function up(): void {
  if (!drag.value) return
  choose(drag.value[0], drag.value[1])
  drag.value = null
}
function choose(first: number, last: number): void {
  emit('range', rangeOfBuckets(buckets.value, first, last, place.value))
}
/** An end taken by the pointer; the other one stays. */
function take(event: PointerEvent, end: RangeEnd): void {
  if (!shown.value || event.button !== 0) return
  box.value?.setPointerCapture(event.pointerId)
  const [first, last] = shown.value
  drag.value = end === 'first' ? [last, first] : [first, last]
}
function onKey(event: KeyboardEvent, end: RangeEnd): void {
  if (event.ctrlKey || event.metaKey || event.altKey || !chosen.value) return
  if (event.key === 'Escape') emit('range', null)
  else {
    const next = rangeAfterKey(chosen.value, buckets.value.length, event, end)
    if (!next) return
    choose(next[0], next[1])
  }
  event.preventDefault()
}
const ends = computed(() => {
  if (!shown.value || !buckets.value.length) return []
  const [first, last] = shown.value
  const most = buckets.value.length - 1
  return [
    { end: 'first' as const, index: first, low: 0, high: last, at: first },
    { end: 'last' as const, index: last, low: first, high: most, at: last + 1 },
  ]
})
</script>

<template>
  <div class="tide">
    <div
      ref="box"
      class="strip"
      role="group"
      :aria-label="t('tide.label')"
      @pointerdown="down"
      @pointermove="move"
      @pointerup="up"
      @pointercancel="drag = null"
      @dblclick="emit('range', null)"
    >
      <TideBars :tide="tide" :behind="behind" :usual="usual" :shown="shown" :width="width" :height="height" />
      <span
        v-for="{ end, index, low, high, at } in ends"
        :key="end"
        class="handle"
        :class="end"
        :style="{ left: `${(at / buckets.length) * 100}%` }"
        role="slider"
        tabindex="0"
        :title="t('tide.handleHint')"
        :aria-label="t(`tide.${end}`)"
        :aria-valuemin="low"
        :aria-valuemax="high"
        :aria-valuenow="index"
        :aria-valuetext="dateOf(index)"
        @pointerdown.stop="take($event, end)"
        @keydown="onKey($event, end)"
      />
      <span v-if="usual" class="note left">{{
        t('tide.usual', {
          low: number(Math.round(usual.low)),
          high: number(Math.round(usual.high)),
          unit: t(`tide.unit.${place.unit}`),
        })
      }}</span>
      <span v-if="shown && rangeLabel" class="note range" :style="rangePlace">{{ rangeLabel }}</span>
      <span v-if="loading && !tide" class="note left">{{ t('tide.loading') }}</span>
    </div>
  </div>
</template>

<style scoped>
.tide {
  height: 60px;
  padding: 0 20px;
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
}
.strip {
  position: relative;
  height: 58px;
  cursor: crosshair;
  touch-action: none;
}
/* Beside the range rather than over it, so that the ends of a single bar can both be taken. */
.handle {
  position: absolute;
  top: 0;
  width: 24px;
  height: 58px;
  cursor: ew-resize;
  touch-action: none;
}
.handle.first {
  margin-left: -20px;
}
.handle.last {
  margin-left: -4px;
}
.handle::after {
  content: '';
  position: absolute;
  top: 19px;
  width: 5px;
  height: 20px;
  border-radius: 3px;
  background: var(--deep);
}
.handle.first::after {
  left: 18px;
}
.handle.last::after {
  left: 2px;
}
.handle:focus-visible {
  outline: none;
}
.handle:focus-visible::after {
  outline: 2px solid var(--deep);
  outline-offset: 2px;
}
.note {
  position: absolute;
  top: 3px;
  font-size: 12px;
  line-height: 16px;
  color: var(--ink-soft);
  pointer-events: none;
  white-space: nowrap;
  background: color-mix(in srgb, var(--sheet) 88%, transparent);
  padding: 0 3px;
}
.left {
  left: 0;
}
</style>
