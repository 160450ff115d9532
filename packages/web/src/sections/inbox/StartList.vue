<script setup lang="ts">
import { computed, nextTick, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { fillPattern, givenName, slotValues, startFrom, textIn } from '@murrabel/core/replies'
import { foundByWords, searchWords } from '@murrabel/core/lens'
import { routes, type NearThread, type PatternAnswer, type ReplyStarts } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import { useBrand } from '../../stores/brand.ts'
import { usePatterns } from '../../stores/patterns.ts'
import PatternUseLine from '../replies/PatternUseLine.vue'

/** The patterns to choose from by typing, and the nearest threads that were answered; the one in hand is shown as it would read. */
const { thread } = defineProps<{ thread: number }>()
const emit = defineEmits<{ start: [text: string, pattern: number | null]; close: [] }>()
const { t, when, languageName, locale } = useTexts()
const brand = useBrand()
const store = usePatterns()
const { problem, run } = useBusy()
const starts = shallowRef<ReplyStarts | null>(null)
const words = ref('')
const field = useTemplateRef<HTMLInputElement>('field')
const list = useTemplateRef<HTMLElement>('list')
const load = () =>
  run(async () => {
    const [found] = await Promise.all([call(routes.replyStarts, { params: { id: thread } }), store.load()])
    starts.value = found
  })
onMounted(() => {
  void load()
  field.value?.focus()
})

type Item =
  | { key: string; kind: 'pattern'; pattern: PatternAnswer; language: string; text: string }
  | { key: string; kind: 'near'; near: NearThread; text: string }

const language = computed(() => starts.value?.language ?? locale.value)
function ofPattern(pattern: PatternAnswer, { known }: ReplyStarts): Item {
  const text = textIn(pattern.texts, language.value)!
  // A text for any language speaks to them in theirs.
  const spoken = text.language === 'und' ? language.value : text.language
  const values = slotValues(known, { language: spoken, zone: brand.zone, now: Date.now() })
  return {
    key: `p${pattern.id}`,
    kind: 'pattern',
    pattern,
    language: text.language,
    text: fillPattern(text.text, values, store.texts(language.value)),
  }
}
const signOffTexts = computed(() => (store.signOffs ?? []).map(({ text }) => text))
const patterns = computed((): Item[] => {
  if (!starts.value) return []
  const wanted = searchWords(words.value)
  const fits = ({ texts }: PatternAnswer) =>
    Number(texts.some((each) => each.language === language.value || each.language === 'und'))
  return (store.patterns ?? [])
    .filter(({ name, folder, texts }) =>
      foundByWords(searchWords([name, folder, ...texts.map(({ text }) => text)].join(' ')), wanted),
    )
    .sort((a, b) => fits(b) - fits(a) || b.use.sent - a.use.sent)
    .map((pattern) => ofPattern(pattern, starts.value!))
})
/** While something is typed, patterns are looked for. */
const near = computed((): Item[] =>
  words.value.trim()
    ? []
    : (starts.value?.nearest ?? []).map((each) => ({
        key: `n${each.threadId}`,
        kind: 'near',
        near: each,
        text: startFrom(each.answer, {
          name: givenName(starts.value!.known.name),
          signOffs: signOffTexts.value,
        }),
      })),
)
/** As long as nothing is typed, a few; the rest is found by its words. */
const fewPatterns = 5
const offered = computed(() => (words.value.trim() ? patterns.value : patterns.value.slice(0, fewPatterns)))
const more = computed(() => patterns.value.length - offered.value.length)
const items = computed(() => [...offered.value, ...near.value])
const at = ref(0)
watch(items, () => (at.value = 0))
const current = computed(() => items.value[at.value])

const take = (item: Item | undefined) =>
  item && emit('start', item.text, item.kind === 'pattern' ? item.pattern.id : null)
async function step(by: 1 | -1): Promise<void> {
  const n = items.value.length
  if (n) at.value = (at.value + by + n) % n
  await nextTick()
  list.value?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' })
}
</script>

<template>
  <section
    class="starts"
    :aria-label="t('replies.startTitle')"
    data-test="starts"
    @keydown.esc.stop="emit('close')"
  >
    <input
      ref="field"
      v-model="words"
      type="search"
      class="find"
      role="combobox"
      aria-controls="start-items"
      :aria-expanded="items.length > 0"
      :aria-activedescendant="current ? `start-${current.key}` : undefined"
      :placeholder="t('replies.find')"
      :aria-label="t('replies.find')"
      @keydown.down.prevent="step(1)"
      @keydown.up.prevent="step(-1)"
      @keydown.enter.prevent="take(current)"
    />
    <ProblemNote v-if="problem" :problem="problem" @again="load" />
    <div v-else-if="starts" class="columns">
      <div id="start-items" ref="list" class="items" role="listbox" :aria-label="t('replies.startTitle')">
        <p v-if="!patterns.length" class="soft none">
          {{ words.trim() ? t('replies.nothingFound') : t('replies.patternsNone') }}
        </p>
        <template v-for="(item, i) in items" :key="item.key">
          <p v-if="more && i === offered.length" class="soft none">
            {{ t('replies.more', { n: more }, more) }}
          </p>
          <h5 v-if="item.kind === 'near' && items[i - 1]?.kind !== 'near'">{{ t('replies.nearest') }}</h5>
          <div
            :id="`start-${item.key}`"
            role="option"
            class="item"
            :aria-selected="i === at"
            @mousemove="at = i"
            @click="take(item)"
          >
            <template v-if="item.kind === 'pattern'">
              <b>{{ item.pattern.name }}</b>
              <small v-if="item.language !== 'und' && item.language !== language" class="other">{{
                languageName(item.language)
              }}</small>
              <small class="soft">{{ item.pattern.folder }}</small>
            </template>
            <span v-else class="asked">{{ item.near.asked }}</span>
          </div>
        </template>
        <p v-if="more && !near.length" class="soft none">{{ t('replies.more', { n: more }, more) }}</p>
        <h5 v-if="!near.length && !words.trim()">{{ t('replies.nearest') }}</h5>
        <p v-if="!near.length && !words.trim()" class="soft none">{{ t('replies.nearestNone') }}</p>
      </div>
      <div class="reads">
        <template v-if="current">
          <template v-if="current.kind === 'near'">
            <p class="soft">
              {{ t('replies.asked', { name: current.near.author, t: when(current.near.askedAt) }) }}
            </p>
            <p class="words">{{ current.near.asked }}</p>
            <p class="soft">
              {{
                current.near.by
                  ? t('replies.answeredBy', { name: current.near.by })
                  : t('replies.answeredOutside')
              }}
            </p>
          </template>
          <p class="filled" data-test="start-text">{{ current.text }}</p>
          <p v-if="current.kind === 'near'" class="soft foot">
            <template v-if="current.near.after"
              >{{ t(`replies.afterwards.${current.near.after}`) }}
            </template>
            <template v-if="current.near.times > 1">{{
              t('replies.timesSame', { n: current.near.times })
            }}</template>
          </p>
          <p v-else class="soft foot"><PatternUseLine :use="current.pattern.use" /></p>
        </template>
      </div>
    </div>
    <div v-else class="columns waiting" aria-busy="true" />
    <footer>
      <RouterLink to="/set-up/replies">{{ t('replies.manage') }}</RouterLink>
    </footer>
  </section>
</template>

<style scoped>
.find {
  width: 100%;
  font: inherit;
  padding: 6px 10px;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: var(--corner);
}
.columns {
  display: grid;
  grid-template-columns: 270px minmax(0, 1fr);
  height: 320px;
  margin-top: 8px;
  border-top: 1px solid var(--line);
}
.items {
  overflow-y: auto;
  border-right: 1px solid var(--line);
  padding: 4px 0;
}
h5 {
  margin: 10px 10px 2px;
  font-size: 13px;
  font-weight: 600;
  color: var(--ink-soft);
}
.item {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 8px;
  padding: 5px 10px;
  cursor: pointer;
}
.item[aria-selected='true'] {
  background: var(--deep-wash);
}
.item b {
  font-weight: 600;
}
.other {
  color: var(--flare-text);
}
.asked {
  font-family: var(--serif);
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.none {
  padding: 6px 10px;
}
.reads {
  overflow-y: auto;
  padding: 8px 4px 8px 14px;
}
.reads p {
  margin: 0 0 6px;
}
.filled {
  white-space: pre-line;
  overflow-wrap: anywhere;
}
.foot {
  font-size: 13px;
}
footer {
  border-top: 1px solid var(--line);
  padding-top: 8px;
  font-size: 13px;
}
</style>
