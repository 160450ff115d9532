<script setup lang="ts">
import { useT } from '../../composables/useT.ts'

/** Whether a hit is on topic; pressed again, the mark is taken back. */
const { marked } = defineProps<{ marked: boolean | null }>()
const emit = defineEmits<{ mark: [onTopic: boolean | null] }>()
const { t } = useT()
const press = (onTopic: boolean) => emit('mark', marked === onTopic ? null : onTopic)
</script>

<template>
  <span class="marks">
    <button
      type="button"
      :class="{ on: marked === true }"
      :aria-pressed="marked === true"
      @click.stop="press(true)"
    >
      {{ t('watch.tuner.onTopic') }}
    </button>
    <button
      type="button"
      :class="{ off: marked === false }"
      :aria-pressed="marked === false"
      @click.stop="press(false)"
    >
      {{ t('watch.tuner.offTopic') }}
    </button>
  </span>
</template>

<style scoped>
.marks {
  display: flex;
  flex-direction: column;
  gap: 3px;
}
button {
  font: inherit;
  font-size: 12px;
  line-height: 22px;
  width: 70px;
  color: var(--ink-soft);
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: var(--corner);
  cursor: pointer;
}
.on {
  background: var(--deep);
  border-color: var(--deep);
  color: var(--on-deep);
}
.off {
  background: var(--ink-soft);
  border-color: var(--ink-soft);
  color: var(--sheet);
}
</style>
