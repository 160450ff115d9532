<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue'
import Sortable from 'sortablejs'
import { blankLens, parseLens, printLens, type Lens } from '@murrabel/core/lens'
import { keptLensSchema, type KeptLens } from '@murrabel/contract'
import { GripVertical, Pencil } from '@lucide/vue'
import { bases } from '../../composables/useLens.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { useBrand } from '../../stores/brand.ts'
import { useLenses } from '../../stores/lenses.ts'
import { useUndo } from '../../stores/undo.ts'

const { lens } = defineProps<{ lens: Lens }>()
const emit = defineEmits<{ close: [] }>()
const { t, number } = useTexts()
const brand = useBrand()
const store = useLenses()
const undo = useUndo()
const attempt = useAttempt()
const { busy, problem, fields, run, check } = useBusy()

const blank: Lens = { ...blankLens, unit: 'threads' }
const address = (of: Lens) => `/inbox?${new URLSearchParams(printLens(of, bases.threads)).toString()}`
const parsed = (text: string) => parseLens(new URLSearchParams(text), blank).lens
const kept = (of: Lens) => new URLSearchParams(printLens(of, blank)).toString()
const here = computed(() => kept(lens))
const countsOf = computed(() => new Map(store.counts?.lenses.map((each) => [each.id, each])))
/** It asks for more than open threads. */
const moreThanOpen = ({ id }: KeptLens) => {
  const counts = countsOf.value.get(id)
  return counts !== undefined && counts.shown > counts.open.count
}
/** All that waits for us. */
const open: Lens = { ...blank, state: 'open', origins: bases.threads.origins, order: 'pressing' }
/** What the sentence does not offer by itself. */
const others = [
  ['ofMyTeams', { ...open, givenTo: 'myTeams' }],
  ['raised', { ...open, priority: 'raised' }],
  ['spam', { ...blank, state: 'any', spam: 'only', range: null, order: 'newest' }],
] as const satisfies [string, Lens][]

const columns = ['count', 'pastDue', 'dueToday'] as const
const draft = ref<{ name: string; team: boolean } | null>(null)
const edited = ref<KeptLens | null>(null)
const list = useTemplateRef<HTMLElement>('list')
const mayShare = computed(() => brand.may('watch'))

onMounted(() => void attempt(store.loadAll))
const recount = gathered(() => store.count(), 500)
const reload = gathered(() => store.loadAll(), 200)
useLive(({ kind }) => {
  if (kind === 'lenses') reload()
  else if (kind === 'entries' || kind === 'thread') recount()
})

/** Rows are dragged by their handle, or moved by key. */
let sortable: Sortable | null = null
watch(list, (element) => {
  sortable?.destroy()
  sortable = element
    ? Sortable.create(element, {
        handle: '.handle',
        animation: 120,
        onEnd({ oldIndex, newIndex, item, from }) {
          if (oldIndex === undefined || newIndex === undefined || oldIndex === newIndex) return
          // What the hand has moved is put back: the list itself is drawn in its new order.
          from.insertBefore(item, from.children[oldIndex + (newIndex < oldIndex ? 1 : 0)] ?? null)
          void attempt(() => store.move(oldIndex, newIndex))
        },
      })
    : null
})
onBeforeUnmount(() => sortable?.destroy())
async function moveBy(i: number, by: 1 | -1): Promise<void> {
  await attempt(() => store.move(i, i + by))
  await nextTick()
  list.value?.querySelectorAll<HTMLElement>('.handle')[i + by]?.focus()
}

