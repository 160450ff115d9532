<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useI18n } from 'vue-i18n'
import { useT } from '../composables/useT.ts'
import BellMenu from '../sections/alerts/BellMenu.vue'
import { initialsOf } from './initials.ts'
import WhoIsHere from './WhoIsHere.vue'
import { useFocusReturn } from '../composables/useFocusReturn.ts'
import { useBrand } from '../stores/brand.ts'
import { speakElement } from '../messages/elementTexts.ts'
import type { en } from '../messages/en.ts'
import { loadTexts } from '../messages/index.ts'
import type { Language } from '../messages/language.ts'
import { densities, useDensity } from '../stores/density.ts'
import { useCounts } from '../stores/counts.ts'
import { useShortcutKeys } from '../stores/shortcuts.ts'

const brand = useBrand()
const counts = useCounts()
const density = useDensity()
const shortcuts = useShortcutKeys()
const router = useRouter()
const route = useRoute()
const { locale, setLocaleMessage } = useI18n()
const { t } = useT()
const emit = defineEmits<{ keys: [] }>()
const words = ref('')
const find = useTemplateRef<HTMLInputElement>('find')

function search(): void {
  if (words.value.trim())
    void router.push({
      path: '/inbox',
      query: {
        words: words.value.trim(),
        state: 'any',
        given: 'anybody',
        time: 'all',
        kind: 'all',
        order: 'newest',
      },
    })
}
async function signOut(): Promise<void> {
  await brand.signOut()
  await router.push('/sign-in')
}
async function speak(language: Language): Promise<void> {
  await speakElement(language)
  setLocaleMessage(language, (await loadTexts(language)) as typeof en)
  locale.value = language
  localStorage.setItem('murrabel.language', language)
  document.documentElement.lang = language
}
const focus = useFocusReturn()
/** The first Escape empties the field, as browsers do; the next leads back. */
const otherBrands = computed(() =>
  (brand.answer?.brands ?? []).filter(({ id }) => id !== brand.answer?.brand.id),
)
function leaveFind(): void {
  if (!words.value) focus.back()
}
defineExpose({ focusFind: () => focus.go(find.value) })
</script>

<template>
  <header v-if="brand.answer" class="band">
    <el-dropdown :persistent="false" trigger="click" placement="bottom-start">
      <button type="button" class="brand" :aria-label="t('band.brandMenu')">
        <b class="words">{{ brand.answer.brand.name }}</b>
        <small
          >{{ t('band.places', { n: brand.places.length }, brand.places.length) }} ·
          {{ t('band.profiles', { n: brand.answer.profileCount }, brand.answer.profileCount) }}</small
        >
      </button>
      <template #dropdown>
        <el-dropdown-menu>
          <el-dropdown-item v-for="each in otherBrands" :key="each.id" @click="brand.switchTo(each.id)">{{
            t('band.switchTo', { brand: each.name })
          }}</el-dropdown-item>
          <el-dropdown-item :divided="otherBrands.length > 0" @click="router.push('/set-up/profiles')"
            >{{ t('sections.setUp') }}: {{ t('sections.profiles') }}</el-dropdown-item
          >
          <el-dropdown-item @click="router.push('/set-up/import')"
            >{{ t('sections.setUp') }}: {{ t('sections.import') }}</el-dropdown-item
          >
        </el-dropdown-menu>
      </template>
    </el-dropdown>
    <nav>
      <RouterLink class="section" to="/today">{{ t('sections.today') }}</RouterLink>
      <RouterLink
        class="section"
        :class="{ 'router-link-active': route.path.startsWith('/inbox') }"
        to="/inbox"
        >{{ t('sections.inbox')
        }}<sup v-if="counts.pastDue" :title="t('band.pastDue', { n: counts.pastDue }, counts.pastDue)">{{
          counts.pastDue
        }}</sup></RouterLink
      >
      <RouterLink
        class="section"
        :class="{ 'router-link-active': route.path.startsWith('/watch') }"
        to="/watch"
        >{{ t('sections.watch') }}</RouterLink
      >
    </nav>
    <form class="find" role="search" @submit.prevent="search">
      <input
        ref="find"
        v-model="words"
        type="search"
        :placeholder="t('band.find')"
        :aria-label="t('band.findLabel')"
        maxlength="200"
        @keydown.esc="leaveFind"
      />
      <kbd v-if="shortcuts.keyOf('find')" aria-hidden="true">{{ shortcuts.keyOf('find') }}</kbd>
    </form>
    <WhoIsHere />
    <BellMenu />
    <el-dropdown :persistent="false" trigger="click">
      <button type="button" class="me" :aria-label="t('band.meMenu')">
        {{ initialsOf(brand.answer.me.name) }}
      </button>
      <template #dropdown>
        <el-dropdown-menu>
          <el-dropdown-item disabled>{{ brand.answer.me.name }}</el-dropdown-item>
          <el-dropdown-item @click="router.push('/set-up/account')">{{
            t('sections.account')
          }}</el-dropdown-item>
          <el-dropdown-item @click="emit('keys')">{{ t('band.keys') }}</el-dropdown-item>
          <el-dropdown-item
            v-for="(each, i) in densities"
            :key="each"
            :divided="i === 0"
            :disabled="density.rows === each"
            @click="density.choose(each)"
            >{{ t(`band.rows.${each}`) }}</el-dropdown-item
          >
          <el-dropdown-item v-if="locale !== 'fr'" divided @click="speak('fr')">Français</el-dropdown-item>
          <el-dropdown-item v-if="locale !== 'en'" divided @click="speak('en')">English</el-dropdown-item>
          <el-dropdown-item divided @click="signOut">{{ t('band.signOut') }}</el-dropdown-item>
        </el-dropdown-menu>
      </template>
    </el-dropdown>
  </header>
