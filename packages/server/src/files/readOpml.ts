import { fieldProblem } from '@murrabel/contract'
import { decodeXML } from 'entities'
import { XMLParser } from 'fast-xml-parser'
import { cleanLine, cutText } from '@murrabel/core/text'
import { Refusal } from '../problem.ts'

/** Feeds of one list: more than a team reads, and what one host of feeds may list. */
const feedLimit = 5000

export interface ListedFeed {
  address: string
  title: string
}

const parser = new XMLParser({
  ignoreAttributes: false,
  attributeNamePrefix: '@',
  // Only the five entities of XML itself: declared ones may expand without end.
  processEntities: false,
  htmlEntities: false,
})

const decode = (text: unknown) => cleanLine(decodeXML(typeof text === 'string' ? text : ''), 2000)

/** The feeds of an OPML 2.0 list, outlines in outlines included, each address once. @throws Refusal opmlUnreadable */
export function readOpml(document: string): ListedFeed[] {
  if (/<!DOCTYPE/i.test(document.slice(0, 5000)) || /<!ENTITY/i.test(document))
    throw new Refusal('opmlUnreadable', {
      fields: [fieldProblem('document', 'ownEntities')],
    })
  let root: { opml?: { body?: unknown } }
  try {
    root = parser.parse(document, true) as typeof root
  } catch (error) {
    throw new Refusal('opmlUnreadable', {}, { cause: error })
  }
  if (!root.opml?.body) throw new Refusal('opmlUnreadable')
  const feeds = new Map<string, ListedFeed>()
  // A stack and no recursion: nesting is the file's choice.
  const open: unknown[] = [root.opml.body]
  while (open.length) {
    const node = open.pop() as Record<string, unknown>
    const outlines = node?.outline
    for (const outline of Array.isArray(outlines) ? [...outlines].reverse() : outlines ? [outlines] : [])
      open.push(outline)
    const address = decode(node?.['@xmlUrl'])
    if (address && !feeds.has(address))
      feeds.set(address, {
        address,
        title: cutText(decode(node['@title'] ?? node['@text']), 80),
      })
  }
  if (feeds.size > feedLimit)
    throw new Refusal('opmlUnreadable', {
      fields: [fieldProblem('document', 'manyFeeds', { values: { n: feeds.size, most: feedLimit } })],
    })
  return [...feeds.values()]
}
