<script setup lang="ts">
import { shallowRef, watch } from 'vue'
import { routes, type ThreadVisitsAnswer } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import { useBrand } from '../../stores/brand.ts'
import { useVisitTexts } from './useVisitTexts.ts'

/** Which visit a thread is about: what was said, or the one that most speaks for, to be said. */
const { threadId } = defineProps<{ threadId: number }>()
const { t, day, number } = useTexts()
const { what, why } = useVisitTexts()
const brand = useBrand()
const { busy, problem, run } = useBusy()
const answer = shallowRef<ThreadVisitsAnswer | null>(null)
async function load(): Promise<void> {
  const asked = threadId
  const found = await call(routes.threadVisits, { params: { id: asked } }).catch((error: unknown) => {
    // What cannot be had is not shown; the thread tells what is wrong.
    if (error instanceof CallProblem) return null
    throw error
  })
  if (asked === threadId) answer.value = found
}
watch(
  () => threadId,
  () => {
    answer.value = null
    void load()
  },
  { immediate: true },
)
useLive(({ kind }) => {
  if (kind === 'people' || kind === 'afresh') void load()
})
const say = (visit: number, belongs: boolean | null) =>
  run(async () => {
    const asked = threadId
    const found = await call(routes.sayVisit, { params: { id: asked, visit }, body: { belongs } })
    if (asked === threadId) answer.value = found
  })
</script>

<template>
  <section v-if="answer && (answer.visit || answer.proposals.length)" data-test="thread-visit">
    <h4>{{ t('people.visit.about') }}</h4>
    <template v-if="answer.visit">
      <p>
        {{ day(answer.visit.at) }}: {{ what(answer.visit) }}
        <span v-if="answer.visit.state !== 'done'" class="state" :class="answer.visit.state">{{
          t(`people.visit.state.${answer.visit.state}`)
        }}</span>
      </p>
      <button
        v-if="brand.may('answer')"
        type="button"
        class="plain"
        :disabled="busy"
        @click="say(answer.visit.id, null)"
      >
        {{ t('people.visit.takeBack') }}
      </button>
    </template>
    <div v-for="proposal in answer.proposals" :key="proposal.visit.id" class="proposal">
      <p>
        {{ day(proposal.visit.at) }}: {{ what(proposal.visit) }}
        <span v-if="proposal.visit.state !== 'done'" class="state" :class="proposal.visit.state">{{
          t(`people.visit.state.${proposal.visit.state}`)
        }}</span>
      </p>
      <p class="soft">
        {{
          t('people.visit.because', {
            weight: number(Math.round(proposal.weight * 100) / 100),
            why: why(proposal.reasons),
          })
        }}
      </p>
      <p v-if="brand.may('answer')" class="choice">
        <button type="button" class="plain" :disabled="busy" @click="say(proposal.visit.id, true)">
          {{ t('people.visit.yes') }}
        </button>
        <button type="button" class="plain" :disabled="busy" @click="say(proposal.visit.id, false)">
          {{ t('people.visit.no') }}
        </button>
      </p>
    </div>
    <ProblemNote v-if="problem" :problem="problem" />
  </section>
</template>

<style scoped>
h4 {
  margin-top: 12px;
}
.proposal + .proposal {
  margin-top: 8px;
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
.soft {
  font-size: 13px;
}
.choice {
  display: flex;
  gap: 14px;
}
.plain {
  min-height: 24px;
  padding: 0;
}
.state {
  color: var(--ink-soft);
}
.state.failed {
  color: var(--flare-text);
}
</style>
