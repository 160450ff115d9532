<script setup lang="ts">
import { computed, ref } from 'vue'
import { reportReasons, reportSchema, routes, type ReportReason, type ThreadEntry } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import ActionLine from './ActionLine.vue'

/** Reporting a review to its network, and how far that is. */
const { entry } = defineProps<{ entry: ThreadEntry }>()
const emit = defineEmits<{ retry: [id: number]; drop: [id: number] }>()
const { t, called, when } = useTexts()
const { busy, problem, fields, run, check } = useBusy()
const shown = ref(false)
const reason = ref<ReportReason>('fake')
const text = ref('')

const told = computed(() => {
  if (!entry.report) return ''
  const { state, reason: why, at } = entry.report
  const message = state === 'failed' || state === 'sent' ? state : 'waiting'
  return t(`inbox.report.${message}`, { reason: called('inbox.report.reason', why), t: when(at) })
})

async function send(): Promise<void> {
  const body = { reason: reason.value, text: text.value, key: crypto.randomUUID() }
  if (!check(reportSchema, body)) return
  await run(async () => {
    await call(routes.reportEntry, { params: { id: entry.id }, body })
    shown.value = false
  })
}
</script>

<template>
  <ActionLine
    v-if="entry.report"
    data-test="report"
    :action="entry.report"
    :text="told"
    :drop-text="t('inbox.report.drop')"
    @retry="(id) => emit('retry', id)"
    @drop="(id) => emit('drop', id)"
  />
  <button v-else-if="!shown" type="button" class="plain go" @click="shown = true">
    {{ t('inbox.report.go') }}
  </button>
  <DraftForm v-else class="form" :problem="problem" :fields="fields" @send="send" @again="send">
    <FormField :label="t('inbox.report.why')" name="reason">
      <el-select v-model="reason">
        <el-option
          v-for="each in reportReasons"
          :key="each"
          :value="each"
          :label="t(`inbox.report.reason.${each}`)"
        />
      </el-select>
    </FormField>
    <FormField :label="t('inbox.report.words')" name="text">
      <el-input v-model="text" type="textarea" :rows="2" maxlength="1000" />
    </FormField>
    <template #actions>
      <p class="acts">
        <button type="submit" class="button primary" :disabled="busy">{{ t('inbox.report.send') }}</button>
        <button type="button" class="button" @click="shown = false">{{ t('watch.form.cancel') }}</button>
      </p>
    </template>
  </DraftForm>
</template>

<style scoped>
.go {
  min-height: 24px;
  font-size: 13px;
  display: block;
  margin-top: 4px;
}
.form {
  max-width: 420px;
  margin-top: 8px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  margin-top: 4px;
  font-size: 13px;
}
</style>
