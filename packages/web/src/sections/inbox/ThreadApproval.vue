<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { decisionSchema, routes, type ApprovalAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import AttachmentList from './AttachmentList.vue'
import ReplyEditor from './editor/ReplyEditor.vue'

const MarkedText = defineAsyncComponent(() => import('./editor/MarkedText.vue'))

/** An answer that waits for a lead's word, or what became of it, among what was said. */
const { approval, markup } = defineProps<{
  approval: ApprovalAnswer
  /** The answer is laid out. */
  markup: boolean
}>()
const emit = defineEmits<{ changed: []; putBack: [text: string] }>()
const { t, when, exact } = useTexts()
const brand = useBrand()
const undo = useUndo()
const { busy, problem, fields, run, check } = useBusy()
const nameOf = (id: number | null) => (id === null ? t('log.gone') : brand.colleagueName(id) || t('log.gone'))
const mine = computed(() => approval.by === brand.answer?.me.id)
const waits = computed(() => approval.state === 'asked')
const decides = computed(() => waits.value && !mine.value && brand.mayCall('decideApproval'))
const text = ref(approval.text)
const word = ref('')
const returning = ref(false)

const title = computed(() => {
  const name = nameOf(approval.by)
  const whose = approval.of === null ? null : nameOf(approval.of)
  if (approval.state === 'asked') {
    if (mine.value) return whose ? t('approvals.mineOf', { whose }) : t('approvals.mine')
    return whose ? t('approvals.titleOf', { name, whose }) : t('approvals.title', { name })
  }
  const by = nameOf(approval.decidedBy)
  if (approval.state === 'approved')
    return t(approval.sentText === null ? 'approvals.approved' : 'approvals.approvedChanged', { name: by })
  return t(approval.state === 'returned' ? 'approvals.returned' : 'approvals.withdrawn', { name: by })
})
const decide = (approve: boolean) => {
  const body = { approve, text: approve && text.value !== approval.text ? text.value : '', word: word.value }
  if (!check(decisionSchema, body)) return
  return run(async () => {
    await call(routes.decideApproval, { params: { id: approval.id }, body })
    undo.tell({
      text: approve ? t('approvals.sent') : t('approvals.wentBack', { name: nameOf(approval.by) }),
    })
    emit('changed')
  })
}
const takeBack = () =>
  run(async () => {
    await call(routes.takeBackApproval, { params: { id: approval.id } })
    if (mine.value) {
      emit('putBack', approval.text)
      undo.tell({ text: t('approvals.takenBack') })
    }
    emit('changed')
  })
</script>

<template>
  <aside class="approval" :class="{ waits }" :aria-label="title" data-test="approval">
    <p class="head">
      <b>{{ title }}</b>
      <time
        class="soft"
        :datetime="approval.decidedAt ?? approval.askedAt"
        :title="exact(approval.decidedAt ?? approval.askedAt)"
        >{{ when(approval.decidedAt ?? approval.askedAt) }}</time
      >
    </p>
    <p v-if="approval.comment && waits" class="word">“{{ approval.comment }}”</p>
    <p v-if="approval.word" class="word">“{{ approval.word }}”</p>
    <DraftForm
      v-if="decides"
      :problem="problem"
      :fields="fields"
      @send="decide(!returning)"
      @again="decide(!returning)"
    >
      <FormField :label="t('approvals.text')" name="text">
        <ReplyEditor v-if="markup" v-model="text" markup :label="t('approvals.text')" class="edited" />
        <el-input
          v-else
          v-model="text"
          type="textarea"
          :autosize="{ minRows: 3, maxRows: 12 }"
          maxlength="10000"
        />
      </FormField>
      <FormField v-if="returning" :label="t('approvals.word')" name="word">
        <el-input v-model="word" type="textarea" :autosize="{ minRows: 2, maxRows: 5 }" maxlength="1000" />
      </FormField>
      <template #actions>
        <button v-if="!returning" type="submit" class="button primary" :disabled="busy">
          {{ t('approvals.approve') }}
        </button>
        <button v-if="!returning" type="button" class="button" :disabled="busy" @click="returning = true">
          {{ t('approvals.return') }}
        </button>
        <template v-else>
          <button type="submit" class="button primary" :disabled="busy">{{ t('approvals.return') }}</button>
          <button type="button" class="button" :disabled="busy" @click="returning = false">
            {{ t('lenses.cancel') }}
          </button>
        </template>
      </template>
    </DraftForm>
    <AttachmentList v-if="approval.files.length && approval.state === 'asked'" :files="approval.files" />
    <template v-if="!decides">
      <component
        :is="approval.state === 'approved' ? 'details' : 'div'"
        v-if="approval.state !== 'approved' || approval.sentText !== null"
      >
        <summary v-if="approval.state === 'approved'">{{ t('approvals.before') }}</summary>
        <MarkedText v-if="markup" :markup="approval.text" class="text" />
        <p v-else class="text lines">{{ approval.text }}</p>
      </component>
      <p v-if="mine && brand.may('answer') && (waits || approval.state === 'returned')" class="acts">
        <button v-if="waits" type="button" class="plain" :disabled="busy" @click="takeBack">
          {{ t('approvals.takeBack') }}
        </button>
        <button v-else type="button" class="plain" @click="emit('putBack', approval.text)">
          {{ t('approvals.again') }}
        </button>
      </p>
    </template>
  </aside>
</template>

<style scoped>
.approval {
  max-width: 640px;
  margin: 14px 0;
  padding: 10px 14px;
  background: var(--paper);
  border-left: 3px solid var(--line);
}
.approval.waits {
  background: var(--note);
  border-color: var(--glow);
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  margin: 0 0 4px;
  font-size: 13px;
}
.word {
  margin: 0 0 6px;
}
.edited {
  width: 100%;
}
.text {
  margin: 0;
  overflow-wrap: anywhere;
}
.lines {
  white-space: pre-line;
}
details .text {
  margin-top: 4px;
}
summary {
  cursor: pointer;
  font-size: 13px;
  color: var(--deep);
}
.acts {
  margin: 6px 0 0;
  font-size: 13px;
}
.acts .plain {
  cursor: pointer;
  color: var(--deep);
}
.button + .button {
  margin-left: 6px;
}
</style>
