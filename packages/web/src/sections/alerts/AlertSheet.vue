<script setup lang="ts">
import { computed, reactive, ref, useTemplateRef, watch } from 'vue'
import {
  routes,
  type AlertAnswer,
  type AlertDraft,
  type AlertTrialAnswer,
  type FieldProblem,
} from '@murrabel/contract'
import type { AlertCondition } from '@murrabel/core/alerts'
import { blankLens, lensSentiments, parseLens, printLens, type Sentiment } from '@murrabel/core/lens'
import { call, CallProblem } from '../../api/call.ts'
import { useProblemTexts } from '../../composables/useProblemTexts.ts'
import { useSheetDraft } from '../../composables/useSheetDraft.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useAlertTexts } from './alertTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import { useBrand } from '../../stores/brand.ts'
import AlertWays, { type AlertWays as WaysDraft } from './AlertWays.vue'

const shown = defineModel<boolean>({ required: true })
const { editing = null, lens = '' } = defineProps<{
  editing?: AlertAnswer | null
  /** What a new alert listens to at first, as an address writes it. */
  lens?: string
}>()
const emit = defineEmits<{ saved: [] }>()
const { t, number, when, day } = useTexts()
const { told } = useAlertTexts()
const { field } = useProblemTexts()
const brand = useBrand()
const kinds = ['spike', 'more', 'net', 'reach', 'any'] as const
const quiets = [0, 15, 60, 240, 720, 1440] as const
const base = { ...blankLens, unit: 'entries' as const }

/** Watches by their number, groups by their negative one, everything by 0. */
const subject = ref(0)
const sentiments = ref<Sentiment[]>([])
/** Other parts of a lens that came along: kept as they are. */
const rest = ref('')
const draft = reactive({
  name: '',
  kind: 'spike' as AlertCondition['kind'],
  above: 5000,
  hours: 24,
  below: -30,
  days: 7,
  quietMinutes: 240,
  active: true,
})
const ways = ref<WaysDraft>({ inApp: true, emails: [], webhook: '' })
const waysForm = useTemplateRef<{ add(): void }>('waysForm')
const trial = ref<AlertTrialAnswer | null>(null)
const tried = ref('')
const busy = ref<'try' | 'save' | null>(null)
const problem = ref<CallProblem | null>(null)
const fields = ref<FieldProblem[]>([])

const condition = computed((): AlertCondition => {
  switch (draft.kind) {
    case 'reach':
      return { kind: 'reach', above: draft.above }
    case 'more':
      return { kind: 'more', hours: draft.hours }
    case 'net':
      return { kind: 'net', below: draft.below / 100, days: draft.days }
    default:
      return { kind: draft.kind }
  }
})
const lensText = computed(() => {
  const { lens: other } = parseLens(new URLSearchParams(rest.value), base)
  const whole = {
    ...other,
    watch: subject.value > 0 ? subject.value : null,
    group: subject.value < 0 ? -subject.value : null,
    sentiments: sentiments.value,
  }
  return new URLSearchParams(printLens(whole, base)).toString()
})
const question = computed(() => ({
  lens: lensText.value,
  condition: condition.value,
  quietMinutes: draft.quietMinutes,
}))
const stale = computed(() => trial.value !== null && tried.value !== JSON.stringify(question.value))

watch(
  shown,
  (open) => {
    if (!open) return
    const address = editing?.lens ?? lens
    const { lens: given } = parseLens(new URLSearchParams(address), base)
    subject.value = given.watch ?? -(given.group ?? 0)
    sentiments.value = [...given.sentiments]
    rest.value = new URLSearchParams(
      printLens({ ...given, watch: null, group: null, sentiments: [], range: null, order: 'newest' }, base),
    ).toString()
    Object.assign(draft, {
      name: editing?.name ?? '',
      kind: 'spike',
      quietMinutes: editing?.quietMinutes ?? 240,
      active: editing?.active ?? true,
    })
    if (editing) {
      const { below, ...asIs } = editing.condition as AlertCondition & { below?: number }
      Object.assign(draft, asIs, below === undefined ? {} : { below: Math.round(below * 100) })
    }
    ways.value = {
      inApp: editing?.inApp ?? true,
      emails: [...(editing?.emails ?? [])],
      webhook: editing?.webhook ?? '',
    }
    trial.value = null
    problem.value = null
    fields.value = []
  },
  { immediate: true },
)
const problemsOf = (prefix: string) => fields.value.filter((f) => f.field.startsWith(prefix)).map(field)

