<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useT } from '../../composables/useT.ts'
import { ValidationError } from 'yup'
import { signInSchema } from '@murrabel/contract'
import { CallProblem } from '../../api/call.ts'
import { useProblemTexts } from '../../composables/useProblemTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import WelcomePanel from './WelcomePanel.vue'
import { loadPage } from '../../loadPage.ts'
import { useBrand } from '../../stores/brand.ts'
import { useCounts } from '../../stores/counts.ts'

const { t } = useT()
const { field } = useProblemTexts()
const brand = useBrand()
const counts = useCounts()
const route = useRoute()
const router = useRouter()
const email = ref('')
const password = ref('')
const busy = ref(false)
/** Where one lands: what was asked for, of this application only. */
const to =
  typeof route.query.to === 'string' && route.query.to.startsWith('/') && !route.query.to.startsWith('//')
    ? route.query.to
    : '/inbox'
// Its code comes while somebody types.
onMounted(() => loadPage(router.resolve(to)))
const problem = ref<CallProblem | null>(null)
const fields = ref<Record<string, string>>({})

async function submit(): Promise<void> {
  problem.value = null
  fields.value = {}
  busy.value = true
  try {
    const given = await signInSchema.validate(
      { email: email.value, password: password.value },
      { abortEarly: false },
    )
    await brand.signIn(given)
    void counts.load().catch(() => {})
    await router.push(to)
  } catch (error) {
    if (error instanceof ValidationError)
      fields.value = Object.fromEntries(
        error.inner.map((e) => [e.path ?? '', field({ code: e.type ?? 'invalid', message: e.message })]),
      )
    else if (error instanceof CallProblem) problem.value = error
    else throw error
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <main class="page">
    <WelcomePanel />
    <form class="form" novalidate @submit.prevent="submit">
      <h2>{{ t('signIn.go') }}</h2>
      <label for="email">{{ t('signIn.email') }}</label>
      <el-input id="email" v-model="email" type="email" autocomplete="username" autofocus />
      <p v-if="fields.email" class="wrong">{{ fields.email }}</p>
      <label for="password">{{ t('signIn.password') }}</label>
      <el-input
        id="password"
        v-model="password"
        type="password"
        autocomplete="current-password"
        show-password
      />
      <p v-if="fields.password" class="wrong">{{ fields.password }}</p>
      <ProblemNote v-if="problem" :problem="problem" @again="submit" />
      <button class="button primary go" type="submit" :disabled="busy">
        {{ busy ? t('signIn.checking') : t('signIn.go') }}
      </button>
    </form>
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
  display: flex;
  flex-direction: column;
  gap: 6px;
}
h2 {
  font-size: 20px;
  line-height: 28px;
}
label {
  font-weight: 600;
  margin-top: 12px;
}
.wrong {
  color: var(--flare-text);
  font-size: 13px;
}
.go {
  margin-top: 18px;
  padding: 8px 12px;
}
@media (max-width: 900px) {
  .page {
    grid-template-columns: minmax(0, 340px);
    align-content: center;
  }
}
</style>
