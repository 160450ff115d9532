import { createRouter, createWebHistory, type RouteLocation } from 'vue-router'
import { loadPage } from './loadPage.ts'
import { askAheadForInbox } from './sections/inbox/inboxAhead.ts'
import { askAheadForWatch, withFirstWatch } from './sections/watches/watchAhead.ts'
import { useBrand } from './stores/brand.ts'
import { useCounts } from './stores/counts.ts'

declare module 'vue-router' {
  interface RouteMeta {
    /** Shown to whoever is not signed in. */
    open?: boolean
    /** Asks for the page's first data. */
    ahead?: (to: RouteLocation) => void
  }
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/today' },
    { path: '/today', component: () => import('./sections/today/TodayPage.vue') },
    {
      path: '/join/:token',
      component: () => import('./sections/account/JoinPage.vue'),
      meta: { open: true },
    },
    { path: '/forgot', component: () => import('./sections/account/ForgotPage.vue'), meta: { open: true } },
    {
      path: '/new-password/:token',
      component: () => import('./sections/account/NewPasswordPage.vue'),
      meta: { open: true },
    },
    { path: '/sign-in', component: () => import('./sections/signIn/SignInPage.vue'), meta: { open: true } },
    {
      path: '/inbox/:thread(\\d+)?',
      component: () => import('./sections/inbox/InboxPage.vue'),
      meta: { ahead: askAheadForInbox },
    },
    {
      path: '/inbox/people/:person(\\d+)?',
      component: () => import('./sections/people/PeoplePage.vue'),
    },
    { path: '/inbox/week-ahead', component: () => import('./sections/staffing/WeekAheadPage.vue') },
    { path: '/inbox/follow-ups', component: () => import('./sections/followUps/FollowUpsPage.vue') },
    {
      path: '/watch',
      component: () => import('./sections/watches/WatchPage.vue'),
      meta: { ahead: askAheadForWatch },
      beforeEnter: ({ path, query }) => {
        const first = withFirstWatch(query)
        return first ? { path, query: first, replace: true } : true
      },
    },
    { path: '/watch/side-by-side', component: () => import('./sections/watches/SideBySidePage.vue') },
    { path: '/watch/rivals', component: () => import('./sections/watches/RivalsPage.vue') },
    { path: '/watch/compare', component: () => import('./sections/watches/ComparePage.vue') },
    { path: '/watch/alerts', component: () => import('./sections/alerts/AlertsPage.vue') },
    { path: '/watch/teach', component: () => import('./sections/teaching/TeachPage.vue') },
    { path: '/set-up', redirect: '/set-up/profiles' },
    { path: '/set-up/profiles', component: () => import('./sections/profiles/ProfilesPage.vue') },
    { path: '/set-up/import', component: () => import('./sections/imports/ImportPage.vue') },
    { path: '/set-up/colleagues', component: () => import('./sections/colleagues/ColleaguesPage.vue') },
    { path: '/set-up/account', component: () => import('./sections/account/AccountPage.vue') },
    { path: '/set-up/log', component: () => import('./sections/log/LogPage.vue') },
    { path: '/set-up/replies', component: () => import('./sections/replies/RepliesPage.vue') },
    { path: '/set-up/keys', component: () => import('./sections/keys/KeysPage.vue') },
    { path: '/set-up/places', component: () => import('./sections/places/PlacesPage.vue') },
    {
      path: '/set-up/personal-data',
      component: () => import('./sections/personalData/PersonalDataPage.vue'),
    },
    { path: '/:path(.*)*', component: () => import('./sections/NotFoundPage.vue') },
  ],
})

// A page's code, its first data and the brand are asked for together.
router.beforeEach(async (to, from) => {
  const enters = to.matched.at(-1) !== from.matched.at(-1)
  if (enters) {
    loadPage(to)
    to.meta.ahead?.(to)
  }
  const brand = useBrand()
  if (to.meta.open || brand.answer) return true
  if (!(await brand.load())) return { path: '/sign-in', query: { to: to.fullPath } }
  void useCounts()
    .load()
    .catch(() => {})
  return true
})
