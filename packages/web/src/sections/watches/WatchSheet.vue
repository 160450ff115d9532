<script setup lang="ts">
import { computed, reactive, ref, shallowReactive, useTemplateRef, watch } from 'vue'
import {
  routes,
  watchProblems,
  type FieldProblem,
  type TunerAnswer,
  type WatchAnswer,
  type WatchQueryDraft,
} from '@murrabel/contract'
import { lensChannels } from '@murrabel/core/lens'
import { call, CallProblem } from '../../api/call.ts'
import { useProblemTexts } from '../../composables/useProblemTexts.ts'
import { useSheetDraft } from '../../composables/useSheetDraft.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import NearPairs from './NearPairs.vue'
import TermList from '../../parts/TermList.vue'
import TunerPanel from './TunerPanel.vue'
import { blankQuery, plainQuery } from './watchDraft.ts'

const shown = defineModel<boolean>({ required: true })
const { editing = null } = defineProps<{ editing?: WatchAnswer | null }>()
const emit = defineEmits<{ saved: [watch: WatchAnswer] }>()
const { t, languageName } = useTexts()
const { field } = useProblemTexts()
const brand = useBrand()
const undo = useUndo()
const lists = ['anyOf', 'allOf', 'noneOf'] as const
const languages = ['en', 'fr', 'es', 'de', 'it', 'nl', 'pt', 'und']
const termLists = useTemplateRef<InstanceType<typeof TermList>[]>('termLists')
const linkList = useTemplateRef<InstanceType<typeof TermList>>('linkList')
const withoutList = useTemplateRef<InstanceType<typeof TermList>>('withoutList')
const onlyList = useTemplateRef<InstanceType<typeof TermList>>('onlyList')

const draft = reactive<{ name: string; groupId: number | null; query: WatchQueryDraft }>({
  name: '',
  groupId: null,
  query: blankQuery(),
})
/** Lists of plain words in the clothes of terms. */
const asTerms = (get: () => string[], set: (words: string[]) => void) =>
  computed({
    get: () => get().map((text) => ({ text })),
    set: (terms: { text: string }[]) => set(terms.map((term) => term.text)),
  })
const links = asTerms(
  () => draft.query.links,
  (words) => (draft.query.links = words),
)
const onlyVoices = asTerms(
  () => draft.query.voices.only,
  (words) => (draft.query.voices.only = words),
)
const withoutVoices = asTerms(
  () => draft.query.voices.without,
  (words) => (draft.query.voices.without = words),
)
/** The list knows no null: 0 is no group. */
const group = computed({
  get: () => draft.groupId ?? 0,
  set: (id) => (draft.groupId = id || null),
})
const further = ref(false)
const busy = ref<'try' | 'save' | null>(null)
const problem = ref<CallProblem | null>(null)
const fields = ref<FieldProblem[]>([])
const tuned = ref<TunerAnswer | null>(null)
const tried = ref('')
const stale = computed(() => tuned.value !== null && tried.value !== JSON.stringify(draft.query))
/** Marks given in this sheet, by entry; null takes a kept one away. */
const marks = shallowReactive(new Map<number, boolean | null>())
const given = computed(
  () => new Map([...marks].filter((pair): pair is [number, boolean] => pair[1] !== null)),
)

const problemsOf = (prefix: string) => fields.value.filter((f) => f.field.startsWith(prefix)).map(field)
const general = computed(() =>
  fields.value.filter((f) => ['query', 'name', 'groupId'].includes(f.field)).map(field),
)

/** What is still in the fields counts, and is checked here as the server will check it. */
function ready(): boolean {
  for (const list of [...(termLists.value ?? []), linkList.value, withoutList.value, onlyList.value])
    list?.add()
  draft.query.near = draft.query.near.filter((pair) => pair.first.text.trim() || pair.second.text.trim())
  fields.value = watchProblems(draft.query)
  if (fields.value.some((f) => f.field.startsWith('query.near'))) further.value = true
  problem.value = null
  return fields.value.length === 0
}
async function run(what: 'try' | 'save', work: () => Promise<void>): Promise<void> {
  if (!ready()) return
  busy.value = what
  try {
    await work()
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    if (error.problem.fields?.length) fields.value = error.problem.fields
    else problem.value = error
  } finally {
    busy.value = null
  }
}
let tuneRun = 0
let markTimer: ReturnType<typeof setTimeout> | undefined
const tryIt = ({ keep = [] }: { keep?: number[] } = {}) =>
  run('try', async () => {
    const mine = ++tuneRun
    clearTimeout(markTimer)
    const asked = plainQuery(draft.query)
    const answer = await call(routes.tuneWatch, {
      body: {
        query: asked,
        watchId: editing?.id ?? null,
        marks: [...given.value].map(([entryId, onTopic]) => ({ entryId, onTopic })),
        keep,
      },
    })
    if (mine !== tuneRun) return
    tuned.value = answer
    tried.value = JSON.stringify(asked)
  })
