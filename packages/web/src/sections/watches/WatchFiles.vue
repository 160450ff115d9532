<script setup lang="ts">
import { useTemplateRef } from 'vue'
import { Ellipsis } from '@lucide/vue'
import { routes } from '@murrabel/contract'
import { addressOf, call, CallProblem } from '../../api/call.ts'
import { useProblemTexts } from '../../composables/useProblemTexts.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'

const emit = defineEmits<{ propose: [] }>()
const { t } = useTexts()
const brand = useBrand()
const undo = useUndo()
const { field, sentence } = useProblemTexts()
const chooser = useTemplateRef<HTMLInputElement>('chooser')

async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  try {
    const { added, known } = await call(routes.importWatches, { body: { file: await file.text() } })
    await brand.reloadWatches()
    undo.tell({ text: t('watch.imported', { added, known }) })
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    const first = error.problem.fields?.[0]
    undo.tell({ text: first ? `${first.field}: ${field(first)}` : sentence(error), problem: true })
  } finally {
    input.value = ''
  }
}
</script>

<template>
  <el-dropdown :persistent="false" trigger="click" placement="bottom-start">
    <button type="button" class="button more" :aria-label="t('watch.menu')" :title="t('watch.menu')">
      <Ellipsis :size="16" />
    </button>
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item @click="emit('propose')">{{ t('watch.startHelp') }}</el-dropdown-item>
        <el-dropdown-item
          ><a class="export" :href="addressOf(routes.exportWatches)" download>{{
            t('watch.exportJson')
          }}</a></el-dropdown-item
        >
        <el-dropdown-item @click="chooser?.click()">{{ t('watch.importJson') }}</el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
  <input
    ref="chooser"
    type="file"
    accept=".json,application/json"
    hidden
    :aria-label="t('watch.importJson')"
    @change="take"
  />
</template>

<style scoped>
.more {
  line-height: 0;
  padding: 7px 8px;
}
.export {
  border: 0;
  color: var(--ink);
}
</style>
