<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { routes, type NoteAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'

/** A note for colleagues, among what was said. */
const { note, thread } = defineProps<{ note: NoteAnswer; thread: number }>()
const emit = defineEmits<{ changed: [] }>()
const NoteBox = defineAsyncComponent(() => import('./NoteBox.vue'))
const { t, when, exact } = useTexts()
const brand = useBrand()
const undo = useUndo()
const attempt = useAttempt()
const editing = ref(false)
const mine = computed(() => note.by === brand.answer?.me.id && brand.may('answer'))

/** The names in it stand out. */
const pieces = computed(() => {
  const names = note.mentions.map((id) => `@${brand.colleagueName(id)}`).filter((name) => name.length > 1)
  const text = note.text
  const found = names
    .flatMap((name) => {
      const at = text.indexOf(name)
      return at < 0 ? [] : [{ at, name }]
    })
    .sort((a, b) => a.at - b.at)
  let from = 0
  const parts: { text: string; named: boolean }[] = []
  for (const { at, name } of found) {
    parts.push({ text: text.slice(from, at), named: false }, { text: name, named: true })
    from = at + name.length
  }
  return [...parts, { text: text.slice(from), named: false }].filter((part) => part.text)
})
const remove = () =>
  attempt(async () => {
    await call(routes.removeNote, { params: { id: note.id } })
    undo.tell({
      text: t('together.noteRemoved'),
      undo: () =>
        attempt(async () => {
          await call(routes.restoreNote, { params: { id: note.id } })
          emit('changed')
        }),
    })
    emit('changed')
  })
function saved(): void {
  editing.value = false
  emit('changed')
}
</script>

<template>
  <NoteBox v-if="editing" v-model="editing" :thread="thread" :note="note" @saved="saved" />
  <aside v-else class="note" :aria-label="t('together.note')" data-test="note">
    <p class="head">
      <b>{{ note.by === null ? t('log.gone') : brand.colleagueName(note.by) || t('log.gone') }}</b>
      {{ t('together.toColleagues') }}
      <time class="soft" :datetime="note.at" :title="exact(note.at)">{{ when(note.at) }}</time>
      <span v-if="note.editedAt" class="soft" :title="exact(note.editedAt)">{{ t('together.edited') }}</span>
      <template v-if="mine">
        <button type="button" class="plain" @click="editing = true">{{ t('together.edit') }}</button>
        <button type="button" class="plain" @click="remove">{{ t('together.remove') }}</button>
      </template>
    </p>
    <p class="text">
      <template v-for="(piece, i) in pieces" :key="i"
        ><b v-if="piece.named" class="named">{{ piece.text }}</b
        ><template v-else>{{ piece.text }}</template></template
      >
    </p>
  </aside>
</template>

<style scoped>
.note {
  margin: 14px 0;
  padding: 10px 14px;
  background: var(--note);
  border-left: 3px solid var(--glow);
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  margin: 0 0 2px;
  font-size: 13px;
}
.head .plain {
  min-height: 24px;
}
.text {
  margin: 0;
  white-space: pre-line;
  overflow-wrap: anywhere;
}
.named {
  color: var(--deep);
}
</style>
