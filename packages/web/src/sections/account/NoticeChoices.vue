<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { noticeChoicesSchema, noticeKinds, type NoticeChoices, type NoticeKind } from '@murrabel/contract'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { useBrand } from '../../stores/brand.ts'
import { useNotices } from '../../stores/notices.ts'
import { useUndo } from '../../stores/undo.ts'

/** Of what one hears, and how: in the bell, on the desktop, by mail; and when of nothing. */
const { t } = useTexts()
const brand = useBrand()
const store = useNotices()
const undo = useUndo()
const { busy, problem, fields, run, check } = useBusy()
const ways = ['bell', 'desktop', 'mail'] as const
type Way = (typeof ways)[number]
const draft = ref<NoticeChoices>({ silent: [], desktop: [], mail: [], quiet: null })
watch(
  () => store.choices,
  (choices) => choices && (draft.value = { ...choices, quiet: choices.quiet && { ...choices.quiet } }),
  { immediate: true },
)
/** Nobody who only looks is told of answers. */
const kinds = computed(() => noticeKinds.filter((kind) => brand.may('answer') || kind === 'mention'))
/** What the browser says to showing something on the desktop. */
const permission = ref(typeof Notification === 'undefined' ? 'none' : Notification.permission)
const blocked = computed(
  () => draft.value.desktop.length > 0 && (permission.value === 'denied' || permission.value === 'none'),
)

const listOf = (way: Way): NoticeKind[] => draft.value[way === 'bell' ? 'silent' : way]
/** The bell keeps what it leaves out, the others what they show. */
const isOn = (kind: NoticeKind, way: Way): boolean => listOf(way).includes(kind) !== (way === 'bell')
async function toggle(kind: NoticeKind, way: Way): Promise<void> {
  const key = way === 'bell' ? 'silent' : way
  const list = listOf(way)
  const next = list.includes(kind) ? list.filter((each) => each !== kind) : [...list, kind]
  draft.value = { ...draft.value, [key]: next }
  if (way === 'desktop' && next.includes(kind) && permission.value === 'default')
    permission.value = await Notification.requestPermission()
}
const usualQuiet = { from: '20:00', until: '07:30' }
const setQuiet = (on: boolean): void => {
  draft.value = { ...draft.value, quiet: on ? { ...usualQuiet } : null }
}
async function save(): Promise<void> {
  if (!check(noticeChoicesSchema, draft.value)) return
  await run(async () => {
    await store.choose(draft.value)
    undo.tell({ text: t('account.notices.saved') })
  })
}
</script>

<template>
  <DraftForm class="choices" :problem="problem" :fields="fields" @send="save" @again="save">
    <table data-test="notice-choices">
      <thead>
        <tr>
          <th scope="col">{{ t('account.notices.what') }}</th>
          <th v-for="way in ways" :key="way" scope="col">{{ t(`account.notices.${way}`) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="kind in kinds" :key="kind">
          <th scope="row">{{ t(`account.notices.kinds.${kind}`) }}</th>
          <td v-for="way in ways" :key="way">
            <input
              type="checkbox"
              :checked="isOn(kind, way)"
              :aria-label="`${t(`account.notices.kinds.${kind}`)}: ${t(`account.notices.${way}`)}`"
              @change="toggle(kind, way)"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="blocked" class="soft hint">{{ t('account.notices.blocked') }}</p>
    <p class="soft hint">{{ t('account.notices.mailHint') }}</p>
    <el-checkbox :model-value="draft.quiet !== null" @update:model-value="setQuiet(Boolean($event))">{{
      t('account.notices.quiet')
    }}</el-checkbox>
    <div v-if="draft.quiet" class="times">
      <FormField name="quiet.from" :label="t('account.notices.from')">
        <el-input v-model="draft.quiet.from" type="time" />
      </FormField>
      <FormField name="quiet.until" :label="t('account.notices.until')">
        <el-input v-model="draft.quiet.until" type="time" />
      </FormField>
    </div>
    <template #actions>
      <div class="actions">
        <button type="submit" class="button primary" :disabled="busy">
          {{ t('account.notices.save') }}
        </button>
      </div>
    </template>
  </DraftForm>
</template>

<style scoped>
.choices {
  max-width: 620px;
}
table {
  width: 100%;
  border-collapse: collapse;
  margin-bottom: 8px;
}
th,
td {
  padding: 5px 8px;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
  text-align: left;
}
thead th {
  font-size: 12px;
  font-weight: 600;
  color: var(--ink-soft);
}
td,
thead th:not(:first-child) {
  width: 90px;
  text-align: center;
}
th:first-child {
  padding-left: 0;
}
input[type='checkbox'] {
  width: 16px;
  height: 16px;
  margin: 0;
  accent-color: var(--deep);
}
.hint {
  margin: 4px 0;
  font-size: 13px;
}
.actions {
  margin: 12px 0 24px;
}
.times {
  display: flex;
  gap: 16px;
  max-width: 320px;
}
</style>
