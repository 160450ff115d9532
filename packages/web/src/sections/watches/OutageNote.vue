<script setup lang="ts">
import { computed } from 'vue'
import type { OutageAnswer } from '@murrabel/contract'
import { networkName } from '../../composables/networkName.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { percent } from './watchFigures.ts'

/** What was not collected in the time shown, so that its counts are too low. */
const { outages } = defineProps<{ outages: readonly OutageAnswer[] }>()
const { t, format } = useTexts()
const shown = 3
const when = (at: string) =>
  format(at, { weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
/** A feed goes by its own name alone. */
const whoOf = (account: string, network: string) =>
  account === network ? account : `${account} (${network})`
const lines = computed(() =>
  outages.slice(0, shown).map(({ account, network, share, from, to }) =>
    t(to === null ? 'watch.outage.goesOn' : 'watch.outage.was', {
      who: whoOf(account, networkName({ network, profile: account })),
      share: percent(share),
      from: when(from),
      to: to === null ? '' : when(to),
    }),
  ),
)
</script>

<template>
  <aside v-if="outages.length" class="outage" data-test="outage">
    <p v-for="line in lines" :key="line">{{ line }}</p>
    <p v-if="outages.length > shown">{{ t('watch.outage.more', { n: outages.length - shown }) }}</p>
    <p class="soft">
      {{ t('watch.outage.means') }}
      <RouterLink v-if="outages.some(({ to }) => to === null)" to="/set-up/profiles">{{
        t('watch.outage.look')
      }}</RouterLink>
    </p>
  </aside>
</template>

<style scoped>
.outage {
  border-left: 3px solid var(--glow);
  padding: 2px 0 2px 12px;
  margin: 8px 0;
  font-size: 13px;
}
.outage p {
  margin: 2px 0;
}
</style>
