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
import { call, CallProblem } from '../../api/call.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import EmptyPlace from '../../parts/EmptyPlace.vue'
import ProblemNote from '../../parts/ProblemNote.vue'
import { onDemand } from '../../parts/onDemand.ts'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import ConnectBar from './ConnectBar.vue'
import ProfileTable from './ProfileTable.vue'
import SetUpFrame from '../../parts/SetUpFrame.vue'
import RowShapes from '../../parts/RowShapes.vue'

const ChatSheet = onDemand(() => import('./ChatSheet.vue'))
const EmailSheet = onDemand(() => import('./EmailSheet.vue'))
const ApartSheet = onDemand(() => import('./ApartSheet.vue'))
const { t } = useTexts()
const brand = useBrand()
const undo = useUndo()
const route = useRoute()
const profiles = ref<ProfileAnswer[] | null>(null)
const networks = ref<NetworkAnswer[]>([])
const problem = ref<CallProblem | null>(null)
const feedProblem = ref<CallProblem | null>(null)
const address = ref('')
const busy = ref('')
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
const reload = gathered(() => load(), 200)
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
const takeOpml = (file: string) =>
  guard(
    'feed',
    async () => {
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
  profile.network === 'email'
    ? openEmail(profile)
    : profile.network === 'chat'
      ? openChat(profile)
      : profile.network === 'feed'
        ? guard(
            'feed',
            async () =>
              void (await call(routes.connectFeed, {
                body: { address: profile.url ?? '', name: profile.name },
              })),
          )
        : profile.capabilities.search
          ? searchOn(profile.network)
          : connect(profile.network)
const connectedOn = (network: string) =>
  profiles.value?.filter((p) => p.network === network && p.status !== 'disconnected').length ?? 0
const addresses = computed(() => connectedOn('email'))
const chats = computed(() => connectedOn('chat'))
const chatShown = ref(false)
const chatOf = ref<ProfileAnswer | null>(null)
function openChat(profile: ProfileAnswer | null): void {
  chatOf.value = profile
  chatShown.value = true
}
const emailShown = ref(false)
const emailOf = ref<ProfileAnswer | null>(null)
function openEmail(profile: ProfileAnswer | null): void {
  emailOf.value = profile
  emailShown.value = true
}
const apartShown = ref(false)
const apartOf = ref<ProfileAnswer | null>(null)
function seeApart(profile: ProfileAnswer): void {
  apartOf.value = profile
  apartShown.value = true
}
</script>

<template>
  <SetUpFrame :title="t('profiles.title')" :intro="t('profiles.intro')">
    <p v-if="connected" class="told" role="status">
      {{ t('profiles.connected', { n: connected }, connected) }}
    </p>
    <p v-if="refusal" class="told wrong" role="alert">{{ refusal }}</p>
    <ProblemNote v-if="problem" :problem="problem" @again="load" />
    <ConnectBar
      v-if="mayConnect"
      v-model:address="address"
      :networks="networks"
      :addresses="addresses"
      :chats="chats"
      :busy="busy"
      @connect="connect"
      @search="searchOn"
      @feed="addFeed"
      @email="openEmail(null)"
      @chat="openChat(null)"
      @list="takeOpml"
    />
    <p v-else class="soft">{{ t('profiles.noRight') }}</p>
    <ProblemNote v-if="feedProblem" :problem="feedProblem" @again="addFeed" />
    <EmptyPlace
      v-if="profiles && !profiles.length"
      :title="t('profiles.none')"
      :text="t('profiles.noneHint')"
    />
    <RowShapes v-if="!profiles && !problem" :height="56" />
    <ProfileTable
      v-if="profiles?.length"
      :profiles="profiles"
      @apart="seeApart"
      @again="again"
      @look="look"
      @disconnect="disconnect"
      @settings="openChat"
    />
    <EmailSheet v-model="emailShown" :editing="emailOf" @connected="load" />
    <ChatSheet v-model="chatShown" :editing="chatOf" :profiles="profiles ?? []" @saved="load" />
    <ApartSheet v-model="apartShown" :profile="apartOf" @tried="load" />
  </SetUpFrame>
</template>

<style scoped>
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
</style>
