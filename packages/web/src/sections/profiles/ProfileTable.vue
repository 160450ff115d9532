<script setup lang="ts">
import { computed } from 'vue'
import type { ProfileAnswer } from '@murrabel/contract'
import { networkName } from '../../composables/networkName.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'

/** The brand's profiles: how far their history is read, how they are, and what can be done with each. */
defineProps<{ profiles: ProfileAnswer[] }>()
const emit = defineEmits<{
  apart: [profile: ProfileAnswer]
  again: [profile: ProfileAnswer]
  look: [profile: ProfileAnswer]
  disconnect: [profile: ProfileAnswer]
  settings: [profile: ProfileAnswer]
}>()
const { t, called, number, when, exact } = useTexts()
const brand = useBrand()
const may = computed(() => brand.mayCall('disconnect'))
/** The network, where the profile is not called like it. */
function networkOf({ network, channel, name, address }: ProfileAnswer): string {
  if (network === channel && !address) return ''
  if (address) return address === name ? '' : address
  const known = networkName({ network, profile: '' })
  return known === name ? '' : known
}
const waysOf = ({ capabilities: { live, search } }: ProfileAnswer) =>
  search ? t('profiles.searching') : live ? t('profiles.live') : t('profiles.polled')
const share = (profile: ProfileAnswer) =>
  profile.historyTotal ? Math.min(100, (100 * profile.historyDone) / profile.historyTotal) : 0
</script>

<template>
  <table>
    <thead>
      <tr>
        <th>{{ t('profiles.name') }}</th>
        <th>{{ t('profiles.place') }}</th>
        <th class="figure">{{ t('profiles.entries') }}</th>
        <th>{{ t('profiles.state') }}</th>
        <th />
      </tr>
    </thead>
    <tbody>
      <tr v-for="profile in profiles" :key="profile.id" :data-profile="profile.name">
        <td>
          <b>{{ profile.name }}</b>
          <small class="soft"
            >{{ called('lens.channel', profile.channel)
            }}<template v-if="profile.network !== 'file'">
              <template v-if="networkOf(profile)"> · {{ networkOf(profile) }}</template> ·
              {{ waysOf(profile) }}</template
            ></small
          >
        </td>
        <td>{{ brand.placeName(profile.placeId) }}</td>
        <td class="figure">
          {{ number(profile.entries) }}
          <button
            v-if="profile.apart"
            type="button"
            class="plain apart"
            data-test="apart"
            @click="emit('apart', profile)"
          >
            {{ t('profiles.apart.count', { n: number(profile.apart) }, profile.apart) }}
          </button>
        </td>
        <td>
          <span
            :class="{ wrong: profile.status === 'expired' || profile.status === 'failing' }"
            data-test="status"
            >{{ t(`profiles.status.${profile.status}`) }}</span
          >
          <template v-if="profile.status === 'collecting'">
            <span class="soft">
              {{
                t('profiles.progress', {
                  done: number(profile.historyDone),
                  total: profile.historyTotal === null ? '…' : number(profile.historyTotal),
                })
              }}</span
            >
            <el-progress
              v-bind="{ 'aria-label': profile.name }"
              :percentage="share(profile)"
              :show-text="false"
              :stroke-width="4"
            />
          </template>
          <small v-else-if="profile.error" class="wrong">{{ profile.error }}</small>
          <small v-else-if="profile.collectedAt" class="soft" :title="exact(profile.collectedAt)">{{
            t('profiles.collected', { t: when(profile.collectedAt) })
          }}</small>
        </td>
        <td class="actions">
          <template v-if="may && profile.network !== 'file'">
            <button
              v-if="profile.status === 'expired'"
              type="button"
              class="button primary"
              @click="emit('again', profile)"
            >
              {{ t('profiles.renew') }}
            </button>
            <button
              v-else-if="profile.status === 'disconnected'"
              type="button"
              class="button"
              @click="emit('again', profile)"
            >
              {{ t('profiles.connectAgain') }}
            </button>
            <button
              v-else-if="profile.network === 'chat'"
              type="button"
              class="button"
              @click="emit('settings', profile)"
            >
              {{ t('profiles.chat.settings') }}
            </button>
            <button v-else type="button" class="button" @click="emit('look', profile)">
              {{ t('profiles.look') }}
            </button>
            <button
              v-if="profile.status !== 'disconnected'"
              type="button"
              class="button"
              @click="emit('disconnect', profile)"
            >
              {{ t('profiles.disconnect') }}
            </button>
          </template>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.wrong {
  color: var(--flare-text);
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: left;
  font-size: 12px;
  font-weight: 600;
  color: var(--ink-soft);
  padding: 4px 12px 4px 0;
}
td {
  border-top: 1px solid var(--line);
  padding: 7px 12px 7px 0;
  vertical-align: top;
}
b {
  font-weight: 600;
}
small {
  display: block;
  font-size: 12px;
}
.figure {
  text-align: right;
  padding-right: 32px;
}
.apart {
  display: block;
  margin-left: auto;
  font-size: 12px;
  color: var(--flare-text);
}
.actions {
  text-align: right;
  padding-right: 0;
  white-space: nowrap;
}
.actions .button {
  padding: 2px 10px;
  margin-left: 6px;
}
</style>
