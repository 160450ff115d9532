<script setup lang="ts">
import { useTemplateRef } from 'vue'
import type { DropdownInstance } from 'element-plus'
import { openMenu } from '../../parts/openMenu.ts'
import type { GiveDraft } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'

/** Whose something is to be: a colleague's, a team's, shared out among a team, or nobody's. The button that opens it is the slot. */
const { shares = true } = defineProps<{
  /** It may also be shared out among a team. */
  shares?: boolean
}>()
const emit = defineEmits<{ choose: [draft: GiveDraft, name: string] }>()
const { t, day } = useTexts()
const brand = useBrand()
const menu = useTemplateRef<DropdownInstance>('menu')
function take(draft: GiveDraft): void {
  const { to, team } = draft
  const named =
    team == null ? (to === null ? t('inbox.nobody') : brand.colleagueName(to)) : brand.teamName(team)
  emit('choose', draft, named)
}
defineExpose({ open: () => openMenu(menu.value) })
</script>

<template>
  <el-dropdown ref="menu" :persistent="false" trigger="click" placement="top-start" @command="take">
    <slot />
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item
          v-for="colleague in brand.colleagues"
          :key="colleague.id"
          :command="{ to: colleague.id }"
          >{{
            colleague.awayUntil
              ? t('colleagues.awayUntil', {
                  name: colleague.name,
                  date: day(`${colleague.awayUntil}T12:00:00Z`),
                })
              : colleague.name
          }}</el-dropdown-item
        >
        <template v-for="team in brand.answer?.teams ?? []" :key="`team ${team.id}`">
          <el-dropdown-item divided :command="{ to: null, team: team.id }">{{ team.name }}</el-dropdown-item>
          <el-dropdown-item v-if="shares" :command="{ to: null, team: team.id, share: true }">{{
            t('inbox.fewestOf', { team: team.name })
          }}</el-dropdown-item>
        </template>
        <el-dropdown-item divided :command="{ to: null }">{{ t('inbox.nobody') }}</el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
</template>
