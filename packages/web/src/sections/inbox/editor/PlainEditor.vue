<script setup lang="ts">
import { useTemplateRef } from 'vue'
import { insertText } from '../../../parts/insertText.ts'
import { gapIn, type TextEditor } from './textEditor.ts'

/** An answer of plain words. */
const text = defineModel<string>({ required: true })
const { lines = 3 } = defineProps<{ label: string; lines?: number }>()
const area = useTemplateRef<HTMLTextAreaElement>('area')

function show({ start, end }: { start: number; end: number }): void {
  area.value?.focus()
  area.value?.setSelectionRange(start, end)
}
defineExpose<TextEditor>({
  field: () => area.value,
  focus: () => area.value?.focus(),
  words: () => text.value,
  insert(plain) {
    const field = area.value
    if (!field) return
    field.focus()
    const at = field.selectionStart
    insertText(field, plain, (whole) => (text.value = whole))
    const gap = gapIn(plain)
    if (gap) show({ start: at + gap.start, end: at + gap.end })
  },
  append: (written) => (text.value = text.value.trim() ? `${text.value}\n${written}` : written),
  show,
})
</script>

<template>
  <textarea ref="area" v-model="text" :rows="lines" :placeholder="label" :aria-label="label" />
</template>

<style scoped>
textarea {
  width: 100%;
  font: inherit;
  line-height: 22px;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: var(--corner);
  padding: 8px 12px;
  resize: vertical;
}
</style>
