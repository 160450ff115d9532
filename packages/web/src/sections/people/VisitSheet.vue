<script setup lang="ts">
import { reactive, watch } from 'vue'
import { routes, visitSchema, visitStates, type Visit } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useSheetDraft } from '../../composables/useSheetDraft.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { useBrand } from '../../stores/brand.ts'
import { draftOf, fieldsOf, type VisitFields } from './visitDraft.ts'

/** A visit of somebody, noted by hand. */
const shown = defineModel<boolean>({ required: true })
const { person, visit = null } = defineProps<{ person: number; visit?: Visit | null }>()
const emit = defineEmits<{ changed: [] }>()
const { busy, problem, fields, run, check, forget } = useBusy()
const { t } = useTexts()
const brand = useBrand()
const fresh = () => fieldsOf(visit, { now: Date.now(), zone: brand.zone })
const draft = reactive<VisitFields>(fresh())
watch(
  shown,
  (open) => {
    if (!open) return
    Object.assign(draft, fresh())
    forget()
  },
  { immediate: true },
)
useSheetDraft({
  shown,
  key: () => (visit ? `visit.${visit.id}.${visit.edition}` : `visit.of.${person}`),
  draft: () => ({ ...draft }),
  put: (kept) => Object.assign(draft, kept),
})
async function save(): Promise<void> {
  const body = draftOf(draft, brand.zone)
  if (!check(visitSchema, body)) return
  await run(async () => {
    await (visit
      ? call(routes.changeVisit, {
          params: { id: person, visit: visit.id },
          body: { ...body, edition: visit.edition },
        })
      : call(routes.addVisit, { params: { id: person }, body }))
    shown.value = false
    emit('changed')
  })
}
const remove = () =>
  run(async () => {
    await call(routes.removeVisit, { params: { id: person, visit: visit!.id } })
    shown.value = false
    emit('changed')
  })
</script>

<template>
  <el-drawer
    v-model="shown"
    :title="visit ? t('people.visit.edit') : t('people.visit.add')"
    size="420px"
    append-to-body
  >
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
      <FormField :label="t('people.visit.at')" name="at" for="visit-at">
        <input id="visit-at" v-model="draft.at" class="time" type="datetime-local" />
      </FormField>
      <FormField :label="t('people.visit.route')" name="route">
        <el-input v-model="draft.route" maxlength="160" />
      </FormField>
      <div class="pair">
        <FormField :label="t('people.visit.ship')" name="ship">
          <el-input v-model="draft.ship" maxlength="80" />
        </FormField>
        <FormField :label="t('people.visit.place')" name="placeId">
          <el-select v-model="draft.placeId">
            <el-option :value="0" :label="t('people.visit.noPlace')" />
            <el-option v-for="{ id, name } in brand.places" :key="id" :value="id" :label="name" />
          </el-select>
        </FormField>
      </div>
      <div class="three">
        <FormField :label="t('people.visit.people')" name="party">
          <el-input v-model="draft.party" inputmode="numeric" maxlength="5" />
        </FormField>
        <FormField :label="t('people.visit.price')" name="price">
          <el-input v-model="draft.price" inputmode="decimal" maxlength="13" />
        </FormField>
        <FormField :label="t('people.visit.currency')" name="currency">
          <el-input v-model="draft.currency" maxlength="3" />
        </FormField>
      </div>
      <FormField :label="t('people.visit.stateLabel')" name="state">
        <el-radio-group v-model="draft.state" class="states">
          <el-radio v-for="each in visitStates" :key="each" :value="each">{{
            t(`people.visit.state.${each}`)
          }}</el-radio>
        </el-radio-group>
      </FormField>
      <FormField :label="t('people.visit.reference')" name="reference">
        <el-input v-model="draft.reference" maxlength="80" />
      </FormField>
      <template #actions>
        <div class="actions">
          <button type="submit" class="button primary" :disabled="busy">{{ t('people.save') }}</button>
          <button v-if="visit" type="button" class="button" :disabled="busy" @click="remove">
            {{ t('people.visit.remove') }}
          </button>
        </div>
      </template>
    </DraftForm>
  </el-drawer>
</template>

<style scoped>
.time {
  font: inherit;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--control-line);
  border-radius: var(--corner);
  padding: 5px 10px;
  min-height: 32px;
}
.pair,
.three {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
.three {
  grid-template-columns: 1fr 1fr 80px;
}
.states {
  display: grid;
  grid-template-columns: 1fr 1fr;
}
.actions {
  display: flex;
  gap: 8px;
}
</style>
