<script setup lang="ts">
import { computed } from 'vue'
import type { AlertTrialAnswer } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import { useAlertTexts } from './alertTexts.ts'

/** When an alert would have told, over the days that were tried. */
const { trial } = defineProps<{ trial: AlertTrialAnswer; stale: boolean }>()
const { t, number, when, day } = useTexts()
const { told } = useAlertTexts()
const dayMs = 86_400_000

const ordinary = computed(() => {
  const most = trial.falseAMonth ?? 0
  if (!most) return t('alerts.form.falseNone')
  const shown = most < 10 ? Number(most.toPrecision(1)) : Math.round(most)
  return t('alerts.form.falseSome', { n: t('alerts.form.times', { n: number(shown) }, shown === 1 ? 1 : 2) })
})

/** Where the firings lie in the days tried, as shares of the strip. */
const marks = computed(() => {
  const end = Date.now()
  const span = trial.days * dayMs
  return trial.firings.map((firing) => ({
    at: firing.at,
    left: `${Math.max(0, Math.min(100, 100 * (1 - (end - firing.at) / span)))}%`,
    title: `${when(new Date(firing.at).toISOString())}: ${told(firing)}`,
  }))
})
</script>

<template>
  <section class="trial" :class="{ stale }" data-test="alert-trial">
    <p>
      <b>{{
        trial.begins
          ? t('alerts.form.would', { n: number(trial.begins), days: trial.days }, trial.begins)
          : t('alerts.form.wouldNot', { days: trial.days })
      }}</b>
      <template v-if="trial.aDay >= 1">, {{ t('alerts.form.aDay', { n: trial.aDay.toFixed(1) }) }}</template>
    </p>
    <p v-if="trial.falseAMonth !== null" class="soft" data-test="alert-false">{{ ordinary }}</p>
    <p v-if="trial.tooOften" class="wrong">{{ t('alerts.form.tooOften') }}</p>
    <div v-if="marks.length" class="strip" role="img" :aria-label="t('alerts.form.here')">
      <i v-for="mark in marks" :key="mark.at" :style="{ left: mark.left }" :title="mark.title" />
      <span>{{ day(Date.now() - (trial.days - 1) * dayMs) }}</span><span>{{ day(Date.now()) }}</span>
    </div>
    <ul>
      <li v-for="firing in [...trial.firings].reverse().slice(0, 20)" :key="firing.at">
        <time>{{ when(new Date(firing.at).toISOString()) }}</time> {{ told(firing) }}
      </li>
    </ul>
  </section>
</template>

<style scoped>
.wrong {
  color: var(--flare-text);
}
.trial {
  margin-top: 18px;
  border-top: 1px solid var(--line);
  padding-top: 12px;
}
.stale {
  opacity: 0.55;
}
.strip {
  position: relative;
  display: flex;
  justify-content: space-between;
  align-items: flex-end;
  height: 46px;
  margin: 8px 0;
  background: var(--paper);
  border-bottom: 1px solid var(--line);
  font-size: 12px;
  color: var(--ink-soft);
  padding: 0 4px;
}
.strip i {
  position: absolute;
  top: 4px;
  width: 3px;
  height: 24px;
  background: var(--flare);
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
  font-size: 13px;
}
li {
  padding: 2px 0;
}
li time {
  color: var(--ink-soft);
  margin-right: 8px;
}
</style>
