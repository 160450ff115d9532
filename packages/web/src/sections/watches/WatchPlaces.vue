<script setup lang="ts">
import { useT } from '../../composables/useT.ts'

/** The ways to look at watches other than one at a time. */
const { t } = useT()
const places = [
  { name: 'sideBySide', path: '/watch/side-by-side' },
  { name: 'rivals', path: '/watch/rivals' },
  { name: 'alerts', path: '/watch/alerts' },
  { name: 'teach', path: '/watch/teach' },
] as const
</script>

<template>
  <nav class="places" :aria-label="t('sections.watch')">
    <RouterLink to="/watch" active-class="" exact-active-class="here">{{ t('watch.watches') }}</RouterLink>
    <RouterLink v-for="place in places" :key="place.name" :to="place.path" active-class="here">{{
      t(`watch.places.${place.name}`)
    }}</RouterLink>
  </nav>
</template>

<style scoped>
.places {
  display: flex;
  gap: 14px;
  padding: 8px 16px;
  border-bottom: 1px solid var(--line);
  font-size: 13px;
  white-space: nowrap;
  background: var(--paper);
}
a {
  border: 0;
  color: var(--ink-soft);
}
a:hover {
  color: var(--deep);
}
.here {
  color: var(--ink);
  font-weight: 600;
  box-shadow: 0 2px 0 var(--glow);
}
</style>
