<script setup lang="ts">
import type { ThreadAnswer } from '@murrabel/contract'
import { useT } from '../../composables/useT.ts'

/** Why a thread lies among the spam, and the way out. */
const { spam, may } = defineProps<{ spam: NonNullable<ThreadAnswer['spam']>; may: boolean }>()
const emit = defineEmits<{ unmark: [] }>()
const { t } = useT()
const lens = { given: 'anybody', state: 'any', time: 'all', spam: 'only' }
</script>

<template>
  <p class="spam" data-test="spam">
    <span>{{ t(`inbox.spam.why.${spam.why}`) }}</span>
    <RouterLink v-if="spam.like" :to="{ path: `/inbox/${spam.like}`, query: lens }">{{
      t('inbox.spam.like')
    }}</RouterLink>
    <button v-if="may" type="button" class="plain" @click="emit('unmark')">
      {{ t('inbox.spam.unmark') }}
    </button>
  </p>
</template>

<style scoped>
.spam {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  margin: 0 0 12px;
  padding: 6px 10px;
  font-size: 13px;
  background: var(--note);
  border-radius: 4px;
}
</style>
