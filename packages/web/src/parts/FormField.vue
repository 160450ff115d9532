<script setup lang="ts">
import { computed } from 'vue'
import { useProblemTexts } from '../composables/useProblemTexts.ts'
import { useFieldProblems } from './fieldProblems.ts'

/** A field of a form under its label, with what is wrong with it. */
const { label, name = '' } = defineProps<{
  label: string
  /** Id of the field, where it is none of the library's. */
  for?: string
  /** As the draft that is sent calls it, with dots. */
  name?: string
}>()
const { field } = useProblemTexts()
const problems = useFieldProblems(name)
const said = computed(() => [...new Set(problems.value.map(field))])
</script>

<template>
  <el-form-item
    class="field"
    :label="label"
    :for="$props.for"
    label-position="top"
    :validate-status="said.length ? 'error' : ''"
    :show-message="false"
  >
    <slot />
    <div v-if="said.length" class="wrong" role="alert">
      <p v-for="sentence in said" :key="sentence">{{ sentence }}</p>
    </div>
  </el-form-item>
</template>

<style scoped>
.field {
  margin-bottom: 12px;
}
.field :deep(.el-form-item__label) {
  color: var(--ink);
  font-weight: 600;
  line-height: 20px;
  margin-bottom: 4px;
}
.field :deep(.el-form-item__content) {
  line-height: 20px;
}
.wrong {
  width: 100%;
  margin: 2px 0 0;
  line-height: 20px;
  color: var(--flare-text);
  font-size: 13px;
}
</style>
