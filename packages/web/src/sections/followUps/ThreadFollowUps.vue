<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import { routes, type FollowUp } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { onDemand } from '../../parts/onDemand.ts'
import { useBrand } from '../../stores/brand.ts'
import FollowUpRows from './FollowUpRows.vue'

/** What is to be done after a thread, beside it. */
const { threadId } = defineProps<{ threadId: number }>()
const FollowUpSheet = onDemand(() => import('./FollowUpSheet.vue'))
const { t } = useTexts()
const brand = useBrand()
const rows = shallowRef<FollowUp[]>([])
const sheet = ref(false)
async function load(): Promise<void> {
  const asked = threadId
  const found = await call(routes.followUpsOf, { params: { id: asked } }).catch((error: unknown) => {
    // What cannot be had is not shown; the thread tells what is wrong.
    if (error instanceof CallProblem) return []
    throw error
  })
  if (asked === threadId) rows.value = found
}
watch(
  () => threadId,
  () => {
    rows.value = []
    void load()
  },
  { immediate: true },
)
useLive(({ kind }) => {
  if (kind === 'followUps' || kind === 'afresh') void load()
})
</script>

<template>
  <section v-if="rows.length || brand.may('answer')">
    <h4>{{ t('followUps.list') }}</h4>
    <FollowUpRows v-if="rows.length" :follow-ups="rows" :may="brand.may('answer')" @changed="load" />
    <button v-if="brand.may('answer')" type="button" class="plain add" @click="sheet = true">
      {{ t('followUps.addTitle') }}
    </button>
    <FollowUpSheet v-model="sheet" :thread-id="threadId" @changed="load" />
  </section>
</template>

<style scoped>
h4 {
  margin-top: 12px;
}
.add {
  min-height: 24px;
  padding: 0;
}
</style>
