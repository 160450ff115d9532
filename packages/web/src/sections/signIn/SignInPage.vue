<script setup lang="ts">
import { nextTick, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useT } from '../../composables/useT.ts'
import { signInSchema } from '@murrabel/contract'
import { useBusy } from '../../composables/useBusy.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import WelcomePanel from './WelcomePanel.vue'
import { loadPage } from '../../loadPage.ts'
import { useBrand } from '../../stores/brand.ts'
import { useCounts } from '../../stores/counts.ts'

const { t } = useT()
const brand = useBrand()
const counts = useCounts()
const route = useRoute()
const router = useRouter()
const email = ref('')
const password = ref('')
const code = ref('')
/** The password is right, and a second factor is on. */
const codeWanted = ref(false)
const codeInput = ref<{ focus: () => void }>()
/** Where one lands: what was asked for, of this application only. */
const to =
  typeof route.query.to === 'string' && route.query.to.startsWith('/') && !route.query.to.startsWith('//')
    ? route.query.to
    : '/today'
// Its code comes while somebody types.
onMounted(() => loadPage(router.resolve(to)))
const { busy, problem, fields, run, check, forget } = useBusy()

async function submit(): Promise<void> {
  const given = { email: email.value, password: password.value, code: code.value }
  if (!check(signInSchema, given)) return
  await run(async () => {
    await brand.signIn(given)
    void counts.load().catch(() => {})
    await router.push(to)
  })
  if (problem.value?.problem.code !== 'codeNeeded' || codeWanted.value) return
  // No mistake of theirs.
  forget()
  codeWanted.value = true
  await nextTick()
  codeInput.value?.focus()
}
</script>

<template>
  <main class="page">
    <WelcomePanel />
    <DraftForm class="form" :problem="problem" :fields="fields" @send="submit" @again="submit">
      <h2>{{ t('signIn.go') }}</h2>
      <FormField :label="t('signIn.email')" name="email">
        <el-input id="email" v-model="email" type="email" autocomplete="username" autofocus />
      </FormField>
      <FormField :label="t('signIn.password')" name="password">
        <el-input
          id="password"
          v-model="password"
          type="password"
          autocomplete="current-password"
          show-password
        />
      </FormField>
      <FormField v-if="codeWanted" :label="t('account.code')" name="code">
        <el-input ref="codeInput" v-model="code" autocomplete="one-time-code" maxlength="40" />
      </FormField>
      <template #actions>
        <button class="button primary go" type="submit" :disabled="busy">
          {{ busy ? t('signIn.checking') : t('signIn.go') }}
        </button>
        <RouterLink class="forgot" to="/forgot">{{ t('account.forgot') }}</RouterLink>
      </template>
    </DraftForm>
  </main>
</template>

<style scoped>
.page {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 640px) 340px;
  justify-content: center;
  align-items: center;
  gap: 40px 88px;
  padding: 32px 40px;
  background: var(--band);
  overflow-y: auto;
}
.form {
  width: 340px;
  background: var(--sheet);
  border-radius: var(--corner);
  border-top: 4px solid var(--glow);
  padding: 28px 32px 32px;
}
h2 {
  font-size: 20px;
  line-height: 28px;
  margin-bottom: 14px;
}
.go {
  width: 100%;
  margin-top: 6px;
  padding: 8px 12px;
}
.forgot {
  display: inline-block;
  margin-top: 14px;
}
@media (max-width: 900px) {
  .page {
    grid-template-columns: minmax(0, 340px);
    align-content: center;
  }
}
</style>
