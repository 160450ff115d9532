<script setup lang="ts">
import { defineAsyncComponent, ref } from 'vue'
import type { ThreadAnswer } from '@murrabel/contract'
import { useT } from '../../composables/useT.ts'
import KeyHint from '../../parts/KeyHint.vue'

/** What an answer can begin with: a pattern, or how the same was answered before. */
const { thread } = defineProps<{ thread: ThreadAnswer }>()
const emit = defineEmits<{ start: [text: string, pattern: number | null] }>()
const StartList = defineAsyncComponent(() => import('./StartList.vue'))
const { t } = useT()
const shown = ref(false)
function take(text: string, pattern: number | null): void {
  shown.value = false
  emit('start', text, pattern)
}
defineExpose({ open: () => (shown.value = true) })
</script>

<template>
  <el-popover
    v-model:visible="shown"
    trigger="click"
    placement="top-start"
    :width="680"
    :persistent="false"
    :show-arrow="false"
    popper-class="start-popper"
  >
    <template #reference>
      <button type="button" class="button" :aria-expanded="shown">
        {{ t('replies.start') }}<KeyHint shortcut="pattern" />
      </button>
    </template>
    <StartList v-if="shown" :thread="thread.id" @start="take" @close="shown = false" />
  </el-popover>
</template>
