<script setup lang="ts">
import KeyHint from './KeyHint.vue'
import { useT } from '../composables/useT.ts'
import { useUndo } from '../stores/undo.ts'

const undo = useUndo()
const { t } = useT()
</script>

<template>
  <div class="strip" role="status" aria-live="polite">
    <div v-if="undo.notice" class="inner" :class="{ problem: undo.notice.problem }">
      <span>{{ undo.notice.text }}</span>
      <button v-if="undo.notice.undo" class="undo" type="button" @click="undo.undo()">
        {{ t('undo.undo') }}<KeyHint shortcut="undo" />
      </button>
    </div>
  </div>
</template>

<style scoped>
.strip {
  position: fixed;
  /* Over the list, where nothing is to be pressed that cannot be scrolled to. */
  bottom: 12px;
  left: 16px;
  max-width: min(360px, calc(100vw - 32px));
  z-index: 3000;
}
.inner {
  display: flex;
  gap: 18px;
  align-items: center;
  background: var(--band);
  color: var(--band-text);
  border-radius: var(--corner);
  padding: 10px 16px;
  box-shadow: 0 4px 14px rgb(0 0 0 / 25%);
}
.problem {
  border-left: 4px solid var(--flare);
}
.undo {
  font: inherit;
  font-weight: 600;
  background: none;
  border: 0;
  color: var(--glow);
  cursor: pointer;
}
</style>
