<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { ElMessageBox } from 'element-plus'
import {
  errorCatalogue,
  routes,
  type ErrorCode,
  type NetworkAnswer,
  type ProfileAnswer,
} from '@murrabel/contract'
import { addressOf, call, CallProblem } from '../../api/call.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import EmptyPlace from '../../parts/EmptyPlace.vue'
import ProblemNote from '../../parts/ProblemNote.vue'
import { onDemand } from '../../parts/onDemand.ts'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import SetUpFrame from '../../parts/SetUpFrame.vue'
import RowShapes from '../../parts/RowShapes.vue'

const ApartSheet = onDemand(() => import('./ApartSheet.vue'))
const { t, called, number, when, exact } = useTexts()
const brand = useBrand()
const undo = useUndo()
const route = useRoute()
const profiles = ref<ProfileAnswer[] | null>(null)
const networks = ref<NetworkAnswer[]>([])
const problem = ref<CallProblem | null>(null)
const feedProblem = ref<CallProblem | null>(null)
const address = ref('')
const busy = ref('')
const may = computed(() => brand.mayCall('disconnect'))
const mayConnect = computed(() => brand.mayCall('connect'))

const connected = computed(() =>
  typeof route.query.connected === 'string' ? route.query.connected.split(',').length : 0,
)
const refusal = computed(() => {
  const code = route.query.problem
  return typeof code === 'string' && Object.hasOwn(errorCatalogue, code)
    ? errorCatalogue[code as ErrorCode].sentence
    : ''
})

async function load(): Promise<void> {
  try {
    ;[profiles.value, networks.value] = await Promise.all([call(routes.profiles), call(routes.networks)])
    problem.value = null
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    problem.value = error
  }
}
onMounted(load)
const reload = gathered(() => void load(), 200)
useLive(({ kind }) => {
  if (kind === 'profiles' || kind === 'entries') reload()
})

async function guard(name: string, work: () => Promise<void>, into = problem): Promise<void> {
  busy.value = name
  into.value = null
  try {
    await work()
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    into.value = error
  } finally {
    busy.value = ''
  }
}
const connect = (network: string) =>
  guard(network, async () => {
    const { redirect } = await call(routes.connect, { body: { network } })
    location.assign(redirect)
  })
const searchOn = (network: string) =>
  guard(network, async () => {
    await call(routes.connectSearch, { body: { network } })
    await load()
  })
/** Takes in a list of feeds as other readers of feeds write it. */
const takeOpml = (event: Event) =>
  guard(
    'feed',
    async () => {
      const input = event.target as HTMLInputElement
      const file = await input.files?.[0]?.text()
      input.value = ''
      if (!file) return
      const { added, known, refused, problems } = await call(routes.importFeeds, { body: { file } })
      const named = problems.slice(0, 3).map((p) => `${p.address} ${p.reason}`)
      undo.tell({
        text: [t('profiles.feedsTaken', { added, known, refused }), ...named].join('. '),
        problem: refused > 0,
      })
      await load()
    },
    feedProblem,
  )
const addFeed = () =>
  guard(
    'feed',
    async () => {
      await call(routes.connectFeed, { body: { address: address.value } })
      address.value = ''
      await load()
    },
    feedProblem,
  )
async function disconnect(profile: ProfileAnswer): Promise<void> {
  const sure = await ElMessageBox.confirm(t('profiles.disconnectSure', { name: profile.name }), {
    confirmButtonText: t('profiles.disconnect'),
    cancelButtonText: t('watch.form.cancel'),
  }).catch(() => null)
  if (!sure) return
  await guard('disconnect', async () => {
    await call(routes.disconnect, { params: { id: profile.id } })
    undo.tell({ text: t('undo.disconnected') })
    await load()
  })
}
const look = (profile: ProfileAnswer) =>
  guard('look', async () => void (await call(routes.collectNow, { params: { id: profile.id } })))
const again = (profile: ProfileAnswer) =>
  profile.network === 'feed'
    ? guard(
        'feed',
        async () =>
          void (await call(routes.connectFeed, { body: { address: profile.url ?? '', name: profile.name } }))
            .id,
      )
    : profile.capabilities.search
      ? searchOn(profile.network)
      : connect(profile.network)
const apartShown = ref(false)
const apartOf = ref<ProfileAnswer | null>(null)
function seeApart(profile: ProfileAnswer): void {
  apartOf.value = profile
  apartShown.value = true
}
const share = (profile: ProfileAnswer) =>
  profile.historyTotal ? Math.min(100, (100 * profile.historyDone) / profile.historyTotal) : 0
</script>

<template>
  <SetUpFrame :title="t('profiles.title')" :intro="t('profiles.intro')">
    <p v-if="connected" class="told" role="status">
      {{ t('profiles.connected', { n: connected }, connected) }}
    </p>
    <p v-if="refusal" class="told wrong" role="alert">{{ refusal }}</p>
    <ProblemNote v-if="problem" :problem="problem" @again="load" />
    <div v-if="mayConnect" class="connect">
      <button
        v-for="network in networks"
        :key="network.network"
        type="button"
        class="button primary"
        :disabled="busy !== ''"
        @click="network.search ? searchOn(network.network) : connect(network.network)"
      >
        {{
          busy === network.network
            ? t('profiles.connecting', { name: network.name })
            : t(network.search ? 'profiles.search' : 'profiles.connect', { name: network.name })
        }}
      </button>
      <form class="feed" @submit.prevent="addFeed">
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
          <input type="file" accept=".opml,.xml,text/x-opml" class="reader-only" @change="takeOpml" />
        </label>
        <a class="button" :href="addressOf(routes.exportFeeds)" download>{{ t('profiles.exportFeeds') }}</a>
      </span>
    </div>
    <p v-else class="soft">{{ t('profiles.noRight') }}</p>
    <ProblemNote v-if="feedProblem" :problem="feedProblem" @again="addFeed" />
    <EmptyPlace
      v-if="profiles && !profiles.length"
      :title="t('profiles.none')"
      :text="t('profiles.noneHint')"
    />
    <RowShapes v-if="!profiles && !problem" :height="56" />
    <table v-if="profiles?.length">
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
                · {{ profile.capabilities.live ? t('profiles.live') : t('profiles.polled') }}</template
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
              @click="seeApart(profile)"
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
              <el-progress :percentage="share(profile)" :show-text="false" :stroke-width="4" />
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
                @click="again(profile)"
              >
                {{ t('profiles.renew') }}
              </button>
              <button
                v-else-if="profile.status === 'disconnected'"
                type="button"
                class="button"
                @click="again(profile)"
              >
                {{ t('profiles.connectAgain') }}
              </button>
              <button v-else type="button" class="button" @click="look(profile)">
                {{ t('profiles.look') }}
              </button>
              <button
                v-if="profile.status !== 'disconnected'"
                type="button"
                class="button"
                @click="disconnect(profile)"
              >
                {{ t('profiles.disconnect') }}
              </button>
            </template>
          </td>
        </tr>
      </tbody>
    </table>
    <ApartSheet v-model="apartShown" :profile="apartOf" @tried="load" />
  </SetUpFrame>
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
.told {
  border-left: 3px solid var(--deep);
  background: var(--deep-wash);
  padding: 8px 14px;
  margin-bottom: 14px;
}
.told.wrong {
  border-color: var(--flare);
  background: var(--note);
}
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
