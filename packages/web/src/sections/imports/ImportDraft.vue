<script setup lang="ts">
import { computed, ref } from 'vue'
import {
  customerColumns,
  type DateOrder,
  type ImportPreview,
  type ImportState,
  type StartImportDraft,
} from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import ColumnsDraft from './ColumnsDraft.vue'
import HistoryDraft from './HistoryDraft.vue'
import ImportProblems from './ImportProblems.vue'
import PhoneCountry from './PhoneCountry.vue'

/** What a chosen file holds, and how it is to be taken. */
const { state, busy } = defineProps<{ state: ImportState; busy: boolean }>()
const emit = defineEmits<{ start: [draft: StartImportDraft] }>()
const { t, number, when } = useTexts()
const reviewFields = ['text', 'rating', 'at', 'author', 'title', 'place', 'outsideId', 'url'] as const
/** What was asked when it was last tried, else what the headings look like. */
const mappingOf = <Field extends string>(
  names: readonly Field[],
  asked: Record<Field, string | null> | undefined,
  table: ImportPreview | null,
) =>
  Object.fromEntries(
    names.map((name) => [name, asked?.[name] ?? (asked ? null : (table?.mapping[name] ?? null))]),
  ) as Record<Field, string | null>
const mapping = ref(mappingOf(reviewFields, state.asked?.mapping, state.reviews))
const customers = ref(mappingOf(customerColumns, state.asked?.customers, state.customers))
const country = ref<string | null>(state.asked?.country ?? null)
const profileId = ref<number | null>(state.asked?.profileId ?? null)
const dateOrder = ref<DateOrder | undefined>(state.asked?.dateOrder ?? undefined)
const table = computed(() => state.reviews ?? state.customers)
/** The column itself does not say which of day and month comes first. */
const asksOrder = computed(() => {
  const dates = table.value?.dates
  const at = state.reviews ? mapping.value.at : customers.value.at
  return Boolean(dates?.ambiguous && !dates.order && at)
})
/** Mails and conversations are the history of a profile; cards are nobody's. */
const ofProfile = computed(() => (state.kind === 'mail' || state.kind === 'chat' ? state.kind : null))
/** Some rows stand in the way: nothing was taken, and the good ones can be. */
const sentBack = computed(() => state.refused > 0)
const send = (anyway: boolean) =>
  emit('start', {
    mapping: mapping.value,
    customers: customers.value,
    country: country.value,
    profileId: profileId.value,
    dateOrder: dateOrder.value ?? null,
    anyway,
  })
</script>

<template>
  <form class="mapping" @submit.prevent="send(false)">
    <p v-if="state.error" class="wrong" role="alert">{{ state.error }}</p>
    <ColumnsDraft
      v-if="state.reviews"
      v-model:mapping="mapping"
      v-model:date-order="dateOrder"
      :table="state.reviews"
      :names="reviewFields"
      :label="(name) => t(`import.field.${name}`)"
      :asks-order="asksOrder"
    />
    <ColumnsDraft
      v-if="state.customers"
      v-model:mapping="customers"
      v-model:date-order="dateOrder"
      :table="state.customers"
      :names="customerColumns"
      :label="(name) => t(`import.customer.${name}`)"
      :asks-order="asksOrder"
    >
      <PhoneCountry v-if="customers.phone" v-model="country" />
    </ColumnsDraft>
    <template v-if="state.feed">
      <p>
        {{
          t(
            'import.articles',
            {
              n: number(state.feed.entries),
              title: state.feed.title,
              format: state.feed.format.toUpperCase(),
            },
            state.feed.entries,
          )
        }}
      </p>
      <p v-if="state.feed.undated" class="soft">
        {{ t('import.undated', { n: state.feed.undated }, state.feed.undated) }}
      </p>
      <ul class="sample">
        <li v-for="(article, i) in state.feed.sample" :key="i">
          <span class="words">{{ article.title }}</span>
          <span v-if="article.at" class="soft">{{ when(article.at) }}</span>
        </li>
      </ul>
    </template>
    <HistoryDraft v-if="state.history" v-model="profileId" :history="state.history" :of="ofProfile" />
    <PhoneCountry v-if="state.kind === 'cards'" v-model="country" />
    <template v-if="sentBack">
      <p class="wrong" role="alert" data-test="sent-back">
        {{ t('import.sentBack', { n: number(state.refused) }, state.refused) }}
      </p>
      <ImportProblems :problems="state.problems" :of="state.refused" />
    </template>
    <p class="buttons">
      <button
        type="submit"
        class="button"
        :class="{ primary: !sentBack }"
        :disabled="busy || (asksOrder && !dateOrder) || (ofProfile !== null && profileId === null)"
      >
        {{
          busy
            ? t('import.working')
            : table
              ? t('import.go', { n: number(table.rows) }, table.rows)
              : state.history
                ? t('import.goHistory', { n: number(state.history.entries) }, state.history.entries)
                : t('import.goFeed')
        }}
      </button>
      <button v-if="sentBack" type="button" class="button primary" :disabled="busy" @click="send(true)">
        {{ t('import.anyway', { n: number(state.total ?? 0) }, state.total ?? 0) }}
      </button>
    </p>
  </form>
</template>

<style scoped>
.mapping {
  margin-top: 18px;
}
.sample {
  overflow-x: auto;
  margin: 16px 0;
}
.wrong {
  color: var(--flare-text);
}
.buttons {
  display: flex;
  gap: 10px;
  margin-top: 14px;
}
</style>
