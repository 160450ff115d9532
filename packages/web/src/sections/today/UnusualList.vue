<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { blankLens } from '@murrabel/core/lens'
import { routes, type Unusual } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { lensQuery } from '../../composables/useLens.ts'
import { networkName } from '../../composables/networkName.ts'
import { useTexts } from '../../composables/useTexts.ts'

/** What is not as usual, each with the door to it. */
const { question } = defineProps<{ question: [string, string][] }>()
const { t, number, when, list: joined } = useTexts()
const found = shallowRef<Unusual[] | null>(null)
const failed = ref(false)
onMounted(async () => {
  try {
    found.value = await call(routes.unusual, { query: question })
  } catch {
    failed.value = true
  }
})
const nameOf = (of: Unusual) =>
  of.kind === 'spike' ? of.watch.name : of.kind === 'place' ? of.name : `“${of.text}”`
function doorOf(of: Unusual) {
  const base = { ...blankLens, unit: 'entries' as const }
  const to = (lens: typeof base, view: string) => ({
    path: '/watch',
    query: { ...Object.fromEntries(lensQuery(lens)), view },
  })
  switch (of.kind) {
    case 'spike':
      return to({ ...base, watch: of.watch.id, range: { last: 7 } }, 'spikes')
    case 'place':
      return to({ ...base, places: [of.placeId], range: { last: 7 * of.weeks } }, 'figures')
    case 'phrase':
      return to({ ...base, phrase: of.phrase, range: { last: 7 } }, 'mentions')
  }
}
const points = (n: number) => number(Math.round(Math.abs(n) * 10) / 10)
function said(of: Unusual): string {
  if (of.kind === 'place')
    return t(of.perWeek < 0 ? 'today.slid' : 'today.risen', { n: of.weeks, x: points(of.perWeek) })
  if (of.kind === 'phrase') return t(of.good ? 'today.newGood' : 'today.newBad', { n: number(of.count) })
  const words = joined(of.words.map((word) => `“${word}”`))
  const times = of.count / Math.max(0.5, of.expected)
  const x = number(times < 10 ? Math.round(times * 10) / 10 : Math.round(times))
  // The forms are: no words, one, several.
  const told = t('today.spike', { x, t: when(of.from), words }, of.words.length > 1 ? 2 : of.words.length)
  return of.network
    ? `${told}; ${t('today.began', { network: networkName({ network: of.network, profile: of.network }) })}`
    : told
}
</script>

<template>
  <section data-test="unusual" :aria-busy="!found && !failed">
    <h4>{{ t('today.unusual') }}</h4>
    <ul v-if="found?.length" class="lines">
      <li v-for="(each, i) in found" :key="i">
        <span class="mark" :class="each.sureness" :title="t(`today.surenessHint.${each.sureness}`)">{{
          t(`today.sureness.${each.sureness}`)
        }}</span>
        <RouterLink class="said door" :to="doorOf(each)"
          ><b>{{ nameOf(each) }}</b> {{ said(each) }}</RouterLink
        >
      </li>
    </ul>
    <p v-else-if="found" class="soft">{{ t('today.unusualNone') }}</p>
    <p v-else-if="failed" class="soft">{{ t('today.unusualFailed') }}</p>
    <div v-else class="waiting"><i /><i /></div>
  </section>
</template>

<style scoped>
.door {
  color: inherit;
  border: 0;
}
.door b {
  font-weight: 600;
}
.door:hover b {
  text-decoration: underline;
}
.mark.sure {
  color: var(--neg);
}
.mark.fairly {
  color: var(--pos);
}
.waiting i {
  display: block;
  height: 22px;
  margin: 14px 0;
  max-width: 860px;
  background: var(--paper);
}
</style>
