<script setup lang="ts">
import { ref } from 'vue'
import { useT } from '../composables/useT.ts'
import { X } from '@lucide/vue'
import FormField from './FormField.vue'

interface TermDraft {
  text: string
  exactCase?: boolean
  prefix?: boolean
  slack?: boolean
}

const terms = defineModel<TermDraft[]>({ required: true })
const {
  label,
  name = '',
  hint = '',
  bare = false,
} = defineProps<{
  label: string
  /** As the draft that is sent calls it. */
  name?: string
  hint?: string
  /** Plain words without options of their own. */
  bare?: boolean
}>()
const { t } = useT()
const typed = ref('')
const switches = ['prefix', 'exactCase', 'slack'] as const
const id = `terms-${Math.random().toString(36).slice(2)}`

/** Takes what is typed or pasted; each line or comma is a term of its own. */
function add(): void {
  const fresh = typed.value
    .split(/[,\n;]/)
    .map((text) => text.trim())
    .filter((text) => text && !terms.value.some((term) => term.text === text))
    .map((text) =>
      text.endsWith('*') && text.length > 1 ? { text: text.slice(0, -1), prefix: true } : { text },
    )
  if (fresh.length) terms.value = [...terms.value, ...fresh]
  typed.value = ''
}
function onBackspace(): void {
  if (typed.value === '' && terms.value.length) terms.value = terms.value.slice(0, -1)
}
function change(index: number, part: Partial<TermDraft>): void {
  terms.value = terms.value.map((term, i) => (i === index ? { ...term, ...part } : term))
}
const signs = (term: TermDraft) =>
  `${term.prefix ? '…' : ''}${term.exactCase ? ' Aa' : ''}${term.slack ? ' ±1' : ''}`
defineExpose({ add })
</script>

<template>
  <FormField :label="label" :name="name" :for="id">
    <div class="box terms">
      <span v-for="(term, i) in terms" :key="term.text" class="term">
        <span v-if="bare" class="name words">{{ term.text }}</span>
        <el-popover v-else trigger="click" :width="260" placement="bottom-start" :show-arrow="false">
          <template #reference
            ><button
              type="button"
              class="name words"
              :aria-label="t('watch.form.options', { term: term.text })"
            >
              {{ term.text }}<small v-if="signs(term)">{{ signs(term) }}</small>
            </button></template
          >
          <el-checkbox
            v-for="each in switches"
            :key="each"
            :model-value="term[each] ?? false"
            :label="t(`watch.form.${each}`)"
            @change="(on) => change(i, { [each]: Boolean(on) })"
          />
        </el-popover>
        <button
          type="button"
          class="remove"
          :aria-label="t('watch.form.remove', { term: term.text })"
          @click="terms = terms.filter((_, k) => k !== i)"
        >
          <X :size="12" />
        </button>
      </span>
      <input
        :id="id"
        v-model="typed"
        maxlength="2000"
        :placeholder="terms.length ? '' : hint"
        @keydown.enter.prevent="add"
        @keydown.backspace="onBackspace"
        @blur="add"
      />
    </div>
  </FormField>
</template>

<style scoped>
.box {
  width: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  padding: 4px 6px;
  background: var(--sheet);
}
.box:focus-within {
  border-color: var(--deep);
}
.term {
  display: inline-flex;
  align-items: center;
  background: var(--deep-wash);
  border-radius: var(--corner);
}
.name {
  font: 15px/22px var(--serif);
  color: var(--ink);
  background: none;
  border: 0;
  padding: 1px 2px 1px 8px;
  cursor: pointer;
}
small {
  font: 12px var(--sans);
  color: var(--ink-soft);
  margin-left: 3px;
}
.remove {
  background: none;
  border: 0;
  color: var(--ink-soft);
  padding: 4px 6px;
  cursor: pointer;
  line-height: 0;
}
input {
  flex: 1;
  min-width: 120px;
  font: inherit;
  color: var(--ink);
  background: none;
  border: 0;
  padding: 3px 4px;
}
input:focus {
  outline: none;
}
input::placeholder {
  color: var(--ink-soft);
}
</style>
