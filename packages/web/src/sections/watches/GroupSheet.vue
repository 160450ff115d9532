<script setup lang="ts">
import { computed, reactive, watch } from 'vue'
import { groupKinds, groupSchema, routes, type GroupKind, type WatchGroupAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'

const shown = defineModel<boolean>({ required: true })
const { editing = null } = defineProps<{ editing?: WatchGroupAnswer | null }>()
const emit = defineEmits<{ changed: [] }>()
const { busy, problem, fields, run, check, forget } = useBusy()
const { t } = useTexts()
const brand = useBrand()
const undo = useUndo()
const draft = reactive<{ name: string; kind: GroupKind; parentId: number | null }>({
  name: '',
  kind: 'other',
  parentId: null,
})
/** The list knows no null: 0 is the top. */
const parent = computed({
  get: () => draft.parentId ?? 0,
  set: (id) => (draft.parentId = id || null),
})
const parents = computed(() => brand.groups.filter((g) => g.id !== editing?.id))

watch(
  shown,
  (open) => {
    if (!open) return
    Object.assign(draft, {
      name: editing?.name ?? '',
      kind: editing?.kind ?? 'other',
      parentId: editing?.parentId ?? null,
    })
    forget()
  },
  { immediate: true },
)
const attempt = (work: () => Promise<unknown>) =>
  run(async () => {
    await work()
    await brand.reloadWatches()
    shown.value = false
    emit('changed')
  })
async function save(): Promise<void> {
  if (!check(groupSchema, draft)) return
  await attempt(() =>
    editing
      ? call(routes.updateGroup, { params: { id: editing.id }, body: { ...draft, edition: editing.edition } })
      : call(routes.createGroup, { body: { ...draft } }),
  )
}
const remove = (id: number) =>
  attempt(async () => {
    await call(routes.deleteGroup, { params: { id } })
    undo.tell({ text: t('watch.group.deleted') })
  })
</script>

<template>
  <el-drawer
    v-model="shown"
    :title="editing ? t('watch.group.titleEdit') : t('watch.group.title')"
    size="420px"
    append-to-body
  >
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
      <FormField :label="t('watch.group.name')" name="name">
        <el-input id="group-name" v-model="draft.name" maxlength="80" />
      </FormField>
      <FormField :label="t('watch.group.kind')" name="kind">
        <el-select id="group-kind" v-model="draft.kind">
          <el-option
            v-for="kind in groupKinds"
            :key="kind"
            :value="kind"
            :label="t(`watch.group.kinds.${kind}`)"
          />
        </el-select>
      </FormField>
      <FormField :label="t('watch.group.parent')" name="parentId">
        <el-select id="group-parent" v-model="parent">
          <el-option :value="0" :label="t('watch.group.top')" />
          <el-option v-for="group in parents" :key="group.id" :value="group.id" :label="group.name" />
        </el-select>
      </FormField>
      <template #actions>
        <div class="actions">
          <button type="submit" class="button primary" :disabled="busy">{{ t('watch.group.save') }}</button>
          <button v-if="editing" type="button" class="button" :disabled="busy" @click="remove(editing.id)">
            {{ t('watch.group.delete') }}
          </button>
        </div>
      </template>
    </DraftForm>
  </el-drawer>
</template>

<style scoped>
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 18px;
}
</style>
