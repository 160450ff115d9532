<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { blankLens, type Lens } from '@murrabel/core/lens'
import { routes } from '@murrabel/contract'
import { useAsked } from '../../composables/useAsked.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useLeaving } from '../../composables/useLeaving.ts'
import { useLens } from '../../composables/useLens.ts'
import { useShortcuts } from '../../composables/useShortcuts.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useTide } from '../../composables/useTide.ts'
import EmptyPlace from '../../parts/EmptyPlace.vue'
import LensLine from '../../parts/LensLine.vue'
import LensProblem from '../../parts/LensProblem.vue'
import { onDemand } from '../../parts/onDemand.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import RowShapes from '../../parts/RowShapes.vue'
import TideLine from '../../parts/TideLine.vue'
import VirtualList from '../../parts/VirtualList.vue'
import { useBrand } from '../../stores/brand.ts'
import InboxViews from '../inbox/InboxViews.vue'
import PersonCard from './PersonCard.vue'
import PersonRow from './PersonRow.vue'
import ProposalNote from './ProposalNote.vue'
import { useJoining } from './useJoining.ts'
import { usePeople } from './usePeople.ts'
import { usePerson } from './usePerson.ts'

const NewPersonSheet = onDemand(() => import('./NewPersonSheet.vue'))
const route = useRoute()
const router = useRouter()
const brand = useBrand()
const leaving = useLeaving()
const { t, list: joined } = useTexts()
const { lens, problems, query, change, reset } = useLens('people')
const people = usePeople(query)
const { rows, total } = people
/** What those people said, day by day: of the lens, the parts that are of what was said. */
const said = computed<Lens>(() => {
  const { channels, words, places, sentiments, range } = lens.value
  return { ...blankLens, unit: 'entries', channels, words, places, sentiments, range }
})
/** The lens asks who they are: days of everybody would say nothing of them. */
const asksWho = computed(() => {
  const { named, standings, personTags, visited } = lens.value
  return named !== '' || standings.length > 0 || personTags.length > 0 || visited !== 'any'
})
const tide = useTide(said)
const personId = computed(() => (route.params.person ? Number(route.params.person) : null))
const { person, problem, load: loadPerson } = usePerson(personId)
const always = computed<[string, string][]>(() => [])
const proposals = useAsked(routes.proposals, always)
const first = computed(() => proposals.answer.value?.proposals[0] ?? null)
const may = computed(() => brand.may('answer'))
const adding = ref(false)
const lensLine = useTemplateRef<InstanceType<typeof LensLine>>('lensLine')
const count = computed(() => (total.value === null ? null : { count: total.value, pastDue: 0, notSent: 0 }))

const open = (id: number, replace = false) =>
  router[replace ? 'replace' : 'push']({ path: `/inbox/people/${id}`, query: route.query })
const index = computed(() => rows.value.findIndex(({ id }) => id === (person.value?.id ?? personId.value)))
function step(way: 1 | -1): void {
  const next = rows.value[index.value < 0 ? 0 : index.value + way]
  if (next) void open(next.id, true)
}
async function changed(id?: number): Promise<void> {
  if (id !== undefined && id !== personId.value) await open(id, true)
  await Promise.all([people.load(), loadPerson(), proposals.load()])
}
const joining = useJoining(changed)
const refresh = gathered(() => changed(), 1000)
useLive((event) => {
  if (event.kind === 'people' || event.kind === 'entries' || event.kind === 'afresh') {
    refresh()
    if (event.kind !== 'people') void tide.load()
  }
})
useShortcuts({
  next: () => step(1),
  previous: () => step(-1),
  lens: () => void lensLine.value?.focus(),
})
onMounted(() => void tide.load())
/** Another lens was asked for, not only another person opened under the same. */
let asked = false
watch(
  () => JSON.stringify(query.value),
  () => (asked = true),
)
/** Beside the list there is room for somebody: the first, unless the one that is open is of the list, or was asked for. */
watch(
  rows,
  ([top]) => {
    if (!top || leaving.value || window.innerWidth < 900) return
    if (personId.value === null || (asked && index.value < 0)) void open(top.id, true)
    asked = false
  },
  { immediate: true },
)
</script>

