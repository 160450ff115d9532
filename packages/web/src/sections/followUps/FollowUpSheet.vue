<script setup lang="ts">
import { reactive, watch } from 'vue'
import { followUpKinds } from '@murrabel/core/lens'
import { followUpSchema, routes, type FollowUp } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useSheetDraft } from '../../composables/useSheetDraft.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import { draftOf, fieldsOf, newFields, type FollowUpFields } from './followUpDraft.ts'
import { useFollowUps } from './useFollowUps.ts'

/** What is to be done after a thread, by when and who. */
const shown = defineModel<boolean>({ required: true })
const { threadId, followUp = null } = defineProps<{ threadId: number; followUp?: FollowUp | null }>()
const emit = defineEmits<{ changed: [] }>()
const { busy, problem, fields, run, check, forget } = useBusy()
const { t } = useTexts()
const brand = useBrand()
const undo = useUndo()
const { remove } = useFollowUps(() => emit('changed'))
const draft = reactive<FollowUpFields>(newFields(Date.now(), brand.zone, 0))
watch(
  shown,
  (open) => {
    if (!open) return
    Object.assign(
      draft,
      followUp ? fieldsOf(followUp, brand.zone) : newFields(Date.now(), brand.zone, brand.answer?.me.id ?? 0),
    )
    forget()
  },
  { immediate: true },
)
useSheetDraft({
  shown,
  key: () => (followUp ? `followUp.${followUp.id}.${followUp.edition}` : `followUp.of.${threadId}`),
  draft: () => ({ ...draft }),
  put: (kept) => Object.assign(draft, kept),
})
async function save(): Promise<void> {
  const body = draftOf(draft, brand.zone)
  if (!check(followUpSchema, body)) return
  await run(async () => {
    if (followUp)
      await call(routes.changeFollowUp, {
        params: { id: followUp.id },
        body: { ...body, edition: followUp.edition },
      })
    else {
      await call(routes.addFollowUp, { params: { id: threadId }, body })
      undo.tell({ text: t('followUps.added', { what: body.what }) })
    }
    shown.value = false
    emit('changed')
  })
}
async function drop(): Promise<void> {
  shown.value = false
  await remove(followUp!)
}
</script>

<template>
  <el-drawer
    v-model="shown"
    :title="followUp ? t('followUps.editTitle') : t('followUps.addTitle')"
    size="420px"
    append-to-body
  >
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
      <el-radio-group v-model="draft.kind" class="kinds">
        <el-radio v-for="kind in followUpKinds" :key="kind" :value="kind">{{
          t(`followUps.kind.${kind}`)
        }}</el-radio>
      </el-radio-group>
      <FormField :label="t(`followUps.what.${draft.kind}`)" name="what">
        <el-input v-model="draft.what" maxlength="300" />
      </FormField>
      <FormField :label="t('followUps.dueAt')" name="dueAt" for="follow-up-due">
        <input id="follow-up-due" v-model="draft.due" class="due" type="datetime-local" />
      </FormField>
      <FormField :label="t('followUps.givenTo')" name="givenTo">
        <el-select v-model="draft.givenTo">
          <el-option :value="0" :label="t('followUps.nobody')" />
          <el-option v-for="each in brand.colleagues" :key="each.id" :value="each.id" :label="each.name" />
        </el-select>
      </FormField>
      <template v-if="draft.kind === 'lead'">
        <div class="worth">
          <FormField :label="t('followUps.worth')" name="worth">
            <el-input v-model="draft.worth" inputmode="decimal" maxlength="13" />
          </FormField>
          <FormField :label="t('followUps.currency')" name="currency">
            <el-input v-model="draft.currency" maxlength="3" />
          </FormField>
        </div>
        <FormField :label="t('followUps.nextStep')" name="nextStep">
          <el-input v-model="draft.nextStep" type="textarea" :rows="3" maxlength="1000" />
        </FormField>
      </template>
      <template #actions>
        <div class="actions">
          <button type="submit" class="button primary" :disabled="busy">{{ t('followUps.save') }}</button>
          <button v-if="followUp" type="button" class="button" :disabled="busy" @click="drop">
            {{ t('followUps.remove') }}
          </button>
        </div>
      </template>
    </DraftForm>
  </el-drawer>
</template>

<style scoped>
.kinds {
  margin-bottom: 8px;
}
.due {
  font: inherit;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--control-line);
  border-radius: var(--corner);
  padding: 5px 10px;
  min-height: 32px;
}
.worth {
  display: grid;
  grid-template-columns: 1fr 110px;
  gap: 12px;
}
.actions {
  display: flex;
  gap: 8px;
}
</style>