async function run(what: 'try' | 'save', work: () => Promise<void>): Promise<void> {
  waysForm.value?.add()
  busy.value = what
  problem.value = null
  fields.value = []
  try {
    await work()
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    problem.value = error
    fields.value = error.problem.fields ?? []
  } finally {
    busy.value = null
  }
}
const tryIt = () =>
  run('try', async () => {
    const asked = question.value
    trial.value = await call(routes.tryAlert, { body: asked })
    tried.value = JSON.stringify(asked)
  })
const usualName = computed(() => `${subjectName.value}: ${t(`alerts.kind.${draft.kind}`)}`)
const save = () =>
  run('save', async () => {
    const body = {
      ...question.value,
      name: draft.name.trim() || usualName.value,
      inApp: ways.value.inApp,
      emails: ways.value.emails,
      webhook: ways.value.webhook.trim() || null,
      active: draft.active,
    } as AlertDraft
    if (editing)
      await call(routes.updateAlert, {
        params: { id: editing.id },
        body: { ...body, edition: editing.edition },
      })
    else await call(routes.createAlert, { body })
    shown.value = false
    emit('saved')
  })
const subjectName = computed(() =>
  subject.value > 0
    ? brand.nameOfWatch(subject.value)
    : subject.value < 0
      ? brand.nameOfGroup(-subject.value)
      : t('alerts.anything'),
)
/** Where the tellings lie in the days tried, as shares of the strip. */
const marks = computed(() => {
  if (!trial.value) return []
  const end = Date.now()
  const span = 90 * 86_400_000
  return trial.value.tellings.map((telling) => ({
    at: telling.at,
    left: `${Math.max(0, Math.min(100, 100 * (1 - (end - telling.at) / span)))}%`,
    title: `${when(new Date(telling.at).toISOString())}: ${told(telling)}`,
  }))
})
useSheetDraft({
  shown,
  key: () => (editing ? `alert.${editing.id}.${editing.edition}` : 'alert.new'),
  draft: () => ({ draft, ways: ways.value, subject: subject.value, sentiments: sentiments.value }),
  put(kept) {
    Object.assign(draft, kept.draft)
    ways.value = kept.ways
    subject.value = kept.subject
    sentiments.value = kept.sentiments
  },
})
</script>

