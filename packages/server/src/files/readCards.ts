import ICAL from 'ical.js'
import { phoneOf, readEmail } from '@murrabel/core/people'
import { cleanLine, cleanText, cutText } from '@murrabel/core/text'
import type { HistoryPreview, RowProblem } from '@murrabel/contract'
import { Refusal } from '../problem.ts'
import type { ReadCustomer, ReadCustomers } from './readCustomers.ts'

/** What a file of cards holds, before it is brought in. */
export function previewCards(document: string, country: string | null = null): HistoryPreview {
  const { items, problems } = readCards(document, country)
  return {
    entries: items.length,
    unreadable: problems.length,
    first: null,
    last: null,
    sample: items.slice(0, 5).map(({ name, emails, phones }) => ({
      title: name,
      from: [...emails, ...phones].join(', '),
    })),
  }
}

/**
 * People of a file of vCards, 3.0 (RFC 2426) and 4.0 (RFC 6350), and of 2.1 what those have in common with it. Pictures are left
 * out; a card that cannot be read is told by its line.
 *
 * @throws Refusal cardsUnreadable for a file without cards
 */
export function readCards(document: string, country: string | null): ReadCustomers {
  const result: ReadCustomers = { items: [], problems: [] }
  const cards = cardsOf(document)
  if (!cards.length) throw new Refusal('cardsUnreadable')
  for (const { line, text } of cards) {
    const read = readCard(text, country)
    if ('reason' in read) result.problems.push({ line, ...read })
    else result.items.push(read)
  }
  return result
}

/** Each card with the line it begins at, folded lines unfolded; a card that does not end goes to the next. */
function cardsOf(document: string): { line: number; text: string }[] {
  const cards: { line: number; text: string }[] = []
  let open: { line: number; lines: string[] } | null = null
  const close = () => {
    if (open) cards.push({ line: open.line, text: open.lines.join('\r\n') })
    open = null
  }
  for (const [i, line] of document.split(/\r\n|\n|\r/).entries()) {
    if (/^BEGIN:VCARD\s*$/i.test(line)) {
      close()
      open = { line: i + 1, lines: [] }
    }
    if (!open) continue
    open.lines.push(line)
    if (/^END:VCARD\s*$/i.test(line)) close()
  }
  close()
  return cards
}

/** Pictures and sounds make a card large, and nobody reads them here. */
const leftOut = /^(?:[\w-]+\.)?(?:PHOTO|LOGO|SOUND|KEY)[;:]/i

/** Lines of a card without their folds, quoted-printable ones read. */
function linesOf(text: string): string[] {
  const lines: string[] = []
  for (const line of text.split('\r\n')) {
    const last = lines.length - 1
    const before = lines[last]
    if (before !== undefined && /^[ \t]/.test(line)) lines[last] = before + line.slice(1)
    else if (before !== undefined && isQuoted(before) && before.endsWith('='))
      lines[last] = before.slice(0, -1) + line
    else lines.push(line)
  }
  return lines
    .filter((line) => line.trim() && !leftOut.test(line))
    .map(unquoted)
    .map(named)
}

const isQuoted = (line: string): boolean => /^[^:]*;(?:ENCODING=)?QUOTED-PRINTABLE/i.test(line)

/** 2.1 has kinds without the name of their parameter. */
const named = (line: string): string =>
  line.replace(/^[^:"]*(?=:)/, (head) => head.replace(/;([A-Z0-9-]+)(?=;|$)/gi, ';TYPE=$1'))

/** As 2.1 writes letters beyond ASCII. */
function unquoted(line: string): string {
  if (!isQuoted(line)) return line
  const at = line.indexOf(':')
  const latin = /CHARSET=(?:ISO-8859-1|WINDOWS-1252)/i.test(line.slice(0, at))
  const bytes = Buffer.from(
    line
      .slice(at + 1)
      .replace(/=([0-9a-f]{2})/gi, (_, hex: string) => String.fromCharCode(Number.parseInt(hex, 16))),
    'latin1',
  )
  const head = line.slice(0, at).replace(/;(?:(?:ENCODING=)?QUOTED-PRINTABLE|CHARSET=[^;:]*)/gi, '')
  const value = new TextDecoder(latin ? 'windows-1252' : 'utf-8').decode(bytes)
  return `${head}:${value.replace(/\r?\n/g, '\\n')}`
}

function readCard(text: string, country: string | null): ReadCustomer | Omit<RowProblem, 'line'> {
  const bad = (said: string) => ({
    field: '',
    reason: 'cardUnreadable' as const,
    values: { said },
    value: '',
  })
  let card: ICAL.Component
  try {
    card = new ICAL.Component(
      ICAL.parse(linesOf(text).join('\r\n')) as ConstructorParameters<typeof ICAL.Component>[0],
    )
  } catch (error) {
    return bad(cleanLine(error instanceof Error ? error.message : String(error), 120))
  }
  const all = (name: string): string[] =>
    card
      .getAllProperties(name)
      .flatMap((property) => property.getValues() as unknown[])
      .map((value) => cleanLine(Array.isArray(value) ? value.flat().join(' ') : String(value), 2000).trim())
      .filter(Boolean)
  const emails = [
    ...new Set(all('email').flatMap((value) => readEmail(value.replace(/^mailto:/i, '')) ?? [])),
  ]
  const phones = [
    ...new Set(
      all('tel').flatMap((value) => {
        const read = phoneOf(value.replace(/^tel:/i, '').replace(/;.*$/, ''), country ?? undefined)
        return 'number' in read ? read.number : []
      }),
    ),
  ]
  const uid = all('uid')[0]
  const [family = '', given = ''] = (card.getFirstPropertyValue('n') as unknown as string[] | null) ?? []
  const name = all('fn')[0] ?? cleanLine(`${String(given)} ${String(family)}`, 80).trim()
  if (!uid && !emails[0] && !phones[0]) return { field: '', reason: 'rowNobody', value: cutText(name, 80) }
  const language = all('lang')[0]?.toLowerCase().split('-')[0] ?? ''
  return {
    reference: uid ? `card:${cutText(uid, 200)}` : null,
    name: cutText(name, 80),
    emails,
    phones,
    language: /^[a-z]{2,3}$/.test(language) ? language : null,
    tags: all('categories').flatMap((tag) => cutText(tag, 40) || []),
    note: cleanText(all('note').join('\n'), 2000),
    consents: [],
    visit: null,
  }
}
