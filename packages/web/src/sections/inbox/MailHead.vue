<script setup lang="ts">
import { computed } from 'vue'
import type { MailAnswer } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'

/** Whom a mail is from and goes to, and what is to be known before its words are believed. */
const { mail, ours } = defineProps<{ mail: MailAnswer; ours: boolean }>()
const { t } = useTexts()
const named = ({ name, address }: MailAnswer['to'][number]) =>
  name && name !== address ? `${name} <${address}>` : address
const lists = computed(() =>
  [
    // Of ours it is plain who wrote it, and of theirs that it came to us.
    { label: t('inbox.mail.from'), text: ours ? '' : (mail.from?.address ?? '') },
    { label: t('inbox.mail.to'), text: ours || mail.to.length > 1 ? mail.to.map(named).join(', ') : '' },
    { label: t('inbox.mail.cc'), text: mail.cc.map(named).join(', ') },
  ].filter(({ text }) => text),
)
</script>

<template>
  <dl v-if="lists.length" class="envelope" data-test="envelope">
    <template v-for="{ label, text } in lists" :key="label">
      <dt>{{ label }}</dt>
      <dd :title="text">{{ text }}</dd>
    </template>
  </dl>
  <p v-if="mail.doubt" class="doubt" role="note">{{ t(`inbox.mail.doubt.${mail.doubt}`) }}</p>
  <p v-if="mail.automatic" class="soft automatic">{{ t(`inbox.mail.automatic.${mail.automatic}`) }}</p>
</template>

<style scoped>
.envelope {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 0 8px;
  margin: 0 0 6px;
  font-size: 13px;
  line-height: 20px;
  color: var(--ink-soft);
}
dd {
  margin: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.doubt {
  border-left: 3px solid var(--flare);
  background: var(--note);
  padding: 4px 10px;
  font-size: 13px;
  margin-bottom: 6px;
}
.automatic {
  font-size: 13px;
  font-style: italic;
  margin-bottom: 4px;
}
</style>
