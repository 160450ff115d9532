<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { routes, type EventHook, type HookDelivery } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'

/** What was sent to one address, the latest first; each can be read and sent again. */
const { hook } = defineProps<{ hook: EventHook }>()
const { t, number, when } = useTexts()
const { busy, problem, run } = useBusy()
const rows = shallowRef<HookDelivery[] | null>(null)
const next = ref<number | null>(null)
const page = (before: number | null) =>
  call(routes.hookDeliveries, {
    params: { id: hook.id },
    query: before === null ? [] : [['before', String(before)]],
  })
/** The latest page anew; what was shown below it stays. */
async function fetchLatest(): Promise<void> {
  const answer = await page(null)
  const last = answer.rows.at(-1)?.id ?? 0
  const below = (rows.value ?? []).filter(({ id }) => id < last)
  if (!below.length) next.value = answer.next
  rows.value = [...answer.rows, ...below]
}
const load = () => run(fetchLatest)
onMounted(load)
const refresh = gathered(() => load(), 1000)
useLive(({ kind }) => {
  if (kind === 'hooks' || kind === 'afresh') refresh()
})
const older = () =>
  run(async () => {
    const answer = await page(next.value)
    rows.value = [...(rows.value ?? []), ...answer.rows]
    next.value = answer.next
  })
const send = (act: () => Promise<unknown>) =>
  run(async () => {
    await act()
    await fetchLatest()
  })
/** As it was sent, in lines. */
const spread = (body: string): string => JSON.stringify(JSON.parse(body), null, 2)
</script>

<template>
  <div class="deliveries" data-test="deliveries">
    <ProblemNote v-if="problem" :problem="problem" @again="load" />
    <button
      v-if="hook.active"
      type="button"
      class="button"
      :disabled="busy"
      @click="send(() => call(routes.tryHook, { params: { id: hook.id } }))"
    >
      {{ t('keysAndHooks.tryHook') }}
    </button>
    <p v-if="rows && !rows.length" class="soft">{{ t('keysAndHooks.noDeliveries') }}</p>
    <ol v-else>
      <li v-for="row in rows" :key="row.id">
        <span class="soft">{{ when(row.at) }}</span>
        <details v-if="row.body">
          <summary>{{ t(`keysAndHooks.event.${row.event}`) }}</summary>
          <pre>{{ spread(row.body) }}</pre>
        </details>
        <span v-else>{{ t(`keysAndHooks.event.${row.event}`) }}</span>
        <span :class="row.state === 'failed' ? 'past' : 'soft'">
          {{ t(`keysAndHooks.deliveryState.${row.state}`) }}
          <template v-if="row.attempts > 1 || row.error">
            · {{ t('keysAndHooks.tries', { n: number(row.attempts) }, row.attempts) }}</template
          >
          <small v-if="row.error" class="past">{{ row.error }}</small>
        </span>
        <button
          v-if="hook.active && row.state !== 'waiting'"
          type="button"
          class="plain"
          :disabled="busy"
          @click="send(() => call(routes.sendAgain, { params: { id: row.id } }))"
        >
          {{ t('keysAndHooks.again') }}
        </button>
      </li>
    </ol>
    <button v-if="next !== null" type="button" class="plain" :disabled="busy" @click="older">
      {{ t('keysAndHooks.olderDeliveries') }}
    </button>
  </div>
</template>

<style scoped>
.deliveries {
  border-left: 3px solid var(--line);
  padding: 4px 0 4px 14px;
  margin-top: 4px;
}
ol {
  list-style: none;
  margin: 8px 0;
  padding: 0;
}
ol li {
  display: grid;
  grid-template-columns: 150px minmax(0, 1.2fr) minmax(0, 1fr) auto;
  gap: 14px;
  align-items: baseline;
  padding: 5px 0;
  font-size: 14px;
}
pre {
  font-size: 12px;
  overflow-x: auto;
  max-width: 100%;
}
summary {
  cursor: pointer;
  min-height: 24px;
}
small {
  display: block;
  overflow-wrap: anywhere;
}
.past {
  color: var(--flare-text);
}
</style>
