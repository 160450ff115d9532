<script setup lang="ts">
import { computed } from 'vue'
import { countText } from '@murrabel/core/texting'
import { useT } from '../../composables/useT.ts'

/** How much of what the channel takes an answer uses: characters, or text messages. */
const { text, most } = defineProps<{ text: string; most: { maxLength: number; maxParts: number | null } }>()
const { t } = useT()
const count = computed(() => (most.maxParts === null ? null : { ...countText(text), max: most.maxParts }))
const over = computed(() =>
  count.value ? count.value.parts > count.value.max : text.length > most.maxLength,
)
const line = computed(() => {
  if (count.value) {
    const { parts: n, left, max } = count.value
    return over.value
      ? t('inbox.tooManyTexts', { n, max })
      : t('inbox.textsOf', { n: Math.max(1, n), max, left })
  }
  return over.value
    ? t('inbox.tooLong', { n: text.length - most.maxLength }, text.length - most.maxLength)
    : t('inbox.of', { n: text.length, max: most.maxLength })
})
defineExpose({ over })
</script>

<template>
  <span class="size" :class="{ past: over }"
    >{{ line
    }}<template v-if="count?.encoding === 'UCS-2' && !over">; {{ t('inbox.textsShort') }}</template></span
  >
</template>

<style scoped>
.size {
  margin-left: auto;
  font-size: 13px;
  color: var(--ink-soft);
}
.past {
  color: var(--flare-text);
  font-weight: 600;
}
</style>
