<script setup lang="ts">
import { defineAsyncComponent, ref } from 'vue'
import type { MailAnswer, ThreadEntry } from '@murrabel/contract'
import { useT } from '../../composables/useT.ts'

/** What is beside a mail's words: what it quotes and its signature, and how it was laid out. */
const MailFrame = defineAsyncComponent(() => import('./MailFrame.vue'))
defineProps<{ entry: ThreadEntry; mail: MailAnswer }>()
const { t } = useT()
const unfolded = ref(false)
const framed = ref(false)
</script>

<template>
  <p v-if="mail.folded || mail.html" class="ways">
    <button
      v-if="mail.folded"
      type="button"
      class="plain"
      data-test="folded"
      :aria-expanded="unfolded"
      @click="unfolded = !unfolded"
    >
      {{ unfolded ? t('inbox.mail.fold') : t('inbox.mail.unfold') }}
    </button>
    <button
      v-if="mail.html"
      type="button"
      class="plain"
      data-test="laid-out"
      :aria-expanded="framed"
      @click="framed = !framed"
    >
      {{ framed ? t('inbox.mail.wordsOnly') : t('inbox.mail.laidOut') }}
    </button>
  </p>
  <p v-if="unfolded" class="rest words">{{ mail.folded }}</p>
  <MailFrame v-if="framed" :entry="entry" />
</template>

<style scoped>
.ways {
  margin-bottom: 8px;
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
}
.ways button {
  min-height: 24px;
  font-size: 13px;
  color: var(--ink-soft);
  border-bottom: 1px dotted currentcolor;
}
.rest {
  white-space: pre-line;
  overflow-wrap: anywhere;
  margin: 6px 0 8px;
  padding-left: 12px;
  border-left: 2px solid var(--line);
  font-size: 14px;
  line-height: 21px;
  color: var(--ink-soft);
}
</style>
