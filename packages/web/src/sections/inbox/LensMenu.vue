<script setup lang="ts">
import { defineAsyncComponent, ref, useTemplateRef } from 'vue'
import { onClickOutside } from '@vueuse/core'
import type { Lens } from '@murrabel/core/lens'
import { ListFilter } from '@lucide/vue'
import { useT } from '../../composables/useT.ts'

/** The lenses that are kept, and what they show. */
const { lens } = defineProps<{ lens: Lens }>()
const { t } = useT()
const loadList = () => import('./LensList.vue')
const LensList = defineAsyncComponent(loadList)
const shown = ref(false)
const button = useTemplateRef<HTMLElement>('button')
onClickOutside(button, () => (shown.value = false), { ignore: ['.el-popper', '.lens-list'] })
function close(): void {
  shown.value = false
  button.value?.focus()
}
defineExpose({ open: () => (shown.value = true) })
</script>

<template>
  <button
    ref="button"
    type="button"
    class="plain menu"
    :title="t('lenses.open')"
    :aria-expanded="shown"
    @pointerenter.once="loadList"
    @focus.once="loadList"
    @click="shown = !shown"
  >
    <ListFilter :size="16" /> {{ t('lenses.title') }}
  </button>
  <el-popover
    v-if="shown && button"
    :visible="true"
    virtual-triggering
    :virtual-ref="button"
    placement="bottom-end"
    :width="460"
    :show-arrow="false"
    :persistent="false"
  >
    <LensList class="lens-list" :lens="lens" @close="close" @keydown.esc="close" />
  </el-popover>
</template>

<style scoped>
.menu {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  min-height: 24px;
}
</style>
