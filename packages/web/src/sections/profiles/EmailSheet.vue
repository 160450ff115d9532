<script setup lang="ts">
import { computed, reactive, watch } from 'vue'
import { emailSchema, routes, type ProfileAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useT } from '../../composables/useT.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import MailServerFields from './MailServerFields.vue'
import { emptyServer, type ServerDraft } from './mailServer.ts'

/** An address of the brand as a profile: how its mail comes in and goes out. */
const shown = defineModel<boolean>({ required: true })
const { editing = null } = defineProps<{ editing?: ProfileAnswer | null }>()
const emit = defineEmits<{ connected: [profile: ProfileAnswer] }>()
const { t } = useT()
const { busy, problem, fields, run, check, forget } = useBusy()
const draft = reactive<{
  address: string
  name: string
  way: 'imap' | 'smtp'
  imap: ServerDraft
  smtp: ServerDraft
}>({ address: '', name: '', way: 'imap', imap: emptyServer('imap'), smtp: emptyServer('smtp') })

watch(
  shown,
  (open) => {
    if (!open) return
    Object.assign(draft, {
      address: editing?.address ?? '',
      name: editing?.name ?? '',
      way: 'imap',
      imap: emptyServer('imap'),
      smtp: emptyServer('smtp'),
    })
    forget()
  },
  { immediate: true },
)
// Most servers take the address as the user's name.
watch(
  () => draft.address,
  (now, before) => {
    for (const server of [draft.imap, draft.smtp]) if (server.user === before) server.user = now
  },
)
const body = computed(() => ({
  address: draft.address,
  name: draft.name,
  imap: draft.way === 'imap' ? { ...draft.imap } : null,
  smtp: {
    ...draft.smtp,
    // One password for both is the rule.
    password: draft.smtp.password || (draft.way === 'imap' ? draft.imap.password : ''),
  },
}))
async function save(): Promise<void> {
  if (!check(emailSchema, body.value)) return
  await run(async () => {
    const profile = await call(routes.connectEmail, { body: body.value })
    shown.value = false
    emit('connected', profile)
  })
}
</script>

<template>
  <el-drawer v-model="shown" :title="t('profiles.email.title')" size="560px" append-to-body>
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
      <p class="soft intro">{{ t('profiles.email.intro') }}</p>
      <FormField :label="t('profiles.email.address')" name="address">
        <el-input v-model="draft.address" type="email" maxlength="254" autocomplete="off" />
      </FormField>
      <FormField :label="t('profiles.email.name')" name="name">
        <el-input v-model="draft.name" maxlength="80" />
      </FormField>
      <FormField :label="t('profiles.email.incoming')">
        <el-radio-group v-model="draft.way">
          <el-radio value="imap">{{ t('profiles.email.fetched') }}</el-radio>
          <el-radio value="smtp">{{ t('profiles.email.brought') }}</el-radio>
        </el-radio-group>
      </FormField>
      <MailServerFields
        v-if="draft.way === 'imap'"
        v-model="draft.imap"
        part="imap"
        :known="editing !== null"
      />
      <p v-else class="soft intro">{{ t('profiles.email.broughtHint') }}</p>
      <h3>{{ t('profiles.email.outgoing') }}</h3>
      <MailServerFields
        v-model="draft.smtp"
        part="smtp"
        :known="editing !== null"
        :same="draft.way === 'imap'"
      />
      <template #actions>
        <div class="actions">
          <button type="submit" class="button primary" :disabled="busy">
            {{ busy ? t('profiles.email.trying') : t('profiles.email.save') }}
          </button>
          <button type="button" class="button" @click="shown = false">{{ t('watch.form.cancel') }}</button>
        </div>
      </template>
    </DraftForm>
  </el-drawer>
</template>

<style scoped>
.intro {
  margin-bottom: 12px;
}
h3 {
  font-size: 15px;
  font-weight: 600;
  margin: 8px 0;
}
.actions {
  display: flex;
  gap: 8px;
  margin-top: 12px;
}
</style>
