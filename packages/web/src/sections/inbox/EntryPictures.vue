<script setup lang="ts">
import { ref } from 'vue'
import { routes, type PictureAnswer } from '@murrabel/contract'
import { addressOf } from '../../api/call.ts'
import { useT } from '../../composables/useT.ts'

/** Pictures of an entry, or the still of a video: as this server keeps them, never from the network itself. */
defineProps<{ pictures: PictureAnswer[]; small?: boolean }>()
const { t } = useT()
const lost = ref(new Set<number>())
const lose = (id: number) => (lost.value = new Set([...lost.value, id]))
</script>

<template>
  <ul v-if="pictures.length" class="pictures" :class="{ small }" data-test="shown">
    <li v-for="picture in pictures" :key="picture.id">
      <span v-if="lost.has(picture.id)" class="soft lost">{{
        picture.alt ? t('inbox.picture.lostOf', { alt: picture.alt }) : t('inbox.picture.lost')
      }}</span>
      <img
        v-else
        :src="addressOf(routes.picture, { params: { id: picture.id } })"
        :alt="picture.alt || t('inbox.picture.noWords')"
        :title="picture.alt || undefined"
        loading="lazy"
        @error="lose(picture.id)"
      />
    </li>
  </ul>
</template>

<style scoped>
.pictures {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 6px 0 8px;
  padding: 0;
  list-style: none;
}
img {
  display: block;
  max-width: 100%;
  height: 240px;
  object-fit: contain;
  background: var(--paper);
}
.small img {
  height: 96px;
}
.lost {
  display: block;
  padding: 10px 14px;
  background: var(--paper);
  font-size: 13px;
}
</style>
