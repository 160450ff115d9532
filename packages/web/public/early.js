// Until the application is there, its first screen cannot act: what is clicked, sent or pressed meanwhile is done as soon as it
// can be. Null: the application was there first.
if (window.early !== null) window.early = { acted: null, keys: [] }
const keep = (event, element) => {
  if (!window.early || !element) return
  event.preventDefault()
  window.early.acted = element
}
const plain = ({ ctrlKey, metaKey, altKey }) => !ctrlKey && !metaKey && !altKey
addEventListener(
  'click',
  (event) => {
    if (plain(event) && !event.shiftKey) keep(event, event.target.closest('#app a, #app button, #app label'))
  },
  true,
)
addEventListener('submit', (event) => keep(event, event.target), true)
addEventListener(
  'keydown',
  (event) => {
    // What is typed into a field stays there.
    if (!window.early || !plain(event) || event.key.length > 1 || event.target.closest('input, textarea'))
      return
    // The space bar scrolls, or presses what has the focus.
    if (event.key === ' ') return
    event.preventDefault()
    window.early.keys.push(event.key)
  },
  true,
)
