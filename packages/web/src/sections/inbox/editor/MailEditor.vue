<script setup lang="ts">
import { nextTick, onBeforeUnmount, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { Bold, Italic, Link, List, ListOrdered, TextQuote } from '@lucide/vue'
import { Editor } from '@tiptap/core'
import { escapeMarkup, plainOf, readMarkup } from '@murrabel/core/markup'
import { useT } from '../../../composables/useT.ts'
import { documentOf, layout, markupOf } from './markedText.ts'
import { gapIn, type TextEditor } from './textEditor.ts'

/** An answer by mail: words that can be laid out, kept as markup. */
const text = defineModel<string>({ required: true })
const { label } = defineProps<{ label: string }>()
const { t } = useT()
const box = useTemplateRef<HTMLElement>('box')
/** Its own state is no matter of Vue's; what is shown of it is read anew after each change. */
const editor = shallowRef<Editor | null>(null)
const on = ref<Record<string, boolean>>({})
/** What was last told, so that one's own words are not put back. */
let told = text.value

onMounted(() => {
  editor.value = new Editor({
    element: box.value!,
    extensions: layout,
    injectCSS: false,
    editorProps: {
      attributes: { role: 'textbox', 'aria-multiline': 'true', 'aria-label': label, class: 'mail-words' },
      // It sends; the editor would begin a new line.
      handleKeyDown: (_, event) => event.key === 'Enter' && (event.ctrlKey || event.metaKey),
    },
    onUpdate({ editor: now }) {
      told = markupOf(now.state.doc)
      text.value = told
    },
    onTransaction({ editor: now }) {
      on.value = Object.fromEntries(
        ['bold', 'italic', 'bulletList', 'orderedList', 'blockquote', 'link'].map((name) => [
          name,
          now.isActive(name),
        ]),
      )
    },
  })
  const begun = text.value
  put(begun)
  goOn(editor.value, /\S(\s+)$/.exec(begun)?.[1] ?? '')
})
/** What was typed before it was there may end with a space or a new line: the next word stands behind it. */
function goOn(now: Editor, ending: string): void {
  if (ending.includes('\n')) now.commands.splitBlock()
  const spaces = ending.split('\n').at(-1)
  if (spaces) now.view.dispatch(now.state.tr.insertText(spaces))
}
onBeforeUnmount(() => editor.value?.destroy())

function put(markup: string): void {
  const now = editor.value
  if (!now) return
  told = markup
  now.commands.setContent(documentOf(markup, now.schema).toJSON(), { emitUpdate: false })
  now.commands.setTextSelection(now.state.doc.content.size)
}
watch(text, (markup) => markup !== told && put(markup))

const run = (what: (chain: ReturnType<Editor['chain']>) => ReturnType<Editor['chain']>): void => {
  if (editor.value) what(editor.value.chain().focus()).run()
}

/** The address that the selected words are to lead to; null: none is asked for. */
const address = ref<string | null>(null)
const wrong = ref(false)
const addressField = useTemplateRef<HTMLInputElement>('addressField')
function link(): void {
  if (on.value['link']) run((chain) => chain.extendMarkRange('link').unsetLink())
  else {
    address.value = ''
    wrong.value = false
    void nextTick(() => addressField.value?.focus())
  }
}
function setLink(): void {
  const given = address.value?.trim() ?? ''
  const href = /^[a-z][a-z+.-]*:/i.test(given) ? given : `https://${given}`
  wrong.value = !given || !readMarkup.validateLink(href) || !URL.canParse(href)
  if (wrong.value) return
  address.value = null
  if (editor.value?.state.selection.empty)
    run((chain) =>
      chain.insertContent([
        { type: 'text', text: given, marks: [{ type: 'link', attrs: { href } }] },
        { type: 'text', text: ' ' },
      ]),
    )
  else run((chain) => chain.setLink({ href }))
}
function leaveLink(): void {
  address.value = null
  run((chain) => chain)
}

/** Where words stand in the document; null: they go over more than one block. */
function placeOf(words: string): { from: number; to: number } | null {
  let found: { from: number; to: number } | null = null
  editor.value?.state.doc.descendants((node, at) => {
    if (found || !node.isTextblock) return !found
    const start = node.textBetween(0, node.content.size, '\n', '\n').indexOf(words)
    if (start >= 0) found = { from: at + 1 + start, to: at + 1 + start + words.length }
    return false
  })
  return found
}
function show({ words }: { words: string }): void {
  const place = placeOf(words)
  run((chain) => (place ? chain.setTextSelection(place).scrollIntoView() : chain))
}
defineExpose<TextEditor>({
  field: () => editor.value?.view.dom ?? null,
  focus: () => editor.value?.view.focus(),
  words: () => plainOf(text.value),
  insert(plain) {
    const now = editor.value
    if (!now) return
    const blocks = documentOf(escapeMarkup(plain), now.schema).content
    // One paragraph goes on in the line where the cursor is.
    const content = blocks.childCount === 1 ? blocks.child(0).content : blocks
    run((chain) => chain.insertContent(content))
    const gap = gapIn(plain)
    if (gap) show(gap)
  },
  append: (written) => (text.value = text.value.trim() ? `${text.value}\n\n${written}` : written),
  show,
})
</script>

<template>
  <div class="mail-editor">
    <div class="tools" role="toolbar" :aria-label="t('inbox.layout.tools')">
      <button
        v-for="[name, icon, act] in [
          ['bold', Bold, () => run((chain) => chain.toggleBold())],
          ['italic', Italic, () => run((chain) => chain.toggleItalic())],
          ['bulletList', List, () => run((chain) => chain.toggleBulletList())],
          ['orderedList', ListOrdered, () => run((chain) => chain.toggleOrderedList())],
          ['blockquote', TextQuote, () => run((chain) => chain.toggleBlockquote())],
          ['link', Link, link],
        ] as const"
        :key="name"
        type="button"
        class="tool"
        :aria-label="t(`inbox.layout.${name}`)"
        :title="t(`inbox.layout.${name}`)"
        :aria-pressed="on[name] ?? false"
        @mousedown.prevent
        @click="act"
      >
        <component :is="icon" :size="16" />
      </button>
      <span
        v-if="address !== null"
        class="address"
        @keydown.enter.prevent.stop="setLink"
        @keydown.esc.stop="leaveLink"
      >
        <input
          ref="addressField"
          v-model="address"
          type="text"
          inputmode="url"
          maxlength="2000"
          :aria-label="t('inbox.layout.address')"
          :placeholder="t('inbox.layout.address')"
          :aria-invalid="wrong"
        />
        <button type="button" class="button" @click="setLink">{{ t('inbox.layout.setLink') }}</button>
        <span v-if="wrong" class="wrong" role="alert">{{ t('inbox.layout.wrong') }}</span>
      </span>
    </div>
    <div class="sheet">
      <span v-if="!text.trim()" class="hint" aria-hidden="true">{{ label }}</span>
      <div ref="box" class="marked" />
    </div>
  </div>
