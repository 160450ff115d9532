<script setup lang="ts">
import { computed, reactive, useTemplateRef, watch } from 'vue'
import { routes, watchProblems, type TunerAnswer, type WatchAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useSheetDraft } from '../../composables/useSheetDraft.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useTrial } from '../../composables/useTrial.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import TermList from '../../parts/TermList.vue'
import TrialButtons from '../../parts/TrialButtons.vue'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import TunerPanel from './TunerPanel.vue'
import WatchScope from './WatchScope.vue'
import { useHitMarks } from './useHitMarks.ts'
import { firstTermOf, plainQuery, watchDraftOf, type WatchSheetDraft } from './watchDraft.ts'

const shown = defineModel<boolean>({ required: true })
const { editing = null } = defineProps<{ editing?: WatchAnswer | null }>()
const emit = defineEmits<{ saved: [watch: WatchAnswer] }>()
const { t } = useTexts()
const brand = useBrand()
const undo = useUndo()
const lists = ['anyOf', 'allOf', 'noneOf'] as const
const termLists = useTemplateRef<InstanceType<typeof TermList>[]>('termLists')
const linkList = useTemplateRef<InstanceType<typeof TermList>>('linkList')
const scope = useTemplateRef<InstanceType<typeof WatchScope>>('scope')

const draft = reactive<WatchSheetDraft>(watchDraftOf(null))
/** The field of links takes plain words. */
const links = computed({
  get: () => draft.query.links.map((text) => ({ text })),
  set: (terms: { text: string }[]) => (draft.query.links = terms.map((term) => term.text)),
})
/** The list of groups knows no null: 0 is no group. */
const group = computed({
  get: () => draft.groupId ?? 0,
  set: (id) => (draft.groupId = id || null),
})

/** What is still in the fields counts, and is checked here as the server will check it. */
function ready(): boolean {
  for (const list of [...(termLists.value ?? []), linkList.value]) list?.add()
  scope.value?.add()
  draft.query.near = draft.query.near.filter((pair) => pair.first.text.trim() || pair.second.text.trim())
  trial.fields.value = watchProblems(draft.query)
  return trial.fields.value.length === 0
}
const trial = useTrial<WatchSheetDraft['query'], TunerAnswer>({
  question: () => plainQuery(draft.query),
  ready,
})
const { answer: tuned, stale, busy, fields, problem } = trial
const hitMarks = useHitMarks({
  watchId: () => editing?.id ?? null,
  // The sample does not move under who marks it.
  rested: () => void tryIt({ keep: tuned.value?.sample.map((row) => row.id) }),
  failed: (refused) => (trial.problem.value = refused),
})
const { given, mark } = hitMarks
function tryIt({ keep = [] }: { keep?: number[] } = {}): Promise<void> {
  hitMarks.hold()
  return trial.attempt(() =>
    call(routes.tuneWatch, {
      body: { query: trial.question(), watchId: editing?.id ?? null, marks: hitMarks.list(), keep },
    }),
  )
}
/** Applies a proposal and says how to take it back. */
function apply(list: 'noneOf' | 'anyOf', term: string): void {
  draft.query[list] = [...draft.query[list], { text: term }]
  void tryIt()
  undo.tell({
    text: t(list === 'noneOf' ? 'watch.tuner.applied' : 'watch.tuner.appliedAdd', { term }),
    undo: async () => {
      draft.query[list] = draft.query[list].filter((each) => each.text !== term)
      await tryIt()
    },
  })
}
const save = () =>
  trial.save(async () => {
    const query = plainQuery(draft.query)
    const body = {
      groupId: draft.groupId,
      answered: draft.answered,
      query,
      name: draft.name.trim() || firstTermOf(query),
    }
    const saved = editing
      ? await call(routes.updateWatch, {
          params: { id: editing.id },
          body: { ...body, edition: editing.edition },
        })
      : await call(routes.createWatch, { body })
    if (!editing && given.value.size) await hitMarks.keep(saved.id, hitMarks.list())
    await brand.reloadWatches()
    shown.value = false
    emit('saved', saved)
  })
watch(
  shown,
  (open) => {
    hitMarks.clear()
    if (!open) return
    Object.assign(draft, watchDraftOf(editing))
    trial.clear()
    if (editing) void tryIt()
  },
  { immediate: true },
)
useSheetDraft({
  shown,
  key: () => (editing ? `watch.${editing.id}.${editing.edition}` : 'watch.new'),
  draft: () => draft,
  put: (kept) => Object.assign(draft, kept),
})
</script>

<template>
  <el-drawer
    v-model="shown"
    :title="editing ? t('watch.form.titleEdit') : t('watch.form.title')"
    size="780px"
    append-to-body
    class="watch-sheet"
  >
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="tryIt()">
      <div class="two">
        <FormField :label="t('watch.form.name')" name="name">
          <el-input id="watch-name" v-model="draft.name" maxlength="80" />
        </FormField>
        <FormField :label="t('watch.form.group')" name="groupId">
          <el-select id="watch-group" v-model="group">
            <el-option :value="0" :label="t('watch.noGroup')" />
            <el-option v-for="each in brand.groups" :key="each.id" :value="each.id" :label="each.name" />
          </el-select>
        </FormField>
      </div>
      <TermList
        v-for="list in lists"
        :key="list"
        ref="termLists"
        v-model="draft.query[list]"
        :label="t(`watch.form.${list}`)"
        :hint="list === 'anyOf' ? t('watch.form.anyOfHint') : ''"
        :name="`query.${list}`"
      />
      <TermList
        ref="linkList"
        v-model="links"
        :label="t('watch.form.links')"
        :hint="t('watch.form.linksHint')"
        name="query.links"
        bare
      />
      <WatchScope ref="scope" v-model="draft.query" />
      <FormField :label="t('watch.form.answering')" name="answered">
        <el-checkbox v-model="draft.answered" :label="t('watch.form.answered')" />
      </FormField>
      <template #actions
        ><TrialButtons
          :busy="busy"
          :tried="tuned !== null"
          :stale="stale"
          :may-save="brand.mayCall('updateWatch')"
          :texts="{
            try: t('watch.form.try'),
            trying: t('watch.form.trying'),
            save: t('watch.form.save'),
            saving: t('watch.form.saving'),
            untried: t('watch.form.untried', { n: 90 }),
            stale: t('watch.form.stale'),
          }"
          @try="tryIt()"
        >
          <span class="soft">{{ t('watch.readOnly') }}</span>
        </TrialButtons></template
      >
    </DraftForm>
    <TunerPanel
      v-if="tuned"
      :tuned="tuned"
      :marks="given"
      :stale="stale"
      @mark="mark"
      @exclude="(term) => apply('noneOf', term)"
      @ask="(term) => apply('anyOf', term)"
    />
  </el-drawer>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 16px;
}
</style>
