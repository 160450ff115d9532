<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { routes } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'

/** The views of the inbox; beside the follow-ups, how many of mine are open. */
const { here } = defineProps<{ here: 'threads' | 'people' | 'followUps' | 'weekAhead' }>()
const { t, number } = useTexts()
const views = [
  { name: 'threads', to: '/inbox' },
  { name: 'people', to: '/inbox/people' },
  { name: 'followUps', to: '/inbox/follow-ups' },
  { name: 'weekAhead', to: '/inbox/week-ahead' },
] as const
const mine = ref(0)
async function count(): Promise<void> {
  const query: [string, string][] = [
    ['done', 'open'],
    ['whose', 'me'],
    ['limit', '1'],
  ]
  // A count that cannot be had is not shown.
  mine.value = await call(routes.followUps, { query }).then(
    ({ total }) => total,
    () => 0,
  )
}
const refresh = gathered(() => count(), 500)
onMounted(count)
useLive(({ kind }) => {
  if (kind === 'followUps' || kind === 'afresh') refresh()
})
</script>

<template>
  <nav class="views" :aria-label="t('inbox.views')">
    <RouterLink
      v-for="{ name, to } in views"
      :key="name"
      :to="to"
      :class="{ here: name === here }"
      v-bind="name === here ? { 'aria-current': 'page' } : {}"
      >{{ t(`inbox.view.${name}`) }}{{ name === 'followUps' && mine ? ` ${number(mine)}` : '' }}</RouterLink
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
