<script setup lang="ts">
import { computed } from 'vue'
import type { WeekAheadAnswer } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import { usePresence } from '../../stores/presence.ts'
import { useWeekTexts } from './weekTexts.ts'

/** What each of the team has in hand and has done, and the teams together. */
const { answer } = defineProps<{ answer: WeekAheadAnswer }>()
const { t, number, span, day } = useTexts()
const { minutesText } = useWeekTexts()
const brand = useBrand()
const presence = usePresence()
const age = (at: string | null) => (at ? span((Date.now() - Date.parse(at)) / 60_000) : '–')
function doing(id: number): string {
  const here = presence.others.find(({ colleague, thread }) => colleague === id && thread !== null)
  return here ? t(here.writing ? 'today.writing' : 'today.reading') : ''
}
const rows = computed(() => [
  ...answer.colleagues.map((each) => ({
    key: each.id ?? 0,
    name: each.id === null ? t('weekAhead.who.outside') : each.name,
    lens: each.id === null ? null : String(each.id),
    open: each.open,
    pastDue: each.pastDue,
    oldest: age(each.oldestAt),
    answered: number(each.answered),
    half: each.halfWithin === null ? '–' : minutesText(each.halfWithin),
    now: each.awayUntil
      ? t('today.away', { date: day(`${each.awayUntil}T12:00:00Z`) })
      : each.id === null
        ? ''
        : doing(each.id),
    away: each.awayUntil !== null && each.open > 0,
  })),
  {
    key: -1,
    name: t('weekAhead.who.nobody'),
    lens: 'nobody',
    open: answer.nobodys.open,
    pastDue: answer.nobodys.pastDue,
    oldest: age(answer.nobodys.oldestAt),
    answered: '',
    half: '',
    now: '',
    away: false,
  },
  ...answer.teams.map((team) => ({
    key: 1e6 + team.id,
    name: team.name,
    lens: null,
    open: team.open,
    pastDue: team.pastDue,
    oldest: '',
    answered: '',
    half: '',
    now: '',
    away: false,
  })),
])
</script>

<template>
  <div class="scroll">
    <table data-test="team-table">
      <thead>
        <tr>
          <th>{{ t('weekAhead.who.who') }}</th>
          <th class="n">{{ t('weekAhead.who.open') }}</th>
          <th class="n">{{ t('weekAhead.who.pastDue') }}</th>
          <th class="n">{{ t('weekAhead.who.oldest') }}</th>
          <th class="n">{{ t('weekAhead.who.answered') }}</th>
          <th class="n">{{ t('weekAhead.who.half') }}</th>
          <th>{{ t('weekAhead.who.now') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.key">
          <th>
            <RouterLink v-if="row.lens" :to="{ path: '/inbox', query: { given: row.lens, time: 'all' } }">{{
              row.name
            }}</RouterLink>
            <template v-else>{{ row.name }}</template>
          </th>
          <td class="n">{{ number(row.open) }}</td>
          <td class="n" :class="{ past: row.pastDue }">{{ number(row.pastDue) }}</td>
          <td class="n">{{ row.oldest }}</td>
          <td class="n">{{ row.answered }}</td>
          <td class="n">{{ row.half }}</td>
          <td>
            {{ row.now }}
            <RouterLink v-if="row.away && brand.mayCall('setAbsence')" to="/set-up/colleagues">{{
              t('today.shareOut')
            }}</RouterLink>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped src="./tables.css"></style>
