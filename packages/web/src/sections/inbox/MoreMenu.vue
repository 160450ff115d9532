<script setup lang="ts">
import { useTemplateRef } from 'vue'
import type { DropdownInstance } from 'element-plus'
import { openMenu } from '../../parts/openMenu.ts'
import { useT } from '../../composables/useT.ts'

/** What is done more rarely with a thread, or with several. The button that opens it is the slot. */
const { priority = null, spam } = defineProps<{
  /** How high it is; null for several. */
  priority?: number | null
  spam: boolean
}>()
const emit = defineEmits<{ prioritise: [priority: number]; spam: [spam: boolean] }>()
const { t } = useT()
const menu = useTemplateRef<DropdownInstance>('menu')
const levels = [2, 1, 0] as const
defineExpose({ open: () => openMenu(menu.value) })
</script>

<template>
  <el-dropdown ref="menu" :persistent="false" trigger="click" placement="top-start">
    <slot />
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item
          v-for="level in levels"
          :key="level"
          :disabled="level === priority"
          @click="emit('prioritise', level)"
          >{{ t(`inbox.priorities.${level}`) }}</el-dropdown-item
        >
        <el-dropdown-item v-if="!spam" divided @click="emit('spam', true)">{{
          t('inbox.spam.mark')
        }}</el-dropdown-item>
        <el-dropdown-item v-if="spam || priority === null" :divided="spam" @click="emit('spam', false)">{{
          t('inbox.spam.unmark')
        }}</el-dropdown-item>
        <slot name="more" />
      </el-dropdown-menu>
    </template>
  </el-dropdown>
</template>
