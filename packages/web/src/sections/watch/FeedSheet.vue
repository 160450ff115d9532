<script setup lang="ts">
import { ref, watch } from 'vue'
import { routes, type FeedAddresses, type WatchAnswer } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import { useUndo } from '../../stores/undo.ts'

/** The secret addresses of a watch's feeds, made when they are asked for. */
const shown = defineModel<boolean>({ required: true })
const { item } = defineProps<{ item: WatchAnswer | null }>()
const { t } = useTexts()
const undo = useUndo()
const addresses = ref<FeedAddresses | null>(null)
const problem = ref<CallProblem | null>(null)

async function make(): Promise<void> {
  if (!item) return
  try {
    addresses.value = await call(routes.watchFeed, { params: { id: item.id } })
    problem.value = null
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    problem.value = error
  }
}
watch(shown, (open) => {
  addresses.value = null
  if (open) void make()
})
async function copy(address: string): Promise<void> {
  await navigator.clipboard?.writeText(address)
  undo.tell({ text: t('alerts.feed.copied') })
}
</script>

<template>
  <el-drawer
    v-model="shown"
    :title="t('alerts.feed.title', { name: item?.name ?? '' })"
    size="520px"
    append-to-body
  >
    <p class="soft">{{ t('alerts.feed.text') }}</p>
    <ProblemNote v-if="problem" :problem="problem" @again="make" />
    <dl v-if="addresses" data-test="feeds">
      <template v-for="(address, format) in addresses" :key="format">
        <dt>{{ format === 'atom' ? 'Atom' : 'JSON Feed' }}</dt>
        <dd>
          <a :href="address" target="_blank" rel="noreferrer">{{ address }}</a>
          <button type="button" class="plain" @click="copy(address)">{{ t('alerts.feed.copy') }}</button>
        </dd>
      </template>
    </dl>
  </el-drawer>
</template>

<style scoped>
dt {
  font-weight: 600;
  margin-top: 12px;
}
dd {
  margin: 0;
  overflow-wrap: anywhere;
}
.plain {
  margin-left: 10px;
}
</style>
