<script setup lang="ts">
import { computed } from 'vue'
import { useTexts } from '../../composables/useTexts.ts'

/** The country of telephone numbers that are written without one. */
const country = defineModel<string | null>({ required: true })
const { t, locale } = useTexts()
const codes =
  'AT AU BE BG BR CA CH CY CZ DE DK EE ES FI FR GB GI GR HR HU IE IM IN IS IT JE JP LT LU LV MT MX NL NO NZ PL PT RO SE SI SK TR UA US ZA'.split(
    ' ',
  )
const options = computed(() => {
  const names = new Intl.DisplayNames([locale.value], { type: 'region' })
  return codes
    .map((code) => ({ code, name: names.of(code) ?? code }))
    .sort((a, b) => a.name.localeCompare(b.name, locale.value))
})
</script>

<template>
  <label class="country">
    <span>{{ t('import.country') }}</span>
    <el-select
      v-model="country"
      filterable
      clearable
      :value-on-clear="null"
      :placeholder="t('import.noCountry')"
      data-test="phone-country"
    >
      <el-option v-for="{ code, name } in options" :key="code" :value="code" :label="name" />
    </el-select>
  </label>
</template>

<style scoped>
.country {
  display: block;
  max-width: 416px;
  margin-top: 14px;
}
.country span {
  font-size: 13px;
}
</style>
