<script setup lang="ts">
import { defineAsyncComponent, nextTick, ref, useTemplateRef } from 'vue'
import { onClickOutside } from '@vueuse/core'
import { useT } from '../../composables/useT.ts'

/** An emoji for where the cursor is. What it takes comes when it is first opened. */
const emit = defineEmits<{ choose: [emoji: string] }>()
const { t } = useT()
const EmojiPicker = defineAsyncComponent(() => import('./EmojiPicker.vue'))
const shown = ref(false)
const button = useTemplateRef<HTMLElement>('button')
onClickOutside(button, () => (shown.value = false), { ignore: ['.emoji-picker'] })
async function close(): Promise<void> {
  shown.value = false
  await nextTick()
  button.value?.focus()
}
/** The cursor goes back to the text after the menu has let go of it. */
async function take(emoji: string): Promise<void> {
  await close()
  emit('choose', emoji)
}
</script>

<template>
  <button
    ref="button"
    type="button"
    class="plain switch emoji"
    :aria-expanded="shown"
    data-test="emoji"
    @click="shown = !shown"
  >
    {{ t('inbox.emoji') }}
  </button>
  <el-popover
    v-if="shown && button"
    :visible="true"
    virtual-triggering
    :virtual-ref="button"
    placement="top-start"
    :width="340"
    :show-arrow="false"
    :persistent="false"
  >
    <EmojiPicker class="emoji-picker" @choose="take" @keydown.esc.stop="close" />
  </el-popover>
</template>

<style scoped>
.emoji {
  color: var(--deep);
  border-bottom: 1px dotted currentcolor;
  line-height: 20px;
  cursor: pointer;
}
</style>
