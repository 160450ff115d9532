<script setup lang="ts">
import { computed } from 'vue'
import { routes, type RivalRow } from '@murrabel/contract'
import { useAsked } from '../../composables/useAsked.ts'
import { useLens } from '../../composables/useLens.ts'
import { useTexts } from '../../composables/useTexts.ts'
import EmptyPlace from '../../parts/EmptyPlace.vue'
import LensLine from '../../parts/LensLine.vue'
import ProblemNote from '../../parts/ProblemNote.vue'
import RivalProfiles from './RivalProfiles.vue'
import NetFigure from './NetFigure.vue'
import WatchFrame from './WatchFrame.vue'
import { percent } from './watchFigures.ts'
import RowShapes from '../../parts/RowShapes.vue'

const { t, number } = useTexts()
const { lens, query, change, reset } = useLens('entries')
const asked = useAsked(routes.rivals, query)
const most = computed(() =>
  Math.max(0.01, ...(asked.answer.value?.rows ?? []).map((row) => row.share?.high ?? 0)),
)

function sentence(row: RivalRow): string {
  const volume = t(`watch.rivals.sentence.${row.usual.verdict}`, { name: row.watch.name })
  const verdict = !row.net
    ? 'unfelt'
    : !row.netChange?.enough
      ? 'few'
      : !row.netChange.sure
        ? 'level'
        : row.netChange.difference > 0
          ? 'rose'
          : 'fell'
  return `${volume}; ${t(`watch.rivals.${verdict}`)}`
}
function people(row: RivalRow): string {
  const { change: moved, before } = row.audience
  const n = number(before)
  if (!moved.sure) return t('watch.rivals.same', { n })
  return t(moved.difference > 0 ? 'watch.rivals.more' : 'watch.rivals.fewer', { n })
}
const to = (row: RivalRow) => ({ path: '/watch', query: { watch: row.watch.id } })
</script>

<template>
  <LensLine :lens="lens" :count="null" told="time" @change="change" @reset="reset" />
  <WatchFrame :title="t('watch.rivals.title')" :intro="t('watch.rivals.intro')">
    <ProblemNote v-if="asked.problem.value" :problem="asked.problem.value" @again="asked.load" />
    <EmptyPlace
      v-if="asked.answer.value && asked.answer.value.rows.length < 2"
      :text="t('watch.rivals.none')"
    />
    <RowShapes v-if="asked.loading.value && !asked.answer.value" :height="52" />
    <div v-if="asked.answer.value" class="rivals">
      <table v-if="asked.answer.value.rows.length > 1">
        <thead>
          <tr>
            <th>{{ t('watch.rivals.watch') }}</th>
            <th class="n">{{ t('watch.rivals.mentions') }}</th>
            <th>{{ t('watch.rivals.share') }}</th>
            <th>{{ t('watch.rivals.net') }}</th>
            <th>{{ t('watch.rivals.people') }}</th>
            <th class="n">{{ t('watch.rivals.reach') }}</th>
          </tr>
        </thead>
        <tbody v-for="row in asked.answer.value.rows" :key="row.watch.id" data-test="rival">
          <tr>
            <th>
              <RouterLink :to="to(row)">{{ row.watch.name }}</RouterLink>
              <span v-if="row.ours" class="soft"> {{ t('watch.rivals.ours') }}</span>
            </th>
            <td class="n">{{ number(row.total) }}</td>
            <td>
              <template v-if="row.share">
                <span class="share" :class="{ ours: row.ours }">
                  <i :style="{ width: `${(100 * row.share.share) / most}%` }" />
                  <s
                    :style="{
                      left: `${(100 * row.share.low) / most}%`,
                      width: `${(100 * (row.share.high - row.share.low)) / most}%`,
                    }"
                  />
                </span>
                {{ percent(row.share.share) }}
                <span class="soft">{{ percent(row.share.low) }} – {{ percent(row.share.high) }}</span>
              </template>
            </td>
            <td>
              <NetFigure :net="row.net" />
            </td>
            <td>
              {{ number(row.audience.voices) }} <span class="soft">{{ people(row) }}</span>
            </td>
            <td class="n">{{ number(row.reach) }}</td>
          </tr>
          <tr class="sentence">
            <td colspan="6">{{ sentence(row) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="asked.answer.value.rows.length > 1" class="soft together">{{ t('watch.together') }}</p>
      <RivalProfiles
        :sides="asked.answer.value.sides"
        :rows="asked.answer.value.rows"
        @changed="asked.load"
      />
    </div>
  </WatchFrame>
</template>

<style scoped>
.together {
  margin-top: 8px;
}
.rivals :deep(table) {
  width: 100%;
  border-collapse: collapse;
}
.rivals :deep(th),
.rivals :deep(td) {
  text-align: left;
  vertical-align: baseline;
  font-weight: 400;
  padding: 8px 16px 2px 0;
}
.rivals :deep(tbody th) {
  font-weight: 600;
}
.rivals :deep(td .soft),
.rivals :deep(th .soft) {
  margin-left: 6px;
  font-weight: 400;
}
.rivals :deep(thead th) {
  font-size: 12px;
  color: var(--ink-soft);
  border-bottom: 1px solid var(--line);
}
.rivals :deep(.n) {
  text-align: right;
}
.rivals :deep(.sentence td) {
  font-size: 13px;
  color: var(--ink-soft);
  padding: 0 0 8px;
  border-bottom: 1px solid var(--line);
}
.share {
  display: inline-block;
  position: relative;
  width: 150px;
  height: 10px;
  margin-right: 8px;
  background: var(--paper);
}
.share i {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--neu);
}
.share.ours i {
  background: var(--deep);
}
.share s {
  position: absolute;
  top: 4px;
  height: 2px;
  background: var(--ink);
}
</style>
