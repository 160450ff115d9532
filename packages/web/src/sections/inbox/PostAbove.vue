<script setup lang="ts">
import type { PostAnswer } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import EntryText from '../../parts/EntryText.vue'
import SentimentMark from '../../parts/SentimentMark.vue'
import { webAddress } from '../../parts/webAddress.ts'
import EntryFigures from './EntryFigures.vue'
import EntryPictures from './EntryPictures.vue'

/** What a comment stands under, as it looks on the network, and what others said there. */
const { post } = defineProps<{ post: PostAnswer }>()
const { t, when, exact } = useTexts()
</script>

<template>
  <section class="post" :aria-label="t('inbox.onPost')" data-test="post">
    <EntryPictures :pictures="post.pictures" small />
    <div class="beside">
      <p class="soft head">
        <b>{{ post.paid ? t('inbox.onPaidPost') : t('inbox.onPost') }}</b>
        <time :datetime="post.at" :title="exact(post.at)">{{ when(post.at) }}</time>
        <EntryFigures :likes="post.likes" :shares="post.shares" />
        <a v-if="post.url" :href="webAddress(post.url)" target="_blank" rel="noopener noreferrer">{{
          t('inbox.seePost')
        }}</a>
      </p>
      <p v-if="post.title" class="title words">{{ post.title }}</p>
      <p class="text words"><EntryText :text="post.text" /></p>
    </div>
    <details v-if="post.others" class="others">
      <summary>{{ t('inbox.others', { n: post.others }, post.others) }}</summary>
      <ul>
        <li v-for="said in post.said" :key="said.threadId">
          <SentimentMark :sentiment="said.sentiment" />
          <RouterLink :to="{ path: `/inbox/${said.threadId}`, query: $route.query }">
            <b>{{ said.author }}</b> <span class="words">{{ said.text }}</span>
          </RouterLink>
          <time class="soft" :datetime="said.at" :title="exact(said.at)">{{ when(said.at) }}</time>
        </li>
      </ul>
    </details>
  </section>
</template>

<style scoped>
.post {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  max-width: 640px;
  margin-top: 10px;
  padding: 8px 12px;
  background: var(--paper);
  border-left: 3px solid var(--line);
  font-size: 14px;
}
.beside {
  flex: 1 1 260px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  font-size: 13px;
}
b {
  font-weight: 600;
}
.title {
  font-weight: 600;
}
.text {
  display: -webkit-box;
  overflow: hidden;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 4;
}
.others {
  flex: 1 0 100%;
  min-width: 0;
  max-width: 100%;
  overflow: hidden;
  margin-top: 6px;
  font-size: 13px;
}
summary {
  min-height: 24px;
  cursor: pointer;
  color: var(--deep);
}
ul {
  margin: 4px 0 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  align-items: baseline;
  gap: 8px;
  min-height: 26px;
}
li a {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  border: 0;
  color: inherit;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
