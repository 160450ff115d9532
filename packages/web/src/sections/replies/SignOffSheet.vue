<script setup lang="ts">
import { reactive, watch } from 'vue'
import { routes, signOffSchema, type SignOffAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { useBrand } from '../../stores/brand.ts'

/** What stands under an answer, and who signs with it. */
const shown = defineModel<boolean>({ required: true })
const { signOff = null } = defineProps<{ signOff?: SignOffAnswer | null }>()
const emit = defineEmits<{ changed: []; removed: [signOff: SignOffAnswer] }>()
const { busy, problem, fields, run, check, forget } = useBusy()
const { t } = useTexts()
const brand = useBrand()
/** 0: everybody's. */
const draft = reactive({ text: '', whose: 0 })
watch(
  shown,
  (open) => {
    if (!open) return
    Object.assign(draft, {
      text: signOff?.text ?? '',
      whose: signOff ? (signOff.left ? 0 : (signOff.whose?.id ?? 0)) : 0,
    })
    forget()
  },
  { immediate: true },
)
async function save(): Promise<void> {
  const body = { text: draft.text, whose: draft.whose || null, edition: signOff?.edition }
  if (!check(signOffSchema, body)) return
  await run(async () => {
    await (signOff
      ? call(routes.changeSignOff, { params: { id: signOff.id }, body })
      : call(routes.keepSignOff, { body }))
    shown.value = false
    emit('changed')
  })
}
const remove = () =>
  run(async () => {
    await call(routes.removeSignOff, { params: { id: signOff!.id } })
    shown.value = false
    emit('removed', signOff!)
  })
</script>

<template>
  <el-drawer
    v-model="shown"
    :title="t(signOff ? 'replies.signOffs' : 'replies.addSignOff')"
    size="460px"
    append-to-body
  >
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
      <FormField :label="t('replies.signOffText')" name="text">
        <el-input
          v-model="draft.text"
          type="textarea"
          :autosize="{ minRows: 2, maxRows: 5 }"
          maxlength="200"
        />
      </FormField>
      <FormField :label="t('replies.whose')" name="whose">
        <el-select v-model="draft.whose">
          <el-option :value="0" :label="t('replies.everybody')" />
          <el-option
            v-for="each in brand.colleagues.filter(({ role }) => role !== 'reader')"
            :key="each.id"
            :value="each.id"
            :label="each.name"
          />
        </el-select>
      </FormField>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy">{{ t('replies.save') }}</button>
        <button v-if="signOff" type="button" class="button" :disabled="busy" @click="remove">
          {{ t('replies.remove') }}
        </button>
      </template>
    </DraftForm>
  </el-drawer>
</template>

<style scoped>
.button + .button {
  margin-left: 8px;
}
</style>
