<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import type { WatchQueryDraft } from '@murrabel/contract'
import { lensChannels } from '@murrabel/core/lens'
import { useTexts } from '../../composables/useTexts.ts'
import FormField from '../../parts/FormField.vue'
import TermList from '../../parts/TermList.vue'
import { useFieldProblems } from '../../parts/fieldProblems.ts'
import NearPairs from './NearPairs.vue'

/** What narrows a watch beyond its words: pairs, voices, channels, languages. Shown when it says something. */
const query = defineModel<WatchQueryDraft>({ required: true })
const { t, languageName } = useTexts()
const languages = ['en', 'fr', 'es', 'de', 'it', 'nl', 'pt', 'und']
const withoutList = useTemplateRef<InstanceType<typeof TermList>>('withoutList')
const onlyList = useTemplateRef<InstanceType<typeof TermList>>('onlyList')
const shown = ref(false)

const voices = (which: 'only' | 'without') =>
  computed({
    get: () => query.value.voices[which].map((text) => ({ text })),
    set: (terms: { text: string }[]) => (query.value.voices[which] = terms.map((term) => term.text)),
  })
const without = voices('without')
const only = voices('only')
/** Opens for what says something, closes for a watch that says nothing here. */
watch(
  query,
  ({ near, voices: who, channels, languages: spoken }) =>
    (shown.value = [near, who.only, who.without, channels, spoken].some((list) => list.length > 0)),
  { immediate: true },
)
const nearProblems = useFieldProblems('query.near')
watch(nearProblems, (wrong) => {
  if (wrong.length) shown.value = true
})
function add(): void {
  for (const list of [withoutList.value, onlyList.value]) list?.add()
}
defineExpose({ add })
</script>

<template>
  <button type="button" class="plain further" :aria-expanded="shown" @click="shown = !shown">
    {{ t('watch.form.further') }}
  </button>
  <div v-show="shown">
    <NearPairs v-model="query.near" />
    <TermList
      ref="withoutList"
      v-model="without"
      :label="t('watch.form.voicesWithout')"
      :hint="t('watch.form.voicesHint')"
      bare
    />
    <TermList ref="onlyList" v-model="only" :label="t('watch.form.voicesOnly')" bare />
    <div class="two">
      <FormField :label="t('watch.form.channels')" name="query.channels">
        <el-select
          id="watch-channels"
          v-model="query.channels"
          multiple
          :placeholder="t('watch.form.anyChannel')"
        >
          <el-option
            v-for="channel in lensChannels"
            :key="channel"
            :value="channel"
            :label="t(`lens.channel.${channel}`)"
          />
        </el-select>
      </FormField>
      <FormField :label="t('watch.form.languages')" name="query.languages">
        <el-select
          id="watch-languages"
          v-model="query.languages"
          multiple
          :placeholder="t('watch.form.anyLanguage')"
        >
          <el-option v-for="code in languages" :key="code" :value="code" :label="languageName(code)" />
        </el-select>
      </FormField>
    </div>
  </div>
</template>

<style scoped>
.further {
  margin-bottom: 12px;
  border-bottom: 1px dotted currentcolor;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 16px;
}
</style>
