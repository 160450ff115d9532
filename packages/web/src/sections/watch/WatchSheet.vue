<script setup lang="ts">
import { computed, reactive, ref, useTemplateRef, watch } from 'vue'
import { max, scaleLinear } from 'd3'
import {
  routes,
  watchProblems,
  type FieldProblem,
  type TrialAnswer,
  type WatchAnswer,
  type WatchQueryDraft,
} from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import { useBrand } from '../../stores/brand.ts'
import MentionRow from './MentionRow.vue'
import TermList from './TermList.vue'

const shown = defineModel<boolean>({ required: true })
const { editing = null } = defineProps<{ editing?: WatchAnswer | null }>()
const emit = defineEmits<{ saved: [watch: WatchAnswer] }>()
const { t, number, day } = useTexts()
const brand = useBrand()
const lists = ['anyOf', 'allOf', 'noneOf'] as const
const termLists = useTemplateRef<InstanceType<typeof TermList>[]>('termLists')
const linkList = useTemplateRef<InstanceType<typeof TermList>>('linkList')

const blank = (): WatchQueryDraft => ({ anyOf: [], allOf: [], noneOf: [], links: [] })
const draft = reactive<{ name: string; query: WatchQueryDraft }>({ name: '', query: blank() })
const links = computed({
  get: () => draft.query.links.map((text) => ({ text })),
  set: (terms) => (draft.query.links = terms.map((term) => term.text)),
})
const busy = ref<'try' | 'save' | null>(null)
const problem = ref<CallProblem | null>(null)
const fields = ref<FieldProblem[]>([])
const trial = ref<TrialAnswer | null>(null)
const tried = ref('')
const stale = computed(() => trial.value !== null && tried.value !== JSON.stringify(draft.query))

watch(
  shown,
  (open) => {
    if (!open) return
    draft.name = editing?.name ?? ''
    draft.query = editing ? { ...blank(), ...structuredClone(toPlain(editing.query)) } : blank()
    trial.value = null
    problem.value = null
    fields.value = []
  },
  { immediate: true },
)
function toPlain<T>(value: T): T {
  return JSON.parse(JSON.stringify(value)) as T
}
const problemsOf = (prefix: string) =>
  fields.value.filter((f) => f.field.startsWith(prefix)).map((f) => f.message)
const general = computed(() =>
  fields.value.filter((f) => f.field === 'query' || f.field === 'name').map((f) => f.message),
)

/** What is still in the fields counts, and is checked here as the server will check it. */
function ready(): boolean {
  for (const list of termLists.value ?? []) list.add()
  linkList.value?.add()
  fields.value = watchProblems(draft.query)
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
const tryIt = () =>
  run('try', async () => {
    const asked = toPlain(draft.query)
    trial.value = await call(routes.tryWatch, { body: { query: asked } })
    tried.value = JSON.stringify(asked)
  })
const save = () =>
  run('save', async () => {
    const body = toPlain(draft)
    if (!body.name.trim())
      body.name = body.query.anyOf[0]?.text ?? body.query.allOf[0]?.text ?? body.query.links[0] ?? ''
    const saved = editing
      ? await call(routes.updateWatch, { params: { id: editing.id }, body })
      : await call(routes.createWatch, { body })
    await brand.reloadWatches()
    shown.value = false
    emit('saved', saved)
  })

const perDay = computed(() => (trial.value && trial.value.days ? trial.value.hits / trial.value.days : 0))
const bars = computed(() => {
  const list = trial.value?.perDay ?? []
  const y = scaleLinear()
    .domain([0, Math.max(1, max(list, (d) => d.count) ?? 1)])
    .range([0, 46])
  return list.map((d, i) => ({ x: i * 4, height: y(d.count), title: `${day(d.at)}: ${d.count}` }))
})
</script>

<template>
  <el-drawer
    v-model="shown"
    :title="editing ? t('watch.form.titleEdit') : t('watch.form.title')"
    size="760px"
    append-to-body
    class="watch-sheet"
  >
    <form class="form" @submit.prevent="save">
      <label for="watch-name">{{ t('watch.form.name') }}</label>
      <el-input id="watch-name" v-model="draft.name" maxlength="80" class="name" />
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
      />
      <p v-for="message in general" :key="message" class="wrong" role="alert">{{ message }}</p>
      <ProblemNote v-if="problem" :problem="problem" @again="tryIt" />
      <div class="actions">
        <button
          type="button"
          class="button"
          :class="{ primary: !trial || stale }"
          :disabled="busy !== null"
          @click="tryIt"
        >
          {{ busy === 'try' ? t('watch.form.trying') : t('watch.form.try') }}
        </button>
        <button
          v-if="brand.may('watch')"
          type="submit"
          class="button"
          :class="{ primary: trial && !stale }"
          :disabled="busy !== null"
        >
          {{ busy === 'save' ? t('watch.form.saving') : t('watch.form.save') }}
        </button>
        <span v-else class="soft">{{ t('watch.readOnly') }}</span>
        <span v-if="!trial" class="soft">{{ t('watch.form.untried', { n: 90 }) }}</span>
        <span v-else-if="stale" class="wrong">{{ t('watch.form.stale') }}</span>
      </div>
    </form>
    <section v-if="trial" class="trial" :class="{ stale }" data-test="trial">
      <p class="sum">
        <template v-if="trial.hits"
          ><b>{{
            t(
              'watch.form.hits',
              { n: number(trial.hits), all: number(trial.searched), days: trial.days },
              trial.hits,
            )
          }}</b
          >, {{ t('watch.form.aDay', { n: perDay < 10 ? perDay.toFixed(1) : Math.round(perDay) }) }}</template
        >
        <b v-else>{{ t('watch.form.noHits', { all: number(trial.searched), days: trial.days }) }}</b>
      </p>
      <svg
        v-if="trial.hits"
        class="days"
        :viewBox="`0 0 ${bars.length * 4} 48`"
        preserveAspectRatio="none"
        role="img"
        :aria-label="t('watch.form.aDay', { n: perDay.toFixed(1) })"
      >
        <rect v-for="bar in bars" :key="bar.x" :x="bar.x" :y="48 - bar.height" width="3" :height="bar.height">
          <title>{{ bar.title }}</title>
        </rect>
      </svg>
      <h4 v-if="trial.sample.length">{{ t('watch.form.sample') }}</h4>
      <MentionRow v-for="row in trial.sample" :key="row.id" :row="row" />
    </section>
  </el-drawer>
</template>

<style scoped>
.form label {
  display: block;
  font-weight: 600;
  margin-bottom: 4px;
}
.name {
  margin-bottom: 12px;
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
.trial {
  margin-top: 18px;
  border-top: 1px solid var(--line);
  padding-top: 12px;
}
.trial.stale {
  opacity: 0.55;
}
.sum {
  margin-bottom: 8px;
}
.days {
  display: block;
  width: 100%;
  height: 48px;
  fill: var(--deep);
  border-bottom: 1px solid var(--line);
  margin-bottom: 14px;
}
</style>
