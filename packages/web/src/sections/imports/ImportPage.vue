<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { routes, type ImportState, type StartImportDraft } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import { useBrand } from '../../stores/brand.ts'
import ImportDraft from './ImportDraft.vue'
import ImportResult from './ImportResult.vue'
import SetUpFrame from '../../parts/SetUpFrame.vue'

/** Bringing in a file: chosen, looked at, then taken in in the background; one may leave meanwhile. */
const { busy, problem, run: guard } = useBusy()
const { t, number } = useTexts()
const brand = useBrand()
const kinds = ['reviews', 'customers', 'cards', 'feed', 'mail', 'chat'] as const
const asked = useRoute().query.kind
const kind = ref<ImportState['kind']>(kinds.find((each) => each === asked) ?? 'reviews')
const state = ref<ImportState | null>(null)
const earlier = ref<ImportState[]>([])
const may = computed(() => brand.mayCall('importDocument'))

/** Text in UTF-8, or in Latin-1 where it is not valid UTF-8, as older spreadsheets write it. */
async function readText(blob: File): Promise<string> {
  const bytes = await blob.arrayBuffer()
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}
const accepted = {
  reviews: '.csv,.tsv,.txt,text/csv',
  customers: '.csv,.tsv,.txt,text/csv',
  cards: '.vcf,.vcard,text/vcard',
  feed: '.xml,.rss,.atom,.json',
  mail: '.eml,.mbox,message/rfc822,application/mbox',
  chat: '.json,application/activity+json,application/json',
} as const
/** A file that is no text, as one. */
const readBase64 = (blob: File): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result).replace(/^[^,]*,/, ''))
    reader.onerror = () => reject(reader.error ?? new Error('the file cannot be read'))
    reader.readAsDataURL(blob)
  })
async function choose(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const chosen = input.files?.[0]
  input.value = ''
  if (!chosen) return
  await restart()
  await guard(async () => {
    const query: [string, string][] = [
      ['kind', kind.value],
      ['name', chosen.name.slice(0, 80)],
    ]
    const body = kind.value === 'mail' ? await readBase64(chosen) : await readText(chosen)
    state.value = await call(routes.importDocument, { query, body })
  })
}
const start = (draft: StartImportDraft) =>
  guard(async () => {
    state.value = await call(routes.startImport, { params: { id: state.value!.id }, body: draft })
  })
async function look(): Promise<void> {
  if (!may.value) return
  earlier.value = await call(routes.imports).catch(() => earlier.value)
  // A file that was on its way when the page was left is still on its way.
  const id = state.value?.id ?? earlier.value.find((each) => each.state === 'running')?.id
  if (id === undefined || state.value?.state === 'draft') return
  const was = state.value?.state
  state.value = await call(routes.importState, { params: { id } }).catch(() => state.value)
  if (was === 'running' && state.value?.state === 'done') await brand.load()
}
async function restart(): Promise<void> {
  const draft = state.value?.state === 'draft' ? state.value.id : null
  state.value = null
  problem.value = null
  if (draft !== null) await call(routes.dropImport, { params: { id: draft } }).catch(() => {})
}
onMounted(look)
const refresh = gathered(() => look(), 200)
useLive(({ kind: told }) => {
  if (told === 'profiles') refresh()
})
// A draft nobody goes on with is thrown away.
onUnmounted(() => void restart())
const share = computed(() =>
  state.value?.total ? Math.min(100, (100 * state.value.done) / state.value.total) : 0,
)
</script>

<template>
  <SetUpFrame :title="t('import.title')" :intro="t('import.intro')">
    <p v-if="!may" class="soft">{{ t('import.noRight') }}</p>
    <template v-else>
      <el-radio-group v-model="kind" class="kind" @change="restart">
        <el-radio v-for="each in kinds" :key="each" :value="each">{{ t(`import.${each}`) }}</el-radio>
      </el-radio-group>
      <label class="button file"
        >{{ t('import.choose')
        }}<input type="file" class="reader-only" :accept="accepted[kind]" data-test="file" @change="choose"
      /></label>
      <span v-if="state" class="soft">{{ state.name }}</span>
      <span v-else-if="busy" class="soft">{{ t('import.reading') }}</span>
      <ProblemNote v-if="problem" :problem="problem" />
      <ImportDraft
        v-if="state?.state === 'draft'"
        :key="state.id"
        :state="state"
        :busy="busy"
        @start="start"
      />
      <section
        v-else-if="state?.state === 'running'"
        class="running"
        role="status"
        data-test="import-running"
      >
        <p>
          {{
            state.total === null
              ? t('import.checking')
              : t('import.progress', { done: number(state.done), total: number(state.total) })
          }}
        </p>
        <el-progress
          v-bind="{ 'aria-label': state.name }"
          :percentage="share"
          :show-text="false"
          :stroke-width="4"
        />
        <p class="soft">{{ t('import.leave') }}</p>
      </section>
      <ImportResult v-else-if="state" :state="state" data-test="import-result" />
      <section v-if="earlier.length" class="earlier">
        <h4>{{ t('import.earlier') }}</h4>
        <p v-for="each in earlier" :key="each.id">
          {{ each.name }}
          <span class="soft">{{
            each.state === 'done'
              ? t('import.result', {
                  added: number(each.added),
                  known: number(each.known),
                  refused: number(each.refused),
                })
              : t(`import.state.${each.state}`)
          }}</span>
        </p>
      </section>
    </template>
  </SetUpFrame>
</template>

<style scoped>
.kind {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  margin-bottom: 14px;
}
.file {
  display: inline-block;
  margin-right: 12px;
}
.file:focus-within {
  outline: 2px solid var(--deep);
}
.running {
  margin-top: 18px;
  max-width: 480px;
}
.earlier {
  margin-top: 28px;
}
h4 {
  margin: 14px 0 6px;
}
</style>
