<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { Star } from '@lucide/vue'
import {
  routes,
  standings,
  voiceOrders,
  type Standing,
  type VoiceAnswer,
  type VoiceDraft,
  type VoiceOrder,
} from '@murrabel/contract'
import type { Lens } from '@murrabel/core/lens'
import { shortened } from '@murrabel/core/text'
import { call, CallProblem } from '../../api/call.ts'
import { useAsked } from '../../composables/useAsked.ts'
import { useProblemTexts } from '../../composables/useProblemTexts.ts'
import { useTexts } from '../../composables/useTexts.ts'
import EmptyPlace from '../../parts/EmptyPlace.vue'
import ProblemNote from '../../parts/ProblemNote.vue'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import { useVoices } from '../../stores/voices.ts'
import NetFigure from './NetFigure.vue'
import RowShapes from '../../parts/RowShapes.vue'

const { query } = defineProps<{ query: [string, string][] }>()
const emit = defineEmits<{ open: [part: Partial<Lens>] }>()
const { t, called, number, day, exact } = useTexts()
const brand = useBrand()
const names = useVoices()
const undo = useUndo()
const { line } = useProblemTexts()
const order = ref<VoiceOrder>('entries')
const keptOnly = ref(false)
const standing = ref<Standing | ''>('')
const question = computed<[string, string][]>(() => [
  ...query,
  ['by', order.value],
  ...(keptOnly.value ? [['keptVoices', '1'] as [string, string]] : []),
  ...(standing.value ? [['standing', standing.value] as [string, string]] : []),
])
const asked = useAsked(routes.voices, question)
const opened = ref<number | null>(null)
watch(asked.answer, (answer) => answer?.voices.forEach(({ id, name }) => names.know(id, name)))
defineExpose({ load: asked.load })

async function put(voice: VoiceAnswer, part: VoiceDraft): Promise<void> {
  try {
    const before = await call(routes.changeVoice, { params: { id: voice.id }, body: part })
    await asked.load()
    undo.tell({
      text: t('watch.voices.saved', { name: voice.name }),
      undo: async () => {
        await call(routes.changeVoice, { params: { id: voice.id }, body: before })
        await asked.load()
      },
    })
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    undo.tell({ text: line(error), problem: true })
  }
}
const leaningText = (voice: VoiceAnswer) =>
  voice.leaning === 'tooLittle' ? '' : t(`watch.voices.leaning.${voice.leaning}`)
</script>

