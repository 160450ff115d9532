<script setup lang="ts">
import { computed, nextTick, reactive, ref, watch } from 'vue'
import { fillPattern, patternKey, slotNames, slotValues, textIn, type SlotName } from '@murrabel/core/replies'
import { patternLanguages, patternSchema, routes, type PatternAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useSheetDraft } from '../../composables/useSheetDraft.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import { insertText } from '../../parts/insertText.ts'
import FormField from '../../parts/FormField.vue'
import { useBrand } from '../../stores/brand.ts'
import { usePatterns } from '../../stores/patterns.ts'

/** A reply pattern: its name, folder and texts, and how they read. */
const shown = defineModel<boolean>({ required: true })
const { pattern = null } = defineProps<{ pattern?: PatternAnswer | null }>()
const emit = defineEmits<{ changed: []; removed: [pattern: PatternAnswer] }>()
const { busy, problem, fields, run, check, forget } = useBusy()
const { t, locale, languageName } = useTexts()
const brand = useBrand()
const store = usePatterns()

interface Draft {
  name: string
  folder: string
  texts: { language: string; text: string }[]
}
const draft = reactive<Draft>({ name: '', folder: '', texts: [] })
/** The text in hand. */
const at = ref(0)
const first = () => (locale.value === 'fr' ? 'fr' : 'en')
watch(
  shown,
  (open) => {
    if (!open) return
    Object.assign(draft, {
      name: pattern?.name ?? '',
      folder: pattern?.folder ?? '',
      texts: (pattern?.texts ?? [{ language: first(), text: '' }]).map((each) => ({ ...each })),
    })
    at.value = 0
    forget()
  },
  { immediate: true },
)
useSheetDraft<Draft>({
  shown,
  key: () => `pattern.${pattern?.id ?? 'new'}.${pattern?.edition ?? 0}`,
  draft: () => ({ ...draft, texts: draft.texts.map((each) => ({ ...each })) }),
  put: (kept) => Object.assign(draft, kept),
})
const current = computed(() => draft.texts[at.value])
const free = computed(() =>
  patternLanguages.filter((language) => !draft.texts.some((each) => each.language === language)),
)
const called = (language: string) => (language === 'und' ? t('replies.anyLanguage') : languageName(language))
function addLanguage(language: string): void {
  draft.texts.push({ language, text: current.value?.text ?? '' })
  at.value = draft.texts.length - 1
}
function dropLanguage(): void {
  draft.texts.splice(at.value, 1)
  at.value = 0
}
const folders = computed(() =>
  [...new Set((store.patterns ?? []).map(({ folder }) => folder))].filter(Boolean),
)

/** Puts a slot where the cursor is; its words for when it is not known are selected. */
async function insert(slot: SlotName): Promise<void> {
  const field = document.querySelector<HTMLTextAreaElement>('.pattern-text textarea')
  if (!field || !current.value) return
  const bare = slot === 'colleague' || slot === 'date'
  const fallback = bare ? '' : t(`replies.slotFallback.${slot as 'name' | 'place' | 'visit'}`)
  const text = bare ? `{${slot}}` : `{${slot}|${fallback}}`
  const start = field.selectionStart
  const { value } = current
  insertText(field, text, (whole) => (value.text = whole))
  await nextTick()
  if (!bare) field.setSelectionRange(start + slot.length + 2, start + slot.length + 2 + fallback.length)
}

/** Somebody to read it with. */
const known = computed(() => ({
  name: 'Perrin Oakes',
  place: brand.places[0]?.name ?? null,
  visit: {
    route: brand.places
      .slice(0, 2)
      .map(({ name }) => name)
      .join(' – '),
    at: new Date().toISOString(),
  },
  colleague: brand.answer?.me.name ?? '',
}))
const nothing = computed(() => ({ name: null, place: null, visit: null, colleague: known.value.colleague }))
const texts = (name: string) =>
  patternKey(name) === patternKey(draft.name)
    ? textIn(draft.texts, current.value?.language ?? 'und')?.text
    : store.texts(current.value?.language ?? 'und')(name)
const reads = (of: typeof known.value | typeof nothing.value) =>
  fillPattern(
    current.value?.text ?? '',
    slotValues(of, { language: current.value?.language ?? 'und', zone: brand.zone, now: Date.now() }),
    texts,
  )
const example = '{pattern: …}'

