<script setup lang="ts">
import { ref, watch } from 'vue'
import { routes, type Mergeable, type ThreadAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'

/** Threads of the same address that may belong together with this one. */
const shown = defineModel<boolean>({ required: true })
const { thread } = defineProps<{ thread: ThreadAnswer }>()
const emit = defineEmits<{ merge: [id: number] }>()
const { t, when } = useTexts()
const { problem, run } = useBusy()
const others = ref<Mergeable[] | null>(null)
const load = () =>
  run(async () => {
    others.value = await call(routes.mergeable, { params: { id: thread.id } })
  })
watch(shown, (open) => open && void load(), { immediate: true })
function take(id: number): void {
  shown.value = false
  emit('merge', id)
}
</script>

<template>
  <el-dialog v-model="shown" :title="t('inbox.merge.title')" width="560px" append-to-body>
    <p class="soft">{{ t('inbox.merge.intro') }}</p>
    <ProblemNote v-if="problem" :problem="problem" @again="load" />
    <p v-else-if="!others" class="soft" aria-busy="true">…</p>
    <p v-else-if="!others.length">{{ t('inbox.merge.none') }}</p>
    <ul v-else>
      <li v-for="each in others" :key="each.id">
        <div class="what">
          <b>{{ each.author }}</b>
          <span v-if="!each.samePerson" class="soft note">{{ t('inbox.merge.same') }}</span>
          <time class="soft note" :datetime="each.at"
            >{{ when(each.at) }}, {{ t(`state.${each.state}`) }}</time
          >
          <span class="words">{{ [each.title, each.text].filter(Boolean).join('. ') }}</span>
        </div>
        <button type="button" class="button" @click="take(each.id)">{{ t('inbox.merge.take') }}</button>
      </li>
    </ul>
  </el-dialog>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 10px 0 0;
  padding: 0;
  max-height: 50vh;
  overflow-y: auto;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  padding: 8px 4px 8px 0;
  border-bottom: 1px solid var(--line);
}
.note {
  margin-left: 8px;
  font-size: 12px;
}
.words {
  display: block;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
}
</style>
