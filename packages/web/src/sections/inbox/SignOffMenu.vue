<script setup lang="ts">
import { computed } from 'vue'
import { useT } from '../../composables/useT.ts'
import { useBrand } from '../../stores/brand.ts'
import { usePatterns } from '../../stores/patterns.ts'

/** In whose name an answer is signed: one's own, or everybody's. */
const signOff = defineModel<number | null>({ required: true })
const { t } = useT()
const brand = useBrand()
const store = usePatterns()
const choices = computed(() =>
  (store.signOffs ?? []).filter(
    ({ whose, left, id }) => !left && (!whose || whose.id === brand.answer?.me.id || id === signOff.value),
  ),
)
const oneLine = (text: string) => text.replace(/\s*\n\s*/g, ', ')
const current = computed(() => choices.value.find(({ id }) => id === signOff.value))
</script>

<template>
  <span v-if="choices.length" class="signed">
    {{ t('replies.signed') }}
    <el-dropdown
      :persistent="false"
      trigger="click"
      placement="top-start"
      @command="(id: number) => (signOff = id || null)"
    >
      <button type="button" class="plain" data-test="sign-off">
        {{ current ? oneLine(current.text) : t('replies.signedNobody') }}
      </button>
      <template #dropdown>
        <el-dropdown-menu>
          <el-dropdown-item v-for="each in choices" :key="each.id" :command="each.id">{{
            oneLine(each.text)
          }}</el-dropdown-item>
          <el-dropdown-item :command="0" divided>{{ t('replies.signedNobody') }}</el-dropdown-item>
        </el-dropdown-menu>
      </template>
    </el-dropdown>
  </span>
</template>

<style scoped>
.signed .plain {
  cursor: pointer;
  color: var(--deep);
  border-bottom: 1px dotted currentcolor;
  line-height: 20px;
}
</style>
