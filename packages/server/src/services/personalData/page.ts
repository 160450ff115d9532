import escapeHtml from 'escape-html'

/** What is handed out of somebody. */
export interface HandedData {
  format: 'murrabel-person'
  version: 1
  at: string
  person: {
    name: string
    language: string | null
    standing: string | null
    note: string
    knownSince: string | null
    otherNames: string[]
  }
  ways: {
    kind: string
    value: string
    consent: boolean | null
    consentAt: string | null
    consentHow: string
  }[]
  accounts: { network: string; name: string; handle: string | null; url: string | null }[]
  visits: {
    reference: string | null
    at: string
    route: string
    ship: string
    party: number | null
    price: number | null
    currency: string | null
    state: string
    source: string
  }[]
  followUps: { what: string; dueAt: string; doneAt: string | null; outcome: string }[]
  /** What colleagues said of them among themselves, in threads that are theirs alone. */
  notes: { threadId: number; kind: 'note' | 'approval'; text: string; at: string }[]
  entries: {
    threadId: number
    network: string
    kind: string
    by: 'them' | 'us'
    title: string | null
    text: string
    rating: number | null
    at: string
    url: string | null
    sentiment: string
    files: { name: string; path: string }[]
  }[]
}

const day = (at: string | null) => (at ? at.slice(0, 16).replace('T', ' ') : '')
const row = (cells: readonly (string | number | null)[]) =>
  `<tr>${cells.map((cell) => `<td>${escapeHtml(String(cell ?? ''))}</td>`).join('')}</tr>`
const table = (head: readonly string[], rows: readonly string[]) =>
  rows.length
    ? `<table><thead><tr>${head.map((cell) => `<th>${cell}</th>`).join('')}</tr></thead><tbody>${rows.join('')}</tbody></table>`
    : '<p>Nothing.</p>'
const consentOf = (consent: boolean | null) => (consent === null ? 'not said' : consent ? 'yes' : 'no')

/** The same for people: one page without scripts, styles or pictures from elsewhere. */
export function pageOf(data: HandedData): string {
  const { person } = data
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>${escapeHtml(person.name)}</title>
<style>body{font:16px/1.5 sans-serif;max-width:52rem;margin:2rem auto;padding:0 1rem}table{border-collapse:collapse}td,th{text-align:left;border-bottom:1px solid #bbb;padding:4px 16px 4px 0;vertical-align:top}.us{margin-left:3rem}blockquote{margin:4px 0 16px;white-space:pre-wrap}small{color:#444}</style>
</head><body>
<h1>What is known about ${escapeHtml(person.name)}</h1>
<p>Written on ${day(data.at)} UTC. The same is in <a href="person.json">person.json</a> for programs.</p>
<h2>Person</h2>
${table(
  ['', ''],
  [
    row(['Name', person.name]),
    row(['Other names', person.otherNames.join(', ')]),
    row(['Language', person.language]),
    row(['Known as', person.standing]),
    row(['Note', person.note]),
    row(['Known since', day(person.knownSince)]),
  ],
)}
<h2>Addresses and numbers</h2>
${table(
  ['Kind', 'Address', 'May be written to', 'Said on', 'How'],
  data.ways.map((way) =>
    row([way.kind, way.value, consentOf(way.consent), day(way.consentAt), way.consentHow]),
  ),
)}
<h2>Accounts</h2>
${table(
  ['Network', 'Name', 'Handle', 'Address'],
  data.accounts.map((account) => row([account.network, account.name, account.handle, account.url])),
)}
<h2>Visits</h2>
${table(
  ['When', 'What', 'Ship', 'People', 'Price', 'State', 'Reference', 'Known from'],
  data.visits.map((visit) =>
    row([
      day(visit.at),
      visit.route,
      visit.ship,
      visit.party,
      visit.price === null ? '' : `${visit.price} ${visit.currency ?? ''}`,
      visit.state,
      visit.reference,
      visit.source,
    ]),
  ),
)}
<h2>Follow-ups</h2>
${table(
  ['What', 'Due', 'Done', 'Outcome'],
  data.followUps.map((each) => row([each.what, day(each.dueAt), day(each.doneAt), each.outcome])),
)}
<h2>What was noted</h2>
${table(
  ['When', 'Kind', 'Words'],
  data.notes.map((each) =>
    row([day(each.at), each.kind === 'note' ? 'note' : 'word on an answer', each.text]),
  ),
)}
<h2>What was said</h2>
${data.entries.map(entryOf).join('\n') || '<p>Nothing.</p>'}
</body></html>
`
}

function entryOf({
  by,
  at,
  network,
  kind,
  title,
  text,
  rating,
  files,
}: HandedData['entries'][number]): string {
  const head = [
    day(at),
    by === 'us' ? 'our answer' : kind,
    network,
    ...(rating === null ? [] : [`${rating} of 5`]),
  ].join(' · ')
  const attached = files.map(
    ({ name, path }) => `<br><a href="${escapeHtml(encodeURI(path))}">${escapeHtml(name)}</a>`,
  )
  return `<div class="${by}"><small>${escapeHtml(head)}</small>${title ? `<br><b>${escapeHtml(title)}</b>` : ''}<blockquote>${escapeHtml(text)}${attached.join('')}</blockquote></div>`
}
