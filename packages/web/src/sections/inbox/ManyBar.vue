<script setup lang="ts">
import type { GiveDraft, ManyChangeDraft } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import AsideMenu from './AsideMenu.vue'
import GiveMenu from './GiveMenu.vue'
import MoreMenu from './MoreMenu.vue'

/** What is done with several threads together. */
const { count, busy } = defineProps<{ count: number; busy: boolean }>()
const emit = defineEmits<{
  act: [draft: Omit<ManyChangeDraft, 'threads'>, done: (n: number) => string]
  tags: []
  handOver: []
  all: []
  clear: []
}>()
const { t, number, when } = useTexts()

const finish = (): void =>
  emit('act', { kind: 'finish' }, (n) => t('inbox.many.finished', { n: number(n) }, n))
const setAside = (until: string | null): void =>
  emit('act', { kind: 'setAside', until }, (n) =>
    until === null
      ? t('inbox.many.asideThey', { n: number(n) }, n)
      : t('inbox.many.aside', { n: number(n), t: when(until) }, n),
  )
const give = (draft: GiveDraft, name: string): void =>
  emit('act', { kind: 'give', ...draft }, (n) => t('inbox.many.given', { n: number(n), name }, n))
const prioritise = (priority: number): void =>
  emit('act', { kind: 'prioritise', priority }, (n) => t('inbox.many.prioritised', { n: number(n) }, n))
const judgeSpam = (spam: boolean): void =>
  emit('act', { kind: spam ? 'spam' : 'notSpam' }, (n) =>
    t(spam ? 'inbox.many.spam' : 'inbox.many.notSpam', { n: number(n) }, n),
  )
defineExpose({ finish })
</script>

<template>
  <div class="many" role="toolbar" :aria-label="t('inbox.many.title')">
    <b aria-live="polite">{{ t('inbox.many.chosen', { n: number(count) }, count) }}</b>
    <button type="button" class="button" :disabled="busy" @click="finish">{{ t('inbox.finish') }}</button>
    <AsideMenu @choose="setAside">
      <button type="button" class="button" :disabled="busy">{{ t('inbox.setAside') }}</button>
    </AsideMenu>
    <GiveMenu @choose="give">
      <button type="button" class="button" :disabled="busy">{{ t('inbox.give') }}</button>
    </GiveMenu>
    <button type="button" class="button" :disabled="busy" @click="emit('tags')">{{ t('tags.tag') }}</button>
    <MoreMenu :spam="false" @prioritise="prioritise" @spam="judgeSpam">
      <button type="button" class="button" :disabled="busy">{{ t('inbox.more') }}</button>
      <template #more>
        <el-dropdown-item divided @click="emit('handOver')">{{ t('inbox.handOver.open') }}</el-dropdown-item>
      </template>
    </MoreMenu>
    <span class="rest">
      <button type="button" class="plain" @click="emit('all')">{{ t('inbox.many.all') }}</button>
      <button type="button" class="plain" @click="emit('clear')">{{ t('inbox.many.clear') }}</button>
    </span>
  </div>
</template>

<style scoped>
.many {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  padding: 8px 12px 8px 20px;
  background: var(--deep-wash);
  border-bottom: 1px solid var(--line);
}
b {
  flex-basis: 100%;
}
.button {
  padding: 4px 8px;
  font-size: 13px;
}
.rest {
  display: flex;
  gap: 12px;
  margin-left: auto;
}
.plain {
  min-height: 24px;
}
</style>
