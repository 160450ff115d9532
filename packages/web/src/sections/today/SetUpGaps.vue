<script setup lang="ts">
import type { SetUpGap } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'

/** What is not set up yet, each with the link that mends it. */
const { gaps } = defineProps<{ gaps: readonly SetUpGap[] }>()
const { t } = useTexts()
const doors = {
  placeHours: '/set-up/places',
  noPatterns: '/set-up/replies',
  noSignOffs: '/set-up/replies',
  noMailProfile: '/set-up/profiles',
  noWatches: '/watch',
} as const
</script>

<template>
  <section v-if="gaps.length">
    <h4>{{ t('today.gaps') }}</h4>
    <p v-for="(gap, i) in gaps" :key="i">
      {{ t(`today.gap.${gap.kind}`, { name: 'name' in gap ? gap.name : '' }) }}
      <RouterLink :to="doors[gap.kind]">{{ t(`today.gapDo.${gap.kind}`) }}</RouterLink>
    </p>
  </section>
</template>

<style scoped>
section {
  margin-top: 24px;
}
h4 {
  font-size: 13px;
  font-weight: 600;
  color: var(--ink-soft);
  margin: 0 0 6px;
}
p {
  margin: 0 0 8px;
}
</style>
