<script setup lang="ts">
import { X } from '@lucide/vue'
import type { WatchQueryDraft } from '@murrabel/contract'
import { useProblemTexts } from '../../composables/useProblemTexts.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useFieldProblems } from '../../parts/fieldProblems.ts'

type Pair = WatchQueryDraft['near'][number]
const pairs = defineModel<Pair[]>({ required: true })
const { t } = useTexts()
const { field } = useProblemTexts()
const problems = useFieldProblems('query.near')
const distances: Pair['within'][] = ['sentence', 'paragraph', 3, 5, 10, 20]
const nameOf = (within: Pair['within']) =>
  typeof within === 'number' ? t('watch.form.words', { n: within }) : t(`watch.form.${within}`)

function add(): void {
  pairs.value = [...pairs.value, { first: { text: '' }, second: { text: '' }, within: 'sentence' }]
}
function change(index: number, part: Partial<Pair>): void {
  pairs.value = pairs.value.map((pair, i) => (i === index ? { ...pair, ...part } : pair))
}
</script>

<template>
  <fieldset>
    <legend>{{ t('watch.form.near') }}</legend>
    <div v-for="(pair, i) in pairs" :key="i" class="pair">
      <el-input
        :model-value="pair.first.text"
        :placeholder="t('watch.form.nearFirst')"
        :aria-label="t('watch.form.nearFirst')"
        maxlength="120"
        @update:model-value="(text: string) => change(i, { first: { ...pair.first, text } })"
      />
      <el-input
        :model-value="pair.second.text"
        :placeholder="t('watch.form.nearSecond')"
        :aria-label="t('watch.form.nearSecond')"
        maxlength="120"
        @update:model-value="(text: string) => change(i, { second: { ...pair.second, text } })"
      />
      <span class="soft">{{ t('watch.form.within') }}</span>
      <el-select
        :model-value="pair.within"
        :aria-label="t('watch.form.within')"
        @update:model-value="(within: Pair['within']) => change(i, { within })"
      >
        <el-option v-for="each in distances" :key="each" :value="each" :label="nameOf(each)" />
      </el-select>
      <button
        type="button"
        class="plain"
        :aria-label="t('watch.form.nearRemove')"
        :title="t('watch.form.nearRemove')"
        @click="pairs = pairs.filter((_, k) => k !== i)"
      >
        <X :size="14" />
      </button>
    </div>
    <p v-for="problem in problems" :key="problem.field + problem.code" class="wrong" role="alert">
      {{ field(problem) }}
    </p>
    <button type="button" class="plain" @click="add">{{ t('watch.form.nearAdd') }}</button>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0 0 12px;
}
legend {
  font-weight: 600;
  padding: 0;
  margin-bottom: 4px;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr auto 160px auto;
  gap: 8px;
  align-items: center;
  margin-bottom: 6px;
}
.wrong {
  color: var(--flare-text);
  font-size: 13px;
}
</style>
