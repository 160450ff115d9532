<script setup lang="ts">
import { ref } from 'vue'
import { useTexts } from '../composables/useTexts.ts'
import { shortcuts, type Shortcut } from '../shortcuts.ts'
import { useShortcutKeys } from '../stores/shortcuts.ts'

/** All shortcuts: which key does what, another key for it, none, or no shortcuts at all. */
const shown = defineModel<boolean>({ required: true })
const { t } = useTexts()
const store = useShortcutKeys()
/** The one that waits for its new key. */
const changing = ref<Shortcut | null>(null)
const refusal = ref('')

function begin(name: Shortcut): void {
  changing.value = changing.value === name ? null : name
  refusal.value = ''
}
function onKey(event: KeyboardEvent): void {
  const name = changing.value
  if (!name || ['Tab', 'Shift', 'Control', 'Alt', 'Meta', 'AltGraph'].includes(event.key)) return
  event.preventDefault()
  event.stopPropagation()
  if (event.key === 'Escape') return void (changing.value = null)
  const changed = store.change(name, ['Backspace', 'Delete'].includes(event.key) ? '' : event.key)
  if ('keys' in changed) {
    changing.value = null
    refusal.value = ''
  } else
    refusal.value = changed.by
      ? t('keys.taken', { key: event.key, what: t(`keys.${changed.by}`) })
      : t('keys.noSign')
}
function reset(): void {
  store.reset()
  changing.value = null
  refusal.value = ''
}
</script>

<template>
  <el-drawer v-model="shown" :title="t('keys.title')" size="380px" append-to-body @closed="changing = null">
    <p class="soft">{{ t('keys.hint') }}</p>
    <label class="switch">
      <el-switch v-model="store.on" :aria-label="t('keys.on')" /> {{ t('keys.on') }}
    </label>
    <ul :class="{ off: !store.on }" @keydown="onKey">
      <li v-for="name in shortcuts" :key="name">
        <span>{{ t(`keys.${name}`) }}</span>
        <button
          type="button"
          class="own"
          :class="{ waiting: changing === name }"
          :disabled="!store.on"
          :aria-label="t('keys.change', { what: t(`keys.${name}`), key: store.keys[name] || t('keys.none') })"
          @click="begin(name)"
          @blur="changing = null"
        >
          {{ changing === name ? t('keys.press') : store.keys[name] || t('keys.none') }}
        </button>
      </li>
    </ul>
    <p v-if="refusal" class="refusal" role="alert">{{ refusal }}</p>
    <button type="button" class="button" :disabled="!store.on" @click="reset">{{ t('keys.reset') }}</button>
    <h4>{{ t('keys.fixed') }}</h4>
    <ul>
      <li>
        <span>{{ t('keys.next') }}, {{ t('keys.previous') }}</span
        ><kbd>↓ ↑</kbd>
      </li>
      <li>
        <span>{{ t('keys.send') }}</span><kbd>Ctrl ↵</kbd>
      </li>
    </ul>
  </el-drawer>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 10px 0;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  min-height: 32px;
  border-bottom: 1px solid var(--line);
}
.off {
  opacity: 0.55;
}
.switch {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-top: 10px;
}
.own,
kbd {
  font: inherit;
  min-width: 34px;
  text-align: center;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: var(--corner);
  padding: 1px 8px;
}
.own {
  cursor: pointer;
}
.own:disabled {
  cursor: default;
}
.waiting {
  border-color: var(--deep);
  background: var(--deep-wash);
}
.refusal {
  color: var(--flare-text);
  margin-bottom: 10px;
}
h4 {
  margin-top: 20px;
}
</style>
