<script setup lang="ts">
import type { ThreadEntry } from '@murrabel/contract'
import { useT } from '../../composables/useT.ts'
import { failureText } from './failureText.ts'

/** How far something is that is done outside; what did not get through can be tried again or given up. */
const { action } = defineProps<{
  action: Pick<NonNullable<ThreadEntry['change']>, 'id' | 'state' | 'error'>
  text: string
  /** What giving it up is called. */
  dropText: string
}>()
const emit = defineEmits<{ retry: [id: number]; drop: [id: number] }>()
const { t, called } = useT()
</script>

<template>
  <p class="line soft">
    {{ text
    }}<template v-if="action.state === 'failed'"
      ><template v-if="action.error">: {{ failureText(action.error, called) }}.</template>
      <button type="button" class="plain" @click="emit('retry', action.id)">{{ t('inbox.retry') }}</button>
      <button type="button" class="plain" @click="emit('drop', action.id)">{{ dropText }}</button>
    </template>
  </p>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  margin-top: 4px;
  font-size: 13px;
}
.line .plain {
  min-height: 24px;
}
</style>
