<script setup lang="ts">
import { useI18n } from 'vue-i18n'

const shown = defineModel<boolean>({ required: true })
const { t } = useI18n()
const keys: [string, string][] = [
  ['j ↓', 'next'],
  ['k ↑', 'previous'],
  ['Enter', 'open'],
  ['f', 'finish'],
  ['w', 'reply'],
  ['Ctrl Enter', 'send'],
  ['g', 'give'],
  ['s', 'aside'],
  ['t', 'tag'],
  ['b', 'keep'],
  ['x', 'choose'],
  ['-', 'negative'],
  ['0', 'neutral'],
  ['+', 'positive'],
  ['u', 'undo'],
  ['l', 'lens'],
  ['/', 'find'],
  ['?', 'list'],
]
</script>

<template>
  <el-drawer v-model="shown" :title="t('keys.title')" size="320px" append-to-body>
    <dl>
      <template v-for="[key, name] in keys" :key="key">
        <dt>
          <kbd>{{ key }}</kbd>
        </dt>
        <dd>{{ t(`keys.${name}`) }}</dd>
      </template>
    </dl>
  </el-drawer>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 96px 1fr;
  gap: 8px;
  margin: 0;
}
dd {
  margin: 0;
}
kbd {
  font: inherit;
  border: 1px solid var(--line);
  border-radius: 2px;
  padding: 1px 6px;
}
</style>
