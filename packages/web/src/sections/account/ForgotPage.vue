<script setup lang="ts">
import { reactive, ref } from 'vue'
import { forgotSchema, routes } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import LinkFrame from './LinkFrame.vue'

/** Whoever has forgotten their password is sent a link. */
const { t } = useTexts()
const { busy, problem, fields, run, check } = useBusy()
const draft = reactive({ email: '' })
const sent = ref(false)
async function send(): Promise<void> {
  if (!check(forgotSchema, draft)) return
  await run(async () => {
    await call(routes.forgotPassword, { body: { ...draft } })
    sent.value = true
  })
}
</script>

<template>
  <LinkFrame :title="t('account.forgot')">
    <p v-if="sent" role="status">{{ t('account.linkSent', { email: draft.email }) }}</p>
    <DraftForm v-else :problem="problem" :fields="fields" @send="send" @again="send">
      <FormField :label="t('signIn.email')" name="email">
        <el-input v-model="draft.email" type="email" autocomplete="username" />
      </FormField>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy">{{ t('account.sendLink') }}</button>
      </template>
    </DraftForm>
    <p class="back">
      <RouterLink to="/sign-in">{{ t('account.back') }}</RouterLink>
    </p>
  </LinkFrame>
</template>

<style scoped>
.back {
  margin-top: 14px;
}
</style>
