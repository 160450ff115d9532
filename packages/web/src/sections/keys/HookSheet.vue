<script setup lang="ts">
import { reactive, watch } from 'vue'
import {
  hookEvents,
  hookSchema,
  routes,
  type EventHook,
  type HookDraft,
  type MadeHook,
} from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'

/** An address that hears what happens: made or changed. */
const shown = defineModel<boolean>({ required: true })
const { hook = null } = defineProps<{ hook?: EventHook | null }>()
const emit = defineEmits<{ changed: [made: MadeHook | null] }>()
const { busy, problem, fields, run, check, forget } = useBusy()
const { t } = useTexts()
const scheme = 'https://'
const draft = reactive<Required<HookDraft>>({ name: '', target: '', events: [], active: true })
watch(
  shown,
  (open) => {
    if (!open) return
    const { name, target, events, active } = hook ?? { name: '', target: '', events: [], active: true }
    Object.assign(draft, { name, target, events: [...events], active })
    forget()
  },
  { immediate: true },
)
async function save(): Promise<void> {
  if (!check(hookSchema, draft)) return
  await run(async () => {
    const made = hook
      ? (await call(routes.changeHook, { params: { id: hook.id }, body: draft }), null)
      : await call(routes.makeHook, { body: draft })
    shown.value = false
    emit('changed', made)
  })
}
</script>

<template>
  <el-drawer
    v-model="shown"
    :title="hook ? hook.name : t('keysAndHooks.addHook')"
    size="460px"
    append-to-body
  >
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
      <FormField :label="t('keysAndHooks.name')" name="name">
        <el-input v-model="draft.name" maxlength="80" />
      </FormField>
      <FormField :label="t('keysAndHooks.target')" name="target">
        <el-input v-model="draft.target" :placeholder="scheme" maxlength="2000" />
      </FormField>
      <FormField :label="t('keysAndHooks.hears')" name="events">
        <el-checkbox-group v-model="draft.events" class="events">
          <el-checkbox v-for="event in hookEvents" :key="event" :value="event">{{
            t(`keysAndHooks.event.${event}`)
          }}</el-checkbox>
        </el-checkbox-group>
      </FormField>
      <el-checkbox v-if="hook" v-model="draft.active">{{ t('keysAndHooks.active') }}</el-checkbox>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy">
          {{ t('keysAndHooks.saveHook') }}
        </button>
      </template>
    </DraftForm>
  </el-drawer>
</template>

<style scoped>
.events {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
}
</style>
