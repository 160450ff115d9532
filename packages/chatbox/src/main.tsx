import { render } from 'preact'
import { Box } from './Box.tsx'
import { Conversation } from './conversation.ts'
import { memoryOf } from './memory.ts'
import { networkOf } from './network.ts'
import styles from './styles.css?inline'
import { languageOf, languages, localeOf } from './texts.ts'

/**
 * The chat box of a brand's own site. One script tag brings it: `data-site` is the chat's key, `data-name` the visitor's name
 * where the site knows it, `data-colour` the brand's colour. It stands in a shadow root, so that neither touches the other's styles.
 */
function start(script: HTMLScriptElement): void {
  const { site, name = '', colour } = script.dataset
  if (!site) return console.error('The chat box needs data-site in its script tag.')
  const language = languageOf(navigator.languages, document.documentElement.lang)
  const conversation = new Conversation({
    network: networkOf(new URL(script.src).origin, site),
    memory: memoryOf(site, () => localStorage),
    page: () => ({ url: location.href, title: document.title }),
    language,
    name,
  })
  const host = document.createElement('div')
  host.lang = language
  const root = host.attachShadow({ mode: 'open' })
  // A sheet of its own is taken by pages whose policy allows no style elements.
  const sheet = new CSSStyleSheet()
  sheet.replaceSync(styles)
  root.adoptedStyleSheets = [sheet]
  document.body.append(host)
  const locale = localeOf(language, navigator.languages)
  render(
    <Box conversation={conversation} texts={languages[language]} locale={locale} colour={colour} />,
    root,
  )
  addEventListener('online', () => conversation.wake())
  document.addEventListener('visibilitychange', () => conversation.wake())
  addEventListener('pagehide', (event) => {
    if (!event.persisted) conversation.end()
  })
}

const script = document.currentScript
if (script instanceof HTMLScriptElement) {
  if (document.body) start(script)
  else addEventListener('DOMContentLoaded', () => start(script))
}
