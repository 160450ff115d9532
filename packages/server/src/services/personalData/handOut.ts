import { PassThrough, type Readable } from 'node:stream'
import yazl from 'yazl'
import { cutText } from '@murrabel/core/text'
import type { DataRequest, DataRequestDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import {
  handedEntries,
  handedNotes,
  insertRequest,
  isHandOutOf,
  requestsOf,
} from '../../store/queries/people/dataRequests.ts'
import { visitsOfPerson } from '../../store/queries/people/visits.ts'
import { membersOf } from '../../store/queries/people/joins.ts'
import { record } from '../log/index.ts'
import { personCard } from '../people/index.ts'
import { allAbout } from './about.ts'
import { pageOf, type HandedData } from './page.ts'

/** Visits of one person at most: all of them. */
const mostVisits = 100_000

export const listRequests = ({ db }: Pick<Context, 'db'>, reader: Reader): Promise<DataRequest[]> =>
  requestsOf(db, reader.brandId)

/** Writes down that somebody's data was asked for, and by whom. @throws Refusal notFound */
export function askHandOut(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  given: number,
  { askedBy }: DataRequestDraft,
): Promise<DataRequest> {
  return db.inTransaction(async (tx) => {
    const { person, counts } = await allAbout({ db }, reader, given, tx)
    const { brandId, colleagueId } = reader
    const request = await insertRequest(
      db,
      { brandId, kind: 'handOut', personId: person, askedBy, colleagueId, counts },
      tx,
    )
    await record(
      db,
      reader,
      { kind: 'handOutPerson', on: ['person', person], detail: { request: request.id, counts } },
      tx,
    )
    return request
  })
}

/**
 * All that is here about somebody as one ZIP file: `person.json` for programs, `person.html` for people, and the files they sent or
 * were sent. It is written while it is read. Of threads with others it holds what they said and what we answered them; what
 * colleagues noted there is of others as well, and stays out.
 *
 * @throws Refusal notFound for what was not asked for
 */
export async function handOut(
  context: Pick<Context, 'db' | 'now' | 'files' | 'log'>,
  reader: Reader,
  { id: given, request }: { id: number; request: number },
): Promise<Readable> {
  const { db, now } = context
  const people = await membersOf(db, [given])
  if (!(await isHandOutOf(db, { id: request, brandId: reader.brandId, people })))
    throw new Refusal('notFound')
  const about = await allAbout({ db }, reader, given)
  const card = await personCard({ db, now }, reader, given)
  const { visits } = await visitsOfPerson(db, reader, { person: about.person, limit: mostVisits })
  const entries = await handedEntries(
    db,
    about.entries.map(({ id }) => id),
  )
  const notes = await handedNotes(
    db,
    about.threads.filter(({ shared }) => !shared).map(({ id }) => id),
  )
  const data: HandedData = {
    format: 'murrabel-person',
    version: 1,
    at: new Date(now()).toISOString(),
    ...dataOf({ ...card, visits }, entries),
    notes: notes.map((note) => ({ ...note, at: note.at.toISOString() })),
  }
  const zip = new yazl.ZipFile()
  zip.addBuffer(Buffer.from(JSON.stringify(data, null, 2)), 'person.json')
  zip.addBuffer(Buffer.from(pageOf(data)), 'person.html')
  for (const { attachments } of entries)
    for (const { id, name, file } of attachments)
      zip.addReadStreamLazy(pathOf(id, name), (take) => {
        context.files.read(file).then(
          (stream) => take(null, stream),
          (error: unknown) => {
            // The others are handed out all the same; that one is missing stands in its place.
            context.log.warn({ err: error, attachment: id }, 'an attachment is missing')
            const missing = new PassThrough()
            missing.end('This file is no longer here.')
            take(null, missing)
          },
        )
      })
  zip.end()
  return zip.outputStream as Readable
}

/** Names of files are whatever somebody called them: of theirs only letters stay. */
const pathOf = (id: number, name: string): string =>
  `files/${id}-${
    cutText(
      name
        .replace(/[^\p{L}\p{N}.-]+/gu, '_')
        .replace(/[._]{2,}/g, '_')
        .replace(/^[._]+/, ''),
      80,
    ) || 'file'
  }`

function dataOf(
  card: Awaited<ReturnType<typeof personCard>>,
  entries: Awaited<ReturnType<typeof handedEntries>>,
): Omit<HandedData, 'format' | 'version' | 'at' | 'notes'> {
  return {
    person: {
      name: card.name,
      language: card.language,
      standing: card.standing,
      note: card.note,
      knownSince: card.since,
      otherNames: card.members.map(({ name }) => name).filter((name) => name !== card.name),
    },
    ways: card.ways.map(({ kind, value, consent, consentAt, consentHow }) => ({
      kind,
      value,
      consent,
      consentAt,
      consentHow,
    })),
    accounts: card.accounts.map(({ network, name, handle, url }) => ({ network, name, handle, url })),
    visits: card.visits.map(({ id: _id, edition: _edition, placeId: _place, ...visit }) => visit),
    followUps: card.followUps.map(({ what, dueAt, doneAt, outcome }) => ({ what, dueAt, doneAt, outcome })),
    entries: entries.map(({ attachments, at, direction, id: _id, ...entry }) => ({
      ...entry,
      by: direction === 'in' ? ('them' as const) : ('us' as const),
      at: at.toISOString(),
      files: attachments.map(({ id, name }) => ({ name, path: pathOf(id, name) })),
    })),
  }
}
