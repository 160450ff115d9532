<script setup lang="ts">
import { computed, ref } from 'vue'
import { ChevronDown, ChevronRight, Pencil } from '@lucide/vue'
import { useLocalStorage } from '@vueuse/core'
import { netMinimum } from '@murrabel/core/measures'
import type { SummariesAnswer, WatchAnswer, WatchGroupAnswer } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import SparkLine from '../../parts/SparkLine.vue'
import { useBrand } from '../../stores/brand.ts'
import { points } from './watchFigures.ts'
import { treeRows } from './watchTree.ts'
import WatchFiles from './WatchFiles.vue'
import WatchPlaces from './WatchPlaces.vue'

const { summaries, watch, group } = defineProps<{
  summaries: SummariesAnswer | null
  watch: number | null
  group: number | null
}>()
const emit = defineEmits<{
  choose: [subject: { watch: number | null; group: number | null }]
  create: []
  group: [group: WatchGroupAnswer | null]
  propose: []
}>()
const { t, number } = useTexts()
const brand = useBrand()
const closed = useLocalStorage<number[]>('murrabel.closedGroups', [])
const rows = computed(() => treeRows(brand.groups, brand.watches, new Set(closed.value)))
const byId = computed(() => new Map(summaries?.watches.map((w) => [w.id, w])))
const list = ref<HTMLElement | null>(null)

function toggle(id: number): void {
  closed.value = closed.value.includes(id)
    ? closed.value.filter((each) => each !== id)
    : [...closed.value, id]
}
/** Net sentiment; nothing where there is too little to say. Its interval stands with the figures. */
function netOf(id: number): string {
  const net = byId.value.get(id)?.net
  if (!net || net.n < netMinimum) return ''
  return t('watch.netOf', { n: points(net.net) })
}
function state(item: WatchAnswer): string | null {
  if (item.historyDone < item.historyTotal)
    return t('watch.reading', { done: number(item.historyDone), total: number(item.historyTotal) })
  return item.paused ? t('watch.paused') : null
}
</script>

<template>
  <aside class="side">
    <WatchPlaces />
    <nav ref="list" class="watches" :aria-label="t('watch.watches')">
      <button
        type="button"
        class="all"
        :class="{ chosen: watch === null && group === null }"
        :aria-current="watch === null && group === null"
        @click="emit('choose', { watch: null, group: null })"
      >
        {{ t('watch.places.all') }}
      </button>
      <template v-for="row in rows" :key="row.kind === 'group' ? `g${row.group.id}` : row.watch.id">
        <div
          v-if="row.kind === 'group'"
          class="group"
          :class="{ chosen: row.group.id === group }"
          :style="{ paddingLeft: `${8 + row.depth * 14}px` }"
        >
          <button
            type="button"
            class="fold"
            :aria-expanded="!closed.includes(row.group.id)"
            :aria-label="row.group.name"
            @click="toggle(row.group.id)"
          >
            <component :is="closed.includes(row.group.id) ? ChevronRight : ChevronDown" :size="14" />
          </button>
          <button
            type="button"
            class="name"
            :aria-current="row.group.id === group"
            data-test="group"
            @click="emit('choose', { watch: null, group: row.group.id })"
          >
            {{ row.group.name }}
          </button>
          <span class="soft">{{ row.watches }}</span>
          <button
            v-if="brand.mayCall('createWatch')"
            type="button"
            class="edit"
            :aria-label="t('watch.group.titleEdit')"
            :title="t('watch.group.titleEdit')"
            @click="emit('group', row.group)"
          >
            <Pencil :size="12" />
          </button>
        </div>
        <button
          v-else
          type="button"
          class="watch"
          :class="{ chosen: row.watch.id === watch, resting: row.watch.paused }"
          :style="{ paddingLeft: `${17 + row.depth * 14}px` }"
          :aria-current="row.watch.id === watch"
          @click="emit('choose', { watch: row.watch.id, group: null })"
        >
          <span class="line">
            <b>{{ row.watch.name }}</b>
            <SparkLine
              v-if="byId.get(row.watch.id)"
              :values="byId.get(row.watch.id)!.spark"
              :label="byId.get(row.watch.id)!.spark.map(number).join(', ')"
            />
          </span>
          <span v-if="state(row.watch)" class="line soft">{{ state(row.watch) }}</span>
          <span v-else-if="byId.get(row.watch.id)" class="line soft" data-test="summary">
            <span
              >{{ number(byId.get(row.watch.id)!.count) }},
              <em :class="byId.get(row.watch.id)!.usual.verdict">{{
                t(`watch.${byId.get(row.watch.id)!.usual.verdict}`)
              }}</em></span
            >
            <span v-if="netOf(row.watch.id)">{{ netOf(row.watch.id) }}</span>
          </span>
        </button>
      </template>
      <p v-if="summaries?.watches.some(({ usual }) => usual.verdict !== 'usual')" class="soft together">
        {{ t('watch.together') }}
      </p>
      <div v-if="brand.mayCall('createWatch')" class="new">
        <button type="button" class="button" @click="emit('create')">{{ t('watch.new') }}</button>
        <button type="button" class="button" @click="emit('group', null)">{{ t('watch.newGroup') }}</button>
        <WatchFiles @propose="emit('propose')" />
      </div>
    </nav>
  </aside>
</template>

<style scoped>
.together {
  margin: 8px 16px;
  font-size: 12px;
}
.side {
  display: flex;
  flex-direction: column;
  min-height: 0;
  border-right: 1px solid var(--line);
  background: var(--sheet);
}
.watches {
  overflow-y: auto;
  flex: 1;
}
.all,
.watch {
  display: block;
  width: 100%;
  text-align: left;
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--line);
  border-left: 3px solid transparent;
  padding: 8px 14px 8px 17px;
  cursor: pointer;
}
.group {
  display: flex;
  align-items: center;
  gap: 4px;
  padding: 5px 14px 5px 8px;
  background: var(--paper);
  border-bottom: 1px solid var(--line);
  border-left: 3px solid transparent;
  font-size: 13px;
}
.group .name {
  font: inherit;
  font-weight: 600;
  color: var(--ink-soft);
  background: none;
  border: 0;
  padding: 0;
  cursor: pointer;
  text-align: left;
}
.group .soft {
  margin-left: 2px;
}
.fold,
.edit {
  background: none;
  border: 0;
  color: var(--ink-soft);
  padding: 2px;
  line-height: 0;
  cursor: pointer;
}
.edit {
  margin-left: auto;
  opacity: 0;
}
.group:hover .edit,
.edit:focus-visible {
  opacity: 1;
}
.watch b {
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.resting b {
  color: var(--ink-soft);
}
.line {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
}
.line.soft {
  font-size: 13px;
}
em {
  font-style: normal;
}
em.above {
  color: var(--flare-text);
}
.chosen {
  background: var(--deep-wash);
  border-left-color: var(--deep);
}
.new {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 12px 16px;
}
</style>
