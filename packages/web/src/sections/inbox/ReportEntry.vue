<script setup lang="ts">
import { ref } from 'vue'
import { reportReasons, reportSchema, routes, type ReportReason, type ThreadEntry } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { failureText } from './failureText.ts'

/** Reporting a review to its network, and how far that is. */
const { entry } = defineProps<{ entry: ThreadEntry }>()
const emit = defineEmits<{ retry: [id: number]; drop: [id: number] }>()
const { t, called, when } = useTexts()
const { busy, problem, fields, run, check } = useBusy()
const shown = ref(false)
const reason = ref<ReportReason>('fake')
const text = ref('')

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
  <p v-if="entry.report" class="acts soft" data-test="report">
    {{
      t(
        `inbox.report.${entry.report.state === 'failed' ? 'failed' : entry.report.state === 'sent' ? 'sent' : 'waiting'}`,
        {
          reason: called('inbox.report.reason', entry.report.reason),
          t: when(entry.report.at),
        },
      )
    }}<template v-if="entry.report.error && entry.report.state === 'failed'"
      >: {{ failureText(entry.report.error, called) }}.</template
    >
    <template v-if="entry.report.state === 'failed'">
      <button type="button" class="plain" @click="emit('retry', entry.report.id)">
        {{ t('inbox.retry') }}
      </button>
      <button type="button" class="plain" @click="emit('drop', entry.report.id)">
        {{ t('inbox.report.drop') }}
      </button>
    </template>
  </p>
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
