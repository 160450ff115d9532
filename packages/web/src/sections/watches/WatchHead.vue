<script setup lang="ts">
import { computed } from 'vue'
import { Ellipsis } from '@lucide/vue'
import type { WatchAnswer, WatchGroupAnswer } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'

const { watch, group } = defineProps<{ watch: WatchAnswer | null; group: WatchGroupAnswer | null }>()
const emit = defineEmits<{
  tune: []
  compare: []
  remove: []
  pause: [paused: boolean]
  copy: []
  feed: []
  move: [groupId: number | null]
}>()
const { t } = useTexts()
const brand = useBrand()
const alertTo = computed(() => ({
  path: '/watch/alerts',
  query: { new: '', lens: watch ? `watch=${watch.id}` : group ? `group=${group.id}` : '' },
}))
const terms = computed(() =>
  watch
    ? watch.query.anyOf.length +
      watch.query.allOf.length +
      watch.query.links.length +
      2 * (watch.query.near?.length ?? 0)
    : 0,
)
</script>

<template>
  <header class="head">
    <h2>{{ watch?.name ?? group?.name ?? t('watch.places.all') }}</h2>
    <span v-if="watch" class="soft"
      >{{ t('watch.listensFor', { n: terms }, terms)
      }}<template v-if="watch.query.noneOf.length"
        >, {{ t('watch.leavesOut', { n: watch.query.noneOf.length }) }}</template
      ><template v-if="watch.paused">, {{ t('watch.paused') }}</template></span
    >
    <span class="buttons">
      <button v-if="watch" type="button" class="button" @click="emit('tune')">{{ t('watch.tune') }}</button>
      <RouterLink class="button" :to="alertTo">{{ t('watch.alert') }}</RouterLink>
      <button type="button" class="button" @click="emit('compare')">{{ t('watch.compare') }}</button>
      <el-dropdown
        v-if="watch && brand.mayCall('updateWatch')"
        :persistent="false"
        trigger="click"
        placement="bottom-end"
      >
        <button type="button" class="button more" :aria-label="t('watch.more')" :title="t('watch.more')">
          <Ellipsis :size="16" />
        </button>
        <template #dropdown>
          <el-dropdown-menu>
            <el-dropdown-item @click="emit('pause', !watch.paused)">{{
              watch.paused ? t('watch.resume') : t('watch.pause')
            }}</el-dropdown-item>
            <el-dropdown-item @click="emit('copy')">{{ t('watch.copy') }}</el-dropdown-item>
            <el-dropdown-item @click="emit('feed')">{{ t('alerts.feed.make') }}</el-dropdown-item>
            <el-dropdown-item divided disabled>{{ t('watch.move') }}</el-dropdown-item>
            <el-dropdown-item v-if="watch.groupId !== null" @click="emit('move', null)">{{
              t('watch.noGroup')
            }}</el-dropdown-item>
            <el-dropdown-item
              v-for="item in brand.groups.filter((g) => g.id !== watch?.groupId)"
              :key="item.id"
              @click="emit('move', item.id)"
              >{{ item.name }}</el-dropdown-item
            >
            <el-dropdown-item divided @click="emit('remove')">{{ t('watch.delete') }}</el-dropdown-item>
          </el-dropdown-menu>
        </template>
      </el-dropdown>
    </span>
  </header>
</template>

<style scoped>
.head {
  display: flex;
  align-items: baseline;
  gap: 14px;
}
h2 {
  font-size: 20px;
  line-height: 28px;
  font-weight: 600;
}
.buttons {
  margin-left: auto;
  display: flex;
  gap: 8px;
}
.buttons a {
  color: var(--ink);
}
.more {
  line-height: 0;
  padding: 7px 8px;
}
</style>
