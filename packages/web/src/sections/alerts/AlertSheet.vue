<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import {
  alertSchema,
  draftProblems,
  routes,
  type AlertAnswer,
  type AlertDraft,
  type AlertTrialAnswer,
} from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useSheetDraft } from '../../composables/useSheetDraft.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useTrial } from '../../composables/useTrial.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import TrialButtons from '../../parts/TrialButtons.vue'
import { useBrand } from '../../stores/brand.ts'
import AlertFields from './AlertFields.vue'
import AlertTrial from './AlertTrial.vue'
import AlertWays from './AlertWays.vue'
import { alertDraftOf, conditionOf, lensOf, type AlertSheetDraft } from './alertDraft.ts'

const shown = defineModel<boolean>({ required: true })
const { editing = null, lens = '' } = defineProps<{
  editing?: AlertAnswer | null
  /** What a new alert listens to at first, as an address writes it. */
  lens?: string
}>()
const emit = defineEmits<{ saved: [] }>()
const { t } = useTexts()
const brand = useBrand()
const waysForm = useTemplateRef<InstanceType<typeof AlertWays>>('waysForm')
const draft = ref<AlertSheetDraft>(alertDraftOf(null, ''))

type Question = Pick<AlertDraft, 'lens' | 'condition' | 'quietMinutes'>
const trial = useTrial<Question, AlertTrialAnswer>({
  question: () => ({
    lens: lensOf(draft.value),
    condition: conditionOf(draft.value),
    quietMinutes: draft.value.quietMinutes,
  }),
  ready() {
    waysForm.value?.add()
    return true
  },
})
const { answer, stale, busy, problem, fields } = trial
const tryIt = () => trial.attempt(() => call(routes.tryAlert, { body: trial.question() }))

const subjectName = computed(() => {
  if (draft.value.subject > 0) return brand.nameOfWatch(draft.value.subject)
  return draft.value.subject < 0 ? brand.nameOfGroup(-draft.value.subject) : t('alerts.anything')
})
const usualName = computed(() => `${subjectName.value}: ${t(`alerts.kind.${draft.value.kind}`)}`)
const save = () =>
  trial.save(async () => {
    const { inApp, emails, webhook } = draft.value.ways
    const body: AlertDraft = {
      ...trial.question(),
      name: draft.value.name.trim() || usualName.value,
      inApp,
      emails: [...emails],
      webhook: webhook.trim() || null,
      active: draft.value.active,
    }
    fields.value = draftProblems(alertSchema, body)
    if (fields.value.length) return
    if (editing)
      await call(routes.updateAlert, {
        params: { id: editing.id },
        body: { ...body, edition: editing.edition },
      })
    else await call(routes.createAlert, { body })
    shown.value = false
    emit('saved')
  })
watch(
  shown,
  (open) => {
    if (!open) return
    draft.value = alertDraftOf(editing, lens)
    trial.clear()
  },
  { immediate: true },
)
useSheetDraft({
  shown,
  key: () => (editing ? `alert.${editing.id}.${editing.edition}` : 'alert.new'),
  draft: () => draft.value,
  put: (kept) => (draft.value = kept),
})
</script>

<template>
  <el-drawer
    v-model="shown"
    :title="editing ? t('alerts.form.titleEdit') : t('alerts.form.title')"
    size="600px"
    append-to-body
  >
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="tryIt">
      <FormField :label="t('alerts.name')" name="name">
        <el-input id="alert-name" v-model="draft.name" maxlength="80" :placeholder="usualName" />
      </FormField>
      <AlertFields v-model="draft" />
      <AlertWays ref="waysForm" v-model="draft.ways" :alert="editing" />
      <el-checkbox v-model="draft.active" class="active" :label="t('alerts.form.active')" />
      <template #actions
        ><TrialButtons
          :busy="busy"
          :tried="answer !== null"
          :stale="stale"
          :may-save="brand.mayCall('createAlert')"
          :held="!answer || stale || answer.tooOften"
          :texts="{
            try: t('alerts.form.try'),
            trying: t('alerts.form.trying'),
            save: t('alerts.form.save'),
            saving: t('alerts.form.saving'),
            untried: t('alerts.form.untried'),
            stale: t('alerts.form.stale'),
          }"
          @try="tryIt"
      /></template>
    </DraftForm>
    <AlertTrial v-if="answer" :trial="answer" :stale="stale" />
  </el-drawer>
</template>

<style scoped>
.active {
  display: flex;
  font-weight: 400;
  margin: 0 0 14px;
}
</style>
