<script setup lang="ts">
import { reactive, watch } from 'vue'
import { newPersonSchema, routes } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useSheetDraft } from '../../composables/useSheetDraft.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'

/** Somebody whom no channel has brought. */
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ added: [id: number] }>()
const { busy, problem, fields, run, check, forget } = useBusy()
const { t } = useTexts()
const empty = { name: '', email: '', phone: '', note: '' }
const draft = reactive({ ...empty })
watch(shown, (open) => {
  if (!open) return
  Object.assign(draft, empty)
  forget()
})
useSheetDraft({
  shown,
  key: () => 'person.new',
  draft: () => ({ ...draft }),
  put: (kept) => Object.assign(draft, kept),
})
async function save(): Promise<void> {
  const { name, email, phone, note } = draft
  const body = { name, note, ...(email.trim() ? { email } : {}), ...(phone.trim() ? { phone } : {}) }
  if (!check(newPersonSchema, body)) return
  await run(async () => {
    const { id } = await call(routes.addPerson, { body })
    shown.value = false
    emit('added', id)
  })
}
</script>

<template>
  <el-drawer v-model="shown" :title="t('people.new')" size="420px" append-to-body>
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
      <FormField :label="t('people.name')" name="name">
        <el-input v-model="draft.name" maxlength="80" />
      </FormField>
      <FormField :label="t('people.way.email')" name="email">
        <el-input v-model="draft.email" maxlength="254" inputmode="email" />
      </FormField>
      <FormField :label="t('people.way.phone')" name="phone">
        <el-input v-model="draft.phone" maxlength="80" inputmode="tel" />
        <p class="soft hint">{{ t('people.phoneHint') }}</p>
      </FormField>
      <FormField :label="t('people.note')" name="note">
        <el-input v-model="draft.note" type="textarea" :rows="4" maxlength="2000" />
      </FormField>
      <p class="soft hint">{{ t('people.newHint') }}</p>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy">{{ t('people.save') }}</button>
      </template>
    </DraftForm>
  </el-drawer>
</template>

<style scoped>
.hint {
  font-size: 13px;
}
</style>
