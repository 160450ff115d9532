<script setup lang="ts">
import { ref } from 'vue'
import { useT } from '../composables/useT.ts'

/** A chart with its title, and its figures as a table one button away. */
defineProps<{ title: string; note?: string }>()
defineSlots<{ default(): unknown; table(): unknown }>()
const { t } = useT()
const table = ref(false)
</script>

<template>
  <figure>
    <figcaption>
      <h4>{{ title }}</h4>
      <span v-if="note" class="soft">{{ note }}</span>
      <button type="button" class="plain" @click="table = !table">
        {{ table ? t('watch.chart') : t('watch.table') }}
      </button>
    </figcaption>
    <div v-if="table" class="table"><slot name="table" /></div>
    <slot v-else />
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  min-width: 0;
}
figcaption {
  display: flex;
  align-items: baseline;
  gap: 12px;
  margin-bottom: 4px;
  font-size: 13px;
}
h4 {
  margin: 0;
  white-space: nowrap;
}
.soft {
  font-size: 12px;
  line-height: 15px;
}
.plain {
  margin-left: auto;
}
.table {
  max-height: 320px;
  overflow-y: auto;
}
</style>
