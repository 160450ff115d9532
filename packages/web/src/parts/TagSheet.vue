<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useT } from '../composables/useT.ts'
import { useBrand } from '../stores/brand.ts'
import TermList from './TermList.vue'

/** Chooses the tags of one or many threads, or writes new ones. */
const shown = defineModel<boolean>({ required: true })
const { tags, count } = defineProps<{
  /** Ids that all of them bear. */
  tags: readonly number[]
  /** Threads it is for. */
  count: number
}>()
const emit = defineEmits<{ save: [change: { add: string[]; remove: number[] }] }>()
const { t } = useT()
const brand = useBrand()
const chosen = ref<{ text: string }[]>([])
const form = useTemplateRef<HTMLFormElement>('form')
const before = computed(() => tags.map((id) => brand.nameOfTag(id)).filter(Boolean))
const same = (a: string) => (b: string) => a.toLowerCase() === b.toLowerCase()
const has = (name: string) => chosen.value.some(({ text }) => same(name)(text))
const others = computed(() => brand.tags.filter(({ name }) => !has(name)))

watch(
  shown,
  (open) => {
    if (open) chosen.value = before.value.map((text) => ({ text }))
  },
  { immediate: true },
)
function save(): void {
  emit('save', {
    add: chosen.value.map(({ text }) => text).filter((name) => !before.value.some(same(name))),
    remove: tags.filter((id) => !has(brand.nameOfTag(id))),
  })
  shown.value = false
}
</script>

<template>
  <el-dialog
    v-model="shown"
    :title="count === 1 ? t('tags.title') : t('tags.titleMany', { n: count })"
    width="420px"
    append-to-body
    @opened="form?.querySelector('input')?.focus()"
  >
    <form ref="form" @submit.prevent="save">
      <TermList v-model="chosen" :label="t('tags.write')" :hint="t('tags.hint')" bare />
      <p v-if="others.length" class="known">
        <span class="soft">{{ t('tags.known') }}</span>
        <button
          v-for="tag in others"
          :key="tag.id"
          type="button"
          class="plain"
          @click="chosen = [...chosen, { text: tag.name }]"
        >
          {{ tag.name }}
        </button>
      </p>
      <button type="submit" class="button primary">{{ t('tags.save') }}</button>
    </form>
  </el-dialog>
</template>

<style scoped>
.known {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 14px;
  margin-bottom: 14px;
}
.known .plain {
  min-height: 24px;
}
</style>
