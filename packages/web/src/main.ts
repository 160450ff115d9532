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
void createMessages().then((messages) => app.use(messages).mount('#app'))
