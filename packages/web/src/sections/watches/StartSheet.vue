<script setup lang="ts">
import { reactive, ref } from 'vue'
import { routes, type ProposedWatch } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import { useBrand } from '../../stores/brand.ts'
import TermList from '../../parts/TermList.vue'

const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ saved: [] }>()
const { busy, problem, run } = useBusy()
const { t } = useTexts()
const brand = useBrand()
const parts = ['nicknames', 'people', 'products', 'rivals', 'links'] as const
const lists = reactive<Record<(typeof parts)[number], { text: string }[]>>({
  nicknames: [],
  people: [],
  products: [],
  rivals: [],
  links: [],
})
const proposed = ref<ProposedWatch[] | null>(null)
const chosen = ref<number[]>([])

const propose = () =>
  run(async () => {
    const texts = (part: (typeof parts)[number]) => lists[part].map(({ text }) => text)
    const body = {
      nicknames: texts('nicknames'),
      people: texts('people'),
      products: texts('products'),
      rivals: texts('rivals'),
      links: texts('links'),
    }
    const answer = await call(routes.proposeWatches, { body })
    proposed.value = answer
    const have = new Set(brand.watches.map((w) => w.name.toLowerCase()))
    chosen.value = answer.flatMap((each, i) => (have.has(each.name.toLowerCase()) ? [] : [i]))
  })
const save = () =>
  run(async () => {
    const watches = chosen.value.map((i) => proposed.value![i]!)
    await call(routes.importWatches, {
      body: {
        file: JSON.stringify({
          format: 'murrabel-watches',
          version: 1,
          watches: watches.map(({ name, query, group }) => ({
            name,
            query,
            group: [{ name: t(`watch.group.kinds.${group}`), kind: group }],
            paused: false,
          })),
        }),
      },
    })
    await brand.reloadWatches()
    shown.value = false
    emit('saved')
  })
const termsOf = ({ query }: ProposedWatch) =>
  [
    ...query.anyOf.map((term) => `${term.text}${term.slack ? ' ±1' : ''}`),
    ...query.near.map((pair) => `${pair.first.text} … ${pair.second.text}`),
    ...query.links,
  ].join(', ')
</script>

<template>
  <el-drawer v-model="shown" :title="t('watch.start.title')" size="560px" append-to-body>
    <p class="soft intro">{{ t('watch.start.intro') }}</p>
    <TermList
      v-for="part in parts"
      :key="part"
      v-model="lists[part]"
      :label="t(`watch.start.${part}`)"
      bare
    />
    <ProblemNote v-if="problem" :problem="problem" @again="propose" />
    <button type="button" class="button" :class="{ primary: !proposed }" :disabled="busy" @click="propose">
      {{ t('watch.start.propose') }}
    </button>
    <el-checkbox-group v-if="proposed" v-model="chosen" class="proposed">
      <el-checkbox v-for="(each, i) in proposed" :key="i" :value="i">
        <b>{{ each.name }}</b> <span class="soft">{{ t(`watch.group.kinds.${each.group}`) }}</span>
        <small class="words">{{ termsOf(each) }}</small>
      </el-checkbox>
    </el-checkbox-group>
    <button
      v-if="proposed"
      type="button"
      class="button primary"
      :disabled="busy || !chosen.length"
      @click="save"
    >
      {{ chosen.length ? t('watch.start.save', { n: chosen.length }, chosen.length) : t('watch.start.none') }}
    </button>
  </el-drawer>
</template>

<style scoped>
.intro {
  margin-bottom: 12px;
}
.proposed {
  display: flex;
  flex-direction: column;
  margin: 14px 0;
}
.proposed :deep(.el-checkbox) {
  height: auto;
  align-items: flex-start;
  white-space: normal;
  margin: 0 0 8px;
}
small {
  display: block;
  font-size: 14px;
  color: var(--ink);
}
</style>
