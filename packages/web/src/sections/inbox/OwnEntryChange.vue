<script setup lang="ts">
import { computed, ref } from 'vue'
import { ElMessageBox } from 'element-plus'
import { routes, type ThreadEntry } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useT } from '../../composables/useT.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import { useUndo } from '../../stores/undo.ts'
import ActionLine from './ActionLine.vue'

/** What can still be done with an answer that has gone out: other words for it, or taking it back. */
const { entry, most } = defineProps<{
  entry: ThreadEntry
  /** Characters that fit there. */
  most: number
}>()
const emit = defineEmits<{ retry: [id: number]; drop: [id: number] }>()
const { t } = useT()
const undo = useUndo()
const { busy, problem, run } = useBusy()
const text = ref<string | null>(null)
const left = computed(() => most - (text.value?.length ?? 0))

const save = () =>
  run(async () => {
    const body = { text: text.value ?? '', key: crypto.randomUUID() }
    await call(routes.changeReply, { params: { id: entry.id }, body })
    text.value = null
  })
async function takeBack(): Promise<void> {
  const sure = await ElMessageBox.confirm(t('inbox.change.takeBackSure'), {
    confirmButtonText: t('inbox.change.takeBack'),
    cancelButtonText: t('watch.form.cancel'),
  }).catch(() => null)
  if (!sure) return
  await run(async () => {
    await call(routes.takeBackReply, { params: { id: entry.id }, body: { key: crypto.randomUUID() } })
    undo.tell({ text: t('inbox.change.takingBack') })
  })
}
</script>

<template>
  <form v-if="text !== null" class="form" @submit.prevent="save">
    <textarea v-model="text" rows="3" :aria-label="t('inbox.change.words')" @keydown.esc.stop="text = null" />
    <p class="acts">
      <button type="submit" class="button primary" :disabled="busy || !text.trim() || left < 0">
        {{ t('inbox.change.save') }}
      </button>
      <button type="button" class="button" @click="text = null">{{ t('watch.form.cancel') }}</button>
      <span class="soft size" :class="{ past: left < 0 }">{{
        left < 0 ? t('inbox.tooLong', { n: -left }, -left) : t('inbox.of', { n: text.length, max: most })
      }}</span>
    </p>
  </form>
  <ActionLine
    v-else-if="entry.change"
    data-test="change"
    :action="entry.change"
    :text="t(`inbox.change.${entry.change.kind}.${entry.change.state === 'failed' ? 'failed' : 'waiting'}`)"
    :drop-text="t('inbox.change.drop')"
    @retry="(id) => emit('retry', id)"
    @drop="(id) => emit('drop', id)"
  />
  <p v-else class="acts">
    <button type="button" class="plain" :disabled="busy" @click="text = entry.text">
      {{ t('inbox.change.edit.go') }}
    </button>
    <button type="button" class="plain" :disabled="busy" @click="takeBack">
      {{ t('inbox.change.takeBack') }}
    </button>
  </p>
  <ProblemNote :problem="problem" @again="save" />
</template>

<style scoped>
.form {
  margin-top: 6px;
}
textarea {
  width: 100%;
  font: inherit;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: var(--corner);
  padding: 8px 10px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  margin-top: 4px;
  font-size: 13px;
}
.size {
  margin-left: auto;
}
.past {
  color: var(--flare-text);
}
.acts .plain {
  min-height: 24px;
}
</style>
