<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import { routes, type AlertAnswer, type FeedAddresses as Addresses } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useProblemTexts } from '../../composables/useProblemTexts.ts'
import { useTexts } from '../../composables/useTexts.ts'
import FormField from '../../parts/FormField.vue'
import TermList from '../../parts/TermList.vue'
import { useUndo } from '../../stores/undo.ts'
import FeedAddresses from './FeedAddresses.vue'
import type { AlertWaysDraft } from './alertDraft.ts'

/** The ways an alert tells: here, by mail, by webhook, and its feeds. */
const ways = defineModel<AlertWaysDraft>({ required: true })
const { alert = null } = defineProps<{ alert?: AlertAnswer | null }>()
const { t } = useTexts()
const list = useTemplateRef<InstanceType<typeof TermList>>('list')
const emails = computed({
  get: () => ways.value.emails.map((text) => ({ text })),
  set: (terms: { text: string }[]) => change({ emails: terms.map((term) => term.text) }),
})
function change(part: Partial<AlertWaysDraft>): void {
  ways.value = { ...ways.value, ...part }
}
/** Addresses are changed at once, apart from what is saved with the alert. */
const feeds = ref<Addresses | null>(null)
const undo = useUndo()
const { line } = useProblemTexts()
watch(
  () => alert?.id,
  () => (feeds.value = null),
)
async function askFeeds(route: typeof routes.alertFeed | typeof routes.alertFeedOff): Promise<void> {
  if (!alert) return
  try {
    feeds.value = await call<undefined, Addresses>(route, { params: { id: alert.id } })
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    undo.tell({ text: line(error), problem: true })
  }
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
    name="emails"
    bare
  />
  <FormField :label="t('alerts.form.webhook')" name="webhook"
    ><el-input
      id="alert-webhook"
      :model-value="ways.webhook"
      placeholder="https://"
      maxlength="2000"
      @update:model-value="(webhook: string) => change({ webhook })"
  /></FormField>
  <p v-if="alert?.webhookSecret" class="soft secret">
    {{ t('alerts.form.secret') }} <code>{{ alert.webhookSecret }}</code>
  </p>
  <template v-if="alert">
    <h4>{{ t('alerts.form.feeds') }}</h4>
    <FeedAddresses
      :addresses="feeds ?? { atom: alert.atom, json: alert.json }"
      @renew="askFeeds(routes.alertFeed)"
      @off="askFeeds(routes.alertFeedOff)"
    />
  </template>
</template>

<style scoped>
label.el-checkbox {
  display: flex;
  font-weight: 400;
  margin: 0;
}
h4 {
  margin: 16px 0 0;
}
.secret {
  font-size: 13px;
  overflow-wrap: anywhere;
}
</style>
