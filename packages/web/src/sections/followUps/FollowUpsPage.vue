<script setup lang="ts">
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { routes, type FollowUp } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useLens } from '../../composables/useLens.ts'
import { useShortcuts } from '../../composables/useShortcuts.ts'
import { useTexts } from '../../composables/useTexts.ts'
import EmptyPlace from '../../parts/EmptyPlace.vue'
import LensLine from '../../parts/LensLine.vue'
import LensProblem from '../../parts/LensProblem.vue'
import ProblemNote from '../../parts/ProblemNote.vue'
import RowShapes from '../../parts/RowShapes.vue'
import { useBrand } from '../../stores/brand.ts'
import InboxViews from '../inbox/InboxViews.vue'
import CalendarAddress from './CalendarAddress.vue'
import FollowUpRows from './FollowUpRows.vue'

const brand = useBrand()
const { t, list: joined } = useTexts()
const { lens, problems, query, change, reset } = useLens('followUps')
const lensLine = useTemplateRef<InstanceType<typeof LensLine>>('lensLine')
const rows = shallowRef<FollowUp[] | null>(null)
const total = ref(0)
const late = ref(0)
const next = ref<string | null>(null)
const problem = ref<CallProblem | null>(null)
let run = 0
/** As many as are shown and a page more where that is wanted, or the first page. */
async function load(more = 0): Promise<void> {
  const mine = ++run
  const wanted = (rows.value?.length ?? 0) + more
  try {
    let page = await call(routes.followUps, { query: query.value })
    const found = [...page.rows]
    while (page.next !== null && found.length < wanted) {
      page = await call(routes.followUps, { query: [...query.value, ['after', page.next]] })
      found.push(...page.rows)
    }
    if (mine !== run) return
    rows.value = found
    total.value = page.total
    late.value = page.late
    next.value = page.next
    problem.value = null
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    if (mine === run) problem.value = error
  }
}
watch(
  () => JSON.stringify(query.value),
  () => {
    rows.value = null
    void load()
  },
  { immediate: true },
)
const refresh = gathered(() => load(), 300)
useLive(({ kind }) => {
  if (kind === 'followUps' || kind === 'afresh') refresh()
})
useShortcuts({ lens: () => void lensLine.value?.focus() })
const count = computed(() =>
  rows.value === null ? null : { count: total.value, pastDue: late.value, notSent: 0 },
)
</script>

<template>
  <LensLine ref="lensLine" :lens="lens" :count="count" @change="change" @reset="reset" />
  <InboxViews here="followUps" />
  <main class="body">
    <section class="list" :aria-label="t('followUps.list')">
      <LensProblem
        v-if="problems.length"
        :what="joined(problems.map((p) => `${p.field}=${p.value}`))"
        @reset="reset"
      />
      <ProblemNote v-if="problem" :problem="problem" @again="load()" />
      <FollowUpRows
        v-if="rows?.length"
        full
        :follow-ups="rows"
        :may="brand.may('answer')"
        @changed="load()"
      />
      <RowShapes v-else-if="rows === null && !problem" :height="60" />
      <EmptyPlace v-else-if="!problem" :title="t('followUps.emptyTitle')" :text="t('followUps.emptyText')">
        <button
          type="button"
          class="button"
          @click="change({ followUpOwner: 'anybody', followUpState: 'any' })"
        >
          {{ t('lens.all') }}
        </button>
      </EmptyPlace>
      <button v-if="next" type="button" class="button more" @click="load(1)">
        {{ t('followUps.more') }}
      </button>
    </section>
    <CalendarAddress class="side" />
  </main>
</template>

<style scoped>
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) clamp(258px, 26vw, 420px);
}
.list {
  background: var(--sheet);
  border-right: 1px solid var(--line);
  overflow-y: auto;
}
.more {
  margin: 14px 20px;
}
@media (max-width: 720px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
    overflow-y: auto;
  }
}
</style>
