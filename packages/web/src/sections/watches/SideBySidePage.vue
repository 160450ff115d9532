<script setup lang="ts">
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { X } from '@lucide/vue'
import { useTexts } from '../../composables/useTexts.ts'
import EmptyPlace from '../../parts/EmptyPlace.vue'
import { useBrand } from '../../stores/brand.ts'
import SubjectSelect from './SubjectSelect.vue'
import WatchColumn from './WatchColumn.vue'
import WatchFrame from './WatchFrame.vue'

/** Several watches or groups side by side, each a column; which ones stands in the address. */
const route = useRoute()
const router = useRouter()
const { t } = useTexts()
const brand = useBrand()
const most = 6

/** "12" is a watch, "g3" a group. */
const columns = computed(() =>
  String(route.query.columns ?? '')
    .split(',')
    .filter((name) => nameOf(name) !== '')
    .slice(0, most),
)
const nameOf = (column: string) =>
  column.startsWith('g') ? brand.nameOfGroup(Number(column.slice(1))) : brand.nameOfWatch(Number(column))
const choices = computed(() =>
  [
    ...brand.watches.map(({ id, name }) => ({ value: String(id), label: name })),
    ...brand.groups.map(({ id, name }) => ({ value: `g${id}`, label: `${t('lens.groups')}: ${name}` })),
  ].filter(({ value }) => !columns.value.includes(value)),
)
const put = (next: string[]) =>
  router.replace({ query: { ...route.query, columns: next.join(',') || undefined } })
</script>

<template>
  <WatchFrame :title="t('watch.side.title')">
    <template #head>
      <SubjectSelect
        :model-value="''"
        :label="t('watch.side.add')"
        :choices="choices"
        :disabled="columns.length >= most"
        @update:model-value="(value) => put([...columns, value])"
      />
    </template>
    <EmptyPlace v-if="!columns.length" :title="t('watch.side.choose')" :text="t('watch.side.none')" />
    <div
      v-else
      class="columns"
      :style="{ gridTemplateColumns: `repeat(${columns.length}, minmax(220px, 1fr))` }"
    >
      <section v-for="column in columns" :key="column" data-test="column">
        <header>
          <h3>{{ nameOf(column) }}</h3>
          <button
            type="button"
            class="plain"
            :aria-label="t('watch.side.remove', { name: nameOf(column) })"
            @click="put(columns.filter((each) => each !== column))"
          >
            <X :size="14" />
          </button>
        </header>
        <WatchColumn :column="column" />
      </section>
    </div>
  </WatchFrame>
</template>

<style scoped>
.columns {
  display: grid;
  overflow-x: auto;
  height: calc(100% - 44px);
}
section {
  display: flex;
  flex-direction: column;
  min-height: 0;
  padding: 0 12px;
  border-right: 1px solid var(--line);
}
section:first-child {
  padding-left: 0;
}
section:last-child {
  border: 0;
}
header {
  display: flex;
  justify-content: space-between;
  border-bottom: 1px solid var(--line);
  padding-bottom: 4px;
}
h3 {
  font-size: 15px;
  font-weight: 600;
}
</style>
