<script setup lang="ts">
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { routes, type LogLine } from '@murrabel/contract'
import { addressOf, call, CallProblem } from '../../api/call.ts'
import { useLens } from '../../composables/useLens.ts'
import { useShortcuts } from '../../composables/useShortcuts.ts'
import { useTexts } from '../../composables/useTexts.ts'
import EmptyPlace from '../../parts/EmptyPlace.vue'
import LensLine from '../../parts/LensLine.vue'
import LensProblem from '../../parts/LensProblem.vue'
import ProblemNote from '../../parts/ProblemNote.vue'
import RowShapes from '../../parts/RowShapes.vue'
import SetUpFrame from '../../parts/SetUpFrame.vue'
import LogRow from './LogRow.vue'

/** Who did what, the latest first, searched by a lens. */
const { t, number, list } = useTexts()
const { lens, problems, query, change, reset } = useLens('log')
const lensLine = useTemplateRef<InstanceType<typeof LensLine>>('lensLine')
const rows = shallowRef<LogLine[] | null>(null)
const total = ref(0)
const more = ref(false)
const next = ref<string | null>(null)
const busy = ref(false)
const problem = shallowRef<CallProblem | null>(null)
let run = 0
async function load(after: string | null): Promise<void> {
  const mine = ++run
  busy.value = true
  try {
    const page = await call(routes.log, {
      query: after === null ? query.value : [...query.value, ['after', after]],
    })
    if (mine !== run) return
    rows.value = after === null ? page.rows : [...(rows.value ?? []), ...page.rows]
    ;({ total: total.value, more: more.value, next: next.value } = page)
    problem.value = null
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    if (mine === run) problem.value = error
  } finally {
    if (mine === run) busy.value = false
  }
}
watch(
  () => JSON.stringify(query.value),
  () => {
    rows.value = null
    void load(null)
  },
  { immediate: true },
)
useShortcuts({ lens: () => void lensLine.value?.focus() })
const count = computed(() =>
  rows.value === null || more.value ? null : { count: total.value, pastDue: 0, notSent: 0 },
)
const csv = computed(() => addressOf(routes.logCsv, { query: query.value }))
</script>

<template>
  <SetUpFrame :title="t('log.title')" :intro="t('log.intro')">
    <LensLine ref="lensLine" class="lens" :lens="lens" :count="count" @change="change" @reset="reset">
      <span v-if="more">{{ t('log.many', { n: number(total) }) }}</span>
      <a :href="csv" download>{{ t('log.csv') }}</a>
    </LensLine>
    <LensProblem
      v-if="problems.length"
      :what="list(problems.map((p) => `${p.field}=${p.value}`))"
      @reset="reset"
    />
    <ProblemNote v-if="problem" :problem="problem" @again="load(null)" />
    <RowShapes v-else-if="rows === null" :height="40" />
    <EmptyPlace v-else-if="!rows.length" :title="t('log.none')" :text="t('log.noneText')">
      <button
        type="button"
        class="button"
        @click="change({ range: null, logDoer: 'anybody', logSubjects: [] })"
      >
        {{ t('lens.all') }}
      </button>
    </EmptyPlace>
    <ol v-else data-test="log">
      <LogRow v-for="row in rows" :key="row.id" :line="row" />
    </ol>
    <button v-if="next" type="button" class="button" :disabled="busy" @click="load(next)">
      {{ t('log.older') }}
    </button>
  </SetUpFrame>
</template>

<style scoped>
.lens {
  margin: 0 -28px;
  padding: 4px 28px;
  border-top: 1px solid var(--line);
}
ol {
  list-style: none;
  margin: 0 0 14px;
  padding: 0;
}
</style>
