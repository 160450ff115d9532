<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useT } from '../../composables/useT.ts'
import { routes, type ThreadAnswer, type ThreadChangeAnswer } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useFocusReturn } from '../../composables/useFocusReturn.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import { keepDraft, readDraft } from './replyDrafts.ts'

const { thread } = defineProps<{ thread: ThreadAnswer }>()
const emit = defineEmits<{ sent: [answer: ThreadChangeAnswer, finished: boolean]; changed: [] }>()
const { t } = useT()

const text = ref(readDraft(thread.id))
const key = ref(crypto.randomUUID())
const busy = ref(false)
const problem = ref<CallProblem | null>(null)
const area = useTemplateRef<HTMLTextAreaElement>('area')
const focus = useFocusReturn()
// What the writer has seen; a later edition means that somebody acted meanwhile.
const seen = ref(thread.edition)
const left = computed(() => thread.reply.maxLength - text.value.length)

watch(text, (now) => keepDraft(thread.id, now))
watch(
  () => thread.edition,
  (edition) => {
    if (!text.value.trim()) seen.value = edition
  },
)

async function send(finish: boolean, anyway = false): Promise<void> {
  if (!text.value.trim() || left.value < 0 || busy.value) return
  busy.value = true
  problem.value = null
  try {
    const body = {
      text: text.value,
      key: key.value,
      edition: anyway ? thread.edition : seen.value,
      finish,
      anyway,
    }
    const answer = await call(routes.reply, { params: { id: thread.id }, body })
    text.value = ''
    keepDraft(thread.id, '')
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
        thread.reply.public
          ? t('inbox.publicAnswer', { profile: thread.reply.as })
          : t('inbox.privateAnswer', { profile: thread.reply.as })
      }}
      <span v-if="thread.reply.reason === 'expired'" class="past"
        >{{ t('inbox.noReply.expired') }}
        <RouterLink to="/set-up/profiles">{{ t('inbox.renew') }}</RouterLink></span
      >
      <span class="size" :class="{ past: left < 0 }">{{
        left < 0
          ? t('inbox.tooLong', { n: -left })
          : t('inbox.of', { n: text.length, max: thread.reply.maxLength })
      }}</span>
    </p>
    <textarea
      ref="area"
      v-model="text"
      rows="3"
      :placeholder="t('inbox.placeholder')"
      :aria-label="t('inbox.placeholder')"
      @keydown="onKey"
    />
    <ProblemNote v-if="problem" :problem="problem" @again="send(true)" />
    <div class="actions">
      <button type="submit" class="button primary" :disabled="!text.trim() || left < 0 || busy">
        {{ t('inbox.sendFinish') }}<span class="key">Ctrl ↵</span>
      </button>
      <button type="button" class="button" :disabled="!text.trim() || left < 0 || busy" @click="send(false)">
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
  gap: 12px;
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
.size {
  margin-left: auto;
  font-size: 13px;
  color: var(--ink-soft);
}
.past {
  color: var(--flare-text);
  font-weight: 600;
}
</style>
