<script setup lang="ts">
import { ref, watch } from 'vue'
import { routes, type FeedAddresses as Addresses, type WatchAnswer } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import FeedAddresses from './FeedAddresses.vue'

/** The secret addresses of a watch's feeds. */
const shown = defineModel<boolean>({ required: true })
const { item } = defineProps<{ item: WatchAnswer | null }>()
const { t } = useTexts()
const addresses = ref<Addresses | null>(null)
const problem = ref<CallProblem | null>(null)
const busy = ref(false)

async function ask(
  route: typeof routes.watchFeedState | typeof routes.watchFeed | typeof routes.watchFeedOff,
) {
  if (!item) return
  busy.value = true
  try {
    addresses.value = await call<undefined, Addresses>(route, { params: { id: item.id } })
    problem.value = null
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    problem.value = error
  } finally {
    busy.value = false
  }
}
// The sheet may come into being open.
watch(
  shown,
  (open) => {
    addresses.value = null
    if (open) void ask(routes.watchFeedState)
  },
  { immediate: true },
)
</script>

<template>
  <el-drawer
    v-model="shown"
    :title="t('alerts.feed.title', { name: item?.name ?? '' })"
    size="520px"
    append-to-body
  >
    <ProblemNote v-if="problem" :problem="problem" @again="ask(routes.watchFeedState)" />
    <FeedAddresses
      v-if="addresses"
      :addresses="addresses"
      :busy="busy"
      @renew="ask(routes.watchFeed)"
      @off="ask(routes.watchFeedOff)"
    />
  </el-drawer>
</template>
