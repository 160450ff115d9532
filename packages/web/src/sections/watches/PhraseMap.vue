<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import { useElementSize } from '@vueuse/core'
import type { PhraseAnswer, PhrasesAnswer } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import SentimentMark from '../../parts/SentimentMark.vue'
import { markWidth, placePhrases } from './phraseLayout.ts'
import { leaning, points } from './watchFigures.ts'

const { answer, loading, against } = defineProps<{
  answer: PhrasesAnswer | null
  loading: boolean
  against: 'before' | 'others'
}>()
const emit = defineEmits<{ open: [phrase: string]; against: [value: 'before' | 'others'] }>()
const { t, number } = useTexts()
const table = ref(false)
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const height = 206

const pen = document.createElement('canvas').getContext('2d')
function measure(text: string, size: number): number {
  if (!pen) return text.length * size * 0.5
  pen.font = `${size}px 'Source Serif 4 Variable', serif`
  return pen.measureText(text).width
}
const placed = computed(() =>
  answer ? placePhrases(answer.phrases, { width: width.value, height, measure }) : [],
)
const what = computed(() => {
  const background = answer?.background ?? 'before'
  return background === 'others'
    ? t('watch.map.others')
    : t(`watch.map.${background}`, { n: number(Math.round(answer?.backgroundDays ?? 90)) })
})
const netText = (phrase: PhraseAnswer) => (phrase.net ? points(phrase.net.net) : '–')
const title = (phrase: PhraseAnswer) =>
  t('watch.map.title_', {
    text: phrase.text,
    n: number(phrase.count),
    before: number(phrase.before),
    net: netText(phrase),
  })
</script>

<template>
  <figure class="map">
    <figcaption>
      <h4>{{ t('watch.map.title', { what }) }}</h4>
      <span class="right">
        <span v-if="loading" class="soft">{{ t('watch.map.counting') }}</span>
        <span v-else-if="answer?.cut" class="soft">{{
          t('watch.map.cut', { n: number(answer.entries) })
        }}</span>
        <button
          type="button"
          class="plain"
          @click="emit('against', against === 'before' ? 'others' : 'before')"
        >
          {{ t('watch.map.against') }}
          {{ against === 'before' ? t('watch.map.others') : t('watch.map.earlier') }}
        </button>
        <button type="button" class="plain" @click="table = !table">
          {{ table ? t('watch.chart') : t('watch.table') }}
        </button>
      </span>
    </figcaption>
    <div v-if="table && answer" class="table">
      <table class="figures">
        <thead>
          <tr>
            <th>{{ t('watch.map.phrase') }}</th>
            <th>{{ t('watch.map.entries') }}</th>
            <th>{{ t('watch.map.was') }}</th>
            <th>{{ t('watch.net') }}</th>
            <th>{{ t('watch.map.distinctive') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="phrase in answer.phrases" :key="phrase.phrase">
            <th>
              <button type="button" class="plain words" @click="emit('open', phrase.phrase)">
                {{ phrase.text }}
              </button>
            </th>
            <td>{{ number(phrase.count) }}</td>
            <td>{{ number(phrase.before) }}</td>
            <td>
              <SentimentMark :sentiment="leaning(phrase.net)" /> {{ netText(phrase) }}
              <span v-if="phrase.net" class="soft"
                >{{ points(phrase.net.low) }} – {{ points(phrase.net.high) }}</span
              >
            </td>
            <td>{{ phrase.z.toFixed(1) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <div v-else ref="box" class="field" :class="{ waiting: loading }">
      <svg
        v-if="placed.length"
        :width="width"
        :height="height"
        role="group"
        :aria-label="t('watch.map.title', { what })"
      >
        <line :x1="width / 2" :x2="width / 2" y1="4" :y2="height - 8" class="middle" />
        <g
          v-for="{ phrase, x, y, size, width: own } in placed"
          :key="phrase.phrase"
          class="phrase"
          :class="leaning(phrase.net)"
          role="button"
          tabindex="0"
          :aria-label="title(phrase)"
          data-test="phrase"
          :data-count="phrase.count"
          @click="emit('open', phrase.phrase)"
          @keydown.enter="emit('open', phrase.phrase)"
        >
          <title>{{ title(phrase) }}</title>
          <rect :x="x - own / 2 - 3" :y="y - size" :width="own + 6" :height="size * 1.35" class="hand" />
          <svg :x="x - own / 2" :y="y - 0.35 * size - 4" width="8" height="8" viewBox="0 0 12 12">
            <path v-if="leaning(phrase.net) === 'positive'" d="M1 10h10L6 2z" />
            <path v-else-if="leaning(phrase.net) === 'negative'" d="M1 2h10L6 10z" />
            <rect v-else x="1" y="4.5" width="10" height="3" />
          </svg>
          <text :x="x - own / 2 + markWidth" :y="y" :font-size="size">{{ phrase.text }}</text>
        </g>
      </svg>
      <p v-else-if="!loading" class="soft none">
        {{ answer && answer.entries < 10 ? t('watch.map.few', { n: answer.entries }) : t('watch.map.none') }}
      </p>
      <span v-if="placed.length" class="end">{{ t('watch.map.sour') }}</span>
      <span v-if="placed.length" class="end sweet">{{ t('watch.map.sweet') }}</span>
    </div>
  </figure>
</template>

<style scoped>
.map {
  margin: 0;
  border-bottom: 1px solid var(--line);
}
figcaption {
  display: flex;
  justify-content: space-between;
  gap: 16px;
}
.right {
  display: flex;
  gap: 16px;
  font-size: 13px;
  white-space: nowrap;
}
.field {
  position: relative;
  height: 206px;
}
.field.waiting {
  opacity: 0.6;
}
.middle {
  stroke: var(--line);
  stroke-width: 2;
}
.end {
  position: absolute;
  left: 0;
  bottom: 2px;
  font-size: 12px;
  color: var(--ink-soft);
}
.sweet {
  left: auto;
  right: 0;
}
.phrase {
  cursor: pointer;
  font-family: var(--serif);
}
.hand {
  fill: transparent;
}
.phrase:hover .hand,
.phrase:focus-visible .hand {
  fill: var(--deep-wash);
}
.negative {
  fill: var(--neg);
}
.positive {
  fill: var(--pos);
}
.neutral,
.unread {
  fill: var(--ink-soft);
}
.none {
  padding: 30px 0;
}
.table {
  height: 206px;
  overflow-y: auto;
}
thead th {
  position: sticky;
  top: 0;
  background: var(--sheet);
  color: var(--ink-soft);
}
</style>
