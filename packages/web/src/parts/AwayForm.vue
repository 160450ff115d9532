<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { absenceSchema, routes, type Absence } from '@murrabel/contract'
import { call } from '../api/call.ts'
import { useAsked } from '../composables/useAsked.ts'
import { useBusy } from '../composables/useBusy.ts'
import { useTexts } from '../composables/useTexts.ts'
import { useBrand } from '../stores/brand.ts'
import DraftForm from './DraftForm.vue'
import FormField from './FormField.vue'

/** On which days somebody is away, and who looks after their threads. */
const { colleagueId = null } = defineProps<{
  /** Whose days; null: one's own. */
  colleagueId?: number | null
}>()
const emit = defineEmits<{ changed: [] }>()
const { t } = useTexts()
const brand = useBrand()
const { busy, problem, fields, run, check } = useBusy()
const id = computed(() => colleagueId ?? brand.answer?.me.id ?? 0)
const question = computed<[string, string][]>(() => [])
const absences = useAsked(routes.absences, question)
const absence = computed<Absence | null>(
  () => absences.answer.value?.find((each) => each.colleagueId === id.value) ?? null,
)
const days = ref<[string, string] | null>(null)
/** A colleague, a team, or everybody. */
const taker = ref<string>('all')
watch(
  [absence, id],
  () => {
    const { from, until, takeOver, team } = absence.value ?? { takeOver: null, team: null }
    days.value = from && until ? [from, until] : null
    taker.value = takeOver ? `colleague ${takeOver}` : team ? `team ${team}` : 'all'
  },
  { immediate: true },
)
const takers = computed(() =>
  brand.colleagues.filter((each) => each.id !== id.value && each.role !== 'reader'),
)
const idOf = (kind: 'colleague' | 'team'): number | null =>
  taker.value.startsWith(kind) ? Number(taker.value.slice(kind.length)) : null
async function done(): Promise<void> {
  await Promise.all([absences.load(), brand.load()])
  emit('changed')
}
async function save(): Promise<void> {
  const [from = '', until = ''] = days.value ?? []
  const body = { from, until, takeOver: idOf('colleague'), team: idOf('team') }
  if (!check(absenceSchema, body)) return
  await run(async () => {
    await (colleagueId === null
      ? call(routes.setOwnAbsence, { body })
      : call(routes.setAbsence, { params: { id: colleagueId }, body }))
    await done()
  })
}
const end = () =>
  run(async () => {
    await (colleagueId === null
      ? call(routes.endOwnAbsence)
      : call(routes.endAbsence, { params: { id: colleagueId } }))
    await done()
  })
</script>

<template>
  <DraftForm
    v-if="absences.answer.value"
    class="away"
    data-test="away"
    :problem="problem"
    :fields="fields"
    @send="save"
    @again="save"
  >
    <p class="soft">{{ t('colleagues.awayText') }}</p>
    <FormField :label="t('colleagues.awayDays')" name="from">
      <el-date-picker
        v-model="days"
        type="daterange"
        value-format="YYYY-MM-DD"
        format="YYYY-MM-DD"
        :clearable="false"
        :start-placeholder="t('colleagues.awayFrom')"
        :end-placeholder="t('colleagues.awayTo')"
      />
    </FormField>
    <FormField :label="t('colleagues.awayTaker')" name="takeOver">
      <el-select v-model="taker" data-test="taker">
        <el-option value="all" :label="t('colleagues.shareOut')" />
        <el-option
          v-for="team in brand.answer?.teams ?? []"
          :key="`team ${team.id}`"
          :value="`team ${team.id}`"
          :label="t('colleagues.awayTeam', { name: team.name })"
        />
        <el-option v-for="each in takers" :key="each.id" :value="`colleague ${each.id}`" :label="each.name" />
      </el-select>
    </FormField>
    <template #actions>
      <button type="submit" class="button" :disabled="busy">{{ t('colleagues.awaySave') }}</button>
      <button v-if="absence" type="button" class="plain" :disabled="busy" @click="end">
        {{ t('colleagues.awayEnd') }}
      </button>
    </template>
  </DraftForm>
</template>

<style scoped>
.away {
  max-width: 460px;
}
.away .soft {
  font-size: 13px;
  margin-bottom: 8px;
}
.plain {
  margin-left: 14px;
}
</style>