<template>
  <LensLine ref="lensLine" :lens="lens" :count="count" @change="change" @reset="reset">
    <button v-if="brand.mayCall('addPerson')" type="button" class="plain" @click="adding = true">
      {{ t('people.new') }}
    </button>
    <RouterLink v-if="brand.mayCall('importDocument')" to="/set-up/import?kind=customers">{{
      t('people.bringIn')
    }}</RouterLink>
  </LensLine>
  <NewPersonSheet v-model="adding" @added="(id) => changed(id)" />
  <TideLine
    v-if="!asksWho"
    :lens="said"
    :tide="tide.tide.value"
    :behind="tide.behind.value"
    :loading="tide.loading.value"
    @range="(range) => change({ range })"
  />
  <InboxViews here="people" />
  <main class="body" :class="{ reading: personId !== null }">
    <section class="list" :aria-label="t('people.list')">
      <LensProblem
        v-if="problems.length"
        :what="joined(problems.map((p) => `${p.field}=${p.value}`))"
        @reset="reset"
      />
      <ProblemNote v-if="people.problem.value" :problem="people.problem.value" @again="people.load" />
      <div v-if="rows.length" class="head people-grid" aria-hidden="true">
        <span>{{ t('people.column.who') }}</span>
        <span class="right">{{ t('people.column.said') }}</span>
        <span>{{ t('people.column.felt') }}</span>
        <span>{{ t('people.column.visits') }}</span>
        <span>{{ t('people.column.known') }}</span>
      </div>
      <VirtualList
        v-if="rows.length"
        :rows="rows"
        :estimate="58"
        :label="t('people.list')"
        :selected="person?.id ?? personId"
        :total="Math.max(total ?? 0, rows.length)"
        @end="people.more"
      >
        <template #default="{ row }"
          ><PersonRow class="people-grid" :row="row" :selected="row.id === person?.id" @open="open(row.id)"
        /></template>
      </VirtualList>
      <RowShapes v-else-if="people.loading.value" :height="58" />
      <EmptyPlace
        v-else-if="!people.problem.value"
        :title="t('people.emptyTitle')"
        :text="t('people.emptyText')"
      >
        <button type="button" class="button" @click="reset">{{ t('lens.reset') }}</button>
      </EmptyPlace>
      <ProposalNote
        v-if="first"
        class="proposal"
        :proposal="first"
        :total="proposals.answer.value?.total ?? 0"
        :may="may"
        @join="joining.join(first)"
        @apart="joining.apart(first)"
        @show="open"
      />
    </section>
    <section class="side" :aria-label="person?.name ?? t('people.card')">
      <RouterLink class="back" :to="{ path: '/inbox/people', query: route.query }">{{
        t('people.list')
      }}</RouterLink>
      <PersonCard
        v-if="person"
        :key="person.id"
        :person="person"
        :may="may"
        @changed="changed"
        @show="open"
      />
      <ProblemNote v-else-if="problem" :problem="problem" @again="loadPerson" />
      <RowShapes v-else-if="personId !== null || people.loading.value" :rows="4" :height="90" />
      <EmptyPlace v-else-if="rows.length" :text="t('people.choose')" />
    </section>
  </main>
</template>

<style scoped>
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) clamp(380px, 37.5vw, 640px);
}
.list,
.side {
  background: var(--sheet);
  min-height: 0;
}
.list {
  border-right: 1px solid var(--line);
  display: flex;
  flex-direction: column;
}
.side {
  overflow-y: auto;
}
.people-grid {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) 40px 124px minmax(0, 1.2fr) minmax(0, 0.8fr);
  column-gap: 18px;
}
.head {
  padding: 9px 20px 8px;
  border-bottom: 1px solid var(--line);
  font-size: 12px;
  font-weight: 600;
  color: var(--ink-soft);
}
.right {
  text-align: right;
}
.proposal {
  margin: 12px 20px 16px;
}
.back {
  display: none;
}
@media (max-width: 900px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
  }
  .reading .list,
  .body:not(.reading) .side {
    display: none;
  }
  .back {
    display: inline-block;
    margin: 10px 22px 0;
  }
  .people-grid {
    grid-template-columns: minmax(0, 1fr) 40px 110px;
  }
  .people-grid > :nth-child(n + 4) {
    display: none;
  }
}
</style>
