<script setup lang="ts">
import type { ChannelWork } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import { useWeekTexts } from './weekTexts.ts'

/** What came in by each channel in the last week, and what became of it. */
const { channels } = defineProps<{ channels: readonly ChannelWork[] }>()
const { t, number } = useTexts()
const { minutesText, channelName } = useWeekTexts()
</script>

<template>
  <div v-if="channels.length" class="scroll channels">
    <table data-test="channel-table">
      <thead>
        <tr>
          <th>{{ t('weekAhead.channels.title') }}</th>
          <th class="n">{{ t('weekAhead.channels.asked') }}</th>
          <th class="n">{{ t('weekAhead.channels.answered') }}</th>
          <th class="n">{{ t('weekAhead.channels.finished') }}</th>
          <th class="n">{{ t('weekAhead.channels.each') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="each in channels" :key="each.channel">
          <th>{{ channelName(each.channel) }}</th>
          <td class="n">{{ number(each.asked) }}</td>
          <td class="n">{{ number(each.answered) }}</td>
          <td class="n">{{ number(each.finished) }}</td>
          <td class="n">{{ each.eachMs === null ? '–' : minutesText(each.eachMs / 60_000) }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
.channels {
  margin-top: 24px;
}
</style>
