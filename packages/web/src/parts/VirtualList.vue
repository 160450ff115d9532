<script setup lang="ts" generic="T extends { id: number }">
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { defaultWindow } from '@vueuse/core'

const {
  rows,
  estimate,
  label,
  selected = null,
  total,
} = defineProps<{
  rows: readonly T[]
  estimate: number
  label: string
  selected?: number | null
  /** Rows there are, those that were not fetched yet among them. */
  total?: number
}>()
const emit = defineEmits<{ end: [] }>()

/** Rows above and below what is seen. The first rows are not kept waiting by those that nobody sees yet. */
const overscan = ref(1)
onMounted(() => requestAnimationFrame(() => (overscan.value = 8)))
const box = useTemplateRef<HTMLElement>('box')
const virtualizer = useVirtualizer(
  computed(() => ({
    count: rows.length,
    getScrollElement: () => box.value,
    estimateSize: () => estimate,
    getItemKey: (index: number) => rows[index]?.id ?? index,
    overscan: overscan.value,
    // Where nothing can be measured, as many are drawn as a high window shows.
    initialRect: { width: 0, height: defaultWindow ? 0 : 1100 },
  })),
)
const items = computed(() => virtualizer.value.getVirtualItems())
const height = computed(() => virtualizer.value.getTotalSize())
/** Only a few rows are drawn: each says which it is, and of how many. */
const setSize = computed(() => Math.max(total ?? 0, rows.length))

watch(items, (shown) => {
  const last = shown[shown.length - 1]
  if (last && last.index >= rows.length - 15) emit('end')
})
// What is chosen by key stays in sight. What only left the list for a moment, and came back, does not pull it along.
let sought: number | null = null
watch(
  () => selected,
  (id) => {
    if (id === null || id === sought) return
    sought = id
    const index = rows.findIndex((row) => row.id === id)
    if (index >= 0) virtualizer.value.scrollToIndex(index, { align: 'auto' })
  },
)
const measure = (element: unknown) => {
  if (element instanceof HTMLElement) virtualizer.value.measureElement(element)
}
</script>

<template>
  <div ref="box" class="box" role="list" :aria-label="label" tabindex="0">
    <div class="all" :style="{ height: `${height}px` }">
      <div
        v-for="item in items"
        :key="String(item.key)"
        :ref="measure"
        :data-index="item.index"
        class="item"
        role="listitem"
        :aria-posinset="item.index + 1"
        :aria-setsize="setSize"
        :style="{ transform: `translateY(${item.start}px)` }"
      >
        <slot :row="rows[item.index]!" :index="item.index" />
      </div>
    </div>
    <slot name="after" />
  </div>
</template>

<style scoped>
.box {
  overflow-y: auto;
  height: 100%;
}
.all {
  position: relative;
}
.item {
  position: absolute;
  top: 0;
  left: 0;
  right: 0;
}
</style>
