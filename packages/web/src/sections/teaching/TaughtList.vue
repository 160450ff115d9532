<script setup lang="ts">
import { useT } from '../../composables/useT.ts'

/** A list that is taught: what it is for, its rows, and how one is added and all are saved. */
defineProps<{
  title: string
  intro: string
  addText: string
  saveText: string
  editable: boolean
  busy: boolean
  changed: boolean
}>()
const emit = defineEmits<{ add: []; save: [] }>()
const { t } = useT()
</script>

<template>
  <section>
    <h3>{{ title }}</h3>
    <p class="soft">{{ intro }}</p>
    <slot />
    <p v-if="editable" class="row">
      <button type="button" class="button" @click="emit('add')">{{ addText }}</button>
      <button type="button" class="button primary" :disabled="busy || !changed" @click="emit('save')">
        {{ saveText }}
      </button>
      <span v-if="changed" class="soft">{{ t('watch.teach.unsaved') }}</span>
    </p>
  </section>
</template>

<style scoped>
h3 {
  font-size: 15px;
  font-weight: 600;
  margin: 10px 0 2px;
}
.row {
  display: flex;
  align-items: center;
  gap: 12px;
}
p {
  margin-bottom: 8px;
}
</style>
