<script setup lang="ts">
import { routes, type NetworkAnswer } from '@murrabel/contract'
import { addressOf } from '../../api/call.ts'
import { useTexts } from '../../composables/useTexts.ts'

/** What can be connected: networks, searches, feeds one by one and as a list. */
defineProps<{
  networks: NetworkAnswer[]
  /** What is under way: a network, "feed", or nothing. */
  busy: string
}>()
const address = defineModel<string>('address', { required: true })
const emit = defineEmits<{
  connect: [network: string]
  search: [network: string]
  feed: []
  /** The text of a list of feeds. */
  list: [file: string]
}>()
const { t } = useTexts()
async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = await input.files?.[0]?.text()
  input.value = ''
  if (file) emit('list', file)
}
</script>

<template>
  <div class="connect">
    <button
      v-for="network in networks"
      :key="network.network"
      type="button"
      class="button primary"
      :disabled="busy !== ''"
      @click="network.search ? emit('search', network.network) : emit('connect', network.network)"
    >
      {{
        busy === network.network
          ? t('profiles.connecting', { name: network.name })
          : t(network.search ? 'profiles.search' : 'profiles.connect', { name: network.name })
      }}
    </button>
    <form class="feed" @submit.prevent="emit('feed')">
      <el-input
        v-model="address"
        :placeholder="t('profiles.feedAddress')"
        :aria-label="t('profiles.feedAddress')"
        maxlength="2000"
      />
      <button type="submit" class="button" :disabled="!address.trim() || busy !== ''">
        {{ busy === 'feed' ? t('profiles.adding') : t('profiles.addFeed') }}
      </button>
    </form>
    <span class="lists">
      <label class="button">
        {{ t('profiles.importFeeds') }}
        <input type="file" accept=".opml,.xml,text/x-opml" class="reader-only" @change="take" />
      </label>
      <a class="button" :href="addressOf(routes.exportFeeds)" download>{{ t('profiles.exportFeeds') }}</a>
    </span>
  </div>
</template>

<style scoped>
.connect {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-bottom: 16px;
}
.feed {
  display: flex;
  gap: 8px;
  flex: 1;
  min-width: 320px;
  max-width: 520px;
}
.lists {
  display: flex;
  gap: 8px;
}
.lists a {
  color: var(--ink);
}
.lists label:focus-within {
  outline: 2px solid var(--deep);
}
</style>
