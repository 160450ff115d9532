<script setup lang="ts">
import { ref } from 'vue'
import type { FollowUp } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import { onDemand } from '../../parts/onDemand.ts'
import { useBrand } from '../../stores/brand.ts'
import { useFollowUps } from './useFollowUps.ts'

/** Follow-ups, one under the other, each with what is done with it. */
const {
  followUps,
  may = false,
  full = false,
} = defineProps<{
  followUps: readonly FollowUp[]
  may?: boolean
  /** On a page of their own: they say whom they are about and lead to their thread. */
  full?: boolean
}>()
const emit = defineEmits<{ changed: [] }>()
const FollowUpSheet = onDemand(() => import('./FollowUpSheet.vue'))
const { t, when, exact, money } = useTexts()
const brand = useBrand()
const { finish, reopen } = useFollowUps(() => emit('changed'))
const editing = ref<FollowUp | null>(null)
const sheet = ref(false)
function edit(followUp: FollowUp): void {
  editing.value = followUp
  sheet.value = true
}
/** The one that is just being finished, and the word about it. */
const finishing = ref<number | null>(null)
const outcome = ref('')
async function done(followUp: FollowUp): Promise<void> {
  await finish(followUp, outcome.value.trim())
  finishing.value = null
  outcome.value = ''
}
const dueText = ({ doneAt, doneBy, dueAt, late }: FollowUp): string =>
  doneAt
    ? t('followUps.doneBy', { name: doneBy ?? '', t: when(doneAt) })
    : t(late ? 'followUps.late' : 'followUps.due', { t: when(dueAt) })
const worthText = ({ worth, currency }: FollowUp): string =>
  worth === null || !currency ? '' : money(worth, currency)
const owner = ({ givenTo }: FollowUp) =>
  givenTo === null ? t('followUps.nobody') : brand.colleagueName(givenTo)
</script>

<template>
  <ul class="rows" :class="{ full }" :aria-label="t('followUps.list')">
    <li v-for="row in followUps" :key="row.id" :class="{ done: row.doneAt }" data-test="follow-up">
      <div class="what">
        <b>{{ row.what }}</b>
        <small v-if="row.kind === 'lead'" class="soft">{{
          [t('followUps.kind.lead'), worthText(row), row.nextStep].filter(Boolean).join(' · ')
        }}</small>
        <small v-if="row.outcome" class="words">{{ row.outcome }}</small>
        <small v-if="full" class="links">
          <RouterLink v-if="row.person" :to="`/inbox/people/${row.person.id}`">{{
            row.person.name
          }}</RouterLink>
          <RouterLink
            :to="{
              path: `/inbox/${row.threadId}`,
              query: { state: 'any', given: 'anybody', time: 'all', kind: 'all' },
            }"
            >{{ t('followUps.thread') }}</RouterLink
          >
        </small>
      </div>
      <div class="when">
        <time :datetime="row.dueAt" :title="exact(row.dueAt)" :class="{ late: row.late }">{{
          dueText(row)
        }}</time>
        <small class="soft">{{ owner(row) }}</small>
      </div>
      <div v-if="may" class="acts">
        <button v-if="row.doneAt" type="button" class="plain" @click="reopen(row)">
          {{ t('followUps.reopen') }}
        </button>
        <button v-else type="button" class="plain" @click="finishing = finishing === row.id ? null : row.id">
          {{ t('followUps.done') }}
        </button>
        <button type="button" class="plain" @click="edit(row)">{{ t('followUps.edit') }}</button>
      </div>
      <form v-if="finishing === row.id" class="finish" @submit.prevent="done(row)">
        <el-input
          v-model="outcome"
          maxlength="300"
          :aria-label="t('followUps.doneTitle')"
          :placeholder="t('followUps.outcomeHint')"
        />
        <button type="submit" class="button primary">{{ t('followUps.finish') }}</button>
      </form>
    </li>
  </ul>
  <FollowUpSheet
    v-if="editing"
    v-model="sheet"
    :thread-id="editing.threadId"
    :follow-up="editing"
    @changed="emit('changed')"
  />
</template>

<style scoped>
.rows {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 2px 14px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
.full li {
  grid-template-columns: minmax(0, 1fr) 190px 120px;
  padding: 10px 20px;
}
b {
  font-weight: 600;
  overflow-wrap: anywhere;
}
small {
  display: block;
  font-size: 12px;
  line-height: 18px;
}
.links {
  display: flex;
  gap: 14px;
}
.links a {
  border: 0;
  min-height: 24px;
  line-height: 24px;
}
.done b {
  font-weight: 400;
  color: var(--ink-soft);
}
.late {
  color: var(--flare-text);
  font-weight: 600;
}
.when {
  font-size: 13px;
}
.acts {
  display: flex;
  gap: 14px;
  align-items: start;
}
.acts .plain {
  min-height: 24px;
  padding: 0;
}
.finish {
  display: flex;
  gap: 8px;
  grid-column: 1 / -1;
  margin-top: 4px;
}
@media (max-width: 720px) {
  .full li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