async function save(): Promise<void> {
  const body = { ...draft, edition: pattern?.edition }
  if (!check(patternSchema, body)) return showWrong()
  await run(async () => {
    await (pattern
      ? call(routes.changePattern, { params: { id: pattern.id }, body })
      : call(routes.keepPattern, { body }))
    shown.value = false
    emit('changed')
  })
  showWrong()
}
/** The text that something is wrong with comes to the front. */
function showWrong(): void {
  const nth = fields.value.flatMap(({ field }) => /^texts\[(\d+)\]/.exec(field)?.[1] ?? [])[0]
  if (nth !== undefined) at.value = Number(nth)
}
const remove = () =>
  run(async () => {
    await call(routes.removePattern, { params: { id: pattern!.id } })
    shown.value = false
    emit('removed', pattern!)
  })
</script>

<template>
  <el-drawer
    v-model="shown"
    :title="pattern ? pattern.name : t('replies.addPattern')"
    size="620px"
    append-to-body
  >
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
      <div class="two">
        <FormField :label="t('replies.name')" name="name">
          <el-input v-model="draft.name" maxlength="80" />
        </FormField>
        <FormField :label="t('replies.folder')" name="folder">
          <el-input v-model="draft.folder" maxlength="80" v-bind="{ list: 'pattern-folders' }" />
          <datalist id="pattern-folders">
            <option v-for="each in folders" :key="each" :value="each" />
          </datalist>
        </FormField>
      </div>
      <div class="languages" role="group" :aria-label="t('replies.language')">
        <button
          v-for="(each, i) in draft.texts"
          :key="each.language"
          type="button"
          class="plain"
          :aria-pressed="i === at"
          @click="at = i"
        >
          {{ called(each.language) }}
        </button>
        <el-dropdown v-if="free.length" :persistent="false" trigger="click" @command="addLanguage">
          <button type="button" class="plain add">{{ t('replies.addLanguage') }}</button>
          <template #dropdown>
            <el-dropdown-menu>
              <el-dropdown-item v-for="language in free" :key="language" :command="language">{{
                called(language)
              }}</el-dropdown-item>
            </el-dropdown-menu>
          </template>
        </el-dropdown>
        <button v-if="draft.texts.length > 1" type="button" class="plain drop" @click="dropLanguage">
          {{ t('replies.dropLanguage') }}
        </button>
      </div>
      <FormField v-if="current" :key="at" :label="t('replies.text')" :name="`texts[${at}].text`">
        <el-input
          v-model="current.text"
          class="pattern-text"
          type="textarea"
          :autosize="{ minRows: 5, maxRows: 14 }"
          maxlength="10000"
          v-bind="{ lang: current.language === 'und' ? undefined : current.language }"
        />
      </FormField>
      <p class="slots">
        <span class="soft">{{ t('replies.insert') }}</span>
        <button v-for="slot in slotNames" :key="slot" type="button" class="plain" @click="insert(slot)">
          {{ t(`replies.slot.${slot}`) }}
        </button>
      </p>
      <p class="soft hint">{{ t('replies.slotsHint', { example }) }}</p>
      <section v-if="current?.text.trim()" class="previews" :aria-label="t('replies.preview')">
        <h5>{{ t('replies.preview') }}, {{ t('replies.previewKnown') }}</h5>
        <p data-test="reads-known">{{ reads(known) }}</p>
        <h5>{{ t('replies.preview') }}, {{ t('replies.previewBare') }}</h5>
        <p data-test="reads-bare">{{ reads(nothing) }}</p>
      </section>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy">{{ t('replies.save') }}</button>
        <button v-if="pattern" type="button" class="button" :disabled="busy" @click="remove">
          {{ t('replies.remove') }}
        </button>
      </template>
    </DraftForm>
  </el-drawer>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 16px;
}
.languages {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  margin-bottom: 10px;
}
.languages .plain {
  cursor: pointer;
  color: var(--deep);
  line-height: 24px;
}
.languages [aria-pressed='true'] {
  font-weight: 600;
  color: var(--ink);
  border-bottom: 2px solid var(--glow);
}
.drop {
  margin-left: auto;
}
.slots {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  margin: 0 0 4px;
}
.slots .plain {
  cursor: pointer;
  color: var(--deep);
  border-bottom: 1px dotted currentcolor;
}
.hint {
  font-size: 13px;
  margin: 0 0 12px;
}
.previews {
  background: var(--paper);
  padding: 8px 14px;
  margin-bottom: 16px;
}
.previews h5 {
  font-size: 13px;
  font-weight: 600;
  color: var(--ink-soft);
  margin: 4px 0 2px;
}
.previews p {
  white-space: pre-line;
  overflow-wrap: anywhere;
  margin: 0 0 8px;
}
.button + .button {
  margin-left: 8px;
}
</style>
