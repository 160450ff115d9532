<script setup lang="ts">
import { useT } from '../composables/useT.ts'
import type { CallProblem } from '../api/call.ts'
import { useProblemTexts } from '../composables/useProblemTexts.ts'

const { problem } = defineProps<{ problem: CallProblem }>()
const emit = defineEmits<{ again: [] }>()
const { t } = useT()
const texts = useProblemTexts()
</script>

<template>
  <div class="note" role="alert">
    <p>{{ texts.sentence(problem) }}</p>
    <ul v-if="problem.problem.fields?.length">
      <li v-for="field in problem.problem.fields" :key="field.field + field.code">
        {{ texts.field(field) }}
      </li>
    </ul>
    <p v-if="problem.problem.instance" class="soft">{{ problem.problem.instance }}</p>
    <button
      v-if="problem.problem.status === 0 || problem.problem.status >= 500"
      class="button"
      type="button"
      @click="emit('again')"
    >
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
