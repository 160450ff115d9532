<script setup lang="ts">
import { computed } from 'vue'
import { routes, type AttachmentAnswer } from '@murrabel/contract'
import { addressOf } from '../../api/call.ts'
import { useTexts } from '../../composables/useTexts.ts'
import AttachmentDrop from './AttachmentDrop.vue'
import { byteText } from './byteText.ts'

/** Files of an entry: pictures are shown, everything else is there to be saved. */
const { files, leftOut = 0 } = defineProps<{
  files: AttachmentAnswer[]
  leftOut?: number
  /** They can be taken away again. */
  droppable?: boolean
}>()
const emit = defineEmits<{ drop: [id: number] }>()
const { t, locale } = useTexts()
const pictures = computed(() => files.filter(({ width }) => width !== null))
const others = computed(() => files.filter(({ width }) => width === null))
const size = (bytes: number) => byteText(bytes, locale.value)
const fileOf = ({ id }: AttachmentAnswer) => addressOf(routes.attachment, { params: { id } })
const previewOf = ({ id }: AttachmentAnswer) => addressOf(routes.attachmentPreview, { params: { id } })
</script>

<template>
  <ul v-if="pictures.length" class="pictures" data-test="pictures">
    <li v-for="file in pictures" :key="file.id">
      <a
        :href="fileOf(file)"
        :title="t('inbox.files.save', { name: file.name, size: size(file.bytes) })"
        download
      >
        <img
          :src="previewOf(file)"
          :alt="file.name"
          :width="file.width!"
          :height="file.height!"
          loading="lazy"
        />
      </a>
      <AttachmentDrop v-if="droppable" :name="file.name" @drop="emit('drop', file.id)" />
    </li>
  </ul>
  <ul v-if="others.length" class="files" data-test="files">
    <li v-for="file in others" :key="file.id">
      <a :href="fileOf(file)" download>{{ file.name }}</a>
      <span class="soft">{{ size(file.bytes) }}</span>
      <AttachmentDrop v-if="droppable" :name="file.name" @drop="emit('drop', file.id)" />
    </li>
  </ul>
  <p v-if="leftOut" class="soft left">{{ t('inbox.files.leftOut', { n: leftOut }, leftOut) }}</p>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 6px 0;
  padding: 0;
}
.pictures {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.pictures li {
  display: grid;
  justify-items: start;
}
.pictures img {
  display: block;
  width: auto;
  max-width: 260px;
  height: auto;
  max-height: 180px;
  object-fit: contain;
  border: 1px solid var(--line);
  border-radius: var(--corner);
}
.files li {
  display: flex;
  gap: 10px;
  align-items: baseline;
  min-height: 24px;
  font-size: 14px;
}
.files a {
  overflow-wrap: anywhere;
}
.left {
  font-size: 13px;
}
</style>