<template>
  <el-drawer
    v-model="shown"
    :title="editing ? t('alerts.form.titleEdit') : t('alerts.form.title')"
    size="600px"
    append-to-body
  >
    <form class="form" @submit.prevent="save">
      <label for="alert-name">{{ t('alerts.name') }}</label>
      <el-input id="alert-name" v-model="draft.name" maxlength="80" :placeholder="usualName" />
      <div class="two">
        <div>
          <label for="alert-watch">{{ t('alerts.form.watch') }}</label>
          <el-select id="alert-watch" v-model="subject" filterable>
            <el-option :value="0" :label="t('alerts.anything')" />
            <el-option v-for="item in brand.watches" :key="item.id" :value="item.id" :label="item.name" />
            <el-option
              v-for="group in brand.groups"
              :key="-group.id"
              :value="-group.id"
              :label="`${t('lens.groups')}: ${group.name}`"
            />
          </el-select>
        </div>
        <div>
          <label for="alert-sentiments">{{ t('alerts.form.sentiments') }}</label>
          <el-select
            id="alert-sentiments"
            v-model="sentiments"
            multiple
            :placeholder="t('alerts.form.anySentiment')"
          >
            <el-option
              v-for="sentiment in lensSentiments"
              :key="sentiment"
              :value="sentiment"
              :label="t(`lens.sentiment.${sentiment}`)"
            />
          </el-select>
        </div>
        <div>
          <label for="alert-kind">{{ t('alerts.form.kind') }}</label>
          <el-select id="alert-kind" v-model="draft.kind">
            <el-option v-for="kind in kinds" :key="kind" :value="kind" :label="t(`alerts.kind.${kind}`)" />
          </el-select>
        </div>
        <div>
          <label for="alert-quiet">{{ t('alerts.form.quiet') }}</label>
          <el-select id="alert-quiet" v-model="draft.quietMinutes">
            <el-option
              v-for="minutes in quiets"
              :key="minutes"
              :value="minutes"
              :label="t(`alerts.form.quietOf.${minutes}`)"
            />
          </el-select>
        </div>
        <div v-if="draft.kind === 'reach'">
          <label for="alert-above">{{ t('alerts.form.above') }}</label>
          <el-input-number id="alert-above" v-model="draft.above" :min="1" :step="1000" />
        </div>
        <div v-if="draft.kind === 'more'">
          <label for="alert-hours">{{ t('alerts.form.hours') }}</label>
          <el-input-number id="alert-hours" v-model="draft.hours" :min="1" :max="168" />
        </div>
        <template v-if="draft.kind === 'net'">
          <div>
            <label for="alert-below">{{ t('alerts.form.below') }}</label>
            <el-input-number id="alert-below" v-model="draft.below" :min="-100" :max="100" :step="5" />
          </div>
          <div>
            <label for="alert-days">{{ t('alerts.form.days') }}</label>
            <el-input-number id="alert-days" v-model="draft.days" :min="1" :max="90" />
          </div>
        </template>
      </div>
      <AlertWays ref="waysForm" v-model="ways" :alert="editing" :problems="problemsOf('emails')" />
      <el-checkbox v-model="draft.active" :label="t('alerts.form.active')" />
      <ProblemNote v-if="problem" :problem="problem" @again="tryIt" />
      <div class="actions">
        <button
          type="button"
          class="button"
          :class="{ primary: !trial || stale }"
          :disabled="busy !== null"
          @click="tryIt"
        >
          {{ busy === 'try' ? t('alerts.form.trying') : t('alerts.form.try') }}
        </button>
        <button
          v-if="brand.mayCall('createAlert')"
          type="submit"
          class="button"
          :class="{ primary: trial && !stale }"
          :disabled="busy !== null || !trial || stale || trial.tooOften"
        >
          {{ busy === 'save' ? t('alerts.form.saving') : t('alerts.form.save') }}
        </button>
        <span v-if="!trial" class="soft">{{ t('alerts.form.untried') }}</span>
        <span v-else-if="stale" class="wrong">{{ t('alerts.form.stale') }}</span>
      </div>
    </form>
    <section v-if="trial" class="trial" :class="{ stale }" data-test="alert-trial">
      <p>
        <b>{{
          trial.begins
            ? t('alerts.form.would', { n: number(trial.begins), days: trial.days }, trial.begins)
            : t('alerts.form.wouldNot', { days: trial.days })
        }}</b>
        <template v-if="trial.aDay >= 1"
          >, {{ t('alerts.form.aDay', { n: trial.aDay.toFixed(1) }) }}</template
        >
      </p>
      <p v-if="trial.tooOften" class="wrong">{{ t('alerts.form.tooOften') }}</p>
      <div v-if="marks.length" class="strip" role="img" :aria-label="t('alerts.form.here')">
        <i v-for="mark in marks" :key="mark.at" :style="{ left: mark.left }" :title="mark.title" />
        <span>{{ day(Date.now() - 89 * 86_400_000) }}</span><span>{{ day(Date.now()) }}</span>
      </div>
      <ul>
        <li v-for="telling in [...trial.tellings].reverse().slice(0, 20)" :key="telling.at">
          <time>{{ when(new Date(telling.at).toISOString()) }}</time> {{ told(telling) }}
        </li>
      </ul>
    </section>
  </el-drawer>
</template>

<style scoped>
.form label {
  display: block;
  font-weight: 600;
  margin: 10px 0 4px;
}
.form :deep(.el-checkbox) {
  display: flex;
  font-weight: 400;
  margin: 0;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 16px;
}
.actions {
  display: flex;
  gap: 10px;
  align-items: center;
  margin-top: 14px;
}
.wrong {
  color: var(--flare-text);
}
.trial {
  margin-top: 18px;
  border-top: 1px solid var(--line);
  padding-top: 12px;
}
.stale {
  opacity: 0.55;
}
.strip {
  position: relative;
  display: flex;
  justify-content: space-between;
  align-items: flex-end;
  height: 46px;
  margin: 8px 0;
  background: var(--paper);
  border-bottom: 1px solid var(--line);
  font-size: 12px;
  color: var(--ink-soft);
  padding: 0 4px;
}
.strip i {
  position: absolute;
  top: 4px;
  width: 3px;
  height: 24px;
  background: var(--flare);
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
  font-size: 13px;
}
li {
  padding: 2px 0;
}
li time {
  color: var(--ink-soft);
  margin-right: 8px;
}
</style>