</template>

<style scoped>
.mail-editor {
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--sheet);
}
.mail-editor:focus-within {
  border-color: var(--control-line);
}
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px;
  padding: 3px 6px;
  border-bottom: 1px solid var(--line);
}
.tool {
  display: grid;
  place-items: center;
  width: 28px;
  height: 26px;
  padding: 0;
  border: 0;
  border-radius: var(--corner);
  background: none;
  color: var(--ink-soft);
  cursor: pointer;
}
.tool:hover {
  color: var(--ink);
}
.tool[aria-pressed='true'] {
  color: var(--deep);
  background: var(--deep-wash);
}
.address {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 6px;
  margin-left: 6px;
}
.address input {
  width: 220px;
  height: 26px;
  padding: 0 8px;
  font: inherit;
  font-size: 13px;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--control-line);
  border-radius: var(--corner);
}
.address .button {
  padding: 3px 8px;
  font-size: 13px;
}
.wrong {
  color: var(--flare-text);
  font-size: 13px;
}
.sheet {
  position: relative;
}
.hint {
  position: absolute;
  left: 12px;
  top: 8px;
  line-height: 22px;
  color: var(--ink-soft);
  pointer-events: none;
}
.sheet :deep(.mail-words) {
  min-height: 82px;
  max-height: 40vh;
  overflow-y: auto;
  padding: 8px 12px;
  white-space: break-spaces;
  outline: none;
}
.sheet :deep(.mail-words:focus-visible) {
  outline: 2px solid var(--deep);
  outline-offset: -1px;
  border-radius: var(--corner);
}
</style>

<style src="./marked.css" scoped></style>
