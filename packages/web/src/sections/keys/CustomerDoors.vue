<script setup lang="ts">
import { onMounted, reactive, shallowRef } from 'vue'
import { doorSchema, routes, type CustomerDoor, type MadeDoor } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import ShownOnce from '../../parts/ShownOnce.vue'

/** Addresses at which tills and booking systems tell of customers. */
const { t, number, when } = useTexts()
const { busy, problem, fields, run, check } = useBusy()
const doors = shallowRef<CustomerDoor[] | null>(null)
const made = shallowRef<MadeDoor | null>(null)
const draft = reactive({ name: '' })
const load = () => run(async () => void (doors.value = await call(routes.doors)))
onMounted(load)
const refresh = gathered(() => load(), 1000)
useLive(({ kind }) => {
  if (kind === 'people' || kind === 'afresh') refresh()
})
async function make(): Promise<void> {
  if (!check(doorSchema, draft)) return
  await run(async () => {
    made.value = await call(routes.makeDoor, { body: { ...draft } })
    doors.value = await call(routes.doors)
    draft.name = ''
  })
}
const renew = (door: CustomerDoor) =>
  run(async () => void (made.value = await call(routes.renewDoor, { params: { id: door.id } })))
const remove = (door: CustomerDoor) =>
  run(async () => {
    await call(routes.removeDoor, { params: { id: door.id } })
    if (made.value?.door.id === door.id) made.value = null
    doors.value = await call(routes.doors)
  })
const example = JSON.stringify(
  {
    timestamp: '2026-11-27T09:00:00Z',
    data: {
      customers: [
        {
          reference: 'C4711',
          name: 'Perrin Oakes',
          email: 'perrin@oakes.example',
          visit: {
            reference: 'SK4471',
            at: '2026-11-28T07:20:00Z',
            route: 'Dunmarrow to Port Ellery',
            state: 'booked',
          },
        },
      ],
    },
  },
  null,
  2,
)
</script>

<template>
  <section class="doors">
    <h2>{{ t('keysAndHooks.doors') }}</h2>
    <p class="soft">{{ t('keysAndHooks.doorsText') }}</p>
    <ul v-if="doors?.length" class="list">
      <li v-for="door in doors" :key="door.id">
        <div>
          <b>{{ door.name }}</b>
          <small class="soft">{{ door.address }}</small>
          <small v-if="door.problem" class="past">{{ door.problem }}</small>
        </div>
        <small class="soft">{{
          door.lastAt ? t('keysAndHooks.lastMessage', { t: when(door.lastAt) }) : t('keysAndHooks.noMessage')
        }}</small>
        <small class="soft"
          >{{ t('keysAndHooks.taken', { n: number(door.taken) }, door.taken)
          }}<template v-if="door.refused">
            · {{ t('keysAndHooks.refused', { n: number(door.refused) }, door.refused) }}</template
          ></small
        >
        <span class="acts">
          <button type="button" class="plain" :disabled="busy" @click="renew(door)">
            {{ t('keysAndHooks.renew') }}
          </button>
          <button type="button" class="plain" :disabled="busy" @click="remove(door)">
            {{ t('keysAndHooks.remove') }}
          </button>
        </span>
      </li>
    </ul>
    <ShownOnce v-if="made" :text="made.secret" :label="t('keysAndHooks.secretOf', { name: made.door.name })">
      <p class="soft use">{{ t('keysAndHooks.useDoor', { address: made.door.address }) }}</p>
      <pre class="use">{{ example }}</pre>
    </ShownOnce>
    <DraftForm class="form" :problem="problem" :fields="fields" @send="make" @again="make">
      <FormField :label="t('keysAndHooks.name')" name="name">
        <el-input v-model="draft.name" maxlength="80" :placeholder="t('keysAndHooks.doorHint')" />
      </FormField>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy">
          {{ t('keysAndHooks.makeDoor') }}
        </button>
      </template>
    </DraftForm>
  </section>
</template>

<style scoped src="./rows.css"></style>
<style scoped>
.doors {
  margin-top: 34px;
}
.form {
  max-width: 460px;
}
.use {
  font-size: 13px;
  margin: 6px 0 0;
  overflow-wrap: anywhere;
}
pre {
  overflow-x: auto;
}
.acts {
  display: flex;
  gap: 12px;
}
</style>
