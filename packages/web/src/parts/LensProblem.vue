<script setup lang="ts">
import { useT } from '../composables/useT.ts'

defineProps<{ what: string }>()
const emit = defineEmits<{ reset: [] }>()
const { t } = useT()
</script>

<template>
  <div class="note" role="alert">
    <p>{{ t('lens.unknown', { what }) }}</p>
    <button type="button" class="button" @click="emit('reset')">{{ t('lens.reset') }}</button>
  </div>
</template>

<style scoped>
.note {
  border-left: 3px solid var(--flare);
  background: var(--note);
  padding: 10px 14px;
  margin: 8px;
}
.button {
  margin-top: 6px;
}
</style>
