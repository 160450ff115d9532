<script setup lang="ts">
import type { ThreadAnswer } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'

/** Somebody handed the thread over, and why. */
const { event } = defineProps<{ event: ThreadAnswer['events'][number] }>()
const { t, when, exact } = useTexts()
const brand = useBrand()
const { to, team, why, word } = event.detail as Record<string, unknown>
const name =
  brand.ownerName({ givenTo: Number(to) || null, teamId: Number(team) || null }) || t('inbox.nobody')
</script>

<template>
  <div class="handed" data-test="handed-over">
    <header>
      <b>{{ t('inbox.handOver.handed', { by: event.by ?? t('together.somebody'), name }) }}</b>
      <time class="soft" :datetime="event.at" :title="exact(event.at)">{{ when(event.at) }}</time>
    </header>
    <p v-if="why">{{ why }}</p>
    <p v-if="word" class="soft">{{ word }}</p>
  </div>
</template>

<style scoped>
.handed {
  margin: 0 0 14px;
  padding: 8px 12px;
  background: var(--note);
  border-left: 3px solid var(--glow);
  font-size: 14px;
}
header {
  display: flex;
  justify-content: space-between;
  gap: 12px;
}
header b {
  font-weight: 600;
}
p {
  margin: 4px 0 0;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
</style>
