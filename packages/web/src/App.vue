<script setup lang="ts">
import { onMounted, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { whenSignedOut } from './api/call.ts'
import { useShortcuts } from './composables/useShortcuts.ts'
import { keepShown } from './firstScreen/shown.ts'
import FaultNote from './parts/FaultNote.vue'
import { elementTexts } from './messages/elementTexts.ts'
import { languageOf } from './messages/language.ts'
import LiveUpdates from './parts/LiveUpdates.vue'
import NewVersion from './parts/NewVersion.vue'
import { onDemand } from './parts/onDemand.ts'
import PageGuard from './parts/PageGuard.vue'
import TopBand from './parts/TopBand.vue'
import UndoStrip from './parts/UndoStrip.vue'
import { useBrand } from './stores/brand.ts'
import { useDensity } from './stores/density.ts'
import { useUndo } from './stores/undo.ts'

const ShortcutList = onDemand(() => import('./parts/ShortcutList.vue'))

const route = useRoute()
const router = useRouter()
const brand = useBrand()
const undo = useUndo()
const density = useDensity()
const { locale } = useI18n()
const shortcutList = ref(false)
const band = useTemplateRef<InstanceType<typeof TopBand>>('band')

whenSignedOut(() => {
  if (route.path === '/sign-in') return
  brand.answer = null
  void router.push({ path: '/sign-in', query: { to: route.fullPath } })
})
// The server draws the first screen as this browser shows it.
onMounted(() =>
  watch(
    [locale, () => density.rows],
    ([language, rows]) => keepShown({ language: languageOf(language, []), density: rows }),
    { immediate: true },
  ),
)
useShortcuts({
  list: () => (shortcutList.value = true),
  find: () => band.value?.focusFind(),
  undo: () => void undo.undo(),
})
</script>

<template>
  <el-config-provider :locale="elementTexts"
    ><div class="app">
      <TopBand ref="band" @keys="shortcutList = true" />
      <NewVersion />
      <FaultNote />
      <PageGuard><RouterView /></PageGuard>
      <LiveUpdates v-if="brand.answer" />
      <UndoStrip />
      <ShortcutList v-model="shortcutList" /></div
  ></el-config-provider>
</template>

<style scoped>
.app {
  height: 100%;
  display: flex;
  flex-direction: column;
}
/* A window that is short, or a page that is twice as large: what stands above scrolls away, and the rest has the window. */
@media (max-height: 560px) {
  .app {
    height: auto;
    min-height: 100%;
  }
  .app > :deep(main) {
    flex: none;
    height: 100vh;
  }
}
</style>
