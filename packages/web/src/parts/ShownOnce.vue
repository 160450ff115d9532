<script setup lang="ts">
import { useTexts } from '../composables/useTexts.ts'
import { useUndo } from '../stores/undo.ts'

/** A secret that is shown this once. */
const {
  text,
  label,
  hint = '',
} = defineProps<{
  text: string
  label: string
  /** What to do with it; left out: what one does with a secret of a program. */
  hint?: string
}>()
const { t } = useTexts()
const undo = useUndo()
async function copy(): Promise<void> {
  await navigator.clipboard?.writeText(text)
  undo.tell({ text: t('keysAndHooks.copied') })
}
</script>

<template>
  <div class="once" role="status">
    <p>
      <b>{{ label }}</b> {{ hint || t('keysAndHooks.once') }}
    </p>
    <div class="line">
      <code data-test="shown-once">{{ text }}</code>
      <button type="button" class="button" @click="copy">{{ t('keysAndHooks.copy') }}</button>
    </div>
    <slot />
  </div>
</template>

<style scoped>
.once {
  border-left: 3px solid var(--deep);
  background: var(--deep-wash);
  padding: 10px 14px;
  margin: 12px 0;
  max-width: 720px;
}
.line {
  display: flex;
  gap: 12px;
  align-items: center;
  margin-top: 6px;
}
code {
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
  font-size: 13px;
}
</style>
