<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { SelectInstance } from 'element-plus'
import { useBrand } from '../stores/brand.ts'

/** Chooses the tags of one or many threads, or writes new ones. */
const shown = defineModel<boolean>({ required: true })
const { tags, count } = defineProps<{
  /** Ids that all of them bear. */
  tags: readonly number[]
  /** Threads it is for. */
  count: number
}>()
const emit = defineEmits<{ save: [change: { add: string[]; remove: number[] }] }>()
const { t } = useI18n()
const brand = useBrand()
const names = ref<string[]>([])
const box = useTemplateRef<SelectInstance>('box')
const before = computed(() => tags.flatMap((id) => brand.nameOfTag(id) || []))

watch(shown, async (open) => {
  if (!open) return
  names.value = [...before.value]
  await nextTick()
  box.value?.focus()
})
function save(): void {
  const lower = new Set(names.value.map((name) => name.toLowerCase()))
  emit('save', {
    add: names.value.filter((name) => !before.value.includes(name)),
    remove: tags.filter((id) => !lower.has(brand.nameOfTag(id).toLowerCase())),
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
  >
    <el-select
      ref="box"
      v-model="names"
      multiple
      filterable
      allow-create
      default-first-option
      :reserve-keyword="false"
      :aria-label="t('tags.title')"
      :placeholder="t('tags.hint')"
    >
      <el-option v-for="tag in brand.tags" :key="tag.id" :value="tag.name" :label="tag.name" />
    </el-select>
    <template #footer>
      <button type="button" class="button primary" @click="save">{{ t('tags.save') }}</button>
    </template>
  </el-dialog>
</template>
