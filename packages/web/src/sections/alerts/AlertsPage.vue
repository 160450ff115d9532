<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { routes, type AlertAnswer, type AlertEventAnswer } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import EmptyPlace from '../../parts/EmptyPlace.vue'
import ProblemNote from '../../parts/ProblemNote.vue'
import { onDemand } from '../../parts/onDemand.ts'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import { useAlertTexts } from './alertTexts.ts'
import WatchFrame from '../watches/WatchFrame.vue'
import RowShapes from '../../parts/RowShapes.vue'

const AlertSheet = onDemand(() => import('./AlertSheet.vue'))
const { t, when, exact } = useTexts()
const { condition, subject, told, ways } = useAlertTexts()
const route = useRoute()
const brand = useBrand()
const undo = useUndo()
const alerts = ref<AlertAnswer[] | null>(null)
const problem = ref<CallProblem | null>(null)
const sheet = ref(false)
const editing = ref<AlertAnswer | null>(null)
const opened = ref<number | null>(null)
const events = ref<AlertEventAnswer[]>([])

async function attempt(work: () => Promise<void>): Promise<void> {
  try {
    await work()
    problem.value = null
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    problem.value = error
  }
}
const load = () =>
  attempt(async () => {
    alerts.value = await call(routes.alerts)
    if (opened.value !== null) events.value = await call(routes.alertEvents, { params: { id: opened.value } })
  })
onMounted(async () => {
  await load()
  // "Be told of the next one" comes with what to listen to.
  if (route.query.new !== undefined) edit(null)
})
const refresh = gathered(() => load(), 300)
useLive(({ kind }) => {
  if (kind === 'alerts') refresh()
})
function edit(alert: AlertAnswer | null): void {
  editing.value = alert
  sheet.value = true
}
async function show(id: number): Promise<void> {
  opened.value = opened.value === id ? null : id
  events.value = []
  await load()
}
const remove = (alert: AlertAnswer) =>
  attempt(async () => {
    await call(routes.deleteAlert, { params: { id: alert.id } })
    await load()
    undo.tell({
      text: t('alerts.deleted'),
      undo: () =>
        attempt(async () => {
          await call(routes.restoreAlert, { params: { id: alert.id } })
          await load()
        }),
    })
  })
</script>

<template>
  <WatchFrame :title="t('alerts.title')" :intro="t('alerts.intro')">
    <template #head>
      <button
        v-if="brand.mayCall('createAlert')"
        type="button"
        class="button primary new"
        @click="edit(null)"
      >
        {{ t('alerts.new') }}
      </button>
    </template>
    <ProblemNote v-if="problem" :problem="problem" @again="load" />
    <RowShapes v-if="!alerts && !problem" :height="60" />
    <EmptyPlace v-if="alerts && !alerts.length" :title="t('alerts.none')" :text="t('alerts.noneHint')" />
    <table v-else-if="alerts">
      <thead>
        <tr>
          <th>{{ t('alerts.name') }}</th>
          <th>{{ t('alerts.listens') }}</th>
          <th>{{ t('alerts.tells') }}</th>
          <th>{{ t('alerts.ways') }}</th>
          <th>{{ t('alerts.last') }}</th>
          <th />
        </tr>
      </thead>
      <tbody v-for="alert in alerts" :key="alert.id" data-test="alert">
        <tr>
          <th>
            <button type="button" class="plain" :aria-expanded="opened === alert.id" @click="show(alert.id)">
              {{ alert.name }}
            </button>
            <b v-if="alert.open" class="on">{{ t('alerts.open') }}</b>
            <span v-if="!alert.active" class="soft">{{ t('alerts.off') }}</span>
          </th>
          <td>{{ subject(alert.lens) }}</td>
          <td>{{ condition(alert.condition) }}</td>
          <td>{{ ways(alert) }}</td>
          <td>
            <time v-if="alert.firedAt" :title="exact(alert.firedAt)">{{ when(alert.firedAt) }}</time>
            <span v-else class="soft">{{ t('alerts.never') }}</span>
            <span v-if="alert.firings" class="soft times">{{
              t('alerts.times', { n: alert.firings }, alert.firings)
            }}</span>
          </td>
          <td class="acts">
            <template v-if="brand.mayCall('createAlert')">
              <button type="button" class="plain" @click="edit(alert)">{{ t('alerts.change') }}</button>
              <button type="button" class="plain" @click="remove(alert)">{{ t('alerts.delete') }}</button>
            </template>
          </td>
        </tr>
        <tr v-if="alert.lastFailure">
          <td colspan="6" class="wrong">{{ t('alerts.failed', { reason: alert.lastFailure }) }}</td>
        </tr>
        <tr v-if="opened === alert.id">
          <td colspan="6">
            <ul>
              <li v-for="event in events" :key="event.id">
                <time :title="exact(event.at)">{{ when(event.at) }}</time>
                <RouterLink :to="event.link">{{ told(event) }}</RouterLink>
              </li>
              <li v-if="!events.length" class="soft">{{ t('alerts.bell.none') }}</li>
            </ul>
          </td>
        </tr>
      </tbody>
    </table>
  </WatchFrame>
  <AlertSheet v-model="sheet" :editing="editing" :lens="String(route.query.lens ?? '')" @saved="load" />
</template>

<style scoped>
.times {
  display: block;
}
.new {
  margin-left: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 6px 16px 6px 0;
  border-bottom: 1px solid var(--line);
}
thead th {
  font-size: 12px;
  color: var(--ink-soft);
}
tbody th .plain {
  font-weight: 600;
}
.on {
  color: var(--flare-text);
  margin-left: 8px;
}
th .soft {
  margin-left: 8px;
}
.acts {
  display: flex;
  gap: 14px;
  justify-content: flex-end;
  padding-right: 0;
}
.wrong {
  color: var(--flare-text);
  font-size: 13px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  gap: 14px;
  padding: 2px 0;
}
li time {
  color: var(--ink-soft);
  white-space: nowrap;
}
</style>
