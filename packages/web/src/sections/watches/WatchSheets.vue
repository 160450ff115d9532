<script setup lang="ts">
import { ref } from 'vue'
import type { WatchAnswer, WatchGroupAnswer } from '@murrabel/contract'
import { onDemand } from '../../parts/onDemand.ts'

/** The sheets of a watch's page: its terms, its group, its feed, and help with the first watches. */
const { current } = defineProps<{ current: WatchAnswer | null }>()
const emit = defineEmits<{ saved: [watch: WatchAnswer]; groupChanged: []; started: [] }>()
const FeedSheet = onDemand(() => import('../alerts/FeedSheet.vue'))
const GroupSheet = onDemand(() => import('./GroupSheet.vue'))
const StartSheet = onDemand(() => import('./StartSheet.vue'))
const WatchSheet = onDemand(() => import('./WatchSheet.vue'))

const watchSheet = ref(false)
const editedWatch = ref<WatchAnswer | null>(null)
const groupSheet = ref(false)
const editedGroup = ref<WatchGroupAnswer | null>(null)
const startSheet = ref(false)
const feedSheet = ref(false)

function edit(item: WatchAnswer | null): void {
  editedWatch.value = item
  watchSheet.value = true
}
function editGroup(item: WatchGroupAnswer | null): void {
  editedGroup.value = item
  groupSheet.value = true
}
defineExpose({
  edit,
  editGroup,
  start: () => (startSheet.value = true),
  feed: () => (feedSheet.value = true),
})
</script>

<template>
  <WatchSheet v-model="watchSheet" :editing="editedWatch" @saved="(saved) => emit('saved', saved)" />
  <GroupSheet v-model="groupSheet" :editing="editedGroup" @changed="emit('groupChanged')" />
  <FeedSheet v-model="feedSheet" :item="current" />
  <StartSheet v-model="startSheet" @saved="emit('started')" />
</template>
