<script setup lang="ts">
import { reactive, ref } from 'vue'
import { useRoute } from 'vue-router'
import { newPasswordSchema, routes } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import LinkFrame from './LinkFrame.vue'

/** A new password by a link. */
const { t } = useTexts()
const { busy, problem, fields, run, check } = useBusy()
const token = String(useRoute().params.token)
const draft = reactive({ password: '' })
const done = ref(false)
async function save(): Promise<void> {
  if (!check(newPasswordSchema, draft)) return
  await run(async () => {
    await call(routes.resetPassword, { params: { token }, body: { ...draft } })
    done.value = true
  })
}
</script>

<template>
  <LinkFrame :title="t('account.newTitle')">
    <template v-if="done">
      <p role="status">{{ t('account.newDone') }}</p>
      <RouterLink class="button primary" to="/sign-in">{{ t('signIn.go') }}</RouterLink>
    </template>
    <DraftForm v-else :problem="problem" :fields="fields" @send="save" @again="save">
      <FormField :label="t('account.new')" name="password">
        <el-input v-model="draft.password" type="password" autocomplete="new-password" show-password />
        <p class="soft hint">{{ t('account.newHint') }}</p>
      </FormField>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy">{{ t('account.change') }}</button>
      </template>
    </DraftForm>
  </LinkFrame>
</template>

<style scoped>
.hint {
  font-size: 13px;
}
.button {
  display: inline-block;
  margin-top: 12px;
  text-decoration: none;
}
</style>
