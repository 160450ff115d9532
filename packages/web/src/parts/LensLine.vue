<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, ref, shallowRef, toRef, useTemplateRef, watch } from 'vue'
import { onClickOutside } from '@vueuse/core'
import type { Lens, LensField } from '@murrabel/core/lens'
import { routes, type CountAnswer } from '@murrabel/contract'
import { addressOf } from '../api/call.ts'
import { lensQuery } from '../composables/useLens.ts'
import { useLensPhrases } from '../composables/useLensPhrases.ts'
import { useTexts } from '../composables/useTexts.ts'
import { useUndo } from '../stores/undo.ts'
import { Download, Link } from '@lucide/vue'

const { lens, count, told } = defineProps<{
  lens: Lens
  count: CountAnswer | null
  /** A page that looks at a part of the lens only says that part. */
  told?: 'time'
}>()
const emit = defineEmits<{ change: [part: Partial<Lens>]; reset: [] }>()
// With its calendar it is a third of the code of a page: it comes when a hand comes near.
const loadPanel = () => import('./LensPanel.vue')
const LensPanel = defineAsyncComponent(loadPanel)
const { t, number } = useTexts()
const undo = useUndo()
const { sentence, options } = useLensPhrases(
  toRef(() => lens),
  { told: () => told },
)
const open = ref<LensField | null>(null)
const line = useTemplateRef<HTMLElement>('line')
// Menus of the panel itself are drawn outside the line.
onClickOutside(line, () => (open.value = null), { ignore: ['.el-popper', '.el-picker__popper'] })

/** A comma stays with the phrase before it when the line is broken. */
const pieces = computed(() =>
  sentence.value.map((piece, i, all) => {
    const before = all[i - 1]
    const next = all[i + 1]
    const mark = piece.field && next && !next.field ? (/^[,.;]/.exec(next.text)?.[0] ?? '') : ''
    const text = !piece.field && before?.field ? piece.text.replace(/^[,.;]/, '') : piece.text
    return { ...piece, text, mark }
  }),
)
const countText = computed(() =>
  count ? t(`lens.count.${lens.unit}`, { n: number(count.count) }, count.count) : '',
)
const ofPeople = computed(() => lens.unit === 'people')
const csv = computed(() =>
  addressOf(ofPeople.value ? routes.exportPeople : routes.exportCsv, { query: lensQuery(lens) }),
)
/** What other programs read: entries as a feed, people as cards. */
const exchange = computed(() =>
  addressOf(ofPeople.value ? routes.exportVcards : routes.exportFeed, { query: lensQuery(lens) }),
)

const phraseOf = (field: LensField | null) =>
  line.value?.querySelector<HTMLElement>(field ? `[data-field="${field}"]` : '[data-field]') ?? null
const anchor = shallowRef<HTMLElement | null>(null)
watch(open, (field) => (anchor.value = field && phraseOf(field)))
/** The panel goes, and one is where one was. */
function close(): void {
  const field = open.value
  open.value = null
  if (field) phraseOf(field)?.focus()
}
async function change(part: Partial<Lens>): Promise<void> {
  const field = open.value
  emit('change', part)
  close()
  // A phrase that says something else now may be another element.
  await nextTick()
  if (field && document.activeElement === document.body) phraseOf(field)?.focus()
}
async function keep(): Promise<void> {
  await navigator.clipboard?.writeText(location.href)
  undo.tell({ text: t('lens.copied') })
}
async function focus(field: LensField | null = null): Promise<void> {
  if (field) open.value = field
  await nextTick()
  phraseOf(field)?.focus()
}
defineExpose({ focus })
</script>

<template>
  <div
    ref="line"
    class="lens"
    :aria-label="t('keys.lens')"
    role="region"
    @pointerenter.once="loadPanel"
    @focusin.once="loadPanel"
  >
    <p class="sentence">
      <template v-for="(piece, i) in pieces" :key="i">
        <span v-if="piece.field" class="kept"
          ><button
            type="button"
            class="phrase"
            :class="{ narrows: piece.narrows }"
            :data-field="piece.field"
            :aria-expanded="open === piece.field"
            @click="open = open === piece.field ? null : piece.field"
            @keydown.esc="close"
          >
            {{ piece.text }}</button
          >{{ piece.mark }}</span
        >
        <span v-else>{{ piece.text }}</span>
      </template>
    </p>
    <!-- One panel for all phrases: a hidden one for each would be most of the page's work. -->
    <el-popover
      v-if="open && anchor"
      :key="open"
      :visible="true"
      virtual-triggering
      :virtual-ref="anchor"
      placement="bottom-start"
      :width="open === 'range' ? 320 : 250"
      :show-arrow="false"
      :persistent="false"
    >
      <LensPanel
        :field="open"
        :lens="lens"
        :options="options(open)"
        :beside="open === 'kinds' ? options('origins') : []"
        @change="change"
        @keydown.esc="close"
      />
    </el-popover>
    <div class="right">
      <span class="count" data-test="count" aria-live="polite"
        >{{ countText
        }}<template v-if="count?.pastDue"
          >, <b class="past">{{ t('lens.pastDue', { n: number(count.pastDue) }) }}</b></template
        ></span
      >
      <slot />
      <button
        type="button"
        class="plain icon"
        :aria-label="t('lens.keep')"
        :title="t('lens.keep')"
        @click="keep"
      >
        <Link :size="16" />
      </button>
      <el-dropdown
        v-if="!told && lens.unit !== 'followUps' && lens.unit !== 'log'"
        :persistent="false"
        trigger="click"
      >
        <button type="button" class="plain icon" :aria-label="t('lens.export')" :title="t('lens.export')">
          <Download :size="16" />
        </button>
        <template #dropdown>
          <el-dropdown-menu>
            <el-dropdown-item
              ><a class="export" :href="csv" download>{{ t('lens.exportCsv') }}</a></el-dropdown-item
            >
            <el-dropdown-item
              ><a class="export" :href="exchange" download>{{
                t(ofPeople ? 'lens.exportVcards' : 'lens.exportFeed')
              }}</a></el-dropdown-item
            >
          </el-dropdown-menu>
        </template>
      </el-dropdown>
    </div>
  </div>
</template>

<style scoped>
.kept {
  white-space: nowrap;
}
.lens {
  display: flex;
  align-items: center;
  gap: 20px;
  min-height: 46px;
  padding: 4px 20px;
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
}
.sentence {
  font-size: 15px;
  line-height: 21px;
  flex: 1;
}
.phrase {
  font: inherit;
  color: var(--deep);
  background: none;
  border: 0;
  border-bottom: 1.5px dotted var(--deep);
  padding: 0;
  cursor: pointer;
  text-align: left;
}
.narrows {
  font-weight: 600;
}
.right {
  display: flex;
  gap: 16px;
  align-items: center;
  font-size: 13px;
  white-space: nowrap;
}
.icon {
  line-height: 0;
}
.count {
  color: var(--ink-soft);
}
.past {
  font-weight: 600;
  color: var(--flare-text);
}
.export {
  border: 0;
  color: var(--ink);
}
@media (max-width: 1100px) {
  .lens {
    flex-wrap: wrap;
    gap: 4px 20px;
  }
}
</style>