function begin(of: KeptLens | null): void {
  edited.value = of
  draft.value = { name: of?.name ?? '', team: of?.team ?? false }
}
function end(): void {
  draft.value = null
  edited.value = null
}
const save = () => {
  const { name, team } = draft.value!
  const of = edited.value
  const body = { name, team, lens: of?.lens ?? kept({ ...lens, uncaught: false }) }
  if (!check(keptLensSchema, body)) return
  return run(async () => {
    if (of) await store.change(of, body)
    else await store.keep(body)
    if (!of) undo.tell({ text: t('lenses.kept', { name }) })
    end()
  })
}
const replace = (of: KeptLens) =>
  run(async () => {
    const { id, edition } = await store.change(of, { lens: kept({ ...lens, uncaught: false }) })
    undo.tell({
      text: t('lenses.replaced', { name: of.name }),
      undo: () => attempt(async () => void (await store.change({ ...of, id, edition }, { lens: of.lens }))),
    })
    end()
  })
const remove = (of: KeptLens) =>
  run(async () => {
    await store.remove(of)
    const { name, team, lens: text } = of
    undo.tell({
      text: t('lenses.removed', { name }),
      undo: () => attempt(() => store.keep({ name, team, lens: text })),
    })
    end()
  })
</script>

<template>
  <section :aria-label="t('lenses.open')">
    <p v-if="!store.lenses.length" class="soft empty">{{ t('lenses.none') }}</p>
    <div class="table" role="table" :aria-label="t('lenses.open')">
      <div role="row" class="row head">
        <span role="columnheader" class="name">{{ t('lenses.column.lens') }}</span>
        <span role="columnheader" class="n">{{ t('lenses.column.open') }}</span>
        <span role="columnheader" class="n">{{ t('lenses.column.pastDue') }}</span>
        <span role="columnheader" class="n">{{ t('lenses.column.dueToday') }}</span>
        <span role="columnheader" class="edit" aria-hidden="true"></span>
      </div>
      <div ref="list" role="rowgroup">
        <div
          v-for="(each, i) in store.lenses"
          :key="each.id"
          role="row"
          class="row"
          :class="{ here: each.lens === here }"
        >
          <span role="cell" class="name">
            <button
              type="button"
              class="plain handle"
              :aria-label="t('lenses.move', { name: each.name })"
              :title="t('lenses.move', { name: each.name })"
              @keydown.alt.up.prevent="moveBy(i, -1)"
              @keydown.alt.down.prevent="moveBy(i, 1)"
            >
              <GripVertical :size="14" />
            </button>
            <RouterLink
              :to="address(parsed(each.lens))"
              v-bind="each.lens === here ? { 'aria-current': 'true' } : {}"
              @click="emit('close')"
              >{{ each.name }}</RouterLink
            >
            <span v-if="each.team" class="soft team">{{ t('lenses.ofTeam') }}</span>
            <span v-if="moreThanOpen(each)" class="soft team" :title="t('lenses.shown')">{{
              t('lenses.inAll', { n: number(countsOf.get(each.id)!.shown) })
            }}</span>
          </span>
          <template v-if="countsOf.get(each.id)">
            <span role="cell" class="n">{{ number(countsOf.get(each.id)!.open.count) }}</span>
            <span role="cell" class="n" :class="{ past: countsOf.get(each.id)!.open.pastDue }">{{
              number(countsOf.get(each.id)!.open.pastDue)
            }}</span>
            <span role="cell" class="n">{{ number(countsOf.get(each.id)!.open.dueToday) }}</span>
          </template>
          <span v-else role="cell" class="n">…</span>
          <span role="cell" class="edit">
            <button
              v-if="each.changeable"
              type="button"
              class="plain icon"
              :aria-label="t('lenses.edit', { name: each.name })"
              :title="t('lenses.edit', { name: each.name })"
              @click="begin(each)"
            >
              <Pencil :size="14" />
            </button>
          </span>
        </div>
      </div>
      <template v-if="store.counts">
        <div v-if="store.counts.again.count" role="row" class="row sum soft">
          <span role="cell" class="name">{{ t('lenses.again') }}</span>
          <span v-for="key in columns" :key="key" role="cell" class="n">{{
            number(-store.counts.again[key])
          }}</span>
          <span role="cell" class="edit" />
        </div>
        <div role="row" class="row sum">
          <span role="cell" class="name"
            ><RouterLink :to="address({ ...open, uncaught: true })" @click="emit('close')">{{
              t('lenses.inNone')
            }}</RouterLink></span
          >
          <span role="cell" class="n">{{ number(store.counts.none.count) }}</span>
          <span role="cell" class="n" :class="{ past: store.counts.none.pastDue }">{{
            number(store.counts.none.pastDue)
          }}</span>
          <span role="cell" class="n">{{ number(store.counts.none.dueToday) }}</span>
          <span role="cell" class="edit" />
        </div>
        <div role="row" class="row whole">
          <span role="cell" class="name"
            ><RouterLink :to="address(open)" @click="emit('close')">{{ t('lenses.whole') }}</RouterLink></span
          >
          <span role="cell" class="n">{{ number(store.counts.whole.count) }}</span>
          <span role="cell" class="n" :class="{ past: store.counts.whole.pastDue }">{{
            number(store.counts.whole.pastDue)
          }}</span>
          <span role="cell" class="n">{{ number(store.counts.whole.dueToday) }}</span>
          <span role="cell" class="edit" />
        </div>
      </template>
    </div>

    <DraftForm v-if="draft" class="draft" :problem="problem" :fields="fields" @send="save" @again="save">
      <FormField name="name" :label="t('lenses.name')">
        <el-input v-model="draft.name" maxlength="60" autofocus />
      </FormField>
      <el-checkbox v-if="mayShare" v-model="draft.team">{{ t('lenses.team') }}</el-checkbox>
      <template #actions>
        <div class="buttons">
          <button type="submit" class="button primary" :disabled="busy">
            {{ edited ? t('lenses.rename') : t('lenses.save') }}
          </button>
          <template v-if="edited">
            <button
              v-if="edited.lens !== here && !lens.uncaught"
              type="button"
              class="button"
              :disabled="busy"
              @click="replace(edited)"
            >
              {{ t('lenses.replace') }}
            </button>
            <button type="button" class="button" :disabled="busy" @click="remove(edited)">
              {{ t('lenses.remove') }}
            </button>
          </template>
          <button type="button" class="plain" @click="end">{{ t('lenses.cancel') }}</button>
        </div>
      </template>
    </DraftForm>
    <div v-else class="foot">
      <button v-if="!lens.uncaught" type="button" class="button" @click="begin(null)">
        {{ t('lenses.keep') }}
      </button>
      <RouterLink
        v-for="[name, asked] in others"
        :key="name"
        class="other"
        :to="address(asked)"
        @click="emit('close')"
        >{{ t(`lenses.${name}`) }}</RouterLink
      >
    </div>
  </section>
