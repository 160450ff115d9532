<script setup lang="ts">
import { computed } from 'vue'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import { usePresence } from '../../stores/presence.ts'

/** Who else has the thread open, and who of them writes. */
const { thread } = defineProps<{ thread: number }>()
const { t, list } = useTexts()
const brand = useBrand()
const presence = usePresence()
const said = computed(() => {
  const here = presence.at(thread).flatMap(({ colleague, writing }) => {
    const name = brand.colleagueName(colleague)
    return name ? [{ name, writing }] : []
  })
  const tell = (key: 'writesHere' | 'readsHere', names: string[]) =>
    names.length ? [t(`together.${key}`, { name: list(names) }, names.length)] : []
  return [
    ...tell(
      'writesHere',
      here.filter(({ writing }) => writing).map(({ name }) => name),
    ),
    ...tell(
      'readsHere',
      here.filter(({ writing }) => !writing).map(({ name }) => name),
    ),
  ].join(', ')
})
</script>

<template>
  <span v-if="said" class="in-thread" role="status" data-test="in-thread">{{ said }}</span>
</template>

<style scoped>
.in-thread {
  font-weight: 600;
  color: var(--ink);
}
</style>
