<script setup lang="ts">
import { ref } from 'vue'
import { useEventListener } from '@vueuse/core'
import { useTexts } from '../composables/useTexts.ts'

/** A part of the application is not there any more: another version was installed. It is loaded afresh when one says so. */
const { t } = useTexts()
const shown = ref(false)
useEventListener(window, 'vite:preloadError' as keyof WindowEventMap, (event) => {
  event.preventDefault()
  shown.value = true
})
const reload = () => location.reload()
</script>

<template>
  <p v-if="shown" class="version" role="alert">
    {{ t('problem.newVersion') }}
    <button type="button" class="button primary" @click="reload">{{ t('problem.loadAfresh') }}</button>
  </p>
</template>

<style scoped>
.version {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 8px 20px;
  background: var(--note);
  border-bottom: 1px solid var(--line);
}
</style>
