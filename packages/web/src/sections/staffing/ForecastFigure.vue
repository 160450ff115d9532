<script setup lang="ts">
import type { WeekForecast } from '@murrabel/core/staffing'
import { useTexts } from '../../composables/useTexts.ts'
import { useWeekTexts } from './weekTexts.ts'

/** How much of a week would be late. */
const {
  title,
  forecast,
  waiting,
  note = '',
} = defineProps<{ title: string; forecast: WeekForecast | null; waiting: boolean; note?: string }>()
const { t, number, percent } = useTexts()
const { shareRange } = useWeekTexts()
</script>

<template>
  <article data-test="forecast">
    <h4>{{ title }}</h4>
    <template v-if="forecast">
      <p class="big">
        {{ t('weekAhead.figure.late', { n: percent(forecast.late.mean) }) }}
        <small>{{ shareRange(forecast.late) }}</small>
      </p>
      <p class="under soft">
        {{
          t('weekAhead.figure.lateOf', {
            n: number(Math.round(forecast.lateCount)),
            all: number(Math.round(forecast.due)),
          })
        }}<template v-if="note">, {{ note }}</template>
      </p>
    </template>
    <p v-else-if="waiting" class="under soft" role="status">{{ t('weekAhead.running') }}</p>
    <p v-else class="under soft">–</p>
  </article>
</template>
