// Runs in the page before anything of it: when something is first there, and the longest task of the main thread.
window.longest = 0
window.pressedAt = 0
new PerformanceObserver((list) => {
  for (const { duration } of list.getEntries()) window.longest = Math.max(window.longest, duration)
}).observe({ type: 'longtask', buffered: true })
for (const kind of ['click', 'keydown'])
  addEventListener(kind, () => (window.pressedAt = performance.now()), { capture: true })

/** Looks with every frame until the test is met; milliseconds since the page was asked for, or since the last press. */
const until = (met, since) =>
  new Promise((resolve, reject) => {
    const began = performance.now()
    const look = () => {
      const now = performance.now()
      if (met()) resolve({ ms: now - since(), longest: window.longest })
      else if (now - began > 20_000) reject(new Error('not seen within 20 s'))
      else requestAnimationFrame(look)
    }
    look()
  })
/** When each of these was first there: looked for from the beginning, since a question from outside may wait for the page. */
const firsts = {}
const wanted = ['[data-thread]', '[data-test="mention"]']
const lookForFirsts = () => {
  for (const selector of wanted)
    if (!(selector in firsts) && document.querySelector(selector)) firsts[selector] = performance.now()
  if (Object.keys(firsts).length < wanted.length) requestAnimationFrame(lookForFirsts)
}
lookForFirsts()
window.seen = async (selector) => {
  const { longest } = await until(
    () => firsts[selector],
    () => 0,
  )
  return { ms: firsts[selector], longest }
}
window.seenAfterPress = (selector) =>
  until(
    () => document.querySelector(selector),
    () => window.pressedAt,
  )
/** Watches a text from now on; `change` is when it has become another one. */
window.watchText = (selector) => {
  window.longest = 0
  const text = () => document.querySelector(selector)?.textContent
  const before = text()
  window.change = until(
    () => text() && text() !== before,
    () => window.pressedAt,
  )
}
