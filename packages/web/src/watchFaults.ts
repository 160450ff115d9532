import type { App } from 'vue'
import type { Router } from 'vue-router'
import { whenAnswered } from './api/call.ts'
import { useFaults } from './stores/faults.ts'

/** What the browser itself reports and nobody has to know: it goes on at the next frame. */
const harmless = /ResizeObserver loop/

/** Whatever is thrown and not caught becomes a sentence with a number; a newer version is noticed. */
export function watchFaults(app: App, router: Router): void {
  const faults = useFaults()
  app.config.errorHandler = (error) => void faults.tell(error)
  router.onError((error) => void (faults.outdated || faults.tell(error)))
  addEventListener('error', ({ error, message }) => {
    if (!harmless.test(message)) faults.tell(error ?? message)
  })
  addEventListener('unhandledrejection', ({ reason }) => {
    // A question that was withdrawn is no fault.
    if (!(reason instanceof DOMException && reason.name === 'AbortError')) faults.tell(reason)
  })
  // A part of the application is not there any more: another version was installed.
  addEventListener('vite:preloadError', (event) => {
    event.preventDefault()
    faults.outdated = true
  })
  whenAnswered((version) => {
    if (version && version !== __VERSION__) faults.outdated = true
  })
}
