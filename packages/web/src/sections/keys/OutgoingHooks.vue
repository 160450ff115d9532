<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { routes, type EventHook, type MadeHook } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { onDemand } from '../../parts/onDemand.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import ShownOnce from '../../parts/ShownOnce.vue'
import HookDeliveries from './HookDeliveries.vue'

/** Addresses of other programs that hear what happens here. */
const HookSheet = onDemand(() => import('./HookSheet.vue'))
const { t, number, when, list } = useTexts()
const { busy, problem, run } = useBusy()
const hooks = shallowRef<EventHook[] | null>(null)
const made = shallowRef<MadeHook | null>(null)
const open = ref(false)
const chosen = shallowRef<EventHook | null>(null)
/** Whose messages are shown. */
const looked = ref<number | null>(null)
const load = () => run(async () => void (hooks.value = await call(routes.hooks)))
onMounted(load)
const refresh = gathered(() => load(), 1000)
useLive(({ kind }) => {
  if (kind === 'hooks' || kind === 'afresh') refresh()
})
function edit(hook: EventHook | null): void {
  chosen.value = hook
  open.value = true
}
async function changed(fresh: MadeHook | null): Promise<void> {
  if (fresh) made.value = fresh
  await load()
}
const renew = (hook: EventHook) =>
  run(async () => void (made.value = await call(routes.renewHook, { params: { id: hook.id } })))
const remove = (hook: EventHook) =>
  run(async () => {
    await call(routes.removeHook, { params: { id: hook.id } })
    if (made.value?.hook.id === hook.id) made.value = null
    if (looked.value === hook.id) looked.value = null
    hooks.value = await call(routes.hooks)
  })
function stateText(hook: EventHook): string {
  if (!hook.active) return t('keysAndHooks.off')
  if (hook.failingSince) return t('keysAndHooks.failing', { t: when(hook.failingSince) })
  return hook.lastAt ? t('keysAndHooks.arrived', { t: when(hook.lastAt) }) : t('keysAndHooks.noneArrived')
}
const countText = ({ waiting, failed }: EventHook): string =>
  list([
    ...(waiting ? [t('keysAndHooks.waitingCount', { n: number(waiting) }, waiting)] : []),
    ...(failed ? [t('keysAndHooks.failedCount', { n: number(failed) }, failed)] : []),
  ])
</script>

<template>
  <section class="hooks" data-test="hooks">
    <h2>{{ t('keysAndHooks.hooks') }}</h2>
    <p class="soft">{{ t('keysAndHooks.hooksText') }}</p>
    <ProblemNote v-if="problem" :problem="problem" @again="load" />
    <ul v-if="hooks?.length" class="list">
      <li v-for="hook in hooks" :key="hook.id">
        <div>
          <b>{{ hook.name }}</b>
          <small class="soft">{{ hook.target }}</small>
          <small class="soft">{{ list(hook.events.map((event) => t(`keysAndHooks.event.${event}`))) }}</small>
        </div>
        <small :class="!hook.active || hook.failingSince ? 'past' : 'soft'">{{ stateText(hook) }}</small>
        <small class="soft">{{ countText(hook) }}</small>
        <span class="acts">
          <button
            type="button"
            class="plain"
            :aria-expanded="looked === hook.id"
            @click="looked = looked === hook.id ? null : hook.id"
          >
            {{ t('keysAndHooks.deliveries') }}
          </button>
          <button type="button" class="plain" @click="edit(hook)">{{ t('keysAndHooks.editHook') }}</button>
          <button type="button" class="plain" :disabled="busy" @click="renew(hook)">
            {{ t('keysAndHooks.renew') }}
          </button>
          <button type="button" class="plain" :disabled="busy" @click="remove(hook)">
            {{ t('keysAndHooks.remove') }}
          </button>
        </span>
        <HookDeliveries v-if="looked === hook.id" class="wide" :hook="hook" />
      </li>
    </ul>
    <ShownOnce v-if="made" :text="made.secret" :label="t('keysAndHooks.secretOf', { name: made.hook.name })">
      <p class="soft use">{{ t('keysAndHooks.useHook') }}</p>
    </ShownOnce>
    <button type="button" class="button primary" @click="edit(null)">{{ t('keysAndHooks.addHook') }}</button>
    <HookSheet v-model="open" :hook="chosen" @changed="changed" />
  </section>
</template>

<style scoped src="./rows.css"></style>
<style scoped>
.hooks {
  margin-top: 34px;
}
.use {
  font-size: 13px;
  margin: 6px 0 0;
}
.acts {
  display: flex;
  gap: 12px;
}
.wide {
  grid-column: 1 / -1;
}
</style>
