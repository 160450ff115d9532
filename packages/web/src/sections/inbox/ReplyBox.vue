<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, useTemplateRef, watch } from 'vue'
import { useThrottleFn, useTimeoutFn } from '@vueuse/core'
import { useT } from '../../composables/useT.ts'
import type { ReplyDoubt } from '@murrabel/core/replies'
import { routes, type ThreadAnswer, type ThreadChangeAnswer } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useFocusReturn } from '../../composables/useFocusReturn.ts'
import AttachmentList from './AttachmentList.vue'
import ReplySize from './ReplySize.vue'
import { useReplyFiles } from './useReplyFiles.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import { usePresence } from '../../stores/presence.ts'
import ReplyDoubts from './ReplyDoubts.vue'
import { usePatterns } from '../../stores/patterns.ts'
import { signed } from '@murrabel/core/replies'
import { onDemand } from '../../parts/onDemand.ts'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import ReplyEditor from './editor/ReplyEditor.vue'
import EmojiMenu from './EmojiMenu.vue'
import LaterMenu from './LaterMenu.vue'
import SignOffMenu from './SignOffMenu.vue'
import StartMenu from './StartMenu.vue'
import WhoIsInThread from './WhoIsInThread.vue'
import WhileWriting from './WhileWriting.vue'
import { useDraft } from './useDraft.ts'

const { thread } = defineProps<{ thread: ThreadAnswer }>()
const emit = defineEmits<{
  otherWay: []
  sameWay: []
  sent: [answer: ThreadChangeAnswer, finished: boolean]
  changed: []
}>()
const { t } = useT()

const { text, inPrivate, restored, seen, news, takenBy, settle, clear: forget } = useDraft(() => thread)
const presence = usePresence()
const key = ref(crypto.randomUUID())
const busy = ref(false)
const problem = ref<CallProblem | null>(null)
const editor = useTemplateRef<InstanceType<typeof ReplyEditor>>('editor')
const focus = useFocusReturn()
const size = useTemplateRef<InstanceType<typeof ReplySize>>('size')
const { files, coming, tooMuch, noPicture, add, drop, ids, clear } = useReplyFiles(() => thread, problem)
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

