import '@fontsource-variable/source-sans-3'
import '@fontsource-variable/source-serif-4'
import '@fontsource-variable/noto-emoji'
import './styles/tokens.css'
import './styles/base.css'
import { createPinia } from 'pinia'
import { createApp, nextTick } from 'vue'
import App from './App.vue'
import { carriedOver } from './firstScreen/carryOver.ts'
import { forgetKnown, holdKnown } from './firstScreen/known.ts'
import { knownOfPage } from './firstScreen/knownOfPage.ts'
import { speakElement } from './messages/elementTexts.ts'
import { createMessages, readersLanguage } from './messages/index.ts'
import { router } from './router.ts'
import { watchFaults } from './watchFaults.ts'

/** The server drew the first screen: what it was drawn from comes with it. */
const known = knownOfPage()
if (known) holdKnown(known)
const app = createApp(App).use(createPinia())
// The router asks for the page at once, beside the texts of another language.
app.use(router)
watchFaults(app, router)
/** The code has been read; what is shown is a task of its own, so that the page answers in between. */
const nextTask = () => new Promise((resolve) => setTimeout(resolve))
const language = readersLanguage()
document.documentElement.lang = language

async function show(): Promise<void> {
  const [messages] = await Promise.all([
    createMessages(language),
    speakElement(language).catch(() => {}),
    nextTask(),
    // What is drawn already stands until the same can be put in its place.
    known && router.isReady().catch(() => {}),
  ])
  const place = document.getElementById('app')!
  const goOn = carriedOver(place)
  app.use(messages).mount(place)
  forgetKnown()
  // Lists draw their rows once they have their height.
  await nextTick()
  goOn()
}
void show()
