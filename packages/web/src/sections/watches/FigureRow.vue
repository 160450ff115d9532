<script setup lang="ts">
import { netMinimum } from '@murrabel/core/measures'
import type { FiguresAnswer } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import SentimentMark from '../../parts/SentimentMark.vue'
import { percent, points } from './watchFigures.ts'

const { figures, watch } = defineProps<{ figures: FiguresAnswer; watch: boolean }>()
const emit = defineEmits<{
  sentiment: [sentiment: 'positive' | 'neutral' | 'negative']
  tune: []
  figures: []
}>()
const { t, number } = useTexts()
const sentiments = ['negative', 'neutral', 'positive'] as const
const marksNeeded = 10

const usualText = () =>
  t(`watch.usualRange.${figures.usual.verdict}`, {
    low: number(Math.round(figures.usual.low ?? 0)),
    high: number(Math.round(figures.usual.high ?? 0)),
  })
/** Of less than a week, the same days of the weeks before say what is usual. */
const usualFrom = (n: number) =>
  `${t(figures.range.days < 6.5 ? 'watch.usualFromWeekdays' : 'watch.usualFrom', { n })}. ${t('watch.together')}`
function changeText(): string {
  const change = figures.netChange
  if (!change || !figures.before.net) return t('watch.change.none')
  const n = Math.abs(Math.round(change.difference * 100))
  if (!change.enough) return t('watch.change.few')
  if (!change.sure) return t('watch.change.unsure', { before: points(figures.before.net.net) })
  return t(change.difference > 0 ? 'watch.change.rose' : 'watch.change.fell', { n })
}
</script>

<template>
  <dl class="figures">
    <div>
      <dt>{{ t('watch.mentions') }}</dt>
      <dd>
        <b data-test="mentions">{{ number(figures.total) }}</b>
        <span class="sentiments">
          <button
            v-for="sentiment in sentiments"
            :key="sentiment"
            type="button"
            class="plain"
            @click="emit('sentiment', sentiment)"
          >
            <SentimentMark :sentiment="sentiment" /> {{ number(figures.counts[sentiment]) }}
          </button>
          <span
            v-if="figures.counts.unread"
            class="soft"
            :title="t('watch.unread', { n: figures.counts.unread })"
            ><SentimentMark sentiment="unread" /> {{ number(figures.counts.unread) }}</span
          >
        </span>
      </dd>
      <dd class="note" :class="figures.usual.verdict" :title="usualFrom(figures.usual.periods)">
        <button type="button" class="plain" @click="emit('figures')">{{ usualText() }}</button>
      </dd>
    </div>
    <div>
      <dt>{{ t('watch.net') }}</dt>
      <dd v-if="figures.net && figures.net.n < netMinimum" class="soft">
        {{ t('watch.netFew', { n: figures.net.n }, figures.net.n) }}
      </dd>
      <template v-else-if="figures.net">
        <dd>
          <b data-test="net">{{ points(figures.net.net) }}</b>
          <span class="soft" :title="`n = ${number(figures.net.n)}`"
            >{{ points(figures.net.low) }} – {{ points(figures.net.high) }}</span
          >
        </dd>
        <dd class="note" :class="{ fell: figures.netChange?.sure && figures.netChange.difference < 0 }">
          {{ changeText() }}
        </dd>
        <dd
          v-if="figures.net.independent !== undefined && figures.net.independent < 0.9 * figures.net.n"
          class="note"
          :title="t('watch.independentWhy')"
          data-test="independent"
        >
          {{
            t('watch.independent', {
              n: number(figures.net.n),
              independent: number(Math.round(figures.net.independent)),
            })
          }}
        </dd>
      </template>
      <dd v-else class="soft">{{ t('watch.netNone') }}</dd>
    </div>
    <div v-if="watch">
      <dt>{{ t('watch.shareOfVoice') }}</dt>
      <template v-if="figures.share">
        <dd>
          <b>{{ percent(figures.share.share) }}</b>
          <span class="soft">{{ percent(figures.share.low) }} – {{ percent(figures.share.high) }}</span>
        </dd>
        <dd class="note">
          <RouterLink to="/watch/rivals">{{
            t('watch.shareAmong', {
              n: figures.share.among.length,
              names: figures.share.among.map((a) => a.name).join(', '),
            })
          }}</RouterLink>
        </dd>
      </template>
      <dd v-else class="soft">{{ t('watch.shareNone') }}</dd>
    </div>
    <div v-if="watch">
      <dt>{{ t('watch.onTopic') }}</dt>
      <template v-if="figures.onTopic && figures.onTopic.marked >= marksNeeded">
        <dd>
          <b>{{ percent(figures.onTopic.value) }}</b>
          <span class="soft">{{ percent(figures.onTopic.low) }} – {{ percent(figures.onTopic.high) }}</span>
        </dd>
        <dd class="note">
          {{ t('watch.onTopicFrom', { n: figures.onTopic.marked }, figures.onTopic.marked) }}
        </dd>
      </template>
      <template v-else>
        <dd class="soft">
          {{
            figures.onTopic
              ? t('watch.onTopicFew', { n: figures.onTopic.marked, needed: marksNeeded })
              : t('watch.onTopicNone')
          }}
        </dd>
        <dd class="note">
          <button type="button" class="plain" @click="emit('tune')">{{ t('watch.onTopicMark') }}</button>
        </dd>
      </template>
    </div>
  </dl>
</template>

<style scoped>
.figures {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(0, 1fr);
  margin: 8px 0;
  border-block: 1px solid var(--line);
}
.figures > div {
  padding: 6px 16px 8px 16px;
  border-right: 1px solid var(--line);
  min-width: 0;
}
.figures > div:first-child {
  padding-left: 0;
}
.figures > div:last-child {
  border: 0;
}
dt {
  font-size: 12px;
  color: var(--ink-soft);
}
dd {
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 8px;
}
dd b {
  font-size: 22px;
  line-height: 28px;
  font-weight: 600;
}
.sentiments {
  display: flex;
  gap: 8px;
  font-size: 13px;
}
.figures .plain {
  min-height: 24px;
  min-width: 24px;
}
.sentiments button {
  color: var(--ink);
}
.note {
  font-size: 13px;
  line-height: 17px;
  color: var(--ink-soft);
}
.note .plain {
  text-align: left;
  color: inherit;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
}
.note a {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  max-width: 100%;
}
.above {
  color: var(--flare-text);
}
.fell {
  color: var(--neg);
}
@media (max-width: 900px) {
  .figures {
    grid-auto-flow: row;
    grid-template-columns: 1fr 1fr;
  }
  .figures > div:nth-child(odd) {
    padding-left: 0;
  }
  .figures > div:nth-child(even) {
    border-right: 0;
  }
}
</style>
