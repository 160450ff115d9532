<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { renderSVG } from 'uqr'
import { codeSchema, provenSchema, routes, type SecondFactorBegun } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useAsked } from '../../composables/useAsked.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import ShownOnce from '../../parts/ShownOnce.vue'

/** One's own second factor: switched on with an app, off, and the codes for the day the app is out of reach. */
const { t, day, number } = useTexts()
const { busy, problem, fields, run, check, forget } = useBusy()
const always = computed<[string, string][]>(() => [])
const own = useAsked(routes.secondFactor, always)
/** What the password is asked for. */
const wanted = ref<'begin' | 'end' | 'codes' | null>(null)
const password = ref('')
const code = ref('')
const begun = shallowRef<SecondFactorBegun | null>(null)
const codes = shallowRef<string[] | null>(null)
const picture = computed(() =>
  begun.value ? `data:image/svg+xml,${encodeURIComponent(renderSVG(begun.value.uri, { border: 2 }))}` : '',
)
function want(what: typeof wanted.value): void {
  forget()
  wanted.value = what
  password.value = ''
  code.value = ''
  begun.value = null
  codes.value = null
}
async function prove(): Promise<void> {
  const body = { password: password.value }
  if (!check(provenSchema, body)) return
  await run(async () => {
    if (wanted.value === 'begin') begun.value = await call(routes.beginSecondFactor, { body })
    if (wanted.value === 'end') await call(routes.endSecondFactor, { body })
    if (wanted.value === 'codes') codes.value = (await call(routes.newRecoveryCodes, { body })).codes
    wanted.value = null
    await own.load()
  })
}
async function confirm(): Promise<void> {
  const body = { code: code.value }
  if (!check(codeSchema, body)) return
  await run(async () => {
    codes.value = (await call(routes.confirmSecondFactor, { body })).codes
    begun.value = null
    await own.load()
  })
}
</script>

<template>
  <section v-if="own.answer.value" data-test="second-factor">
    <p v-if="!begun" class="state">
      {{
        own.answer.value.since
          ? t(
              'account.factorOn',
              { date: day(own.answer.value.since), n: number(own.answer.value.codesLeft) },
              own.answer.value.codesLeft,
            )
          : t('account.factorOff')
      }}
    </p>
    <ShownOnce
      v-if="codes"
      :text="codes.join('  ')"
      :label="t('account.factorCodes')"
      :hint="t('account.factorCodesHint')"
    />
    <DraftForm v-if="wanted" class="form" :problem="problem" :fields="fields" @send="prove" @again="prove">
      <FormField :label="t('account.factorProve')" name="password">
        <el-input v-model="password" type="password" autocomplete="current-password" show-password />
      </FormField>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy">{{ t('account.factorGo') }}</button>
        <button type="button" class="button" @click="want(null)">{{ t('account.cancel') }}</button>
      </template>
    </DraftForm>
    <DraftForm
      v-else-if="begun"
      class="form"
      :problem="problem"
      :fields="fields"
      @send="confirm"
      @again="confirm"
    >
      <p>{{ t('account.factorScan') }}</p>
      <img :src="picture" :alt="t('account.factorPicture')" width="184" height="184" />
      <p>
        {{ t('account.factorKey') }}
        <code data-test="secret">{{ begun.secret.replace(/(.{4})(?=.)/g, '$1 ') }}</code>
      </p>
      <FormField :label="t('account.factorCode')" name="code">
        <el-input v-model="code" inputmode="numeric" autocomplete="one-time-code" maxlength="8" />
      </FormField>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy">
          {{ t('account.factorConfirm') }}
        </button>
        <button type="button" class="button" @click="want(null)">{{ t('account.cancel') }}</button>
      </template>
    </DraftForm>
    <div v-else class="actions">
      <button v-if="!own.answer.value.since" type="button" class="button" @click="want('begin')">
        {{ t('account.factorBegin') }}
      </button>
      <template v-else>
        <button type="button" class="button" @click="want('codes')">
          {{ t('account.factorNewCodes') }}
        </button>
        <button type="button" class="button" @click="want('end')">{{ t('account.factorEnd') }}</button>
      </template>
    </div>
  </section>
</template>

<style scoped>
section {
  margin-bottom: 30px;
}
.state {
  max-width: 620px;
  margin-bottom: 10px;
}
.form {
  max-width: 420px;
}
img {
  display: block;
  margin: 10px 0;
  border: 1px solid var(--line);
}
code {
  display: block;
  overflow-wrap: anywhere;
  margin-bottom: 10px;
}
.actions,
.form :deep(.actions) {
  display: flex;
  gap: 8px;
}
.form .button + .button {
  margin-left: 8px;
}
</style>
