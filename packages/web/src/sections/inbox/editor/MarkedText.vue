<script setup lang="ts">
import { h, type VNodeArrayChildren } from 'vue'
import { readMarkup } from '@murrabel/core/markup'

/** An answer as it is laid out in the mail. */
const { markup } = defineProps<{ markup: string }>()

type Tokens = ReturnType<typeof readMarkup.parse>
function drawn(tokens: Tokens): VNodeArrayChildren {
  const open: { tag: string; address: string | null; inside: VNodeArrayChildren }[] = [
    { tag: '', address: null, inside: [] },
  ]
  const put = (...what: VNodeArrayChildren) => open.at(-1)!.inside.push(...what)
  for (const token of tokens) {
    if (token.type === 'inline') put(...drawn(token.children ?? []))
    else if (token.nesting === 1)
      open.push({ tag: token.hidden ? '' : token.tag, address: token.attrGet('href'), inside: [] })
    else if (token.nesting === -1) {
      const { tag, address, inside } = open.pop()!
      const link = address === null ? {} : { href: address, target: '_blank', rel: 'noopener noreferrer' }
      put(...(tag ? [h(tag, link, inside)] : inside))
    } else put(token.tag === 'br' ? h('br') : token.content)
  }
  return open[0]!.inside
}
const Drawn = () => drawn(readMarkup.parse(markup, {}))
</script>

<template>
  <div class="marked"><Drawn /></div>
</template>

<style src="./marked.css" scoped></style>
