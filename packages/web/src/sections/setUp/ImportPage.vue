<script setup lang="ts">
import { computed, ref } from 'vue'
import {
  routes,
  type FeedPreview,
  type ImportAnswer,
  type ImportPreview,
  type ImportReviewsDraft,
} from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import { useBrand } from '../../stores/brand.ts'
import SetUpFrame from './SetUpFrame.vue'

const { t, number, when } = useTexts()
const brand = useBrand()
const fieldNames = ['text', 'rating', 'at', 'author', 'title', 'place', 'outsideId', 'url'] as const
type Mapping = ImportReviewsDraft['mapping']

const kind = ref<'reviews' | 'feed'>('reviews')
const file = ref<{ name: string; text: string } | null>(null)
const preview = ref<ImportPreview | null>(null)
const feed = ref<FeedPreview | null>(null)
const mapping = ref<Mapping>({
  text: null,
  rating: null,
  at: null,
  author: null,
  title: null,
  place: null,
  outsideId: null,
  url: null,
})
const busy = ref(false)
const problem = ref<CallProblem | null>(null)
const result = ref<ImportAnswer | null>(null)
const may = computed(() => brand.may('import'))

/** Text in UTF-8, or in Latin-1 where it is not valid UTF-8, as older spreadsheets write it. */
async function readText(blob: File): Promise<string> {
  const bytes = await blob.arrayBuffer()
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}
async function guard(work: () => Promise<void>): Promise<void> {
  busy.value = true
  problem.value = null
  try {
    await work()
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    problem.value = error
  } finally {
    busy.value = false
  }
}
async function choose(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const chosen = input.files?.[0]
  input.value = ''
  if (!chosen) return
  result.value = null
  preview.value = null
  feed.value = null
  file.value = { name: chosen.name, text: await readText(chosen) }
  await guard(async () => {
    if (kind.value === 'feed') {
      feed.value = await call(routes.previewFeed, { body: { document: file.value!.text } })
      return
    }
    preview.value = await call(routes.previewReviews, { body: { csv: file.value!.text } })
    mapping.value = { ...mapping.value, ...(preview.value.mapping as Mapping) }
  })
}
const bringIn = () =>
  guard(async () => {
    const { name, text } = file.value!
    result.value =
      kind.value === 'reviews'
        ? await call(routes.importReviews, { body: { name, csv: text, mapping: mapping.value } })
        : await call(routes.importFeed, { body: { name, document: text } })
    await brand.load()
  })
function restart(): void {
  file.value = null
  preview.value = null
  feed.value = null
  result.value = null
  problem.value = null
}
const link = computed(() =>
  kind.value === 'reviews'
    ? {
        path: '/inbox',
        query: { state: 'any', given: 'anybody', channel: 'import', time: 'all', order: 'newest' },
      }
    : { path: '/watch', query: { channel: 'news', time: 'all' } },
)
</script>

<template>
  <SetUpFrame :title="t('import.title')" :intro="t('import.intro')">
    <p v-if="!may" class="soft">{{ t('import.noRight') }}</p>
    <template v-else>
      <el-radio-group v-model="kind" class="kind" @change="restart">
        <el-radio value="reviews">{{ t('import.reviews') }}</el-radio>
        <el-radio value="feed">{{ t('import.feed') }}</el-radio>
      </el-radio-group>
      <label class="button file"
        >{{ t('import.choose')
        }}<input
          type="file"
          class="reader-only"
          :accept="kind === 'reviews' ? '.csv,.tsv,.txt,text/csv' : '.xml,.rss,.atom,.json'"
          data-test="file"
          @change="choose"
      /></label>
      <span v-if="file" class="soft">{{ file.name }}</span>
      <ProblemNote v-if="problem" :problem="problem" @again="bringIn" />
      <form v-if="file && (preview || feed) && !result" class="mapping" @submit.prevent="bringIn">
        <template v-if="preview">
          <p>
            {{
              t(
                'import.rows',
                { n: number(preview.rows), s: t(`import.separator.${preview.separator}`) },
                preview.rows,
              )
            }}
          </p>
          <h4>{{ t('import.mapping') }}</h4>
          <div class="fields">
            <label v-for="name in fieldNames" :key="name" :data-field="name">
              <span>{{ t(`import.field.${name}`) }}</span>
              <el-select
                v-model="mapping[name]"
                clearable
                :placeholder="t('import.skip')"
                :value-on-clear="null"
              >
                <el-option
                  v-for="column in preview.columns"
                  :key="column.name"
                  :value="column.name"
                  :label="column.name"
                />
              </el-select>
            </label>
          </div>
          <div class="sample">
            <table>
              <thead>
                <tr>
                  <th v-for="column in preview.columns" :key="column.name">{{ column.name }}</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="i in 3" :key="i">
                  <td v-for="column in preview.columns" :key="column.name" class="words">
                    {{ column.sample[i - 1] }}
                  </td>
                </tr>
              </tbody>
            </table>
          </div>
        </template>
        <template v-if="feed">
          <p>
            {{
              t(
                'import.articles',
                { n: number(feed.entries), title: feed.title, format: feed.format.toUpperCase() },
                feed.entries,
              )
            }}
          </p>
          <p v-if="feed.undated" class="soft">{{ t('import.undated', { n: feed.undated }, feed.undated) }}</p>
          <ul class="sample">
            <li v-for="(article, i) in feed.sample" :key="i">
              <span class="words">{{ article.title }}</span>
              <span v-if="article.at" class="soft">{{ when(article.at) }}</span>
            </li>
          </ul>
        </template>
        <button type="submit" class="button primary" :disabled="busy">
          {{
            busy
              ? t('import.working')
              : preview
                ? t('import.go', { n: number(preview.rows) }, preview.rows)
                : t('import.goFeed')
          }}
        </button>
      </form>
      <section v-if="result" class="result" data-test="import-result">
        <p role="status">
          <b>{{
            t('import.result', {
              added: number(result.added),
              known: number(result.known),
              refused: number(result.refused),
            })
          }}</b>
          <RouterLink v-if="result.added" :to="link">{{ t('import.see') }}</RouterLink>
        </p>
        <template v-if="result.problems.length">
          <h4>{{ t('import.problems') }}</h4>
          <table>
            <thead>
              <tr>
                <th>{{ t('import.line') }}</th>
                <th>{{ t('import.what') }}</th>
                <th>{{ t('import.reason') }}</th>
                <th>{{ t('import.value') }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in result.problems" :key="row.line + row.field">
                <td>{{ row.line }}</td>
                <td>{{ row.field ? t(`import.field.${row.field}`) : '' }}</td>
                <td>{{ row.reason }}</td>
                <td class="words">{{ row.value }}</td>
              </tr>
            </tbody>
          </table>
        </template>
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
.sample {
  overflow-x: auto;
  margin: 16px 0;
}
table {
  border-collapse: collapse;
  font-size: 14px;
}
th {
  text-align: left;
  font-size: 12px;
  color: var(--ink-soft);
  padding: 2px 16px 2px 0;
}
td {
  border-top: 1px solid var(--line);
  padding: 5px 16px 5px 0;
  vertical-align: top;
  max-width: 340px;
}
.result {
  margin-top: 18px;
}
</style>
