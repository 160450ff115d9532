<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { handOffSchema, routes, type ProfileAnswer, type ThreadAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useT } from '../../composables/useT.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'

/** Another way for an answer: by e-mail, to an address that the customer has given. */
const shown = defineModel<boolean>({ required: true })
const { thread } = defineProps<{ thread: ThreadAnswer }>()
const emit = defineEmits<{ done: [] }>()
const { t } = useT()
const { busy, problem, fields, run, check, forget } = useBusy()
const profiles = ref<ProfileAnswer[] | null>(null)
const draft = reactive({ profileId: null as number | null, address: '', name: '' })
watch(
  shown,
  (open) => {
    if (!open) return
    forget()
    Object.assign(draft, { address: thread.visitor?.email ?? '', name: thread.person?.name ?? '' })
    void run(async () => {
      const all = await call(routes.profiles)
      profiles.value = all.filter((each) => each.channel === 'email' && each.status !== 'disconnected')
      draft.profileId ??= profiles.value[0]?.id ?? null
    })
  },
  { immediate: true },
)
const none = computed(() => profiles.value?.length === 0)
async function save(): Promise<void> {
  if (!check(handOffSchema, draft)) return
  await run(async () => {
    await call(routes.handOff, { params: { id: thread.id }, body: { ...draft, profileId: draft.profileId! } })
    shown.value = false
    emit('done')
  })
}
</script>

<template>
  <el-dialog v-model="shown" :title="t('inbox.handOff.title')" width="440px" append-to-body>
    <p class="soft intro">{{ t('inbox.handOff.intro') }}</p>
    <p v-if="none" role="alert">
      {{ t('import.noProfile.mail') }}
      <RouterLink to="/set-up/profiles">{{ t('profiles.title') }}</RouterLink>
    </p>
    <DraftForm v-else :problem="problem" :fields="fields" @send="save" @again="save">
      <FormField :label="t('inbox.handOff.address')" name="address">
        <el-input v-model="draft.address" type="email" maxlength="254" autocomplete="off" />
      </FormField>
      <FormField :label="t('inbox.handOff.name')" name="name">
        <el-input v-model="draft.name" maxlength="80" autocomplete="off" />
      </FormField>
      <FormField v-if="(profiles?.length ?? 0) > 1" :label="t('inbox.handOff.from')" name="profileId">
        <el-select v-model="draft.profileId">
          <el-option
            v-for="each in profiles"
            :key="each.id"
            :value="each.id"
            :label="each.address ?? each.name"
          />
        </el-select>
      </FormField>
      <template #actions>
        <div class="actions">
          <button type="submit" class="button primary" :disabled="busy">{{ t('inbox.handOff.go') }}</button>
          <button type="button" class="button" @click="shown = false">{{ t('watch.form.cancel') }}</button>
        </div>
      </template>
    </DraftForm>
  </el-dialog>
</template>

<style scoped>
.intro {
  margin-bottom: 12px;
}
.actions {
  display: flex;
  gap: 8px;
  margin-top: 12px;
}
</style>
