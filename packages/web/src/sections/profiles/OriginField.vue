<script setup lang="ts">
import FormField from '../../parts/FormField.vue'

/** One address of a site. */
const address = defineModel<string>({ required: true })
defineProps<{ label: string; name: string }>()
</script>

<template>
  <FormField :label="label" :name="name">
    <el-input v-model="address" placeholder="https://" maxlength="300" />
  </FormField>
</template>
