<script setup lang="ts">
import { computed } from 'vue'
import type { ColleagueNow } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import { usePresence } from '../../stores/presence.ts'

/** What colleagues have open, and where they are. */
const { colleagues } = defineProps<{ colleagues: readonly ColleagueNow[] }>()
const { t, number, day } = useTexts()
const brand = useBrand()
const presence = usePresence()
function doing({ id }: ColleagueNow): string | null {
  const here = presence.others.find(({ colleague, thread }) => colleague === id && thread !== null)
  return here ? t(here.writing ? 'today.writing' : 'today.reading') : null
}
const others = computed(() => colleagues.filter(({ id }) => id !== brand.answer?.me.id))
const work = ({ open, pastDue }: ColleagueNow) =>
  pastDue
    ? t('today.openOfLate', { n: number(open), late: number(pastDue) })
    : t('today.openOf', { n: number(open) })
</script>

<template>
  <section v-if="others.length" data-test="colleagues-now">
    <h4>{{ t('today.colleagues') }}</h4>
    <p v-for="each in others" :key="each.id">
      <RouterLink class="name" :to="{ path: '/inbox', query: { given: each.id, time: 'all' } }">{{
        each.name
      }}</RouterLink>, {{ work(each) }}<template v-if="doing(each)">, {{ doing(each) }}</template
      ><template v-if="each.awayUntil"
        >, {{ t('today.away', { date: day(`${each.awayUntil}T12:00:00Z`) }) }}
        <RouterLink v-if="each.open && brand.mayCall('setAbsence')" to="/set-up/colleagues">{{
          t('today.shareOut')
        }}</RouterLink></template
      >
    </p>
  </section>
</template>

<style scoped>
section {
  margin-top: 24px;
}
h4 {
  font-size: 13px;
  font-weight: 600;
  color: var(--ink-soft);
  margin: 0 0 6px;
}
p {
  margin: 0 0 6px;
}
.name {
  color: inherit;
  border: 0;
}
.name:hover {
  text-decoration: underline;
}
</style>
