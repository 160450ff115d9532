<script setup lang="ts">
import { computed, ref } from 'vue'
import { dateOrders, type DateOrder, type ImportState, type StartImportDraft } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import FileRows from './FileRows.vue'
import HistoryDraft from './HistoryDraft.vue'
import ImportProblems from './ImportProblems.vue'

/** What a chosen file holds, and how it is to be taken. */
const { state, busy } = defineProps<{ state: ImportState; busy: boolean }>()
const emit = defineEmits<{ start: [draft: StartImportDraft] }>()
const { t, called, number, when } = useTexts()
const fieldNames = ['text', 'rating', 'at', 'author', 'title', 'place', 'outsideId', 'url'] as const
const mapping = ref(
  state.asked?.mapping ??
    (Object.fromEntries(
      fieldNames.map((name) => [name, state.reviews?.mapping[name] ?? null]),
    ) as StartImportDraft['mapping']),
)
const profileId = ref<number | null>(state.asked?.profileId ?? null)
const dateOrder = ref<DateOrder | undefined>(state.asked?.dateOrder ?? undefined)
const dates = computed(() => state.reviews?.dates)
/** The column itself does not say which of day and month comes first. */
const asksOrder = computed(() => Boolean(dates.value?.ambiguous && !dates.value.order && mapping.value.at))
/** Some rows stand in the way: nothing was taken, and the good ones can be. */
const sentBack = computed(() => state.refused > 0)
const send = (anyway: boolean) =>
  emit('start', {
    mapping: mapping.value,
    profileId: profileId.value,
    dateOrder: dateOrder.value ?? null,
    anyway,
  })
</script>

<template>
  <form class="mapping" @submit.prevent="send(false)">
    <p v-if="state.error" class="wrong" role="alert">{{ state.error }}</p>
    <template v-if="state.reviews">
      <p>
        {{
          t(
            'import.rows',
            { n: number(state.reviews.rows), s: called('import.separator', state.reviews.separator) },
            state.reviews.rows,
          )
        }}
      </p>
      <p v-for="gap in state.reviews.swallowed.slice(0, 5)" :key="gap.line" class="wrong">
        {{ t('import.swallowed', { line: number(gap.line), to: number(gap.to) }) }}
      </p>
      <h4>{{ t('import.mapping') }}</h4>
      <div class="fields">
        <label v-for="name in fieldNames" :key="name" :data-field="name">
          <span>{{ t(`import.field.${name}`) }}</span>
          <el-select v-model="mapping[name]" clearable :placeholder="t('import.skip')" :value-on-clear="null">
            <el-option
              v-for="column in state.reviews.columns"
              :key="column.name"
              :value="column.name"
              :label="column.name"
            />
          </el-select>
        </label>
      </div>
      <fieldset v-if="asksOrder" class="order" data-test="date-order">
        <legend>{{ t('import.dateOrder', { date: dates?.sample[0] ?? '' }) }}</legend>
        <el-radio-group v-model="dateOrder">
          <el-radio v-for="each in dateOrders" :key="each" :value="each">{{
            t(`import.order.${each}`)
          }}</el-radio>
        </el-radio-group>
      </fieldset>
      <div class="sample">
        <FileRows
          :head="state.reviews.columns.map(({ name }) => name)"
          :rows="[0, 1, 2].map((i) => state.reviews!.columns.map(({ sample }) => sample[i]))"
        />
      </div>
    </template>
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
    <HistoryDraft
      v-if="state.history && (state.kind === 'mail' || state.kind === 'chat')"
      v-model="profileId"
      :history="state.history"
      :of="state.kind"
    />
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
        :disabled="busy || (asksOrder && !dateOrder) || (state.history !== null && profileId === null)"
      >
        {{
          busy
            ? t('import.working')
            : state.reviews
              ? t('import.go', { n: number(state.reviews.rows) }, state.reviews.rows)
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
h4 {
  margin: 14px 0 6px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 10px 16px;
  max-width: 900px;
}
.fields span {
  display: block;
  font-size: 13px;
}
.order {
  border: 0;
  border-left: 3px solid var(--flare);
  margin: 16px 0;
  padding: 4px 14px;
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
