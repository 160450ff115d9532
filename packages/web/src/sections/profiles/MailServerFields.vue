<script setup lang="ts">
import { useT } from '../../composables/useT.ts'
import FormField from '../../parts/FormField.vue'
import type { ServerDraft } from './mailServer.ts'

const server = defineModel<ServerDraft>({ required: true })
defineProps<{
  part: 'imap' | 'smtp'
  /** There is a password already: an empty field leaves it. */
  known: boolean
  /** An empty password is that of incoming mail. */
  same?: boolean
}>()
const { t } = useT()
</script>

<template>
  <div class="server">
    <FormField class="host" :label="t('profiles.email.host')" :name="`${part}.host`">
      <el-input v-model="server.host" maxlength="253" autocomplete="off" :data-test="`${part}-host`" />
    </FormField>
    <FormField :label="t('profiles.email.port')" :name="`${part}.port`">
      <el-input-number v-model="server.port" :min="1" :max="65535" :controls="false" />
    </FormField>
    <FormField class="user" :label="t('profiles.email.user')" :name="`${part}.user`">
      <el-input v-model="server.user" maxlength="300" autocomplete="off" />
    </FormField>
    <FormField :label="t('profiles.email.password')" :name="`${part}.password`">
      <el-input
        v-model="server.password"
        type="password"
        maxlength="500"
        autocomplete="new-password"
        :placeholder="known ? t('profiles.email.asBefore') : same ? t('profiles.email.asIncoming') : ''"
      />
    </FormField>
    <el-checkbox v-model="server.secure" class="secure">{{ t('profiles.email.secure') }}</el-checkbox>
  </div>
</template>

<style scoped>
.server {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 180px;
  gap: 0 12px;
  margin-bottom: 8px;
}
.secure {
  grid-column: 1 / -1;
  height: 24px;
}
.server :deep(.el-input-number) {
  width: 100%;
}
</style>
