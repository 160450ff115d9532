<script setup lang="ts">
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import type { FieldProblem } from '@murrabel/contract'
import type { CallProblem } from '../api/call.ts'
import ProblemNote from './ProblemNote.vue'
import { provideFields } from './fieldProblems.ts'

/**
 * A form: its fields show what is wrong with them, the rest stands above its buttons, and the first field that is wrong
 * gets the focus.
 */
const { problem = null, fields = [] } = defineProps<{
  problem?: CallProblem | null
  fields?: readonly FieldProblem[]
}>()
const emit = defineEmits<{ send: []; again: [] }>()
const rest = provideFields(computed(() => fields))
const form = useTemplateRef<{ $el: HTMLElement }>('form')
/** What the fields say themselves is not said twice. */
const told = computed(() => (problem && (rest.value.length > 0 || fields.length === 0) ? problem : null))
watch(
  () => fields,
  async (wrong) => {
    if (!wrong.length) return
    await nextTick()
    form.value?.$el
      .querySelector<HTMLElement>('.el-form-item.is-error :is(input, textarea, [role="combobox"])')
      ?.focus()
  },
)
</script>

<template>
  <el-form ref="form" v-bind="{ novalidate: true }" label-position="top" @submit.prevent="emit('send')">
    <slot />
    <ProblemNote :problem="told" :fields="rest" @again="emit('again')" />
    <slot name="actions" />
  </el-form>
</template>
