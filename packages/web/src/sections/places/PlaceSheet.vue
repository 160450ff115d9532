<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { X } from '@lucide/vue'
import { placeSchema, routes, type PlaceSetUp } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useSheetDraft } from '../../composables/useSheetDraft.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { draftOf, fieldsOf, withDays, type PlaceFields } from './placeDraft.ts'

/** A place: where it is, how it is reached, when it is open. */
const shown = defineModel<boolean>({ required: true })
const { place = null } = defineProps<{ place?: PlaceSetUp | null }>()
const emit = defineEmits<{ changed: [] }>()
const { busy, problem, fields, run, check, forget } = useBusy()
const { t, number, locale } = useTexts()
const draft = reactive<PlaceFields>(fieldsOf(place))
const unread = ref<string[]>([])
const taken = ref('')
watch(
  shown,
  (open) => {
    if (!open) return
    Object.assign(draft, fieldsOf(place))
    unread.value = []
    taken.value = ''
    forget()
  },
  { immediate: true },
)
useSheetDraft({
  shown,
  key: () => (place ? `place.${place.id}.${place.edition}` : 'place.new'),
  draft: () => ({ ...draft }),
  put: (kept) => Object.assign(draft, kept),
})
/** 2024 began on a Monday. */
const weekdays = computed(() =>
  Array.from({ length: 7 }, (_, i) =>
    new Intl.DateTimeFormat(locale.value, { weekday: 'long', timeZone: 'UTC' }).format(
      Date.UTC(2024, 0, 1 + i),
    ),
  ),
)
async function save(): Promise<void> {
  const { draft: body, unread: wrong } = draftOf(draft)
  unread.value = wrong
  if (wrong.length || !check(placeSchema, body)) return
  await run(async () => {
    await (place
      ? call(routes.changePlace, { params: { id: place.id }, body: { ...body, edition: place.edition } })
      : call(routes.addPlace, { body }))
    shown.value = false
    emit('changed')
  })
}
const remove = () =>
  run(async () => {
    await call(routes.removePlace, { params: { id: place!.id } })
    shown.value = false
    emit('changed')
  })
async function holidays(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  await run(async () => {
    const { days, leftOut } = await call(routes.readHolidays, { body: await file.text() })
    draft.days = withDays(draft.days, days)
    taken.value = t('places.holidaysTaken', { n: number(days.length), left: number(leftOut) }, days.length)
  })
}
const isUnread = (field: string) => unread.value.includes(field)
</script>

<template>
  <el-drawer v-model="shown" :title="place ? place.name : t('places.add')" size="520px" append-to-body>
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
      <FormField :label="t('places.name')" name="name">
        <el-input v-model="draft.name" maxlength="80" />
      </FormField>
      <FormField :label="t('places.address')" name="address">
        <el-input v-model="draft.address" maxlength="300" />
      </FormField>
      <div class="pair">
        <FormField :label="t('places.phone')" name="phone">
          <el-input v-model="draft.phone" maxlength="80" inputmode="tel" />
        </FormField>
        <FormField :label="t('places.url')" name="url">
          <el-input v-model="draft.url" maxlength="500" inputmode="url" />
        </FormField>
      </div>
      <fieldset>
        <legend>{{ t('places.hours') }}</legend>
        <el-radio-group v-model="draft.opens">
          <el-radio :value="true">{{ t('places.hasHours') }}</el-radio>
          <el-radio :value="false">{{ t('places.noHours') }}</el-radio>
        </el-radio-group>
        <div v-if="draft.opens" class="week">
          <template v-for="(day, i) in weekdays" :key="i">
            <label :for="`hours-${i}`">{{ day }}</label>
            <div>
              <el-input
                :id="`hours-${i}`"
                v-model="draft.week[i]"
                :placeholder="t('places.closed')"
                maxlength="120"
              />
              <p v-if="isUnread(`week[${i}]`)" class="wrong" role="alert">{{ t('places.hoursUnread') }}</p>
            </div>
          </template>
        </div>
        <p class="soft hint">{{ t('places.hoursHint') }}</p>
      </fieldset>
      <fieldset>
        <legend>{{ t('places.special') }}</legend>
        <p class="soft hint">{{ t('places.specialHint') }}</p>
        <div v-for="(day, i) in draft.days" :key="i" class="day">
          <input v-model="day.date" type="date" class="date" :aria-label="t('places.date')" />
          <el-input
            v-model="day.name"
            :placeholder="t('places.dayName')"
            :aria-label="t('places.dayName')"
            maxlength="80"
          />
          <el-input
            v-model="day.hours"
            :placeholder="t('places.closed')"
            :aria-label="t('places.hours')"
            maxlength="120"
          />
          <button
            type="button"
            class="plain icon"
            :aria-label="t('places.dayRemove')"
            :title="t('places.dayRemove')"
            @click="draft.days.splice(i, 1)"
          >
            <X :size="16" />
          </button>
          <p v-if="isUnread(`specialDays[${i}].hours`)" class="wrong" role="alert">
            {{ t('places.hoursUnread') }}
          </p>
        </div>
        <p class="more">
          <button type="button" class="plain" @click="draft.days.push({ date: '', name: '', hours: '' })">
            {{ t('places.dayAdd') }}
          </button>
          <label class="plain file"
            >{{ t('places.holidays')
            }}<input
              type="file"
              class="reader-only"
              accept=".ics,text/calendar"
              data-test="holidays"
              @change="holidays"
          /></label>
        </p>
        <p v-if="taken" class="soft" role="status">{{ taken }}</p>
      </fieldset>
      <template #actions>
        <div class="actions">
          <button type="submit" class="button primary" :disabled="busy">{{ t('places.save') }}</button>
          <button v-if="place" type="button" class="button" :disabled="busy" @click="remove">
            {{ t('places.remove') }}
          </button>
        </div>
      </template>
    </DraftForm>
  </el-drawer>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
fieldset {
  border: 0;
  margin: 4px 0 16px;
  padding: 0;
}
legend {
  font-weight: 600;
  padding: 0;
  margin-bottom: 4px;
}
.week {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  gap: 6px 12px;
  align-items: center;
  margin-top: 6px;
}
.hint {
  font-size: 13px;
  margin: 4px 0 6px;
}
.day {
  display: grid;
  grid-template-columns: 140px minmax(0, 1fr) minmax(0, 1fr) 28px;
  gap: 6px;
  align-items: center;
  margin-bottom: 6px;
}
.day .wrong {
  grid-column: 1 / -1;
}
.date {
  font: inherit;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--control-line);
  border-radius: var(--corner);
  padding: 4px 8px;
  min-height: 32px;
}
.more {
  display: flex;
  align-items: baseline;
  gap: 18px;
}
.more .plain {
  min-height: 24px;
}
.file {
  cursor: pointer;
}
.file:focus-within {
  outline: 2px solid var(--deep);
}
.wrong {
  color: var(--flare-text);
  font-size: 13px;
}
.actions {
  display: flex;
  gap: 8px;
}
</style>
