<script setup lang="ts">
/** Chooses one of several watches and groups, by "12" or "g3". */
defineProps<{ label: string; choices: readonly { value: string; label: string }[]; disabled?: boolean }>()
const chosen = defineModel<string>({ required: true })
</script>

<template>
  <el-select
    v-model="chosen"
    :placeholder="label"
    :aria-label="label"
    :disabled="disabled"
    filterable
    class="subject"
  >
    <el-option v-for="choice in choices" :key="choice.value" :value="choice.value" :label="choice.label" />
  </el-select>
</template>

<style scoped>
.subject {
  width: 240px;
}
</style>
