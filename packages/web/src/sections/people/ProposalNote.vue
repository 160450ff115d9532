<script setup lang="ts">
import type { Proposal } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import { useNetworks } from './useNetworks.ts'
import { useReasons } from './useReasons.ts'

/** Two who may be the same: why, and what somebody says to it. */
const {
  proposal,
  total = 0,
  may = false,
  shown = null,
} = defineProps<{
  proposal: Proposal
  /** How many there are, where this is the first of a list. */
  total?: number
  may?: boolean
  /** Whom the page shows already. */
  shown?: number | null
}>()
const emit = defineEmits<{ join: []; apart: []; show: [id: number] }>()
const { t } = useTexts()
const why = useReasons()
const networksOf = useNetworks()
const called = (person: Proposal['one']) =>
  person.networks.length
    ? t('people.onNetwork', { name: person.name, network: networksOf(person.networks) })
    : person.name
</script>

<template>
  <div class="note" data-test="proposal">
    <p>
      <b v-if="total">{{ t('people.proposals', { n: total }, total) }}</b>
      {{
        t('people.proposal', {
          one: called(proposal.one),
          other: called(proposal.other),
          why: why(proposal.reasons),
        })
      }}
    </p>
    <p class="acts">
      <template v-if="may">
        <button type="button" class="plain" @click="emit('join')">{{ t('people.join') }}</button>
        <button type="button" class="plain" @click="emit('apart')">{{ t('people.notSame') }}</button>
      </template>
      <button
        v-for="each in [proposal.one, proposal.other].filter(({ id }) => id !== shown)"
        :key="each.id"
        type="button"
        class="plain"
        @click="emit('show', each.id)"
      >
        {{ t('people.look', { who: called(each) }) }}
      </button>
    </p>
  </div>
</template>

<style scoped>
.note {
  border-left: 3px solid var(--deep);
  background: var(--deep-wash);
  padding: 10px 14px;
  font-size: 14px;
  overflow-wrap: anywhere;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  margin-top: 2px;
}
.acts .plain {
  min-height: 24px;
  padding: 0;
}
</style>
