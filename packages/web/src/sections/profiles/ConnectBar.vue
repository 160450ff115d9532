<script setup lang="ts">
import { routes, type NetworkAnswer } from '@murrabel/contract'
import { addressOf } from '../../api/call.ts'
import { useTexts } from '../../composables/useTexts.ts'

/** What can be connected: networks, searches, feeds one by one and as a list. */
defineProps<{
  networks: NetworkAnswer[]
  /** E-mail addresses that are connected. */
  addresses: number
  /** Chat boxes on sites of one's own. */
  chats: number
  /** What is under way: a network, "feed", or nothing. */
  busy: string
}>()
const address = defineModel<string>('address', { required: true })
const emit = defineEmits<{
  connect: [network: string]
  search: [network: string]
  feed: []
  email: []
  chat: []
  /** The text of a list of feeds. */
  list: [file: string]
}>()
const { t, called } = useTexts()
const stateOf = ({ connectedProfiles: n }: NetworkAnswer) => (n ? t('profiles.accounts', { n }, n) : '')
async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = await input.files?.[0]?.text()
  input.value = ''
  if (file) emit('list', file)
}
</script>

<template>
  <div class="connect">
    <ul class="networks">
      <li v-for="network in networks" :key="network.network" :data-network="network.network">
        <span class="name">
          <b>{{ network.name }}</b> <small class="soft">{{ called('lens.channel', network.channel) }}</small>
        </span>
        <span class="soft state">{{ stateOf(network) }}</span>
        <button
          v-if="network.accounts"
          type="button"
          class="button"
          :class="{ primary: !network.connectedProfiles }"
          :disabled="busy !== ''"
          :aria-label="t('profiles.connect', { name: network.name })"
          @click="emit('connect', network.network)"
        >
          {{ busy === network.network ? t('profiles.going') : t('profiles.connectAccount') }}
        </button>
        <button
          v-if="network.search"
          type="button"
          class="button"
          :disabled="busy !== '' || network.searched"
          :aria-label="t('profiles.search', { name: network.name })"
          @click="emit('search', network.network)"
        >
          {{ network.searched ? t('profiles.searched') : t('profiles.searchIt') }}
        </button>
      </li>
      <li data-network="email">
        <span class="name">
          <b>{{ t('profiles.email.channel') }}</b> <small class="soft">{{ t('profiles.email.own') }}</small>
        </span>
        <span class="soft state">{{
          addresses ? t('profiles.email.addresses', { n: addresses }, addresses) : ''
        }}</span>
        <button
          type="button"
          class="button"
          :class="{ primary: !addresses }"
          :disabled="busy !== ''"
          @click="emit('email')"
        >
          {{ t('profiles.email.connect') }}
        </button>
      </li>
      <li data-network="chat">
        <span class="name">
          <b>{{ t('profiles.chat.channel') }}</b> <small class="soft">{{ t('profiles.chat.own') }}</small>
        </span>
        <span class="soft state">{{ chats ? t('profiles.chat.sites', { n: chats }, chats) : '' }}</span>
        <button
          type="button"
          class="button"
          :class="{ primary: !chats }"
          :disabled="busy !== ''"
          @click="emit('chat')"
        >
          {{ t('profiles.chat.add') }}
        </button>
      </li>
    </ul>
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
.networks {
  width: 100%;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(430px, 1fr));
  gap: 0 40px;
  margin: 0 0 4px;
  padding: 0;
  list-style: none;
}
.networks li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto 96px;
  align-items: center;
  gap: 8px;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
.networks b {
  font-weight: 600;
}
.networks small {
  font-size: 12px;
}
.networks .state {
  font-size: 12px;
}
.networks .button {
  padding: 2px 10px;
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