</template>

<style scoped>
.empty {
  margin: 0 0 10px;
}
.row {
  display: grid;
  grid-template-columns: 1fr 56px 64px 72px 28px;
  align-items: center;
  min-height: 32px;
  border-bottom: 1px solid var(--line);
}
.head {
  font-size: 12px;
  font-weight: 600;
  color: var(--ink-soft);
}
.here {
  background: var(--deep-wash);
}
.name {
  display: flex;
  align-items: center;
  gap: 8px;
  min-width: 0;
}
.name a {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  border: 0;
}
.sum .name,
.whole .name,
.head .name {
  padding-left: 24px;
}
.whole {
  font-weight: 600;
  border-bottom: 0;
}
.team {
  font-size: 12px;
}
.handle {
  width: 24px;
  min-width: 24px;
  min-height: 24px;
  margin-right: -8px;
  line-height: 0;
  color: var(--ink-soft);
  cursor: grab;
}
.icon {
  min-width: 24px;
  min-height: 24px;
  line-height: 0;
}
.n {
  text-align: right;
  font-variant-numeric: tabular-nums;
}
.past {
  font-weight: 600;
  color: var(--flare-text);
}
.edit {
  text-align: right;
}
.draft {
  margin-top: 14px;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  margin-top: 10px;
}
.foot {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  margin-top: 12px;
}
</style>
