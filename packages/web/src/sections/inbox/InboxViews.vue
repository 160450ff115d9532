<script setup lang="ts">
import { useTexts } from '../../composables/useTexts.ts'

/** The views of the inbox. */
const { here } = defineProps<{ here: 'threads' | 'people' }>()
const { t } = useTexts()
const views = [
  { name: 'threads', to: '/inbox' },
  { name: 'people', to: '/inbox/people' },
] as const
</script>

<template>
  <nav class="views" :aria-label="t('inbox.views')">
    <RouterLink
      v-for="{ name, to } in views"
      :key="name"
      :to="to"
      :class="{ here: name === here }"
      v-bind="name === here ? { 'aria-current': 'page' } : {}"
      >{{ t(`inbox.view.${name}`) }}</RouterLink
    >
  </nav>
</template>

<style scoped>
.views {
  display: flex;
  gap: 20px;
  padding: 0 20px;
  background: var(--paper);
  border-bottom: 1px solid var(--line);
}
a {
  padding: 7px 0 6px;
  line-height: 22px;
  border: 0;
  color: var(--ink-soft);
}
.here {
  color: var(--ink);
  font-weight: 600;
  box-shadow: inset 0 -2px 0 var(--glow);
}
</style>
