<script setup lang="ts">
import { lensSentiments } from '@murrabel/core/lens'
import { useTexts } from '../../composables/useTexts.ts'
import FormField from '../../parts/FormField.vue'
import { useBrand } from '../../stores/brand.ts'
import type { AlertSheetDraft } from './alertDraft.ts'

/** What an alert listens to and when it tells. */
const draft = defineModel<AlertSheetDraft>({ required: true })
const { t } = useTexts()
const brand = useBrand()
const kinds = ['spike', 'more', 'net', 'reach', 'any'] as const
const quiets = [0, 15, 60, 240, 720, 1440] as const
</script>

<template>
  <div class="two">
    <FormField :label="t('alerts.form.watch')" name="lens">
      <el-select id="alert-watch" v-model="draft.subject" filterable>
        <el-option :value="0" :label="t('alerts.anything')" />
        <el-option v-for="item in brand.watches" :key="item.id" :value="item.id" :label="item.name" />
        <el-option
          v-for="group in brand.groups"
          :key="-group.id"
          :value="-group.id"
          :label="`${t('lens.groups')}: ${group.name}`"
        />
      </el-select>
    </FormField>
    <FormField :label="t('alerts.form.sentiments')">
      <el-select
        id="alert-sentiments"
        v-model="draft.sentiments"
        multiple
        :placeholder="t('alerts.form.anySentiment')"
      >
        <el-option
          v-for="sentiment in lensSentiments"
          :key="sentiment"
          :value="sentiment"
          :label="t(`lens.sentiment.${sentiment}`)"
        />
      </el-select>
    </FormField>
    <FormField :label="t('alerts.form.kind')" name="condition.kind">
      <el-select id="alert-kind" v-model="draft.kind">
        <el-option v-for="kind in kinds" :key="kind" :value="kind" :label="t(`alerts.kind.${kind}`)" />
      </el-select>
    </FormField>
    <FormField :label="t('alerts.form.quiet')" name="quietMinutes">
      <el-select id="alert-quiet" v-model="draft.quietMinutes">
        <el-option
          v-for="minutes in quiets"
          :key="minutes"
          :value="minutes"
          :label="t(`alerts.form.quietOf.${minutes}`)"
        />
      </el-select>
    </FormField>
    <FormField v-if="draft.kind === 'reach'" :label="t('alerts.form.above')" name="condition.above">
      <el-input-number id="alert-above" v-model="draft.above" :min="1" :step="1000" />
    </FormField>
    <FormField v-if="draft.kind === 'more'" :label="t('alerts.form.hours')" name="condition.hours">
      <el-input-number id="alert-hours" v-model="draft.hours" :min="1" :max="168" />
    </FormField>
    <template v-if="draft.kind === 'net'">
      <FormField :label="t('alerts.form.below')" name="condition.below">
        <el-input-number id="alert-below" v-model="draft.below" :min="-100" :max="100" :step="5" />
      </FormField>
      <FormField :label="t('alerts.form.days')" name="condition.days">
        <el-input-number id="alert-days" v-model="draft.days" :min="1" :max="90" />
      </FormField>
    </template>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 16px;
}
</style>
