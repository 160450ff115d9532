<script setup lang="ts">
import { onErrorCaptured, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useTexts } from '../composables/useTexts.ts'
import EmptyPlace from './EmptyPlace.vue'

/** Stands around a page: one that cannot be drawn leaves a sentence and a way on, not an empty window. */
const { t } = useTexts()
const route = useRoute()
const broken = ref(false)
/** Where Vue says that it failed: set-up, drawing, an update, a part that did not come; in words, or built as a number. */
const drawing =
  /setup function|render function|component update|async component loader|#runtime-(?:0|1|13|15)$/
onErrorCaptured((_error, _instance, info) => {
  // What fails while something is pressed leaves the page as it was; the fault itself is told above.
  if (drawing.test(info)) broken.value = true
})
watch(
  () => route.path,
  () => (broken.value = false),
)
</script>

<template>
  <EmptyPlace v-if="broken" :title="t('problem.pageBroken')" :text="t('problem.pageBrokenHint')">
    <button type="button" class="button" @click="broken = false">{{ t('problem.again') }}</button>
  </EmptyPlace>
  <slot v-else />
</template>