</template>

<style scoped>
.band {
  height: 52px;
  flex: none;
  background: var(--band);
  color: var(--band-text);
  display: flex;
  align-items: center;
  gap: 26px;
  padding: 0 20px;
}
.brand {
  font: inherit;
  text-align: left;
  color: var(--band-text);
  background: none;
  border: 0;
  border-right: 1px solid var(--band-field);
  padding: 0 22px 0 0;
  cursor: pointer;
}
.brand b {
  display: block;
  font-size: 16px;
  font-weight: 600;
  line-height: 20px;
}
.brand small {
  font-size: 12px;
  line-height: 14px;
  color: var(--band-soft);
}
nav {
  display: flex;
  align-items: baseline;
  gap: 26px;
  margin-right: auto;
}
.section {
  color: var(--band-soft);
  font-size: 15px;
  border: 0;
  padding: 16px 0;
  position: relative;
}
.section.router-link-active {
  color: var(--band-text);
  font-weight: 600;
}
.section.router-link-active::after {
  content: '';
  position: absolute;
  inset: auto 0 6px;
  height: 3px;
  background: var(--glow);
}
sup {
  line-height: 0;
  font-size: 11px;
  font-weight: 600;
  margin-left: 3px;
  color: var(--glow);
}
.find {
  display: flex;
  align-items: center;
  gap: 6px;
  background: var(--band-field);
  border-radius: var(--corner);
  padding: 0 8px 0 12px;
  width: 210px;
}
.find input {
  font: inherit;
  font-size: 13px;
  flex: 1;
  min-width: 0;
  color: inherit;
  background: none;
  border: 0;
  padding: 6px 0;
}
.find input::placeholder {
  color: var(--band-soft);
}
kbd {
  font: inherit;
  font-size: 11px;
  color: var(--band-soft);
}
.me {
  width: 28px;
  height: 28px;
  border-radius: 50%;
  border: 0;
  background: var(--pos);
  color: var(--sheet);
  font: inherit;
  font-size: 12px;
  font-weight: 600;
  cursor: pointer;
}
:focus-visible {
  outline-color: var(--glow);
}
@media (max-width: 720px) {
  .band {
    gap: 12px;
    padding: 0 12px;
  }
  .find,
  .brand small {
    display: none;
  }
  nav {
    gap: 14px;
  }
}
</style>
