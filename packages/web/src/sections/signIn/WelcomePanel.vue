<script setup lang="ts">
import { computed, onMounted, shallowRef } from 'vue'
import { max, scaleLinear } from 'd3'
import { routes, type TideBucket, type WelcomeAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { networkName } from '../../composables/networkName.ts'
import { useTexts } from '../../composables/useTexts.ts'
import SentimentMark from '../../parts/SentimentMark.vue'
import { totalOf } from '../../parts/tideScale.ts'

/** What Murrabel does; on a demo, with what it holds. */
const { t, number, day } = useTexts()
const demo = shallowRef<WelcomeAnswer['demo']>(null)
const claims = ['collect', 'answer', 'understand'] as const
const height = 72
const step = 10
const parts = ['negative', 'neutral', 'positive', 'unread'] as const

const bars = computed(() => {
  const days = demo.value?.days ?? []
  const y = scaleLinear([0, max(days, totalOf) ?? 1], [0, height])
  return days.flatMap((bucket: TideBucket, i) => {
    let below = 0
    return parts.map((part) => {
      const size = y(bucket[part])
      below += size
      return { key: `${i}${part}`, part, x: i * step, y: height - below, height: size }
    })
  })
})

onMounted(async () => {
  // Without it, the page says what it says anyway.
  demo.value = await call(routes.welcome).then(
    (answer) => answer.demo,
    () => null,
  )
})
</script>

<template>
  <section class="welcome">
    <h1 class="words">Murrabel</h1>
    <p class="tagline">{{ t('signIn.tagline') }}</p>
    <figure v-if="demo" data-test="welcome">
      <svg
        class="by-sentiment"
        :viewBox="`0 0 ${demo.days.length * step} ${height}`"
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        <rect
          v-for="bar in bars"
          :key="bar.key"
          :class="bar.part"
          :x="bar.x"
          :y="bar.y"
          :width="step - 1.5"
          :height="bar.height"
        />
      </svg>
      <figcaption>
        {{
          t('signIn.shown', {
            brand: demo.brand,
            days: demo.days.length,
            n: number(demo.entries),
            channels: demo.channels,
          })
        }}
      </figcaption>
      <blockquote v-for="said in demo.said" :key="said.id">
        <SentimentMark :sentiment="said.sentiment" />
        <span
          ><span class="words">“{{ said.text }}”</span>
          <cite
            >{{ said.author }}, {{ networkName({ network: said.network, profile: said.network }) }},
            {{ day(said.at) }}</cite
          ></span
        >
      </blockquote>
    </figure>
    <dl>
      <div v-for="claim in claims" :key="claim">
        <dt>{{ t(`signIn.${claim}`) }}</dt>
        <dd>{{ t(`signIn.${claim}Text`) }}</dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
.welcome {
  color: var(--band-text);
  display: flex;
  flex-direction: column;
  justify-content: center;
  max-width: 640px;
}
h1 {
  font-size: 38px;
  line-height: 46px;
}
.tagline {
  font-size: 18px;
  line-height: 26px;
  margin-top: 4px;
}
figure {
  margin: 32px 0 0;
}
svg:not(.mark) {
  display: block;
  width: 100%;
  height: 72px;
  border-bottom: 1px solid var(--band-soft);
}
figcaption,
cite {
  color: var(--band-soft);
  font-size: 13px;
  font-style: normal;
}
figcaption {
  margin-top: 6px;
}
blockquote {
  display: flex;
  gap: 10px;
  align-items: baseline;
  margin: 16px 0 0;
}
blockquote .words {
  display: block;
  font-size: 16px;
  line-height: 23px;
}
dl {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 24px;
  margin: 36px 0 0;
}
dt {
  font-weight: 600;
  border-top: 2px solid var(--glow);
  padding-top: 8px;
}
dd {
  margin: 4px 0 0;
  font-size: 13px;
  color: var(--band-soft);
}
@media (max-width: 900px) {
  figure,
  dl {
    display: none;
  }
}
</style>
