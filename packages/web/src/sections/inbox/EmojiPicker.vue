<script setup lang="ts">
import { onBeforeUnmount, onMounted, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { Picker } from 'emoji-picker-element'
import englishData from 'emoji-picker-element-data/en/cldr-native/data.json?url'
import frenchData from 'emoji-picker-element-data/fr/cldr-native/data.json?url'
import english from 'emoji-picker-element/i18n/en.js'
import french from 'emoji-picker-element/i18n/fr.js'

/** All there are, found by name in the reader's language. */
const emit = defineEmits<{ choose: [emoji: string] }>()
const { locale } = useI18n()
const box = useTemplateRef<HTMLElement>('box')
let picker: Picker | null = null
onMounted(() => {
  const isFrench = locale.value === 'fr'
  picker = new Picker({
    locale: isFrench ? 'fr' : 'en',
    dataSource: isFrench ? frenchData : englishData,
    i18n: isFrench ? french : english,
  })
  picker.addEventListener('emoji-click', ({ detail }) => {
    if (detail.unicode) emit('choose', detail.unicode)
  })
  box.value?.append(picker)
  focusWhenDrawn()
})
/** Its field is drawn some moments after it is put there, and loses the focus when it is put in its place. */
function focusWhenDrawn(frames = 90, held = 0): void {
  const root = picker?.shadowRoot
  const field = root?.querySelector<HTMLInputElement>('input')
  const has = Boolean(field) && root?.activeElement === field
  if (!has) field?.focus()
  if (picker && frames > 0 && held < 15)
    requestAnimationFrame(() => focusWhenDrawn(frames - 1, has ? held + 1 : 0))
}
onBeforeUnmount(() => {
  picker?.remove()
  picker = null
})
</script>

<template>
  <div ref="box" />
</template>

<style scoped>
div :deep(emoji-picker) {
  width: 316px;
  height: 320px;
  --background: var(--sheet);
  --border-color: var(--line);
  --border-size: 0;
  --button-hover-background: var(--deep-wash);
  --button-active-background: var(--deep-wash);
  --category-font-color: var(--ink-soft);
  --indicator-color: var(--deep);
  --input-border-color: var(--control-line);
  --input-border-radius: var(--corner);
  --input-font-color: var(--ink);
  --input-placeholder-color: var(--ink-soft);
  --outline-color: var(--deep);
  --emoji-size: 20px;
  --emoji-font-family: var(--sans);
}
</style>
