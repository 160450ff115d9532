<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { textIn } from '@murrabel/core/replies'
import { routes, type PatternAnswer, type SignOffAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import SetUpFrame from '../../parts/SetUpFrame.vue'
import { onDemand } from '../../parts/onDemand.ts'
import { usePatterns } from '../../stores/patterns.ts'
import { useUndo } from '../../stores/undo.ts'
import PatternUseLine from './PatternUseLine.vue'

/** What the team's answers begin and end with. */
const PatternSheet = onDemand(() => import('./PatternSheet.vue'))
const SignOffSheet = onDemand(() => import('./SignOffSheet.vue'))
const { t, when, languageName, locale } = useTexts()
const store = usePatterns()
const undo = useUndo()
const { problem, fields, run } = useBusy()
const load = () => run(() => store.load())
onMounted(load)
const refresh = gathered(() => load(), 500)
useLive(({ kind }) => {
  if (kind === 'patterns' || kind === 'afresh') refresh()
})

const folders = computed(() => {
  const groups = new Map<string, PatternAnswer[]>()
  for (const pattern of store.patterns ?? [])
    groups.set(pattern.folder, [...(groups.get(pattern.folder) ?? []), pattern])
  return [...groups]
})
const patternSheet = ref(false)
const pattern = ref<PatternAnswer | null>(null)
function openPattern(of: PatternAnswer | null): void {
  pattern.value = of
  patternSheet.value = true
}
const signOffSheet = ref(false)
const signOff = ref<SignOffAnswer | null>(null)
function openSignOff(of: SignOffAnswer | null): void {
  signOff.value = of
  signOffSheet.value = true
}
/** The sheet has removed it; its words are here still. */
function patternRemoved({ name, folder, texts }: PatternAnswer): void {
  undo.tell({
    text: t('replies.removed', { name }),
    undo: () => run(() => call(routes.keepPattern, { body: { name, folder, texts } }).then(load)),
  })
  void load()
}
function signOffRemoved({ text, whose, left }: SignOffAnswer): void {
  undo.tell({
    text: t('replies.removed', { name: text }),
    ...(!left && {
      undo: () =>
        run(() => call(routes.keepSignOff, { body: { text, whose: whose?.id ?? null } }).then(load)),
    }),
  })
  void load()
}
</script>

<template>
  <SetUpFrame :title="t('replies.title')" :intro="t('replies.intro')">
    <ProblemNote v-if="problem" :problem="problem" :fields="fields" @again="load" />
    <section>
      <header>
        <h2>{{ t('replies.patterns') }}</h2>
        <button type="button" class="button" @click="openPattern(null)">{{ t('replies.addPattern') }}</button>
      </header>
      <p v-if="store.patterns && !store.patterns.length" class="soft">{{ t('replies.patternsNone') }}</p>
      <template v-for="[folder, list] in folders" :key="folder">
        <h3 v-if="folder || folders.length > 1">{{ folder || t('replies.folderNone') }}</h3>
        <ul class="list">
          <li v-for="each in list" :key="each.id" data-test="pattern">
            <button type="button" class="plain name" @click="openPattern(each)">{{ each.name }}</button>
            <span class="excerpt soft">{{ textIn(each.texts, locale)?.text }}</span>
            <small class="soft">{{
              each.texts
                .map(({ language }) =>
                  language === 'und' ? t('replies.anyLanguage') : languageName(language),
                )
                .join(', ')
            }}</small>
            <small class="soft use"><PatternUseLine :use="each.use" /></small>
            <small class="soft">{{
              each.by ? t('replies.by', { name: each.by, t: when(each.changedAt) }) : when(each.changedAt)
            }}</small>
          </li>
        </ul>
      </template>
    </section>
    <section>
      <header>
        <h2>{{ t('replies.signOffs') }}</h2>
        <button type="button" class="button" @click="openSignOff(null)">{{ t('replies.addSignOff') }}</button>
      </header>
      <p v-if="store.signOffs && !store.signOffs.length" class="soft">{{ t('replies.signOffsNone') }}</p>
      <ul v-else class="list">
        <li v-for="each in store.signOffs ?? []" :key="each.id" class="sign-off" data-test="signed-by">
          <button type="button" class="plain name lines" @click="openSignOff(each)">{{ each.text }}</button>
          <small v-if="each.left" class="past">{{
            t('replies.left', { name: each.whose?.name ?? '' })
          }}</small>
          <small v-else class="soft">{{ each.whose?.name ?? t('replies.everybody') }}</small>
        </li>
      </ul>
    </section>
    <PatternSheet v-model="patternSheet" :pattern="pattern" @changed="load" @removed="patternRemoved" />
    <SignOffSheet v-model="signOffSheet" :sign-off="signOff" @changed="load" @removed="signOffRemoved" />
  </SetUpFrame>
</template>

<style scoped>
section + section {
  margin-top: 34px;
}
section > header {
  display: flex;
  align-items: baseline;
  gap: 16px;
  max-width: 980px;
}
section > header .button {
  margin-left: auto;
}
h2 {
  font-size: 16px;
  font-weight: 600;
}
h3 {
  font-size: 13px;
  font-weight: 600;
  color: var(--ink-soft);
  margin: 14px 0 0;
}
.list {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
  border-top: 1px solid var(--line);
  max-width: 980px;
}
.list li {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr) 200px;
  gap: 2px 20px;
  align-items: baseline;
  padding: 9px 0;
  border-bottom: 1px solid var(--line);
}
.list .sign-off {
  grid-template-columns: 370px minmax(0, 1fr);
}
.name {
  justify-self: start;
  text-align: left;
  font-weight: 600;
  color: var(--deep);
  cursor: pointer;
  overflow-wrap: anywhere;
}
.lines {
  white-space: pre-line;
}
.excerpt {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.use {
  grid-column: 2;
}
.list small:first-of-type {
  text-align: right;
}
.list small:last-of-type {
  text-align: right;
}
.sign-off small {
  text-align: left !important;
}
small {
  font-size: 13px;
}
.past {
  color: var(--flare-text);
}
@media (max-width: 720px) {
  .list li,
  .list .sign-off {
    grid-template-columns: minmax(0, 1fr);
  }
  .use {
    grid-column: 1;
  }
  .list small {
    text-align: left !important;
  }
}
</style>
