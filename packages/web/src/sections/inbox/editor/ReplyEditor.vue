<script setup lang="ts">
import { computed, nextTick, onMounted, shallowRef, useTemplateRef, watch } from 'vue'
import type MailEditorType from './MailEditor.vue'
import PlainEditor from './PlainEditor.vue'
import type { TextEditor } from './textEditor.ts'

/**
 * Where an answer is written: with what the channel takes. What lays mails out is large and comes when somebody comes near, or has
 * begun; until then the same words are written plainly.
 */
const text = defineModel<string>({ required: true })
const { markup } = defineProps<{ markup: boolean; label: string }>()
type Laid = typeof MailEditorType
const MailEditor = shallowRef<Laid | null>(null)
const editor = useTemplateRef<TextEditor>('editor')

const coming = shallowRef(false)
/** Where one writes, the words and the cursor stay. */
async function fetchMail(): Promise<void> {
  const found = await import('./MailEditor.vue').catch(() => null)
  // Without it mails are written plainly; whoever comes near again tries again.
  coming.value = found !== null
  if (!found) return
  const had = editor.value?.field() === document.activeElement
  MailEditor.value = found.default
  // No key comes in between: what takes the place of the field has the focus before one is heard.
  await nextTick()
  if (had) editor.value?.focus()
}
function comeNear(): void {
  if (!markup || coming.value) return
  coming.value = true
  void fetchMail()
}
onMounted(() => text.value.trim() && comeNear())
watch(
  () => markup && text.value.trim() !== '',
  (begun) => begun && comeNear(),
)
const isMail = computed(() => markup && MailEditor.value !== null)

/** What is asked before it is there is done once it is. */
function whenThere(act: (there: TextEditor) => void): void {
  const isThere = () => (markup && coming.value ? isMail.value : true) && Boolean(editor.value?.field())
  if (isThere() && editor.value) return act(editor.value)
  const stop = watch(
    isThere,
    (there) => {
      if (!there || !editor.value) return
      stop()
      act(editor.value)
    },
    { flush: 'post' },
  )
}
// Who begins a mail takes the words along, and the other way round.
watch(
  () => markup,
  async (now) => {
    if (!text.value.trim()) return
    const { escapeMarkup, plainOf } = await import('@murrabel/core/markup')
    text.value = now ? escapeMarkup(text.value) : plainOf(text.value)
  },
)
defineExpose({
  whenThere,
  /** What is said, without marks. */
  words: () => editor.value?.words() ?? text.value,
  show: (span: { start: number; end: number; words: string }) => whenThere((there) => there.show(span)),
  append: (written: string) => whenThere((there) => there.append(written)),
  async insert(plain: string) {
    if (!text.value.trim()) text.value = ''
    comeNear()
    await nextTick()
    whenThere((there) => there.insert(plain))
  },
})
</script>

<template>
  <div @pointerenter="comeNear" @focusin="comeNear">
    <component :is="MailEditor" v-if="isMail" ref="editor" v-model="text" :label="label" />
    <PlainEditor v-else ref="editor" v-model="text" :label="label" :lines="markup ? 5 : 3" />
  </div>
</template>
