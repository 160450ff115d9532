<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { routes, type MailHtmlAnswer, type ThreadEntry } from '@murrabel/contract'
import { addressOf, call, CallProblem } from '../../api/call.ts'
import { useT } from '../../composables/useT.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import { mailMarkup } from './mailMarkup.ts'

/** A mail as its writer laid it out, in a frame in which nothing runs. */
const { entry } = defineProps<{ entry: ThreadEntry }>()
const { t } = useT()
const mail = shallowRef<MailHtmlAnswer | null>(null)
const problem = ref<CallProblem | null>(null)
const withPictures = ref(false)
const frame = useTemplateRef<HTMLIFrameElement>('frame')
const height = ref(120)

async function load(): Promise<void> {
  try {
    mail.value = await call(routes.mailHtml, { params: { id: entry.id } })
    problem.value = null
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    problem.value = error
  }
}
watch(
  () => entry.id,
  () => {
    withPictures.value = false
    void load()
  },
  { immediate: true },
)
const markup = computed(
  () =>
    mail.value &&
    mailMarkup(mail.value.html, {
      inline: (cid) => {
        const id = mail.value?.inline[cid]
        return id === undefined ? null : addressOf(routes.attachmentPreview, { params: { id } })
      },
      remote: withPictures.value
        ? (address) =>
            addressOf(routes.mailPicture, { params: { id: entry.id }, query: [['address', address]] })
        : null,
    }),
)

let observer: ResizeObserver | null = null
/** The frame is as high as what it holds, up to a limit; pictures that come later make it higher. */
function fit(): void {
  const body = frame.value?.contentDocument?.body
  if (!body) return
  observer?.disconnect()
  observer = new ResizeObserver(() => (height.value = Math.min(900, body.scrollHeight + 30)))
  observer.observe(body)
}
onBeforeUnmount(() => observer?.disconnect())
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" @again="load" />
  <template v-if="markup">
    <p v-if="markup.pictures" class="note">
      {{ t('inbox.mail.picturesOut', { n: markup.pictures }, markup.pictures) }}
      <button type="button" class="plain" @click="withPictures = true">
        {{ t('inbox.mail.fetchPictures') }}
      </button>
    </p>
    <iframe
      ref="frame"
      sandbox="allow-same-origin allow-popups allow-popups-to-escape-sandbox"
      referrerpolicy="no-referrer"
      :title="t('inbox.mail.frame', { name: entry.author })"
      :srcdoc="markup.document"
      :style="{ height: `${height}px` }"
      @load="fit"
    />
  </template>
</template>

<style scoped>
iframe {
  width: 100%;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: #fff;
  margin-bottom: 8px;
}
.note {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  font-size: 13px;
  color: var(--ink-soft);
  margin-bottom: 6px;
}
</style>
