<script setup lang="ts">
import { computed, reactive, shallowRef, watch } from 'vue'
import { dataRequestSchema, routes, type DataRequest } from '@murrabel/contract'
import { addressOf, call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { useUndo } from '../../stores/undo.ts'

/** What somebody asks for of their own data: to have it, or to have it erased. */
const shown = defineModel<boolean>({ required: true })
const { person, name, kind } = defineProps<{ person: number; name: string; kind: DataRequest['kind'] }>()
const emit = defineEmits<{ changed: [] }>()
const { busy, problem, fields, run, check, forget } = useBusy()
const { t, number } = useTexts()
const undo = useUndo()
const draft = reactive({ askedBy: '', name: '' })
const made = shallowRef<DataRequest | null>(null)
const file = computed(() =>
  made.value ? addressOf(routes.handOut, { params: { id: person, request: made.value.id } }) : '',
)
watch(
  shown,
  (open) => {
    if (!open) return
    Object.assign(draft, { askedBy: '', name: '' })
    made.value = null
    forget()
  },
  { immediate: true },
)
/** What cannot be undone is not done by a slip of the hand. */
const sure = computed(() => kind === 'handOut' || draft.name.trim() === name)
async function send(): Promise<void> {
  const body = { askedBy: draft.askedBy }
  if (!check(dataRequestSchema, body)) return
  await run(async () => {
    const params = { id: person }
    if (kind === 'handOut') {
      made.value = await call(routes.askHandOut, { params, body })
      return
    }
    const { counts } = await call(routes.erasePerson, { params, body })
    shown.value = false
    undo.tell({ text: t('people.data.erased', { n: number(counts.entries) }, counts.entries) })
    emit('changed')
  })
}
</script>

<template>
  <el-drawer v-model="shown" :title="t(`people.data.title.${kind}`)" size="440px" append-to-body>
    <DraftForm :problem="problem" :fields="fields" @send="send" @again="send">
      <p>{{ t(`people.data.text.${kind}`, { name }) }}</p>
      <FormField :label="t('people.data.askedBy')" name="askedBy">
        <el-input v-model="draft.askedBy" maxlength="200" :placeholder="t('people.data.askedByHint')" />
      </FormField>
      <FormField v-if="kind === 'erase'" :label="t('people.data.typeName', { name })" name="name">
        <el-input v-model="draft.name" maxlength="200" autocomplete="off" />
      </FormField>
      <p v-if="made" class="made" role="status">
        <a class="button primary" :href="file" :download="`murrabel-person-${person}.zip`">{{
          t('people.data.load')
        }}</a>
        <small class="soft">{{
          t('people.data.holds', {
            entries: number(made.counts.entries),
            answers: number(made.counts.answers),
            files: number(made.counts.attachments),
            visits: number(made.counts.visits),
          })
        }}</small>
      </p>
      <template #actions>
        <button v-if="!made" type="submit" class="button primary" :disabled="busy || !sure">
          {{ t(`people.data.go.${kind}`) }}
        </button>
      </template>
    </DraftForm>
  </el-drawer>
</template>

<style scoped>
p {
  margin-bottom: 12px;
}
.made {
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: flex-start;
}
.made .button {
  text-decoration: none;
}
</style>
