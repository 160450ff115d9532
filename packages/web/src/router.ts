import { createRouter, createWebHistory } from 'vue-router'
import { useBrand } from './stores/brand.ts'
import { useCounts } from './stores/counts.ts'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/inbox' },
    { path: '/sign-in', component: () => import('./sections/signIn/SignInPage.vue'), meta: { open: true } },
    { path: '/inbox/:thread(\\d+)?', component: () => import('./sections/inbox/InboxPage.vue') },
    { path: '/watch', component: () => import('./sections/watch/WatchPage.vue') },
    { path: '/watch/side-by-side', component: () => import('./sections/watch/SideBySidePage.vue') },
    { path: '/watch/rivals', component: () => import('./sections/watch/RivalsPage.vue') },
    { path: '/watch/compare', component: () => import('./sections/watch/ComparePage.vue') },
    { path: '/watch/alerts', component: () => import('./sections/watch/AlertsPage.vue') },
    { path: '/watch/teach', component: () => import('./sections/watch/TeachPage.vue') },
    { path: '/set-up', redirect: '/set-up/profiles' },
    { path: '/set-up/profiles', component: () => import('./sections/setUp/ProfilesPage.vue') },
    { path: '/set-up/import', component: () => import('./sections/setUp/ImportPage.vue') },
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
