<script setup lang="ts">
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'

defineProps<{ chosen: number | null }>()
const emit = defineEmits<{ choose: [id: number]; create: [] }>()
const { t, number } = useTexts()
const brand = useBrand()
</script>

<template>
  <nav class="watches" :aria-label="t('watch.watches')">
    <button
      v-for="item in brand.watches"
      :key="item.id"
      type="button"
      class="watch"
      :class="{ chosen: item.id === chosen }"
      :aria-current="item.id === chosen"
      @click="emit('choose', item.id)"
    >
      <b>{{ item.name }}</b>
      <span class="soft">{{
        item.historyDone < item.historyTotal
          ? t('watch.reading', { done: number(item.historyDone), total: number(item.historyTotal) })
          : t('watch.inAll', { n: number(item.mentions) })
      }}</span>
    </button>
    <div v-if="brand.may('watch')" class="new">
      <button type="button" class="button" @click="emit('create')">{{ t('watch.new') }}</button>
    </div>
  </nav>
</template>

<style scoped>
.watches {
  border-right: 1px solid var(--line);
  background: var(--sheet);
  overflow-y: auto;
}
.watch {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 10px;
  width: 100%;
  text-align: left;
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--line);
  border-left: 3px solid transparent;
  padding: 12px 16px 12px 17px;
  cursor: pointer;
}
.watch b {
  font-weight: 600;
}
.chosen {
  background: var(--deep-wash);
  border-left-color: var(--deep);
}
.new {
  padding: 12px 20px;
}
</style>
