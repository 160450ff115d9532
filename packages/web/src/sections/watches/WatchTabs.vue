<script setup lang="ts">
import { useTexts } from '../../composables/useTexts.ts'
import { watchViews, type WatchView } from './useWatchAnswers.ts'

/** The views of a watch's page. */
const { view } = defineProps<{ view: WatchView }>()
const emit = defineEmits<{ show: [view: WatchView] }>()
const { t } = useTexts()
</script>

<template>
  <nav class="views" :aria-label="t('sections.watch')">
    <button
      v-for="each in watchViews"
      :key="each"
      type="button"
      class="plain"
      :class="{ here: view === each }"
      :aria-current="view === each ? 'page' : undefined"
      @click="emit('show', each)"
    >
      {{ t(`watch.view.${each}`) }}
    </button>
  </nav>
</template>

<style scoped>
.views {
  display: flex;
  gap: 20px;
  margin-top: 4px;
}
.views .plain {
  color: var(--ink-soft);
  padding: 2px 0 4px;
}
.views .here {
  color: var(--ink);
  font-weight: 600;
  box-shadow: 0 2px 0 var(--deep);
}
</style>
