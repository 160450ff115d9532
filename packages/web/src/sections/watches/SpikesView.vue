<script setup lang="ts">
import { computed } from 'vue'
import { routes, type SpikeAnswer } from '@murrabel/contract'
import type { Lens } from '@murrabel/core/lens'
import { useAsked } from '../../composables/useAsked.ts'
import { localHour } from '../../composables/formats.ts'
import { useTexts } from '../../composables/useTexts.ts'
import EmptyPlace from '../../parts/EmptyPlace.vue'
import ProblemNote from '../../parts/ProblemNote.vue'
import SentimentMark from '../../parts/SentimentMark.vue'
import { useBrand } from '../../stores/brand.ts'
import MentionRow from './MentionRow.vue'
import { chance, leaning } from './watchFigures.ts'

const { query } = defineProps<{ query: [string, string][] }>()
const emit = defineEmits<{ open: [part: Partial<Lens>] }>()
const { t, number, format } = useTexts()
const brand = useBrand()
const asked = useAsked(
  routes.spikes,
  computed(() => query),
)
defineExpose({ load: asked.load })

/** The same lens at any time: what an alert listens to. */
const alertTo = computed(() => ({
  path: '/watch/alerts',
  query: {
    new: '',
    lens: new URLSearchParams(query.filter(([name]) => name !== 'time' && name !== 'order')).toString(),
  },
}))
const hours = (spike: SpikeAnswer) => Math.round((Date.parse(spike.to) - Date.parse(spike.from)) / 3_600_000)
const when = (at: string) =>
  format(at, { weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
const range = (spike: SpikeAnswer) => ({
  from: localHour(spike.from, brand.zone),
  to: localHour(Date.parse(spike.to) - 1, brand.zone),
})
</script>

<template>
  <div class="view">
    <p v-if="asked.loading.value && !asked.answer.value" class="soft">{{ t('watch.spikes.looking') }}</p>
    <ProblemNote v-if="asked.problem.value" :problem="asked.problem.value" @again="asked.load" />
    <template v-if="asked.answer.value">
      <p class="alert">
        <RouterLink :to="alertTo">{{ t('watch.spikes.alert') }}</RouterLink>
      </p>
      <EmptyPlace
        v-if="!asked.answer.value.spikes.length"
        :text="
          asked.answer.value.learnedDays < 21
            ? t('watch.spikes.young', { n: asked.answer.value.learnedDays })
            : t('watch.spikes.none')
        "
      />
      <article v-for="spike in asked.answer.value.spikes" :key="spike.from" class="spike" data-test="spike">
        <header>
          <h3>{{ when(spike.from) }} – {{ when(spike.to) }}</h3>
          <span class="soft">{{ t('watch.spikes.hours', { n: hours(spike) }, hours(spike)) }}</span>
          <b v-if="spike.newLevel" class="open">{{ t('watch.spikes.newLevel') }}</b>
          <b v-else-if="spike.open" class="open">{{ t('watch.spikes.open') }}</b>
          <button
            type="button"
            class="button"
            @click="emit('open', { range: range(spike), order: 'oldest' })"
          >
            {{ t('watch.spikes.read') }}
          </button>
        </header>
        <p>
          <b>{{
            t('watch.spikes.count', { n: number(spike.count), expected: number(Math.round(spike.expected)) })
          }}</b>
          <span
            v-for="sentiment in ['negative', 'neutral', 'positive'] as const"
            :key="sentiment"
            class="sentiment"
          >
            <SentimentMark :sentiment="sentiment" /> {{ number(spike.counts[sentiment]) }}</span
          >
          <span class="soft">{{ t('watch.spikes.chance', { p: chance(spike.tail, number) }) }}</span>
        </p>
        <dl>
          <template v-if="spike.phrases.length">
            <dt>{{ t('watch.spikes.cause') }}</dt>
            <dd class="phrases">
              <button
                v-for="phrase in spike.phrases"
                :key="phrase.phrase"
                type="button"
                class="plain words"
                :class="leaning(phrase.net)"
                @click="emit('open', { range: range(spike), phrase: phrase.phrase })"
              >
                <SentimentMark :sentiment="leaning(phrase.net)" /> {{ phrase.text }}
                <small>{{ number(phrase.count) }}</small>
              </button>
            </dd>
          </template>
          <template v-if="spike.first">
            <dt>{{ t('watch.spikes.first') }}</dt>
            <dd><MentionRow :row="spike.first" bare /></dd>
          </template>
          <template v-if="spike.voices.some((v) => v.reach > 0)">
            <dt>{{ t('watch.spikes.loudest') }}</dt>
            <dd class="phrases">
              <button
                v-for="voice in spike.voices.filter((v) => v.reach > 0)"
                :key="voice.id"
                type="button"
                class="plain"
                @click="emit('open', { range: range(spike), voice: voice.id })"
              >
                {{ voice.name }} <small>{{ t('watch.list.reach_', { n: number(voice.reach) }) }}</small>
              </button>
            </dd>
          </template>
          <template v-if="spike.stories.length">
            <dt>{{ t('watch.spikes.stories') }}</dt>
            <dd>
              <p v-for="story in spike.stories" :key="story.id">
                <button
                  type="button"
                  class="plain words story"
                  @click="emit('open', { range: range(spike), story: story.id })"
                >
                  {{ story.title }}
                </button>
                <small class="soft">{{ t('watch.spikes.copies', { n: number(story.copies) }) }}</small>
              </p>
            </dd>
          </template>
        </dl>
      </article>
    </template>
  </div>
</template>

<style scoped>
.alert {
  padding-top: 8px;
  font-size: 13px;
}
.view {
  overflow-y: auto;
  padding: 8px 0 24px;
}
.spike {
  border-bottom: 1px solid var(--line);
  padding: 12px 0;
}
header {
  display: flex;
  align-items: baseline;
  gap: 12px;
}
h3 {
  font-size: 16px;
  font-weight: 600;
}
header .button {
  margin-left: auto;
}
.open {
  color: var(--flare-text);
}
.sentiment {
  margin-left: 12px;
}
p .soft {
  margin-left: 12px;
  font-size: 13px;
}
dl {
  display: grid;
  grid-template-columns: 120px minmax(0, 1fr);
  gap: 4px 12px;
  margin: 8px 0 0;
}
dt {
  font-size: 13px;
  color: var(--ink-soft);
  padding-top: 3px;
}
dd {
  margin: 0;
}
dd :deep(.mention) {
  border: 0;
  padding: 0;
}
.phrases .plain {
  min-height: 24px;
}
.phrases {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  align-items: baseline;
}
.phrases .words,
.story {
  font-size: 16px;
  text-align: left;
}
.negative {
  color: var(--neg);
}
.positive {
  color: var(--pos);
}
.neutral {
  color: var(--ink);
}
small {
  white-space: nowrap;
  font: 12px var(--sans);
  color: var(--ink-soft);
}
.story + small {
  margin-left: 8px;
}
</style>
