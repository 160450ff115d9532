<script setup lang="ts">
import { computed, onMounted, shallowRef } from 'vue'
import { roles, routes, type InvitationDraft, type ProfileAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useTexts } from '../../composables/useTexts.ts'
import FormField from '../../parts/FormField.vue'
import { useBrand } from '../../stores/brand.ts'

/** What somebody may do, and of which places and profiles they see anything. */
const draft = defineModel<Omit<InvitationDraft, 'email'>>({ required: true })
const { t } = useTexts()
const brand = useBrand()
const profiles = shallowRef<ProfileAnswer[]>([])
onMounted(async () => {
  profiles.value = await call(routes.profiles).catch(() => [])
})
/** Owners alone make owners. */
const offered = computed(() => roles.filter((role) => role !== 'owner' || brand.answer?.me.role === 'owner'))
const set = (part: Partial<Omit<InvitationDraft, 'email'>>) => {
  draft.value = { ...draft.value, ...part }
}
</script>

<template>
  <FormField :label="t('colleagues.role')" name="role">
    <el-radio-group
      :model-value="draft.role"
      class="roles"
      @update:model-value="(role) => set({ role: role as InvitationDraft['role'] })"
    >
      <el-radio v-for="role in offered" :key="role" :value="role"
        >{{ t(`colleagues.roles.${role}`) }}
        <small class="soft">{{ t(`colleagues.may.${role}`) }}</small></el-radio
      >
    </el-radio-group>
  </FormField>
  <FormField :label="t('colleagues.places')" name="placeIds">
    <el-select
      :model-value="draft.placeIds ?? []"
      multiple
      clearable
      :placeholder="t('colleagues.allPlaces')"
      @update:model-value="(ids: number[]) => set({ placeIds: ids.length ? ids : null })"
    >
      <el-option v-for="{ id, name } in brand.places" :key="id" :value="id" :label="name" />
    </el-select>
  </FormField>
  <FormField :label="t('colleagues.profiles')" name="profileIds">
    <el-select
      :model-value="draft.profileIds ?? []"
      multiple
      filterable
      clearable
      :placeholder="t('colleagues.allProfiles')"
      @update:model-value="(ids: number[]) => set({ profileIds: ids.length ? ids : null })"
    >
      <el-option v-for="{ id, name } in profiles" :key="id" :value="id" :label="name" />
    </el-select>
  </FormField>
</template>

<style scoped>
.roles {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
}
small {
  font-weight: 400;
}
</style>
