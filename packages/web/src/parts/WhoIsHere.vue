<script setup lang="ts">
import { computed, onMounted, onUnmounted, watch } from 'vue'
import { useRoute } from 'vue-router'
import { defaultDocument, defaultWindow, useDebounceFn, useEventListener, useIntervalFn } from '@vueuse/core'
import { useLive } from '../composables/useLive.ts'
import { useT } from '../composables/useT.ts'
import { useBrand } from '../stores/brand.ts'
import { sayHereMs, usePresence } from '../stores/presence.ts'
import { initialsOf } from './initials.ts'

/** The colleagues who are here as well; says itself where one is. */
const shownAtMost = 4
const brand = useBrand()
const presence = usePresence()
const route = useRoute()
const { t } = useT()

const here = computed(() => (route.path.startsWith('/inbox/') ? Number(route.params.thread) || null : null))
watch(here, (thread) => (presence.thread = thread), { immediate: true })
/** Whoever walks through a list is not told at every step. */
const saySoon = useDebounceFn(() => presence.say(), 500)
watch(() => [presence.thread, presence.writing], saySoon)
const { pause, resume } = useIntervalFn(() => {
  void presence.say()
  void presence.load().catch(() => {})
}, sayHereMs)
useLive((event) => presence.hear(event))
onMounted(() => {
  void presence.say()
  void presence.load().catch(() => {})
})
useEventListener(defaultWindow, 'pagehide', presence.leave)
useEventListener(defaultDocument, 'visibilitychange', () => {
  if (document.visibilityState === 'visible') {
    void presence.say()
    resume()
  } else {
    pause()
    presence.leave()
  }
})
onUnmounted(presence.leave)

const named = computed(() =>
  presence.others
    .map((each) => ({ ...each, name: brand.colleagueName(each.colleague) }))
    .filter(({ name }) => name)
    .sort((a, b) => a.name.localeCompare(b.name)),
)
const said = ({ name, thread, writing }: { name: string; thread: number | null; writing: boolean }) =>
  t(writing ? 'together.isWriting' : thread ? 'together.isReading' : 'together.isHere', { name })
</script>

<template>
  <ul v-if="named.length" class="here" :aria-label="t('together.here')">
    <li v-for="each in named.slice(0, shownAtMost)" :key="each.colleague">
      <RouterLink
        v-if="each.thread"
        class="face"
        :class="{ writing: each.writing }"
        :to="`/inbox/${each.thread}?state=any&given=anybody&time=all`"
        :title="said(each)"
        v-bind="{ 'aria-label': said(each) }"
        >{{ initialsOf(each.name) }}</RouterLink
      >
      <span v-else class="face" :title="said(each)" role="img" :aria-label="said(each)">{{
        initialsOf(each.name)
      }}</span>
    </li>
    <li v-if="named.length > shownAtMost" class="more" :title="named.slice(shownAtMost).map(said).join('\n')">
      +{{ named.length - shownAtMost }}
    </li>
  </ul>
</template>

<style scoped>
.here {
  display: flex;
  gap: 6px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.face {
  display: grid;
  place-items: center;
  width: 28px;
  height: 28px;
  border: 0;
  border-radius: 50%;
  background: var(--band-field);
  color: var(--band-text);
  font-size: 12px;
  font-weight: 600;
}
.writing {
  box-shadow: 0 0 0 2px var(--glow);
}
.more {
  align-self: center;
  color: var(--band-soft);
  font-size: 12px;
}
@media (max-width: 720px) {
  .here {
    display: none;
  }
}
</style>