/** Keeps a mark where the watch is saved already; the verdict follows when marks come to rest. */
function mark(entryId: number, onTopic: boolean | null): void {
  marks.set(entryId, onTopic)
  if (editing && brand.mayCall('updateWatch'))
    void call(routes.markHits, { params: { id: editing.id }, body: { marks: [{ entryId, onTopic }] } }).catch(
      (error: unknown) => {
        if (error instanceof CallProblem) problem.value = error
      },
    )
  clearTimeout(markTimer)
  // The sample does not move under who marks it.
  markTimer = setTimeout(() => void tryIt({ keep: tuned.value?.sample.map((row) => row.id) }), 600)
}
/** Applies a proposal and says how to take it back. */
function apply(list: 'noneOf' | 'anyOf', term: string): void {
  const before = draft.query[list]
  draft.query[list] = [...before, { text: term }]
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
  run('save', async () => {
    const { name, groupId } = draft
    const query = plainQuery(draft.query)
    const terms = [...query.anyOf, ...query.allOf, ...query.near.map((pair) => pair.first)]
    const body = { groupId, query, name: name.trim() || (terms[0]?.text ?? query.links[0] ?? '') }
    const saved = editing
      ? await call(routes.updateWatch, {
          params: { id: editing.id },
          body: { ...body, edition: editing.edition },
        })
      : await call(routes.createWatch, { body })
    if (!editing && given.value.size)
      await call(routes.markHits, {
        params: { id: saved.id },
        body: { marks: [...given.value].map(([entryId, onTopic]) => ({ entryId, onTopic })) },
      })
    await brand.reloadWatches()
    shown.value = false
    emit('saved', saved)
  })
watch(
  shown,
  (open) => {
    if (!open) return
    draft.name = editing?.name ?? ''
    draft.groupId = editing?.groupId ?? null
    draft.query = editing ? plainQuery(editing.query) : blankQuery()
    const { near, voices, channels, languages: only } = draft.query
    further.value = [near, voices.only, voices.without, channels, only].some((list) => list.length > 0)
    tuned.value = null
    problem.value = null
    fields.value = []
    marks.clear()
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
    <form class="form" @submit.prevent="save">
      <div class="top">
        <div>
          <label for="watch-name">{{ t('watch.form.name') }}</label>
          <el-input id="watch-name" v-model="draft.name" maxlength="80" />
        </div>
        <div>
          <label for="watch-group">{{ t('watch.form.group') }}</label>
          <el-select id="watch-group" v-model="group">
            <el-option :value="0" :label="t('watch.noGroup')" />
            <el-option v-for="each in brand.groups" :key="each.id" :value="each.id" :label="each.name" />
          </el-select>
        </div>
      </div>
      <TermList
        v-for="list in lists"
        :key="list"
        ref="termLists"
        v-model="draft.query[list]"
        :label="t(`watch.form.${list}`)"
        :hint="list === 'anyOf' ? t('watch.form.anyOfHint') : ''"
        :problems="problemsOf(`query.${list}`)"
      />
      <TermList
        ref="linkList"
        v-model="links"
        :label="t('watch.form.links')"
        :hint="t('watch.form.linksHint')"
        :problems="problemsOf('query.links')"
        bare
      />
      <button type="button" class="plain further" :aria-expanded="further" @click="further = !further">
        {{ t('watch.form.further') }}
      </button>
      <div v-show="further">
        <NearPairs v-model="draft.query.near" :problems="problemsOf('query.near')" />
        <TermList
          ref="withoutList"
          v-model="withoutVoices"
          :label="t('watch.form.voicesWithout')"
          :hint="t('watch.form.voicesHint')"
          bare
        />
        <TermList ref="onlyList" v-model="onlyVoices" :label="t('watch.form.voicesOnly')" bare />
        <div class="top">
          <div>
            <label for="watch-channels">{{ t('watch.form.channels') }}</label>
            <el-select
              id="watch-channels"
              v-model="draft.query.channels"
              multiple
              :placeholder="t('watch.form.anyChannel')"
            >
              <el-option
                v-for="channel in lensChannels"
                :key="channel"
                :value="channel"
                :label="t(`lens.channel.${channel}`)"
              />
            </el-select>
          </div>
          <div>
            <label for="watch-languages">{{ t('watch.form.languages') }}</label>
            <el-select
              id="watch-languages"
              v-model="draft.query.languages"
              multiple
              :placeholder="t('watch.form.anyLanguage')"
            >
              <el-option v-for="code in languages" :key="code" :value="code" :label="languageName(code)" />
            </el-select>
          </div>
        </div>
      </div>
      <p v-for="message in general" :key="message" class="wrong" role="alert">{{ message }}</p>
      <ProblemNote v-if="problem" :problem="problem" @again="tryIt()" />
      <div class="actions">
        <button
          type="button"
          class="button"
          :class="{ primary: !tuned || stale }"
          :disabled="busy !== null"
          @click="tryIt()"
        >
          {{ busy === 'try' ? t('watch.form.trying') : t('watch.form.try') }}
        </button>
        <button
          v-if="brand.mayCall('updateWatch')"
          type="submit"
          class="button"
          :class="{ primary: tuned && !stale }"
          :disabled="busy !== null"
        >
          {{ busy === 'save' ? t('watch.form.saving') : t('watch.form.save') }}
        </button>
        <span v-else class="soft">{{ t('watch.readOnly') }}</span>
        <span v-if="!tuned" class="soft">{{ t('watch.form.untried', { n: 90 }) }}</span>
        <span v-else-if="stale" class="wrong">{{ t('watch.form.stale') }}</span>
      </div>
    </form>
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
.form label {
  display: block;
  font-weight: 600;
  margin-bottom: 4px;
}
.top {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px;
  margin-bottom: 12px;
}
.further {
  margin-bottom: 12px;
  border-bottom: 1px dotted currentcolor;
}
.actions {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
.wrong {
  color: var(--flare-text);
}
</style>
