<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useThrottleFn } from '@vueuse/core'
import { useT } from '../../composables/useT.ts'
import { routes, type ThreadAnswer, type ThreadChangeAnswer } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useFocusReturn } from '../../composables/useFocusReturn.ts'
import AttachmentList from './AttachmentList.vue'
import ReplySize from './ReplySize.vue'
import { useReplyFiles } from './useReplyFiles.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import { keepDraft, readDraft } from './replyDrafts.ts'

const { thread } = defineProps<{ thread: ThreadAnswer }>()
const emit = defineEmits<{
  otherWay: []
  sameWay: []
  sent: [answer: ThreadChangeAnswer, finished: boolean]
  changed: []
}>()
const { t } = useT()

const text = ref(readDraft(thread.id))
const key = ref(crypto.randomUUID())
/** Although what is answered is public. */
const inPrivate = ref(false)
const busy = ref(false)
const problem = ref<CallProblem | null>(null)
const area = useTemplateRef<HTMLTextAreaElement>('area')
const focus = useFocusReturn()
// What the writer has seen; a later edition means that somebody acted meanwhile.
const seen = ref(thread.edition)
const size = useTemplateRef<InstanceType<typeof ReplySize>>('size')
const { files, coming, tooMuch, noPicture, add, drop, ids, clear } = useReplyFiles(
  () => thread.reply,
  problem,
)
const isOver = computed(() => (size.value?.over ?? false) || tooMuch.value || coming.value > 0)
function choose(event: Event): void {
  const input = event.target as HTMLInputElement
  void add([...(input.files ?? [])])
  input.value = ''
}
/** Pictures can be pasted, and files dropped, where the channel takes them. */
function take(event: ClipboardEvent | DragEvent): void {
  const given = 'clipboardData' in event ? event.clipboardData : event.dataTransfer
  if (!thread.reply.files || !given?.files.length) return
  event.preventDefault()
  void add([...given.files])
}

watch(text, (now) => keepDraft(thread.id, now))
/** Whoever waits on the page sees that somebody writes; nothing is lost when that is not heard. */
const tellWriting = useThrottleFn(
  () => void call(routes.writing, { params: { id: thread.id } }).catch(() => {}),
  3000,
)
function onInput(): void {
  if (thread.visitor && text.value.trim()) void tellWriting()
}
watch(
  () => thread.edition,
  (edition) => {
    if (!text.value.trim()) seen.value = edition
  },
)

async function send(finish: boolean, anyway = false): Promise<void> {
  if (!text.value.trim() || isOver.value || busy.value) return
  busy.value = true
  problem.value = null
  try {
    const body = {
      text: text.value,
      key: key.value,
      edition: anyway ? thread.edition : seen.value,
      finish,
      anyway,
      attachments: ids(),
      private: inPrivate.value,
    }
    const answer = await call(routes.reply, { params: { id: thread.id }, body })
    text.value = ''
    keepDraft(thread.id, '')
    clear()
    inPrivate.value = false
    key.value = crypto.randomUUID()
    seen.value = answer.thread.edition
    emit('sent', answer, finish)
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    problem.value = error
    if (error.problem.code === 'threadChanged') emit('changed')
  } finally {
    busy.value = false
  }
}
function onKey(event: KeyboardEvent): void {
  if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
    event.preventDefault()
    void send(true)
  } else if (event.key === 'Escape') focus.back()
}
defineExpose({
  focus: () => focus.go(area.value),
  put: (back: string) => (text.value = text.value.trim() ? `${text.value}\n${back}` : back),
})
</script>

<template>
  <form class="reply" @submit.prevent="send(true)">
    <p class="as">
      {{
        thread.reply.public && !inPrivate
          ? t('inbox.publicAnswer', { profile: thread.reply.as })
          : t('inbox.privateAnswer', { profile: thread.reply.as })
      }}
      <button
        v-if="thread.reply.privately"
        type="button"
        class="plain switch"
        data-test="in-private"
        @click="inPrivate = !inPrivate"
      >
        {{ inPrivate ? t('inbox.answerInPublic') : t('inbox.answerInPrivate') }}
      </button>
      <template v-if="thread.reply.handedOff">
        <b data-test="handed-off">{{ t('inbox.handOff.to', { address: thread.reply.handedOff.address }) }}</b>
        <button v-if="!thread.visitor" type="button" class="plain switch" @click="emit('sameWay')">
          {{ t('inbox.handOff.back') }}
        </button>
      </template>
      <button
        v-else-if="thread.channel !== 'email'"
        type="button"
        class="plain switch"
        data-test="other-way"
        @click="emit('otherWay')"
      >
        {{ t('inbox.handOff.open') }}
      </button>
      <span v-if="thread.reply.reason === 'expired'" class="past"
        >{{ t('inbox.noReply.expired') }}
        <RouterLink to="/set-up/profiles">{{ t('inbox.renew') }}</RouterLink></span
      >
      <label v-if="thread.reply.files" class="plain files">
        {{
          coming
            ? t('inbox.files.coming', { n: coming }, coming)
            : thread.reply.files.pictures
              ? t('inbox.files.addPictures')
              : t('inbox.files.add')
        }}
        <input
          type="file"
          multiple
          :accept="thread.reply.files.pictures ? 'image/jpeg,image/png,image/webp,image/gif' : undefined"
          class="reader-only"
          data-test="add-files"
          @change="choose"
        />
      </label>
      <ReplySize ref="size" :text="text" :most="thread.reply" />
    </p>
    <textarea
      ref="area"
      v-model="text"
      rows="3"
      :placeholder="t('inbox.placeholder')"
      :aria-label="t('inbox.placeholder')"
      @keydown="onKey"
      @input="onInput"
      @paste="take"
      @drop="take"
    />
    <AttachmentList :files="files" droppable @drop="drop" />
    <p v-if="tooMuch" class="past">{{ t('inbox.files.tooMuch') }}</p>
    <p v-if="noPicture" class="past" role="alert">{{ t('inbox.files.onlyPictures') }}</p>
    <ProblemNote v-if="problem" :problem="problem" @again="send(true)" />
    <div class="actions">
      <button type="submit" class="button primary" :disabled="!text.trim() || isOver || busy">
        {{ t('inbox.sendFinish') }}<span class="key">Ctrl ↵</span>
      </button>
      <button type="button" class="button" :disabled="!text.trim() || isOver || busy" @click="send(false)">
        {{ t('inbox.send') }}
      </button>
      <button
        v-if="problem?.problem.code === 'threadChanged'"
        type="button"
        class="button"
        @click="send(true, true)"
      >
        {{ t('inbox.sendAnyway') }}
      </button>
      <slot />
    </div>
  </form>
</template>

<style scoped>
.reply {
  border-top: 1px solid var(--line);
  background: var(--sheet);
  padding: 12px 28px 14px;
}
.as {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  font-size: 13px;
  color: var(--ink-soft);
  margin-bottom: 6px;
}
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
/* Links within the line. */
.switch,
.files {
  cursor: pointer;
  color: var(--deep);
  border-bottom: 1px dotted currentcolor;
}
.files:focus-within {
  outline: 2px solid var(--deep);
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  margin-top: 8px;
}
.actions .button,
.actions :deep(.button) {
  padding: 5px 8px;
}
.past {
  color: var(--flare-text);
  font-weight: 600;
}
</style>
