<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import type { DropdownInstance } from 'element-plus'
import { openMenu } from '../../parts/openMenu.ts'
import { useT } from '../../composables/useT.ts'
import { onDemand } from '../../parts/onDemand.ts'
import { useBrand } from '../../stores/brand.ts'
import { asideTimes } from './asideTimes.ts'

/** Until when something is set aside: a usual time, a chosen one, or until they write (null). The button that opens it is the slot. */
const emit = defineEmits<{ choose: [until: string | null] }>()
const TimeSheet = onDemand(() => import('./TimeSheet.vue'))
const { t } = useT()
const brand = useBrand()
const menu = useTemplateRef<DropdownInstance>('menu')
const choosing = ref(false)
const times = computed(() => asideTimes(Date.now(), brand.zone))
function take(until: string): void {
  if (until === 'choose') choosing.value = true
  else emit('choose', until === 'they' ? null : until)
}
defineExpose({ open: () => openMenu(menu.value) })
</script>

<template>
  <el-dropdown ref="menu" :persistent="false" trigger="click" placement="top-start" @command="take">
    <slot />
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item v-for="time in times" :key="time.name" :command="time.until">{{
          t(`inbox.until.${time.name}`)
        }}</el-dropdown-item>
        <el-dropdown-item command="they" divided>{{ t('inbox.untilTheyWrite') }}</el-dropdown-item>
        <el-dropdown-item command="choose">{{ t('inbox.until.chosen') }}</el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
  <TimeSheet
    v-model="choosing"
    :title="t('inbox.setAside')"
    :verb="t('inbox.setAside')"
    @choose="(until: string) => emit('choose', until)"
  />
</template>
