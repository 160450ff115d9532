<script setup lang="ts">
import { reactive, watch } from 'vue'
import { routes, teamSchema, type Team } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { useBrand } from '../../stores/brand.ts'

/** A team: its name and who is in it. */
const shown = defineModel<boolean>({ required: true })
const { team = null } = defineProps<{ team?: Team | null }>()
const emit = defineEmits<{ changed: [] }>()
const { busy, problem, fields, run, check, forget } = useBusy()
const { t } = useTexts()
const brand = useBrand()
const draft = reactive<{ name: string; members: number[] }>({ name: '', members: [] })
watch(
  shown,
  (open) => {
    if (!open) return
    Object.assign(draft, { name: team?.name ?? '', members: [...(team?.members ?? [])] })
    forget()
  },
  { immediate: true },
)
const done = () => {
  shown.value = false
  emit('changed')
}
async function save(): Promise<void> {
  if (!check(teamSchema, draft)) return
  await run(async () => {
    await (team
      ? call(routes.changeTeam, { params: { id: team.id }, body: draft })
      : call(routes.addTeam, { body: draft }))
    done()
  })
}
const remove = () =>
  run(async () => {
    await call(routes.removeTeam, { params: { id: team!.id } })
    done()
  })
</script>

<template>
  <el-drawer v-model="shown" :title="team ? team.name : t('colleagues.addTeam')" size="460px" append-to-body>
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
      <FormField :label="t('colleagues.teamName')" name="name">
        <el-input v-model="draft.name" maxlength="60" />
      </FormField>
      <FormField :label="t('colleagues.teamMembers')" name="members">
        <el-checkbox-group v-model="draft.members" class="members">
          <el-checkbox
            v-for="each in brand.colleagues.filter(({ role }) => role !== 'reader')"
            :key="each.id"
            :value="each.id"
            >{{ each.name }}</el-checkbox
          >
        </el-checkbox-group>
      </FormField>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy">{{ t('colleagues.save') }}</button>
        <button v-if="team" type="button" class="button" :disabled="busy" @click="remove">
          {{ t('colleagues.removeTeam') }}
        </button>
      </template>
    </DraftForm>
  </el-drawer>
</template>

<style scoped>
.members {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
}
.button + .button {
  margin-left: 8px;
}
</style>
