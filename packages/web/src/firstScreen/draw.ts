import { ID_INJECTION_KEY } from 'element-plus/es/hooks/use-id/index'
import { ZINDEX_INJECTION_KEY } from 'element-plus/es/hooks/use-z-index/index'
import { createPinia } from 'pinia'
import { createSSRApp } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import { renderToString } from 'vue/server-renderer'
import { routes, type BrandAnswer, type CountAnswer, type PageDrawer } from '@murrabel/contract'
import App from '../App.vue'
import { createMessages } from '../messages/index.ts'
import InboxPage from '../sections/inbox/InboxPage.vue'
import { firstAddresses } from '../sections/inbox/inboxAhead.ts'
import { useBrand } from '../stores/brand.ts'
import { countsAddress, useCounts } from '../stores/counts.ts'
import { useDensity } from '../stores/density.ts'
import { knownKey, type KnownAnswers } from './known.ts'
import { readShown, shownCookie, type Shown } from './shown.ts'

const drawnPage = 'inbox'
/** Draws nothing: the other pages are only gone to. */
const elsewhere = { render: () => null }

const routerOf = () =>
  createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/inbox/:thread(\\d+)?', name: drawnPage, component: InboxPage },
      { path: '/:path(.*)*', component: elsewhere },
    ],
  })

/** Draws the first screen of the inbox on the server, by the parts that the browser draws it with. */
export const drawer: PageDrawer = {
  cookie: shownCookie,
  firstScreen({ path, cookie, languages }) {
    const { query, params, name } = routerOf().resolve(path)
    if (name !== drawnPage) return null
    const shown = readShown(cookie, languages)
    const addresses = [routes.brand.path, ...firstAddresses({ query, params }), countsAddress()]
    return {
      language: shown.language,
      addresses: [...new Set(addresses)],
      draw: (answers) => draw(path, shown, answers),
    }
  },
}

async function draw(
  path: string,
  { language, density }: Shown,
  answers: KnownAnswers,
): Promise<string | null> {
  const brand = answers[routes.brand.path] as BrandAnswer | undefined
  if (!brand) return null
  const pinia = createPinia()
  const router = routerOf()
  // Everything of its own: what one reader sees is in no other's.
  const app = createSSRApp(App)
    .use(pinia)
    .use(router)
    .use(await createMessages(language))
  app.provide(knownKey, answers)
  app.provide(ID_INJECTION_KEY, { prefix: 1, current: 0 })
  app.provide(ZINDEX_INJECTION_KEY, { current: 0 })
  await router.push(path)
  useBrand(pinia).answer = brand
  useDensity(pinia).choose(density)
  const counts = answers[countsAddress()] as CountAnswer | undefined
  if (counts) useCounts(pinia).pastDue = counts.pastDue
  return renderToString(app)
}
