<script setup lang="ts">
import type { FeedAddresses } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import { useUndo } from '../../stores/undo.ts'

/** Secret addresses of feeds: to be copied, renewed and switched off. */
const { addresses, busy = false } = defineProps<{ addresses: FeedAddresses; busy?: boolean }>()
const emit = defineEmits<{ renew: []; off: [] }>()
const { t } = useTexts()
const undo = useUndo()
async function copy(address: string): Promise<void> {
  await navigator.clipboard?.writeText(address)
  undo.tell({ text: t('alerts.feed.copied') })
}
</script>

<template>
  <div data-test="feeds">
    <p class="soft">{{ addresses.atom ? t('alerts.feed.text') : t('alerts.feed.isOff') }}</p>
    <dl v-if="addresses.atom">
      <template v-for="(address, format) in addresses" :key="format">
        <dt>{{ format === 'atom' ? 'Atom' : 'JSON Feed' }}</dt>
        <dd v-if="address">
          <a :href="address" target="_blank" rel="noreferrer">{{ address }}</a>
          <button type="button" class="plain" @click="copy(address)">{{ t('alerts.feed.copy') }}</button>
        </dd>
      </template>
    </dl>
    <p class="actions">
      <button type="button" class="button" :disabled="busy" @click="emit('renew')">
        {{ addresses.atom ? t('alerts.feed.renew') : t('alerts.feed.switchOn') }}
      </button>
      <button v-if="addresses.atom" type="button" class="button" :disabled="busy" @click="emit('off')">
        {{ t('alerts.feed.switchOff') }}
      </button>
    </p>
    <p v-if="addresses.atom" class="soft">{{ t('alerts.feed.ends') }}</p>
  </div>
</template>

<style scoped>
dt {
  font-weight: 600;
  margin-top: 12px;
}
dd {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 12px;
  margin: 0;
  overflow-wrap: anywhere;
}
.actions {
  display: flex;
  gap: 8px;
  margin: 14px 0 10px;
}
</style>
