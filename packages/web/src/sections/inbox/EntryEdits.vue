<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ThreadEntry } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import RatingSteps from '../../parts/RatingSteps.vue'

/** That an entry was changed or taken away outside, and what stood there before. */
const { entry } = defineProps<{ entry: ThreadEntry }>()
const { t, when, exact } = useTexts()
const shown = ref(false)
const last = computed(() => entry.edits.at(-1)?.until ?? '')
</script>

<template>
  <p v-if="entry.deletedAt" class="soft gone" data-test="deleted">
    {{ t(entry.erased ? 'inbox.erasedAt' : 'inbox.deletedAt', { t: when(entry.deletedAt) }) }}
  </p>
  <template v-else-if="entry.edits.length">
    <button
      type="button"
      class="plain changed"
      data-test="edited"
      :title="exact(last)"
      :aria-expanded="shown"
      @click="shown = !shown"
    >
      {{ t('inbox.edited', { t: when(last) }) }}
    </button>
    <ol v-if="shown" class="before" data-test="before">
      <li v-for="edit in entry.edits" :key="edit.until">
        <span class="soft">{{ t('inbox.stoodUntil', { t: when(edit.until) }) }}</span>
        <RatingSteps v-if="edit.rating !== null" :rating="edit.rating" />
        <b v-if="edit.title" class="words">{{ edit.title }}</b>
        <span class="words">{{ edit.text }}</span>
      </li>
    </ol>
  </template>
</template>

<style scoped>
.gone {
  font-style: italic;
}
.changed {
  min-height: 24px;
  font-size: 13px;
  color: var(--ink-soft);
  border-bottom: 1px dotted currentcolor;
}
.before {
  margin: 6px 0 8px;
  padding: 4px 0 4px 12px;
  border-left: 2px solid var(--line);
  list-style: none;
}
.before li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  align-items: baseline;
  padding: 3px 0;
  color: var(--ink-soft);
}
.before .soft {
  font-size: 12px;
}
.before span.words {
  flex-basis: 100%;
  text-decoration: line-through;
  text-decoration-color: var(--line);
}
</style>
