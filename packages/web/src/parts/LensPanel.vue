<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import { useT } from '../composables/useT.ts'
import { blankLens, type EntryOrigin, type Lens, type LensField } from '@murrabel/core/lens'
import type { LensOption } from '../composables/useLensOptions.ts'

const {
  field,
  lens,
  options,
  beside = [],
} = defineProps<{
  field: LensField
  lens: Lens
  options: LensOption[]
  /** Of the kinds: whom it was said to, which is told together with them. */
  beside?: LensOption[]
}>()
const emit = defineEmits<{ change: [part: Partial<Lens>] }>()
const { t, called } = useT()

const many = computed(() =>
  [
    'kinds',
    'origins',
    'channels',
    'places',
    'sentiments',
    'wishes',
    'languages',
    'tags',
    'personTags',
    'standings',
    'followUpKinds',
    'followUpPlaces',
    'logSubjects',
  ].includes(field),
)
const chosen = ref<(string | number)[]>(many.value ? [...(lens[field] as (string | number)[])] : [])
const origins = ref<EntryOrigin[]>([...lens.origins])
/** What is chosen together; nothing of it means all. */
const choice = (values: (string | number)[], of: EntryOrigin[]): Partial<Lens> => ({
  [field]: values,
  ...(beside.length ? { origins: of } : {}),
})
const typed = computed(() => field === 'words' || field === 'phrase' || field === 'named')
/** Parts that are chosen elsewhere (a mark in a chart, a voice) and can only be taken away here. */
const given = computed(() =>
  ['voice', 'story', 'aspect', 'weekHour', 'kept', 'uncaught', 'doubt'].includes(field),
)
const words = ref(lens[field === 'phrase' || field === 'named' ? field : 'words'])
const dates = ref<[string, string] | null>(
  lens.range && 'from' in lens.range ? [lens.range.from.slice(0, 10), lens.range.to.slice(0, 10)] : null,
)

/** One goes on by key from here: the first that is chosen, else the first there is. */
const form = useTemplateRef<HTMLFormElement>('form')
function focus(): void {
  const first =
    form.value?.querySelector<HTMLElement>('[aria-pressed="true"], input:checked') ??
    form.value?.querySelector<HTMLElement>('input, button')
  first?.focus()
}
// What is not drawn yet cannot be focused.
onMounted(() => requestAnimationFrame(focus))

function single(value: string | number): void {
  if (field === 'range') emit('change', { range: { last: Number(value) } })
  else if (field === 'watch') emit('change', subjectOf(Number(value)))
  else emit('change', { [field]: value })
}
/** A watch by its number, a group by its negative one, everything by 0. */
const subjectOf = (value: number): Partial<Lens> => ({
  watch: value > 0 ? value : null,
  group: value < 0 ? -value : null,
})
function current(value: string | number): boolean {
  if (field === 'range') return lens.range !== null && 'last' in lens.range && lens.range.last === value
  if (field === 'watch') return (lens.watch ?? -(lens.group ?? 0)) === value
  return lens[field] === value
}
function applyDates(value: [string, string] | null): void {
  if (value) emit('change', { range: { from: value[0], to: value[1] } })
}
</script>

<template>
  <form
    ref="form"
    class="panel"
    @submit.prevent="emit('change', typed ? { [field]: words.trim() } : choice(chosen, origins))"
  >
    <h4>{{ called('lens.field', field) }}</h4>
    <template v-if="typed">
      <el-input
        v-model="words"
        :aria-label="called('lens.field', field)"
        maxlength="200"
        clearable
        autofocus
      />
      <p v-if="field === 'words'" class="soft hint">{{ t('lens.wordsHint') }}</p>
      <div class="row">
        <button class="button primary" type="submit">{{ t('lens.apply') }}</button>
        <button v-if="lens[field]" class="button" type="button" @click="emit('change', { [field]: '' })">
          {{ t('lens.without') }}
        </button>
      </div>
    </template>
    <template v-else-if="given">
      <button class="button" type="button" @click="emit('change', { [field]: blankLens[field] })">
        {{ t('lens.without') }}
      </button>
    </template>
    <template v-else-if="many">
      <el-checkbox-group v-model="chosen" class="many">
        <el-checkbox
          v-for="option in options"
          :key="option.value"
          :value="option.value"
          :label="option.label"
        />
      </el-checkbox-group>
      <template v-if="beside.length">
        <h4 class="second">{{ t('lens.field.origins') }}</h4>
        <el-checkbox-group v-model="origins" class="many">
          <el-checkbox
            v-for="option in beside"
            :key="option.value"
            :value="option.value"
            :label="option.label"
          />
        </el-checkbox-group>
      </template>
      <div class="row">
        <button class="button primary" type="submit">{{ t('lens.apply') }}</button>
        <button class="button" type="button" @click="emit('change', choice([], []))">
          {{ t('lens.all') }}
        </button>
      </div>
    </template>
    <template v-else>
      <button
        v-for="option in options"
        :key="option.value"
        type="button"
        class="option"
        :class="{ current: current(option.value) }"
        :aria-pressed="current(option.value)"
        @click="single(option.value)"
      >
        {{ option.label }}
      </button>
      <template v-if="field === 'range'">
        <button
          type="button"
          class="option"
          :class="{ current: lens.range === null }"
          @click="emit('change', { range: null })"
        >
          {{ t('lens.range.all') }}
        </button>
        <el-date-picker
          v-model="dates"
          type="daterange"
          value-format="YYYY-MM-DD"
          format="YYYY-MM-DD"
          :clearable="false"
          :start-placeholder="t('lens.from')"
          :end-placeholder="t('lens.to')"
          class="dates"
          @change="applyDates"
        />
      </template>
    </template>
  </form>
</template>

<style scoped>
.panel {
  display: flex;
  flex-direction: column;
  gap: 2px;
}
.many {
  display: flex;
  flex-direction: column;
}
.second {
  margin-top: 10px;
}
.hint {
  font-size: 13px;
  margin: 6px 0;
}
.row {
  display: flex;
  gap: 8px;
  margin-top: 8px;
}
.option {
  font: inherit;
  text-align: left;
  color: var(--ink);
  background: none;
  border: 0;
  border-radius: var(--corner);
  padding: 5px 8px;
  cursor: pointer;
}
.option:hover {
  background: var(--paper);
}
.current {
  background: var(--deep-wash);
  font-weight: 600;
}
.panel :deep(.dates) {
  --el-date-editor-width: 100%;
  --el-date-editor-daterange-width: 100%;
  max-width: 100%;
  margin-top: 6px;
}
</style>
