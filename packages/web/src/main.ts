import '@fontsource-variable/source-sans-3'
import '@fontsource-variable/source-serif-4'
import '@fontsource-variable/noto-emoji'
import './styles/tokens.css'
import './styles/base.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { createMessages } from './messages/index.ts'
import { router } from './router.ts'
import { watchFaults } from './watchFaults.ts'

const app = createApp(App).use(createPinia())
// The router asks for the page at once, beside the texts of another language.
app.use(router)
watchFaults(app, router)
/** The code has been read; what is shown is a task of its own, so that the page answers in between. */
const nextTask = () => new Promise((resolve) => setTimeout(resolve))
void Promise.all([createMessages(), nextTask()]).then(([messages]) => app.use(messages).mount('#app'))
