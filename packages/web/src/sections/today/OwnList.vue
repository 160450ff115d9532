<script setup lang="ts">
import { ref } from 'vue'
import { X } from '@lucide/vue'
import { ownLineSchema, routes, type OwnLine } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useUndo } from '../../stores/undo.ts'

/** One's own list: what was done stays for a day. */
const { lines } = defineProps<{ lines: readonly OwnLine[] }>()
const emit = defineEmits<{ changed: [] }>()
const { t } = useTexts()
const undo = useUndo()
const attempt = useAttempt()
const text = ref('')
const add = () =>
  attempt(async () => {
    if (!ownLineSchema.isValidSync({ text: text.value })) return
    await call(routes.addOwnLine, { body: { text: text.value } })
    text.value = ''
    emit('changed')
  })
const tick = ({ id, doneAt }: OwnLine) =>
  attempt(async () => {
    await call(routes.changeOwnLine, { params: { id }, body: { done: doneAt === null } })
    emit('changed')
  })
const remove = (line: OwnLine) =>
  attempt(async () => {
    await call(routes.removeOwnLine, { params: { id: line.id } })
    emit('changed')
    undo.tell({
      text: t('today.removed', { text: line.text }),
      undo: () =>
        attempt(async () => {
          await call(routes.addOwnLine, { body: { text: line.text } })
          emit('changed')
        }),
    })
  })
</script>

<template>
  <section data-test="own-list">
    <h4>{{ t('today.list') }}</h4>
    <p v-if="!lines.length" class="soft">{{ t('today.listNone') }}</p>
    <ul>
      <li v-for="line in lines" :key="line.id" :class="{ done: line.doneAt }">
        <label
          ><input type="checkbox" :checked="line.doneAt !== null" @change="tick(line)" />{{
            line.text
          }}</label
        >
        <button
          type="button"
          class="plain gone"
          :aria-label="t('today.removeLine', { text: line.text })"
          @click="remove(line)"
        >
          <X :size="14" />
        </button>
      </li>
    </ul>
    <form @submit.prevent="add">
      <input
        v-model="text"
        maxlength="300"
        :placeholder="t('today.addLine')"
        :aria-label="t('today.addLine')"
      />
    </form>
  </section>
</template>

<style scoped>
h4 {
  font-size: 13px;
  font-weight: 600;
  color: var(--ink-soft);
  margin: 2px 0 6px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  align-items: flex-start;
  gap: 6px;
  padding: 2px 0;
}
li label {
  flex: 1;
  min-width: 0;
  display: grid;
  grid-template-columns: 20px minmax(0, 1fr);
  gap: 4px;
  line-height: 22px;
  overflow-wrap: anywhere;
  cursor: pointer;
}
li input {
  width: 15px;
  height: 15px;
  margin: 4px 0 0;
  accent-color: var(--deep);
}
.done label {
  text-decoration: line-through;
  color: var(--ink-soft);
}
.gone {
  color: var(--ink-soft);
  cursor: pointer;
  min-width: 24px;
  min-height: 24px;
}
form input {
  width: 100%;
  font: inherit;
  color: var(--ink);
  padding: 4px 0;
  margin-top: 4px;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
}
form input::placeholder {
  color: var(--ink-soft);
}
</style>
