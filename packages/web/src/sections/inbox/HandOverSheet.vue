<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { blankLens, type Lens } from '@murrabel/core/lens'
import { handOverSchema, routes, type EntryRow, type GiveDraft } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { lensQuery } from '../../composables/useLens.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { excerpt } from '../../parts/excerpt.ts'
import { useUndo } from '../../stores/undo.ts'
import GiveMenu from './GiveMenu.vue'

/** The end of a shift: what is left of mine, or of these threads, why, and who has it from now on. */
const shown = defineModel<boolean>({ required: true })
const { rows } = defineProps<{
  /** Null: all that is mine. */
  rows: EntryRow[] | null
}>()
const emit = defineEmits<{ done: [] }>()
const { t, due, number } = useTexts()
const undo = useUndo()
const attempt = useAttempt()
const { busy, problem, fields, run, check, forget } = useBusy()

interface Left {
  row: EntryRow
  stays: boolean
  why: string
  /** Null: as all of them. */
  to: { draft: GiveDraft; name: string } | null
}
const left = ref<Left[] | null>(null)
const word = ref('')
const all = ref<Left['to']>(null)
const mine: Lens = { ...blankLens, unit: 'threads', state: 'open', givenTo: 'me', order: 'pressing' }

watch(
  shown,
  (open) => {
    if (!open) return
    forget()
    word.value = ''
    all.value = null
    left.value = null
    const leave = (of: readonly EntryRow[]) =>
      (left.value = of.map((row) => ({ row, stays: false, why: '', to: null })))
    if (rows) leave(rows)
    else
      void run(async () => {
        const page = await call(routes.entries, { query: [...lensQuery(mine), ['limit', '200']] })
        leave(page.rows)
      })
  },
  { immediate: true },
)
const going = computed(() => left.value?.filter(({ stays }) => !stays) ?? [])
const ready = computed(
  () => going.value.length > 0 && going.value.every(({ to }) => (to ?? all.value) !== null),
)
const wordsOf = ({ title, text }: EntryRow) => excerpt([title, text].filter(Boolean).join('. '), []).text
const body = () => ({
  word: word.value,
  threads: going.value.map(({ row, why, to }) => {
    const { draft } = (to ?? all.value)!
    return { thread: row.threadId, to: draft.to, team: draft.team ?? null, why }
  }),
})
async function save(): Promise<void> {
  if (!ready.value || !check(handOverSchema, body())) return
  await run(async () => {
    const { changed, refused } = await call(routes.handOver, { body: body() })
    shown.value = false
    undo.tell({
      text: [
        t('inbox.handOver.done', { n: number(changed.length) }, changed.length),
        ...(refused.length ? [t('inbox.many.refused', { n: number(refused.length) }, refused.length)] : []),
      ].join(' '),
      undo: changed.length
        ? () =>
            attempt(async () => {
              await call(routes.undoMany, { body: { changes: changed } })
              undo.tell({ text: t('undo.undone') })
              emit('done')
            })
        : undefined,
    })
    emit('done')
  })
}
</script>

<template>
  <el-dialog v-model="shown" :title="t('inbox.handOver.title')" width="720px" append-to-body>
    <p v-if="left && !left.length" class="soft">{{ t('inbox.handOver.nothing') }}</p>
    <p v-else-if="!left && !problem" class="soft" aria-busy="true">…</p>
    <DraftForm v-else :problem="problem" :fields="fields" @send="save" @again="save">
      <div class="whole">
        <GiveMenu :shares="false" @choose="(draft, name) => (all = { draft, name })">
          <button type="button" class="button">
            {{ all ? t('inbox.handOver.allTo', { name: all.name }) : t('inbox.handOver.toWhom') }}
          </button>
        </GiveMenu>
      </div>
      <ul class="left" :aria-label="t('inbox.handOver.left')">
        <li v-for="(each, i) in left ?? []" :key="each.row.threadId" :class="{ stays: each.stays }">
          <div class="what">
            <b>{{ each.row.author }}</b>
            <span class="soft due">{{ due(each.row.dueAt).text }}</span>
            <span class="words">{{ wordsOf(each.row) }}</span>
          </div>
          <FormField :name="`threads[${i}].why`" :label="t('inbox.handOver.why')">
            <el-input
              v-model="each.why"
              :disabled="each.stays"
              maxlength="500"
              :aria-label="t('inbox.handOver.whyOf', { name: each.row.author })"
            />
          </FormField>
          <div class="whom">
            <GiveMenu
              :shares="false"
              @choose="(draft, name) => ((each.to = { draft, name }), (each.stays = false))"
            >
              <button type="button" class="plain phrase">
                {{
                  each.stays
                    ? t('inbox.handOver.stays')
                    : ((each.to ?? all)?.name ?? t('inbox.handOver.toWhom'))
                }}
              </button>
            </GiveMenu>
            <button v-if="!each.stays" type="button" class="plain" @click="each.stays = true">
              {{ t('inbox.handOver.keep') }}
            </button>
          </div>
        </li>
      </ul>
      <FormField name="word" :label="t('inbox.handOver.word')">
        <el-input v-model="word" type="textarea" :rows="2" maxlength="1000" />
      </FormField>
      <template #actions>
        <div class="actions">
          <button type="submit" class="button primary" :disabled="busy || !ready">
            {{ t('inbox.handOver.go', { n: number(going.length) }, going.length) }}
          </button>
          <button type="button" class="button" @click="shown = false">{{ t('watch.form.cancel') }}</button>
        </div>
      </template>
    </DraftForm>
  </el-dialog>
</template>

<style scoped>
.whole {
  margin-bottom: 8px;
}
.left {
  list-style: none;
  margin: 0 0 12px;
  padding: 0;
  max-height: 46vh;
  overflow-y: auto;
}
.left li {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr) 150px;
  gap: 4px 14px;
  align-items: end;
  padding: 8px 4px 8px 0;
  border-bottom: 1px solid var(--line);
}
.left :deep(.el-form-item) {
  margin: 0;
}
.stays .what {
  opacity: 0.6;
}
.what {
  align-self: center;
  min-width: 0;
}
.what b {
  font-weight: 600;
}
.due {
  margin-left: 8px;
  font-size: 12px;
}
.what .words {
  display: block;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
}
.whom {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 2px;
  font-size: 13px;
}
.whom .plain {
  min-height: 24px;
}
.phrase {
  font-weight: 600;
  color: var(--deep);
  border-bottom: 1px dotted currentcolor;
}
.actions {
  display: flex;
  gap: 8px;
  margin-top: 12px;
}
</style>
