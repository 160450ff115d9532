<script setup lang="ts">
import { computed, reactive } from 'vue'
import { passwordSchema, routes, type SessionAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useAsked } from '../../composables/useAsked.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import AwayForm from '../../parts/AwayForm.vue'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import SetUpFrame from '../../parts/SetUpFrame.vue'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import NoticeChoices from './NoticeChoices.vue'
import SecondFactor from './SecondFactor.vue'

/** One's own password, and the devices on which one is signed in. */
const { t, when } = useTexts()
const brand = useBrand()
const undo = useUndo()
const attempt = useAttempt()
const { busy, problem, fields, run, check } = useBusy()
const draft = reactive({ old: '', password: '' })
const always = computed<[string, string][]>(() => [])
const sessions = useAsked(routes.sessions, always)
async function save(): Promise<void> {
  if (!check(passwordSchema, draft)) return
  await run(async () => {
    await call(routes.changePassword, { body: { ...draft } })
    Object.assign(draft, { old: '', password: '' })
    undo.tell({ text: t('account.changed') })
    await sessions.load()
  })
}
const end = (session: SessionAnswer) =>
  attempt(async () => {
    await call(routes.endSession, { params: { id: session.id } })
    await sessions.load()
  })
/** Of what a browser calls itself, what somebody knows it by. */
const agentText = (agent: string): string =>
  /\(([^;)]+)/.exec(agent)?.[1]?.trim() || agent.slice(0, 60) || t('account.unknownDevice')
</script>

<template>
  <SetUpFrame :title="t('account.title')" :intro="brand.answer?.me.email ?? ''">
    <h2>{{ t('account.password') }}</h2>
    <DraftForm class="form" :problem="problem" :fields="fields" @send="save" @again="save">
      <FormField :label="t('account.old')" name="old">
        <el-input v-model="draft.old" type="password" autocomplete="current-password" show-password />
      </FormField>
      <FormField :label="t('account.new')" name="password">
        <el-input v-model="draft.password" type="password" autocomplete="new-password" show-password />
        <p class="soft hint">{{ t('account.newHint') }}</p>
      </FormField>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy">{{ t('account.change') }}</button>
      </template>
    </DraftForm>
    <h2>{{ t('account.notices.title') }}</h2>
    <NoticeChoices />
    <h2>{{ t('account.secondFactor') }}</h2>
    <SecondFactor />
    <template v-if="brand.may('answer')">
      <h2>{{ t('colleagues.away') }}</h2>
      <AwayForm class="form" />
    </template>
    <h2>{{ t('account.devices') }}</h2>
    <ul>
      <li v-for="session in sessions.answer.value ?? []" :key="session.id">
        <span>{{ agentText(session.agent) }}</span>
        <small class="soft">{{ t('account.since', { t: when(session.at) }) }}</small>
        <small v-if="session.own" class="soft">{{ t('account.thisOne') }}</small>
        <button v-else type="button" class="plain" @click="end(session)">{{ t('account.end') }}</button>
      </li>
    </ul>
  </SetUpFrame>
</template>

<style scoped>
h2 {
  font-size: 16px;
  font-weight: 600;
  margin-bottom: 8px;
}
.form {
  max-width: 420px;
  margin-bottom: 30px;
}
.hint {
  font-size: 13px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--line);
  max-width: 720px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 200px 110px;
  gap: 18px;
  align-items: baseline;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
</style>
