<script setup lang="ts">
import { ref, watch } from 'vue'
import { routes, type ItemApart, type ProfileAnswer } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'

/** What of a profile could not be read, with why, and the way to try it again. */
const shown = defineModel<boolean>({ required: true })
const { profile } = defineProps<{ profile: ProfileAnswer | null }>()
const emit = defineEmits<{ tried: [] }>()
const { t, when, exact, number } = useTexts()
const brand = useBrand()
const undo = useUndo()
const items = ref<ItemApart[] | null>(null)
const problem = ref<CallProblem | null>(null)
const busy = ref(false)

async function guard(work: (id: number) => Promise<void>): Promise<void> {
  if (!profile) return
  busy.value = true
  problem.value = null
  try {
    await work(profile.id)
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    problem.value = error
  } finally {
    busy.value = false
  }
}
const load = () =>
  guard(async (id) => {
    items.value = await call(routes.itemsApart, { params: { id } })
  })
const again = () =>
  guard(async (id) => {
    const { read, apart } = await call(routes.tryApartAgain, { params: { id } })
    undo.tell({ text: t('profiles.apart.tried', { read: number(read), apart: number(apart) }) })
    items.value = await call(routes.itemsApart, { params: { id } })
    emit('tried')
  })
watch(
  shown,
  (open) => {
    items.value = null
    if (open) void load()
  },
  { immediate: true },
)
</script>

<template>
  <el-drawer
    v-model="shown"
    :title="t('profiles.apart.title', { name: profile?.name ?? '' })"
    size="560px"
    append-to-body
  >
    <p class="soft">{{ t('profiles.apart.text') }}</p>
    <ProblemNote v-if="problem" :problem="problem" @again="load" />
    <button
      v-if="brand.mayCall('tryApartAgain') && items?.length"
      type="button"
      class="button primary"
      :disabled="busy"
      data-test="try-apart"
      @click="again"
    >
      {{ busy ? t('profiles.apart.trying') : t('profiles.apart.again') }}
    </button>
    <p v-if="items && !items.length">{{ t('profiles.apart.none') }}</p>
    <article v-for="item in items ?? []" :key="item.id">
      <p>
        <b>{{ t(`profiles.apart.stage.${item.stage}`) }}</b>
        <time class="soft" :title="exact(item.at)">{{ when(item.at) }}</time>
      </p>
      <p v-if="item.text" class="words">{{ item.text }}</p>
      <p class="soft reason">{{ item.reason }}</p>
      <RouterLink
        v-if="item.threadId"
        :to="`/inbox/${item.threadId}?state=any&given=anybody&kind=all&time=all`"
        >{{ t('profiles.apart.open') }}</RouterLink
      >
    </article>
  </el-drawer>
</template>

<style scoped>
article {
  border-top: 1px solid var(--line);
  padding: 10px 0;
}
.button {
  margin: 10px 0 14px;
}
time {
  margin-left: 10px;
  font-size: 13px;
}
.words,
.reason {
  overflow-wrap: anywhere;
}
</style>
