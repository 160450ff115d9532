<script setup lang="ts">
import { ref, watch } from 'vue'
import { useTexts } from '../../composables/useTexts.ts'

/** Minutes, typed in hours; empty: none. */
const minutes = defineModel<number | null>({ required: true })
const { label = undefined, placeholder = '' } = defineProps<{ label?: string; placeholder?: string }>()
const { t } = useTexts()
const printed = (value: number | null) => (value === null ? '' : String(Math.round((value / 60) * 100) / 100))
const text = ref(printed(minutes.value))
const read = (typed: string): number | null =>
  typed.trim() === '' ? null : Math.round(Number(typed.replace(',', '.')) * 60)
function type(typed: string): void {
  text.value = typed
  minutes.value = read(typed)
}
// What comes from elsewhere is shown; what is being typed stays as it is typed.
watch(minutes, (value) => {
  if (value !== read(text.value)) text.value = printed(value)
})
</script>

<template>
  <el-input
    :model-value="text"
    inputmode="decimal"
    maxlength="7"
    :aria-label="label"
    :placeholder="placeholder"
    @update:model-value="type"
  >
    <template #append>{{ t('places.hoursUnit') }}</template>
  </el-input>
</template>