<template>
  <div class="view">
    <header>
      <span v-if="asked.answer.value" data-test="voice-total"
        >{{ t('watch.voices.total', { n: number(asked.answer.value.total) }, asked.answer.value.total)
        }}<template v-if="asked.answer.value.total > asked.answer.value.voices.length"
          >, {{ t('watch.voices.shown', { n: asked.answer.value.voices.length }) }}</template
        ></span
      >
      <el-checkbox v-model="keptOnly" :label="t('watch.voices.keptOnly')" />
      <el-select
        v-model="standing"
        class="standing"
        :aria-label="t('watch.voices.standing')"
        :placeholder="t('watch.voices.anyStanding')"
        clearable
      >
        <el-option
          v-for="each in standings"
          :key="each"
          :value="each"
          :label="t(`watch.voices.standings.${each}`)"
        />
      </el-select>
      <span class="orders" role="group" :aria-label="t('watch.voices.order')">
        <button
          v-for="each in voiceOrders"
          :key="each"
          type="button"
          class="plain"
          :class="{ here: order === each }"
          :aria-pressed="order === each"
          @click="order = each"
        >
          {{ t(`watch.voices.by.${each}`) }}
        </button>
      </span>
    </header>
    <ProblemNote v-if="asked.problem.value" :problem="asked.problem.value" @again="asked.load" />
    <RowShapes v-if="asked.loading.value && !asked.answer.value" :height="44" />
    <EmptyPlace
      v-else-if="asked.answer.value && !asked.answer.value.voices.length"
      :text="t('watch.voices.none')"
    />
    <table v-else-if="asked.answer.value">
      <thead>
        <tr>
          <th />
          <th>{{ t('watch.voices.name') }}</th>
          <th class="n">{{ t('watch.voices.entries') }}</th>
          <th class="n">{{ t('watch.voices.reach') }}</th>
          <th>{{ t('watch.voices.net') }}</th>
          <th>{{ t('watch.voices.habit') }}</th>
          <th>{{ t('watch.voices.since') }}</th>
          <th>{{ t('watch.voices.standing') }}</th>
        </tr>
      </thead>
      <tbody v-for="voice in asked.answer.value.voices" :key="voice.id">
        <tr data-test="voice">
          <td>
            <button
              type="button"
              class="keep"
              :class="{ kept: voice.kept }"
              :aria-pressed="voice.kept"
              :aria-label="t('watch.voices.keep')"
              :title="t('watch.voices.keep')"
              :disabled="!brand.may('answer')"
              @click="put(voice, { kept: !voice.kept })"
            >
              <Star :size="14" />
            </button>
          </td>
          <td>
            <button type="button" class="plain" @click="emit('open', { voice: voice.id })">
              {{ voice.name }}
            </button>
            <span class="soft"> {{ called('lens.channel', voice.channel) }}</span>
          </td>
          <td class="n">{{ number(voice.entries) }}</td>
          <td class="n">{{ number(voice.reach) }}</td>
          <td>
            <NetFigure :net="voice.net" />
          </td>
          <td>
            {{ t(`watch.voices.habits.${voice.habit}`) }}
            <b v-if="leaningText(voice)" :class="voice.leaning">{{ leaningText(voice) }}</b>
            <span class="soft"> {{ t('watch.voices.days', { n: voice.activeDays }, voice.activeDays) }}</span>
          </td>
          <td :title="`${exact(voice.first)} – ${exact(voice.last)}`">
            {{ day(voice.first)
            }}<template v-if="day(voice.first) !== day(voice.last)"> – {{ day(voice.last) }}</template>
          </td>
          <td>
            <button
              type="button"
              class="plain"
              :aria-expanded="opened === voice.id"
              @click="opened = opened === voice.id ? null : voice.id"
            >
              {{
                voice.standing ? t(`watch.voices.standings.${voice.standing}`) : t('watch.voices.noStanding')
              }}<template v-if="voice.note"> · {{ shortened(voice.note, 24) }}</template>
            </button>
          </td>
        </tr>
        <tr v-if="opened === voice.id" class="more">
          <td />
          <td colspan="7">
            <div class="card">
              <el-select
                :model-value="voice.standing ?? ''"
                clearable
                :placeholder="t('watch.voices.noStanding')"
                :aria-label="t('watch.voices.standing')"
                :disabled="!brand.may('answer')"
                class="standing"
                @change="(value: Standing | '') => put(voice, { standing: value || null })"
              >
                <el-option
                  v-for="each in standings"
                  :key="each"
                  :value="each"
                  :label="t(`watch.voices.standings.${each}`)"
                />
              </el-select>
              <el-input
                :model-value="voice.note"
                :placeholder="t('watch.voices.note')"
                :aria-label="t('watch.voices.note')"
                :disabled="!brand.may('answer')"
                maxlength="2000"
                @change="(note: string) => put(voice, { note })"
              />
              <RouterLink
                v-if="brand.may('answer')"
                :to="{
                  path: '/inbox',
                  query: {
                    voice: voice.id,
                    state: 'any',
                    given: 'anybody',
                    kind: 'all',
                    time: 'all',
                    order: 'newest',
                  },
                  hash: '#answer',
                }"
                >{{ t('watch.voices.reachOut') }}</RouterLink
              >
              <span v-if="voice.watches.length" class="soft"
                >{{ t('watch.voices.watches') }}
                <template v-for="(item, i) in voice.watches" :key="item.id"
                  ><template v-if="i">, </template
                  ><button
                    type="button"
                    class="plain"
                    @click="emit('open', { voice: voice.id, watch: item.id, group: null, range: null })"
                  >
                    {{ item.name }} {{ number(item.n) }}
                  </button></template
                ></span
              >
            </div>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.view {
  overflow-y: auto;
  padding: 8px 0 24px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 20px;
  font-size: 13px;
  margin-bottom: 8px;
}
.standing {
  width: 150px;
}
.orders {
  display: flex;
  gap: 12px;
  margin-left: auto;
}
.orders .plain {
  color: var(--ink-soft);
}
.orders .here {
  color: var(--ink);
  font-weight: 600;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 13px;
}
th {
  text-align: left;
  font-weight: 400;
  color: var(--ink-soft);
}
th,
td {
  padding: 4px 12px 4px 0;
  border-bottom: 1px solid var(--line);
}
.n {
  text-align: right;
}
.keep {
  background: none;
  border: 0;
  padding: 2px;
  line-height: 0;
  color: var(--control-line);
  cursor: pointer;
}
.kept {
  color: var(--deep);
}
.kept :deep(svg) {
  fill: currentcolor;
}
td .soft,
td b {
  margin-left: 6px;
}
.champion {
  color: var(--pos);
  font-weight: 600;
}
.critic {
  color: var(--neg);
  font-weight: 600;
}
.card {
  display: grid;
  grid-template-columns: 150px minmax(160px, 1fr) auto;
  gap: 12px;
  align-items: center;
}
</style>
