<script setup lang="ts">
import type { ThreadAnswer } from '@murrabel/contract'
import { useT } from '../../composables/useT.ts'
import { useVisitor } from './useVisitor.ts'

/** Under what was said: that the visitor writes right now. */
const { thread } = defineProps<{ thread: ThreadAnswer }>()
const { t } = useT()
const { typing } = useVisitor(() => thread)
</script>

<template>
  <p class="typing soft" role="status" data-test="typing">
    <template v-if="typing">{{ t('inbox.visitor.typing', { name: thread.person?.name ?? '' }) }}</template>
  </p>
</template>

<style scoped>
.typing {
  min-height: 22px;
  font-style: italic;
}
</style>