const ApprovalSheet = onDemand(() => import('./ApprovalSheet.vue'))
const brand = useBrand()
const undo = useUndo()
const store = usePatterns()
const startMenu = useTemplateRef<InstanceType<typeof StartMenu>>('startMenu')
/** The pattern that was taken, as long as something of it may stand there. */
const pattern = ref<number | null>(null)
watch(text, (now) => now.trim() === '' && (pattern.value = null))
/** Whose name stands under it; the one that was signed with last is offered first. */
const signOff = ref<number | null>(null)
const offerLast = () => (signOff.value = store.signOffs?.find(({ last, left }) => last && !left)?.id ?? null)
const signOffText = computed(() => store.signOffs?.find(({ id }) => id === signOff.value)?.text ?? null)
onMounted(async () => {
  if (!store.signOffs) await store.loadSignOffs().catch(() => {})
  offerLast()
})
function withoutSignOff(returned: string): string {
  // In a mail the marks of its words are escaped.
  const bare = returned.replace(/\\([!-/:-@[-`{-~])/g, '$1')
  const end = store.signOffs?.find((each) => bare.endsWith(`\n\n${each.text}`))
  return end ? returned.split('\n').slice(0, -end.text.split('\n').length).join('\n').trimEnd() : returned
}
/** Puts a text where the cursor is; what is still to fill in is selected. */
function begin(start: string, from: number | null): void {
  void editor.value?.insert(start)
  if (from !== null) pattern.value = from
}

/** Whoever waits on the page sees that somebody writes; nothing is lost when that is not heard. */
const tellWriting = useThrottleFn(
  () => void call(routes.writing, { params: { id: thread.id } }).catch(() => {}),
  3000,
)
/** Colleagues see that somebody writes until the keys rest for a while. */
const { start: writeOn } = useTimeoutFn(() => (presence.writing = false), 20_000, { immediate: false })
function onInput(): void {
  presence.writing = text.value.trim() !== ''
  if (presence.writing) writeOn()
  if (thread.visitor && text.value.trim()) void tellWriting()
}
onUnmounted(() => (presence.writing = false))

/** What the writer may want to look at, and the text it was found in: sent once more as it is, it goes out. */
const doubts = ref<ReplyDoubt[]>([])
const looked = ref('')
const isPublic = computed(() => thread.reply.public && !inPrivate.value)
const asLooked = () => JSON.stringify([text.value, isPublic.value])
watch([text, isPublic], () => (doubts.value = []))
/** Whether it may go out: nothing was found, or was looked at. What cannot be checked is not held up. */
async function lookOver(): Promise<boolean> {
  if (looked.value === asLooked()) {
    doubts.value = []
    return true
  }
  const body = { text: editor.value?.words() ?? text.value, public: isPublic.value }
  doubts.value = await call(routes.checkReply, { params: { id: thread.id }, body }).catch(() => [])
  looked.value = asLooked()
  return doubts.value.length === 0
}

async function send(finish: boolean, { anyway = false, sendAt = null as string | null } = {}): Promise<void> {
  if (!text.value.trim() || isOver.value || busy.value) return
  busy.value = true
  problem.value = null
  try {
    await settle()
    if (!(await lookOver())) return
    const body = {
      text: text.value,
      key: key.value,
      edition: anyway ? thread.edition : seen.value,
      finish,
      anyway,
      attachments: ids(),
      private: inPrivate.value,
      pattern: pattern.value,
      signOff: signOff.value,
      sendAt,
    }
    const answer = await call(routes.reply, { params: { id: thread.id }, body })
    forget(answer.thread.edition)
    clear()
    presence.writing = false
    key.value = crypto.randomUUID()
    emit('sent', answer, finish)
    void store.loadSignOffs().catch(() => {})
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    problem.value = error
    if (error.problem.code === 'threadChanged') emit('changed')
    if (error.problem.code === 'signOffGone') await store.loadSignOffs().catch(() => {})
  } finally {
    busy.value = false
  }
}
/** A lead's word is asked first; the text is theirs until then. */
const asking = ref(false)
async function askApproval(of: number | null, comment: string): Promise<void> {
  await settle()
  await call(routes.askApproval, {
    params: { id: thread.id },
    body: {
      text: text.value,
      private: inPrivate.value,
      pattern: pattern.value,
      signOff: signOff.value,
      of,
      comment,
      attachments: ids(),
      key: key.value,
    },
  })
  forget(thread.edition)
  clear()
  presence.writing = false
  key.value = crypto.randomUUID()
  undo.tell({ text: t('approvals.asked') })
  emit('changed')
}
const canAsk = computed(() =>
  brand.colleagues.some(
    ({ id, role }) => (role === 'owner' || role === 'lead') && id !== brand.answer?.me.id,
  ),
)
function onKey(event: KeyboardEvent): void {
  if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
    event.preventDefault()
    void send(true)
  } else if (event.key === 'Escape') focus.back()
}
defineExpose({
  focus: () =>
    editor.value?.whenThere((there) => {
      focus.go(there.field())
      there.focus()
    }),
  openStarts: () => startMenu.value?.open(),
  /** A text that comes back to its writer; the sign-off is put under it anew. */
  put(returned: string): void {
    editor.value?.append(withoutSignOff(returned))
    // Whoever takes it back knows of that.
    seen.value = thread.edition
  },
})
</script>

<template>
  <form class="reply" @submit.prevent="send(true)">
    <p class="as">
      {{
        isPublic
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
      <EmojiMenu @choose="(emoji) => void editor?.insert(emoji)" />
      <SignOffMenu v-model="signOff" />
      <WhoIsInThread :thread="thread.id" />
      <ReplySize ref="size" :text="signed(text, signOffText)" :most="thread.reply" />
    </p>
    <WhileWriting :news="news" :taken-by="takenBy" :restored="restored" />
    <div @keydown="onKey" @input="onInput" @paste.capture="take" @drop.capture="take">
      <ReplyEditor
        ref="editor"
        v-model="text"
        :markup="thread.reply.markup"
        :label="t('inbox.placeholder')"
      />
    </div>
    <AttachmentList :files="files" droppable @drop="drop" />
    <p v-if="tooMuch" class="past">{{ t('inbox.files.tooMuch') }}</p>
    <p v-if="noPicture" class="past" role="alert">{{ t('inbox.files.onlyPictures') }}</p>
    <ReplyDoubts v-if="doubts.length" :doubts="doubts" @show="(span) => editor?.show(span)" />
    <ProblemNote v-if="problem" :problem="problem" @again="send(true)" />
    <div class="actions">
      <button type="submit" class="button primary" :disabled="!text.trim() || isOver || busy">
        {{ doubts.length ? t('replies.anyway') : t('inbox.sendFinish') }}<span class="key">Ctrl ↵</span>
      </button>
      <button type="button" class="button" :disabled="!text.trim() || isOver || busy" @click="send(false)">
        {{ t('inbox.send') }}
      </button>
      <button
        v-if="problem?.problem.code === 'threadChanged'"
        type="button"
        class="button"
        @click="send(true, { anyway: true })"
      >
        {{ t('inbox.sendAnyway') }}
      </button>
      <LaterMenu
        :disabled="!text.trim() || isOver || busy"
        :due-at="thread.dueAt"
        @choose="(sendAt) => send(true, { sendAt })"
      />
      <button
        v-if="canAsk"
        type="button"
        class="button"
        :disabled="!text.trim() || isOver || busy"
        @click="asking = true"
      >
        {{ t('approvals.ask') }}
      </button>
      <StartMenu ref="startMenu" :thread="thread" @start="begin" />
      <slot />
    </div>
    <ApprovalSheet v-model="asking" :ask="askApproval" />
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
  gap: 4px;
  align-items: center;
  margin-top: 8px;
}
.actions .button,
.actions :deep(.button) {
  padding: 5px 6px;
  font-size: 13px;
}
.past {
  color: var(--flare-text);
  font-weight: 600;
}
</style>
