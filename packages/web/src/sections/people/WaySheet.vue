<script setup lang="ts">
import { reactive, watch } from 'vue'
import { routes, wayKinds, waySchema, type PersonWay, type WayKind } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'

/** How somebody can be reached, and whether they may be. */
const shown = defineModel<boolean>({ required: true })
const { person, way = null } = defineProps<{ person: number; way?: PersonWay | null }>()
const emit = defineEmits<{ changed: [] }>()
const { busy, problem, fields, run, check, forget } = useBusy()
const { t } = useTexts()
type Consent = 'unknown' | 'yes' | 'no'
const consents: Consent[] = ['unknown', 'yes', 'no']
const draft = reactive<{ kind: WayKind; value: string; consent: Consent; consentHow: string }>({
  kind: 'email',
  value: '',
  consent: 'unknown',
  consentHow: '',
})
watch(
  shown,
  (open) => {
    if (!open) return
    Object.assign(draft, {
      kind: way?.kind ?? 'email',
      value: way?.value ?? '',
      consent: way?.consent === true ? 'yes' : way?.consent === false ? 'no' : 'unknown',
      consentHow: way?.consentHow ?? '',
    })
    forget()
  },
  { immediate: true },
)
async function save(): Promise<void> {
  const body = {
    kind: draft.kind,
    value: draft.value,
    consent: draft.consent === 'unknown' ? null : draft.consent === 'yes',
    consentHow: draft.consentHow,
  }
  if (!check(waySchema, body)) return
  await run(async () => {
    await (way
      ? call(routes.changeWay, { params: { id: person, way: way.id }, body })
      : call(routes.addWay, { params: { id: person }, body }))
    shown.value = false
    emit('changed')
  })
}
const remove = () =>
  run(async () => {
    await call(routes.removeWay, { params: { id: person, way: way!.id } })
    shown.value = false
    emit('changed')
  })
</script>

<template>
  <el-drawer
    v-model="shown"
    :title="way ? t('people.wayEdit') : t('people.wayAdd')"
    size="420px"
    append-to-body
  >
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
      <FormField :label="t('people.wayKind')" name="kind">
        <el-radio-group v-model="draft.kind" :disabled="way !== null">
          <el-radio v-for="kind in wayKinds" :key="kind" :value="kind">{{
            t(`people.way.${kind}`)
          }}</el-radio>
        </el-radio-group>
      </FormField>
      <FormField :label="t(`people.way.${draft.kind}`)" name="value">
        <el-input
          v-model="draft.value"
          maxlength="254"
          :inputmode="draft.kind === 'email' ? 'email' : 'tel'"
        />
        <p v-if="draft.kind === 'phone'" class="soft hint">{{ t('people.phoneHint') }}</p>
      </FormField>
      <FormField :label="t('people.consent')" name="consent">
        <el-radio-group v-model="draft.consent">
          <el-radio v-for="each in consents" :key="each" :value="each">{{
            t(`people.consents.${each}`)
          }}</el-radio>
        </el-radio-group>
      </FormField>
      <FormField v-if="draft.consent !== 'unknown'" :label="t('people.consentHow')" name="consentHow">
        <el-input v-model="draft.consentHow" maxlength="200" :placeholder="t('people.consentHowHint')" />
      </FormField>
      <template #actions>
        <div class="actions">
          <button type="submit" class="button primary" :disabled="busy">{{ t('people.save') }}</button>
          <button v-if="way" type="button" class="button" :disabled="busy" @click="remove">
            {{ t('people.wayRemove') }}
          </button>
        </div>
      </template>
    </DraftForm>
  </el-drawer>
</template>

<style scoped>
.hint {
  font-size: 13px;
}
.actions {
  display: flex;
  gap: 8px;
}
</style>
