<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import { noteSchema, routes, type NoteAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { useBrand } from '../../stores/brand.ts'

/** Writes a note for colleagues, or changes one; whoever is named with an @ is told. */
const shown = defineModel<boolean>({ required: true })
const { thread, note = null } = defineProps<{ thread: number; note?: NoteAnswer | null }>()
const emit = defineEmits<{ saved: [] }>()
const { t, list } = useTexts()
const brand = useBrand()
const { busy, problem, fields, run, check } = useBusy()
const text = ref(note?.text ?? '')
const box = useTemplateRef<HTMLElement>('box')

const names = computed(() =>
  brand.colleagues
    .filter(({ id }) => id !== brand.answer?.me.id)
    .map(({ name }) => ({ value: name, label: name })),
)
const mentions = computed(() =>
  brand.colleagues.filter(({ name }) => text.value.includes(`@${name}`)).map(({ id }) => id),
)
/** Of those whom it names, those who may not see the thread. */
const blind = computed(() =>
  problem.value?.problem.code === 'noteForNobody'
    ? list(fields.value.map(({ value }) => brand.colleagueName(Number(value))))
    : '',
)
async function save(): Promise<void> {
  const body = { text: text.value, mentions: mentions.value, edition: note?.edition }
  if (busy.value || !check(noteSchema, body)) return
  await run(async () => {
    if (note) await call(routes.changeNote, { params: { id: note.id }, body })
    else await call(routes.addNote, { params: { id: thread }, body })
    text.value = ''
    emit('saved')
  })
}
onMounted(() => box.value?.querySelector('textarea')?.focus())
</script>

<template>
  <div ref="box" class="note-box">
    <DraftForm :problem="blind ? null : problem" :fields="blind ? [] : fields" @send="save" @again="save">
      <FormField :label="t('together.noteLabel')" name="text">
        <el-mention
          v-model="text"
          type="textarea"
          :options="names"
          :autosize="{ minRows: 2, maxRows: 10 }"
          maxlength="5000"
          :placeholder="t('together.notePlaceholder')"
          @keydown.ctrl.enter.prevent="save"
          @keydown.meta.enter.prevent="save"
          @keydown.esc="shown = false"
        />
      </FormField>
      <p v-if="blind" class="past" role="alert">{{ t('together.blind', { names: blind }) }}</p>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy || !text.trim()">
          {{ note ? t('together.saveNote') : t('together.addNote') }}<span class="key">Ctrl ↵</span>
        </button>
        <button type="button" class="button" @click="shown = false">{{ t('together.cancel') }}</button>
      </template>
    </DraftForm>
  </div>
</template>

<style scoped>
.note-box {
  padding: 12px 28px 14px;
  background: var(--note);
  border-top: 1px solid var(--line);
}
.button {
  margin-right: 8px;
}
.past {
  color: var(--flare-text);
  font-weight: 600;
}
</style>
