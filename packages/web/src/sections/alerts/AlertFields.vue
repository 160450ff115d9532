<script setup lang="ts">
import { lensSentiments } from '@murrabel/core/lens'
import { useTexts } from '../../composables/useTexts.ts'
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
    <div>
      <label for="alert-watch">{{ t('alerts.form.watch') }}</label>
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
    </div>
    <div>
      <label for="alert-sentiments">{{ t('alerts.form.sentiments') }}</label>
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
    </div>
    <div>
      <label for="alert-kind">{{ t('alerts.form.kind') }}</label>
      <el-select id="alert-kind" v-model="draft.kind">
        <el-option v-for="kind in kinds" :key="kind" :value="kind" :label="t(`alerts.kind.${kind}`)" />
      </el-select>
    </div>
    <div>
      <label for="alert-quiet">{{ t('alerts.form.quiet') }}</label>
      <el-select id="alert-quiet" v-model="draft.quietMinutes">
        <el-option
          v-for="minutes in quiets"
          :key="minutes"
          :value="minutes"
          :label="t(`alerts.form.quietOf.${minutes}`)"
        />
      </el-select>
    </div>
    <div v-if="draft.kind === 'reach'">
      <label for="alert-above">{{ t('alerts.form.above') }}</label>
      <el-input-number id="alert-above" v-model="draft.above" :min="1" :step="1000" />
    </div>
    <div v-if="draft.kind === 'more'">
      <label for="alert-hours">{{ t('alerts.form.hours') }}</label>
      <el-input-number id="alert-hours" v-model="draft.hours" :min="1" :max="168" />
    </div>
    <template v-if="draft.kind === 'net'">
      <div>
        <label for="alert-below">{{ t('alerts.form.below') }}</label>
        <el-input-number id="alert-below" v-model="draft.below" :min="-100" :max="100" :step="5" />
      </div>
      <div>
        <label for="alert-days">{{ t('alerts.form.days') }}</label>
        <el-input-number id="alert-days" v-model="draft.days" :min="1" :max="90" />
      </div>
    </template>
  </div>
</template>

<style scoped>
label {
  display: block;
  font-weight: 600;
  margin: 10px 0 4px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 16px;
}
</style>
