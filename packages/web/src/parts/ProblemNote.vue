<script setup lang="ts">
import { computed } from 'vue'
import type { FieldProblem } from '@murrabel/contract'
import type { CallProblem } from '../api/call.ts'
import { useT } from '../composables/useT.ts'
import { useProblemTexts } from '../composables/useProblemTexts.ts'

/** Why something was refused; nothing when nothing was. */
const { problem, fields } = defineProps<{
  problem: CallProblem | null
  /** What is wrong with fields, where not all that the refusal names is to be told. */
  fields?: readonly FieldProblem[]
}>()
const emit = defineEmits<{ again: [] }>()
const { t } = useT()
const texts = useProblemTexts()
const told = computed(() => fields ?? problem?.problem.fields ?? [])
const again = computed(() => problem && (problem.problem.status === 0 || problem.problem.status >= 500))
</script>

<template>
  <div v-if="problem || told.length" class="note" role="alert">
    <p v-if="problem">{{ texts.sentence(problem) }}</p>
    <ul v-if="told.length">
      <li v-for="field in told" :key="field.field + field.code">
        {{ texts.field(field) }}
      </li>
    </ul>
    <p v-if="problem?.problem.instance" class="soft">{{ problem.problem.instance }}</p>
    <button v-if="again" class="button" type="button" @click="emit('again')">
      {{ t('problem.again') }}
    </button>
  </div>
</template>

<style scoped>
.note {
  border-left: 3px solid var(--flare);
  background: var(--note);
  padding: 10px 14px;
  margin: 8px 0;
}
ul {
  margin: 6px 0;
  padding-left: 18px;
}
.button {
  margin-top: 8px;
}
</style>
