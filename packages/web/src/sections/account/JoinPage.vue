<script setup lang="ts">
import { onMounted, reactive, ref, shallowRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { joinSchema, routes, type InvitationCard } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import ProblemNote from '../../parts/ProblemNote.vue'
import { useBrand } from '../../stores/brand.ts'
import LinkFrame from './LinkFrame.vue'

/** Somebody was invited, and joins. */
const route = useRoute()
const router = useRouter()
const brand = useBrand()
const { t } = useTexts()
const { busy, problem, fields, run, check } = useBusy()
const token = String(route.params.token)
const card = shallowRef<InvitationCard | null>(null)
const gone = ref<CallProblem | null>(null)
const draft = reactive({ name: '', password: '', code: '' })
/** They have an account with a second factor. */
const codeWanted = ref(false)
onMounted(async () => {
  try {
    card.value = await call(routes.invitation, { params: { token } })
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    gone.value = error
  }
})
async function join(): Promise<void> {
  if (!check(joinSchema, draft)) return
  await run(async () => {
    await call(routes.join, { params: { token }, body: { ...draft } })
    await brand.load()
    await router.push('/today')
  })
  if (problem.value?.problem.code === 'codeNeeded') codeWanted.value = true
}
</script>

<template>
  <LinkFrame :title="card ? t('account.joinTitle', { brand: card.brand }) : t('account.join')">
    <template v-if="gone">
      <ProblemNote :problem="gone" />
      <RouterLink to="/sign-in">{{ t('account.back') }}</RouterLink>
    </template>
    <DraftForm v-else-if="card" :problem="problem" :fields="fields" @send="join" @again="join">
      <img v-if="card.logo" class="logo" :src="card.logo" alt="" />
      <p>
        {{
          t(card.known ? 'account.joinKnown' : 'account.joinText', {
            name: card.invitedBy ?? card.brand,
            role: t(`colleagues.roles.${card.role}`),
            email: card.email,
          })
        }}
      </p>
      <FormField v-if="!card.known" :label="t('account.yourName')" name="name">
        <el-input v-model="draft.name" maxlength="80" autocomplete="name" />
      </FormField>
      <FormField :label="card.known ? t('account.old') : t('account.new')" name="password">
        <el-input
          v-model="draft.password"
          type="password"
          :autocomplete="card.known ? 'current-password' : 'new-password'"
          show-password
        />
        <p v-if="!card.known" class="soft hint">{{ t('account.newHint') }}</p>
      </FormField>
      <FormField v-if="codeWanted" :label="t('account.code')" name="code">
        <el-input v-model="draft.code" autocomplete="one-time-code" maxlength="40" />
      </FormField>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy">{{ t('account.join') }}</button>
      </template>
    </DraftForm>
  </LinkFrame>
</template>

<style scoped>
.logo {
  display: block;
  max-width: 180px;
  max-height: 64px;
  margin-bottom: 12px;
}
.hint {
  font-size: 13px;
}
</style>
