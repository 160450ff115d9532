<script setup lang="ts">
import { computed } from 'vue'
import type { WatchAnswer } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import { points, type WatchFigures } from './watchFigures.ts'

const { watch, figures } = defineProps<{ watch: WatchAnswer | null; figures: WatchFigures | null }>()
const emit = defineEmits<{ edit: []; remove: []; felt: [sentiment: 'positive' | 'neutral' | 'negative'] }>()
const { t, number } = useTexts()
const brand = useBrand()
const terms = computed(() =>
  watch ? watch.query.anyOf.length + watch.query.allOf.length + watch.query.links.length : 0,
)
</script>

<template>
  <div>
    <header v-if="watch" class="head">
      <h2>{{ watch.name }}</h2>
      <span class="soft"
        >{{ t('watch.listensFor', { n: terms }, terms)
        }}<template v-if="watch.query.noneOf.length"
          >, {{ t('watch.leavesOut', { n: watch.query.noneOf.length }) }}</template
        ></span
      >
      <span class="buttons">
        <button type="button" class="button" @click="emit('edit')">{{ t('watch.edit') }}</button>
        <button v-if="brand.may('watch')" type="button" class="button" @click="emit('remove')">
          {{ t('watch.delete') }}
        </button>
      </span>
    </header>
    <dl v-if="figures" class="figures">
      <div>
        <dt>{{ t('watch.mentions') }}</dt>
        <dd>
          <b data-test="mentions">{{ number(figures.total) }}</b>
          <span class="soft">{{ t('watch.inRange') }}</span>
        </dd>
      </div>
      <div>
        <dt>{{ t('watch.net') }}</dt>
        <dd v-if="figures.net">
          <b>{{ points(figures.net.net) }}</b>
          <span class="soft"
            >{{ points(figures.net.low) }} – {{ points(figures.net.high) }}, n =
            {{ number(figures.net.n) }}</span
          >
        </dd>
        <dd v-else class="soft">{{ t('watch.netNone') }}</dd>
      </div>
      <div>
        <dt>{{ t('watch.shares') }}</dt>
        <dd>
          <button
            v-for="sentiment in ['positive', 'neutral', 'negative'] as const"
            :key="sentiment"
            type="button"
            class="plain share"
            @click="emit('felt', sentiment)"
          >
            {{ number(figures[sentiment]) }}
          </button>
          <span v-if="figures.unread" class="soft">{{ t('watch.unread', { n: figures.unread }) }}</span>
        </dd>
      </div>
    </dl>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  align-items: baseline;
  gap: 14px;
}
h2 {
  font-size: 20px;
  line-height: 28px;
  font-weight: 600;
}
.buttons {
  margin-left: auto;
  display: flex;
  gap: 8px;
}
.figures {
  display: grid;
  grid-template-columns: repeat(3, auto) 1fr;
  margin: 8px 0 12px;
  border-block: 1px solid var(--line);
}
.figures div {
  padding: 8px 28px 8px 0;
  margin-right: 24px;
  border-right: 1px solid var(--line);
}
.figures div:last-child {
  border: 0;
}
dt {
  font-size: 12px;
  color: var(--ink-soft);
}
dd {
  margin: 0;
}
dd .soft {
  margin-left: 6px;
}
dd b {
  font-size: 22px;
  line-height: 30px;
  font-weight: 600;
}
.share {
  font-size: 22px;
  line-height: 30px;
  font-weight: 600;
  margin-right: 14px;
}
</style>
