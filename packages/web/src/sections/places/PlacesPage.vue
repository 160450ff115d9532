<script setup lang="ts">
import { computed, ref } from 'vue'
import { routes, type PlaceSetUp } from '@murrabel/contract'
import { useAsked } from '../../composables/useAsked.ts'
import { useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { onDemand } from '../../parts/onDemand.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import RowShapes from '../../parts/RowShapes.vue'
import SetUpFrame from '../../parts/SetUpFrame.vue'
import { useBrand } from '../../stores/brand.ts'
import BrandLook from './BrandLook.vue'
import DueTimes from './DueTimes.vue'
import { printHours } from './hoursText.ts'

/** The places of the brand with their hours, and how soon an answer is owed in them. */
const PlaceSheet = onDemand(() => import('./PlaceSheet.vue'))
const { t, number, list, locale } = useTexts()
const brand = useBrand()
const always = computed<[string, string][]>(() => [])
const places = useAsked(routes.places, always)
const open = ref(false)
const chosen = ref<PlaceSetUp | null>(null)
function edit(place: PlaceSetUp | null): void {
  chosen.value = place
  open.value = true
}
async function changed(): Promise<void> {
  await Promise.all([places.load(), brand.load()])
}
useLive(({ kind }) => {
  if (kind === 'brand' || kind === 'afresh') void places.load()
})
const dayName = (i: number) =>
  new Intl.DateTimeFormat(locale.value, { weekday: 'short', timeZone: 'UTC' }).format(
    Date.UTC(2024, 0, 1 + i),
  )
/** Days with the same hours stand together: "Mon–Fri 09:00–17:00". */
function weekText({ week }: PlaceSetUp): string {
  if (!week) return t('places.dayAndNight')
  const runs: { from: number; to: number; hours: string }[] = []
  week.forEach((day, i) => {
    const hours = printHours(day)
    const last = runs.at(-1)
    if (last?.hours === hours) last.to = i
    else runs.push({ from: i, to: i, hours })
  })
  return runs
    .map(({ from, to, hours }) => {
      const days = from === to ? dayName(from) : `${dayName(from)}–${dayName(to)}`
      return `${days} ${hours || t('places.closed')}`
    })
    .join(' · ')
}
const gaps = computed(() => (places.answer.value ?? []).filter(({ week }) => !week).map(({ name }) => name))
</script>

<template>
  <SetUpFrame :title="t('places.title')" :intro="t('places.intro')">
    <ProblemNote v-if="places.problem.value" :problem="places.problem.value" @again="places.load" />
    <RowShapes v-else-if="!places.answer.value" :rows="5" :height="64" />
    <template v-else>
      <p v-if="gaps.length" class="gap" data-test="gap">
        {{ t('places.gap', { names: list(gaps) }, gaps.length) }}
      </p>
      <ul class="places">
        <li v-for="place in places.answer.value" :key="place.id">
          <div>
            <b>{{ place.name }}</b>
            <small class="soft">{{ [place.address, place.phone].filter(Boolean).join(' · ') }}</small>
          </div>
          <div>
            <span :class="{ soft: !place.week }">{{ weekText(place) }}</span>
            <small v-if="place.specialDays.length" class="soft">{{
              t('places.specialCount', { n: number(place.specialDays.length) }, place.specialDays.length)
            }}</small>
          </div>
          <small class="soft">{{
            t('places.profiles', { n: number(place.profiles) }, place.profiles)
          }}</small>
          <button type="button" class="plain" @click="edit(place)">{{ t('places.edit') }}</button>
        </li>
      </ul>
      <button type="button" class="button" @click="edit(null)">{{ t('places.add') }}</button>
    </template>
    <DueTimes />
    <BrandLook />
    <PlaceSheet v-model="open" :place="chosen" @changed="changed" />
  </SetUpFrame>
</template>

<style scoped>
.gap {
  border-left: 3px solid var(--flare);
  padding: 4px 14px;
  margin-bottom: 14px;
  max-width: 900px;
}
.places {
  list-style: none;
  margin: 0 0 14px;
  padding: 0;
  border-top: 1px solid var(--line);
  max-width: 980px;
}
.places li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.3fr) 90px auto;
  gap: 18px;
  align-items: baseline;
  padding: 10px 0;
  border-bottom: 1px solid var(--line);
}
b {
  font-weight: 600;
}
small {
  display: block;
  font-size: 13px;
}
@media (max-width: 720px) {
  .places li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
}
</style>
