import { createRouter, createWebHistory } from 'vue-router'
import { useBrand } from './stores/brand.ts'
import { useCounts } from './stores/counts.ts'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/inbox' },
    { path: '/sign-in', component: () => import('./sections/signIn/SignInPage.vue'), meta: { open: true } },
    { path: '/inbox/:thread(\\d+)?', component: () => import('./sections/inbox/InboxPage.vue') },
    { path: '/watch', component: () => import('./sections/watches/WatchPage.vue') },
    { path: '/watch/side-by-side', component: () => import('./sections/watches/SideBySidePage.vue') },
    { path: '/watch/rivals', component: () => import('./sections/watches/RivalsPage.vue') },
    { path: '/watch/compare', component: () => import('./sections/watches/ComparePage.vue') },
    { path: '/watch/alerts', component: () => import('./sections/alerts/AlertsPage.vue') },
    { path: '/watch/teach', component: () => import('./sections/teaching/TeachPage.vue') },
    { path: '/set-up', redirect: '/set-up/profiles' },
    { path: '/set-up/profiles', component: () => import('./sections/profiles/ProfilesPage.vue') },
    { path: '/set-up/import', component: () => import('./sections/imports/ImportPage.vue') },
    { path: '/:path(.*)*', component: () => import('./sections/NotFoundPage.vue') },
  ],
})

router.beforeEach(async (to) => {
  const brand = useBrand()
  if (to.meta.open || brand.answer) return true
  if (!(await brand.load())) return { path: '/sign-in', query: { to: to.fullPath } }
  void useCounts()
    .load()
    .catch(() => {})
  return true
})
