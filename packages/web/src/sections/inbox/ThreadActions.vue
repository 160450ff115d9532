<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { useTexts } from '../../composables/useTexts.ts'
import type { DropdownInstance } from 'element-plus'
import type { ThreadAnswer } from '@murrabel/contract'
import KeyHint from '../../parts/KeyHint.vue'
import { useBrand } from '../../stores/brand.ts'
import { asideTimes } from './asideTimes.ts'

const { thread } = defineProps<{ thread: ThreadAnswer }>()
const emit = defineEmits<{
  event: [kind: 'finish' | 'reopen' | 'setAside', until?: string]
  /** To somebody, or to whoever of a team has the fewest. */
  give: [to: number | null, team?: number]
  tags: []
}>()
const { t, day } = useTexts()
const brand = useBrand()
const giveMenu = useTemplateRef<DropdownInstance>('giveMenu')
const asideMenu = useTemplateRef<DropdownInstance>('asideMenu')
const times = computed(() => asideTimes(Date.now(), brand.zone))
function command(to: number | string): void {
  if (typeof to === 'number') emit('give', to || null)
  else emit('give', null, Number(to.slice('team '.length)))
}
defineExpose({ openGive: () => giveMenu.value?.handleOpen(), openAside: () => asideMenu.value?.handleOpen() })
</script>

<template>
  <button v-if="thread.state !== 'done'" type="button" class="button" @click="emit('event', 'finish')">
    {{ t('inbox.finish') }}<KeyHint shortcut="finish" />
  </button>
  <button v-if="thread.state !== 'open'" type="button" class="button" @click="emit('event', 'reopen')">
    {{ t('inbox.reopen') }}
  </button>
  <el-dropdown
    ref="asideMenu"
    :persistent="false"
    trigger="click"
    placement="top-start"
    @command="(until: string) => emit('event', 'setAside', until)"
  >
    <button type="button" class="button">{{ t('inbox.setAside') }}<KeyHint shortcut="aside" /></button>
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item v-for="time in times" :key="time.name" :command="time.until">{{
          t(`inbox.${time.name}`)
        }}</el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
  <el-dropdown ref="giveMenu" :persistent="false" trigger="click" placement="top-start" @command="command">
    <button type="button" class="button">
      {{ thread.givenTo ? brand.colleagueName(thread.givenTo) : t('inbox.give') }}<KeyHint shortcut="give" />
    </button>
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item v-for="colleague in brand.colleagues" :key="colleague.id" :command="colleague.id">{{
          colleague.awayUntil
            ? t('colleagues.awayUntil', {
                name: colleague.name,
                date: day(`${colleague.awayUntil}T12:00:00Z`),
              })
            : colleague.name
        }}</el-dropdown-item>
        <el-dropdown-item
          v-for="(team, i) in brand.answer?.teams ?? []"
          :key="`team ${team.id}`"
          :divided="i === 0"
          :command="`team ${team.id}`"
          >{{ team.name }}</el-dropdown-item
        >
        <el-dropdown-item divided :command="0">{{ t('inbox.nobody') }}</el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
  <button type="button" class="button" @click="emit('tags')">
    {{ t('tags.tag') }}<KeyHint shortcut="tag" />
  </button>
</template>
