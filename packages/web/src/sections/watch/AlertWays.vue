<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { AlertAnswer } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import TermList from '../../parts/TermList.vue'

export interface AlertWays {
  inApp: boolean
  emails: string[]
  webhook: string
}

/** The ways an alert tells: here, by mail, by webhook, and its feeds. */
const ways = defineModel<AlertWays>({ required: true })
const { alert = null, problems = [] } = defineProps<{ alert?: AlertAnswer | null; problems?: string[] }>()
const { t } = useTexts()
const list = useTemplateRef<InstanceType<typeof TermList>>('list')
const emails = computed({
  get: () => ways.value.emails.map((text) => ({ text })),
  set: (terms: { text: string }[]) => change({ emails: terms.map((term) => term.text) }),
})
function change(part: Partial<AlertWays>): void {
  ways.value = { ...ways.value, ...part }
}
defineExpose({ add: () => list.value?.add() })
</script>

<template>
  <h4>{{ t('alerts.form.ways') }}</h4>
  <el-checkbox
    :model-value="ways.inApp"
    :label="t('alerts.form.inApp')"
    @change="(on) => change({ inApp: Boolean(on) })"
  />
  <TermList
    ref="list"
    v-model="emails"
    :label="t('alerts.form.emails')"
    :hint="t('alerts.form.emailsHint')"
    :problems="problems"
    bare
  />
  <label for="alert-webhook">{{ t('alerts.form.webhook') }}</label>
  <el-input
    id="alert-webhook"
    :model-value="ways.webhook"
    placeholder="https://"
    maxlength="2000"
    @update:model-value="(webhook: string) => change({ webhook })"
  />
  <p v-if="alert?.webhookSecret" class="soft secret">
    {{ t('alerts.form.secret') }} <code>{{ alert.webhookSecret }}</code>
  </p>
  <template v-if="alert">
    <h4>{{ t('alerts.form.feeds') }}</h4>
    <p class="soft secret">
      <a :href="alert.atom">{{ alert.atom }}</a>
    </p>
    <p class="soft secret">
      <a :href="alert.json">{{ alert.json }}</a>
    </p>
  </template>
</template>

<style scoped>
label {
  display: block;
  font-weight: 600;
  margin: 12px 0 4px;
}
h4 {
  margin: 16px 0 0;
}
.secret {
  font-size: 13px;
  overflow-wrap: anywhere;
}
</style>
