import type { RouteName } from '@murrabel/contract'
import { createBrand } from '@murrabel/server'
import { ingest } from '../../src/services/intake/ingest.ts'
import type { IngestProfile } from '../../src/store/queries/intake/ingest.ts'
import { password, settled, type TestWorld } from './world.ts'

/** Words that stand only in what belongs to another place, and to another brand: nobody else may ever be shown them. */
export const hiddenWord = 'ospreyhidden'
export const otherWord = 'kestrelother'

/** Ids of things of one owner, by what they are. */
export interface Things {
  thread: number
  entry: number
  action: number
  event: number
  watch: number
  group: number
  alert: number
  profile: number
  publicProfile: number
  account: number
  person: number
  join: number
  way: number
  visit: number
  request: number
  invitation: number
  session: number
  /** A place that nothing belongs to. */
  placeItself: number
  key: number
  door: number
  team: number
  hook: number
  delivery: number
  place: number | null
  followUp: number
  lens: number
  pattern: number
  signOff: number
  ownLine: number
  approval: number
  note: number
  import: number
  attachment: number
  picture: number
  /** A file that somebody put beside an answer that has not gone out. */
  waiting: number
  tag: number
  colleague: number
  feed: string
}

export interface TwoBrands {
  /** Of the place whose manager is Ness, of another place of the same brand, and of the other brand. */
  own: Things
  hidden: Things
  other: Things
}

/** What stands in the path of each route. */
export const thingOf: Partial<Record<RouteName, Exclude<keyof Things, 'place'>>> = {
  correct: 'entry',
  thread: 'thread',
  reply: 'thread',
  threadEvent: 'thread',
  undo: 'thread',
  give: 'thread',
  prioritise: 'thread',
  mergeable: 'thread',
  merge: 'thread',
  split: 'thread',
  changeReply: 'entry',
  takeBackReply: 'entry',
  reportEntry: 'entry',
  retryAction: 'action',
  cancelAction: 'action',
  updateWatch: 'watch',
  deleteWatch: 'watch',
  restoreWatch: 'watch',
  markHits: 'watch',
  pauseWatch: 'watch',
  copyWatch: 'watch',
  watchFeedState: 'watch',
  watchFeed: 'watch',
  watchFeedOff: 'watch',
  updateGroup: 'group',
  deleteGroup: 'group',
  removePublicProfile: 'publicProfile',
  voice: 'account',
  changeVoice: 'account',
  person: 'person',
  changePerson: 'person',
  changePlace: 'placeItself',
  removePlace: 'placeItself',
  changeColleague: 'colleague',
  leave: 'colleague',
  liftSecondFactor: 'colleague',
  takeBackInvitation: 'invitation',
  endSession: 'session',
  askHandOut: 'person',
  handOut: 'person',
  erasePerson: 'person',
  removeKey: 'key',
  renewDoor: 'door',
  removeDoor: 'door',
  setAbsence: 'colleague',
  endAbsence: 'colleague',
  changeTeam: 'team',
  removeTeam: 'team',
  changeHook: 'hook',
  renewHook: 'hook',
  removeHook: 'hook',
  tryHook: 'hook',
  hookDeliveries: 'hook',
  sendAgain: 'delivery',
  addVisit: 'person',
  changeVisit: 'person',
  removeVisit: 'person',
  threadVisits: 'thread',
  sayVisit: 'thread',
  addWay: 'person',
  changeWay: 'person',
  removeWay: 'person',
  undoJoin: 'join',
  followUpsOf: 'thread',
  addFollowUp: 'thread',
  changeFollowUp: 'followUp',
  finishFollowUp: 'followUp',
  reopenFollowUp: 'followUp',
  removeFollowUp: 'followUp',
  changeLens: 'lens',
  changePattern: 'pattern',
  removePattern: 'pattern',
  changeSignOff: 'signOff',
  removeSignOff: 'signOff',
  replyStarts: 'thread',
  askApproval: 'thread',
  decideApproval: 'approval',
  takeBackApproval: 'approval',
  changeOwnLine: 'ownLine',
  removeOwnLine: 'ownLine',
  removeLens: 'lens',
  keepDraft: 'thread',
  checkReply: 'thread',
  addNote: 'thread',
  changeNote: 'note',
  removeNote: 'note',
  restoreNote: 'note',
  updateAlert: 'alert',
  deleteAlert: 'alert',
  restoreAlert: 'alert',
  alertEvents: 'alert',
  alertFeed: 'alert',
  alertFeedOff: 'alert',
  collectNow: 'profile',
  disconnect: 'profile',
  itemsApart: 'profile',
  chat: 'profile',
  changeChat: 'profile',
  writing: 'thread',
  handOff: 'thread',
  takeBackHandOff: 'thread',
  picture: 'picture',
  tryApartAgain: 'profile',
  importState: 'import',
  startImport: 'import',
  attachment: 'attachment',
  attachmentPreview: 'attachment',
  dropAttachment: 'waiting',
  mailHtml: 'entry',
  mailPicture: 'entry',
  dropImport: 'import',
}

/** A second brand, and colleagues who see a part of the first, with something of everything for each. */
export async function twoBrands(world: TestWorld): Promise<TwoBrands> {
  const { context } = world.server
  const { db } = context
  const otherId = await createBrand(db, {
    name: `Orrin Sound Kayaks ${otherWord}`,
    zone: 'Europe/London',
    languages: ['en'],
    places: [{ name: 'Shingle Bay', address: '', phone: '', week: null }],
    colleagues: [{ email: 'bryn@skerrivane.example', name: 'Bryn Tolland', password, role: 'owner' }],
  })
  await createBrand(db, {
    name: 'Nobody',
    zone: 'UTC',
    languages: ['en'],
    places: [],
    colleagues: ['ivo', 'edda', 'sorrel'].map((name) => ({
      email: `${name}@skerrivane.example`,
      name,
      password,
      role: 'lead' as const,
    })),
  })
  await db.rows(`DELETE FROM brands WHERE name = 'Nobody'`)
  const people = new Map(
    (await db.rows<{ id: number; email: string }>('SELECT id, email FROM colleagues')).map(
      ({ id, email }) => [email.split('@')[0]!, id],
    ),
  )
  const profileOf = async (brandId: number, placeId: number | null, name: string): Promise<IngestProfile> =>
    (await db.one<IngestProfile>(
      `INSERT INTO profiles (brand_id, place_id, channel, network, outside_id, name, status, hook_token, url) VALUES ($1, $2, 'pages', 'lanternpage', $3, $3, 'expired', $3, $4)
       RETURNING id, brand_id AS "brandId", place_id AS "placeId", channel, network`,
      [brandId, placeId, name, `https://lantern.example/${name}`],
    ))!
  const make = async (brandId: number, placeId: number, word: string, by: number): Promise<Things> => {
    const profile = await profileOf(brandId, placeId, `page-${word}`)
    await ingest(context, profile, [
      {
        outsideId: `n-${word}`,
        threadId: `conversation/${word}`,
        threadTitle: `Title ${word}`,
        kind: 'comment',
        direction: 'in',
        author: { outsideId: `a-${word}`, name: `Author ${word}` },
        text: `Terrible boat, nothing but ${word} ${word} again`,
        at: Date.now() - 3_600_000,
        raw: {},
      },
    ])
    const one = async (sql: string, bind: unknown[]) =>
      (await db.one<{ id: number }>(`${sql} RETURNING id`, bind))!.id
    const thread = (await db.one<{ id: number }>('SELECT id FROM threads WHERE profile_id = $1', [
      profile.id,
    ]))!.id
    const entry = (await db.one<{ id: number }>('SELECT id FROM entries WHERE profile_id = $1', [
      profile.id,
    ]))!.id
    const account = (await db.one<{ id: number }>('SELECT account_id AS id FROM entries WHERE id = $1', [
      entry,
    ]))!.id
    const person = (await db.one<{ id: number }>('SELECT person_id AS id FROM accounts WHERE id = $1', [
      account,
    ]))!.id
    const twin = await one(
      `INSERT INTO people (id, brand_id, shown_as, name, note) VALUES (nextval('people_id_seq'), $1, $2, $3, $3)`,
      [brandId, person, `Twin ${word}`],
    )
    const join = await one(
      `INSERT INTO person_joins (brand_id, one, other, reasons) VALUES ($1, $2, $3, '[]')`,
      [brandId, person, twin],
    )
    const way = await one(
      `INSERT INTO person_ways (brand_id, person_id, kind, value) VALUES ($1, $2, 'email', $3)`,
      [brandId, person, `${word}@customers.example`],
    )
    const visit = await one(
      `INSERT INTO visits (brand_id, person_id, shown_as, outside_id, at, place_id, state, source, told_at)
       VALUES ($1, $2, $2, $3, now(), $4, 'done', 'file', now())`,
      [brandId, person, word, profile.placeId],
    )
    const request = await one(
      `INSERT INTO data_requests (brand_id, kind, person_id, asked_by, counts) VALUES ($1, 'handOut', $2, 'they', '{}')`,
      [brandId, person],
    )
    const placeItself = await one(`INSERT INTO places (brand_id, name) VALUES ($1, $2)`, [
      brandId,
      `Bare ${word}`,
    ])
    const invitation = await one(
      `INSERT INTO invitations (brand_id, email, role, token_hash, ends_at) VALUES ($1, $2, 'reader', sha256($3::bytea), now() + interval '1 day')`,
      [brandId, `${word}@guests.example`, word],
    )
    const session = await one(
      `INSERT INTO sessions (token_hash, colleague_id, brand_id, expires_at) VALUES (sha256($1::bytea), $2, $3, now() + interval '1 day')`,
      [`session ${word}`, by, brandId],
    )
    const accessKey = await one(
      `INSERT INTO access_keys (brand_id, colleague_id, name, token_hash, ending, rights, ends_at)
       VALUES ($1, $2, $3, sha256($4::bytea), 'abcd', '{look}', now() + interval '1 day')`,
      [brandId, by, word, word],
    )
    const hook = await one(
      `INSERT INTO event_hooks (brand_id, name, target, secret_sealed, events) VALUES ($1, $2, 'https://elsewhere.example', '', '{person.erased}')`,
      [brandId, `hook ${word}`],
    )
    const delivery = await one(
      `INSERT INTO hook_deliveries (hook_id, event, state) VALUES ($1, 'test', 'sent')`,
      [hook],
    )
    const team = await one('INSERT INTO teams (brand_id, name) VALUES ($1, $2)', [brandId, `team ${word}`])
    const door = await one(
      `INSERT INTO customer_doors (brand_id, name, token, secret_sealed) VALUES ($1, $2, $2, '')`,
      [brandId, word],
    )
    const followUp = await one(
      `INSERT INTO follow_ups (brand_id, thread_id, person_id, kind, what, due_at) VALUES ($1, $2, $3, 'followUp', $4, now())`,
      [brandId, thread, person, `Call ${word}`],
    )
    const pattern = await one(
      `INSERT INTO patterns (brand_id, name, name_key, made_by) VALUES ($1, $2, $2, $3)`,
      [brandId, `pattern ${word}`, by],
    )
    await db.rows(`INSERT INTO pattern_texts VALUES ($1, 'und', $2)`, [pattern, `Sorry, ${word}`])
    const approval = await one(
      `INSERT INTO approvals (brand_id, thread_id, by_id, text, key, asked_at) VALUES ($1, $2, $3, $4, gen_random_uuid(), now())`,
      [brandId, thread, by, `Approve ${word}`],
    )
    const ownLine = await one(`INSERT INTO own_lines (brand_id, colleague_id, text) VALUES ($1, $2, $3)`, [
      brandId,
      by,
      `Line ${word}`,
    ])
    const signOff = await one(`INSERT INTO sign_offs (brand_id, text) VALUES ($1, $2)`, [
      brandId,
      `Signed ${word}`,
    ])
    const lens = await one(
      `INSERT INTO kept_lenses (brand_id, colleague_id, name, lens, made_by) VALUES ($1, $2, $3, $4, $2)`,
      [brandId, by, `lens ${word}`, `words=${word}`],
    )
    const note = await one(
      `INSERT INTO notes (thread_id, colleague_id, text, at) VALUES ($1, $2, $3, now())`,
      [thread, by, `Note on ${word}`],
    )
    await db.rows(
      `INSERT INTO notices (brand_id, colleague_id, kind, thread_id, note_id, at) SELECT $1, colleague_id, 'mention', $2, $3, now() FROM memberships WHERE brand_id = $1`,
      [brandId, thread, note],
    )
    const group = await one(`INSERT INTO watch_groups (brand_id, name, kind) VALUES ($1, $2, 'brand')`, [
      brandId,
      word,
    ])
    const watch = await one(
      `INSERT INTO watches (brand_id, name, query, group_id, feed_token, feed_by) VALUES ($1, $2, $3, $4, $5, $6)`,
      [
        brandId,
        `Watch ${brandId}`,
        JSON.stringify({ anyOf: [{ text: 'boat' }] }),
        group,
        `watch-${word}`,
        by,
      ],
    )
    const alert = await one(
      `INSERT INTO alerts (brand_id, name, lens, condition, quiet_minutes, emails, feed_token, created_by, active) VALUES ($1, $2, '', '{"kind":"any"}', 60, $3, $4, $5, false)`,
      [brandId, `Alert ${word}`, [`${word}@skerrivane.example`], `alert-${word}`, by],
    )
    await db.rows(
      `INSERT INTO alert_events (alert_id, brand_id, kind, at, detail) VALUES ($1, $2, 'begin', now(), $3)`,
      [
        alert,
        brandId,
        JSON.stringify({ text: `told of ${word}`, link: '/watch', condition: { kind: 'any' } }),
      ],
    )
    const action = await one(
      `INSERT INTO outside_actions (brand_id, profile_id, thread_id, kind, key, target, payload, cause, state) VALUES ($1, $2, $3, 'reply', gen_random_uuid(), '{}', $4, 'colleague', 'failed')`,
      [brandId, profile.id, thread, JSON.stringify({ text: `reply of ${word}` })],
    )
    const event = await one(
      `INSERT INTO events (brand_id, subject, subject_id, thread_id, actor, kind, before, edition) VALUES ($1, 'thread', $2, $2, 'system', 'give', '{"state":"open","setAsideUntil":null,"givenTo":null}', 1)`,
      [brandId, thread],
    )
    const tag = await one('INSERT INTO tags (brand_id, name) VALUES ($1, $2)', [
      brandId,
      `tag ${brandId}-${placeId}`,
    ])
    const importId = await one(
      `INSERT INTO imports (brand_id, kind, name, document) VALUES ($1, 'feed', $2, '<rss/>')`,
      [brandId, word],
    )
    const key = await context.files.put(Buffer.from(`file of ${word}`))
    const file =
      'INSERT INTO attachments (brand_id, name, type, bytes, file, preview, entry_id, colleague_id)'
    const attachment = await one(`${file} VALUES ($1, $2, 'text/plain', 9, $3, $3, $4, NULL)`, [
      brandId,
      word,
      key,
      entry,
    ])
    const picture = await one(
      `INSERT INTO pictures (entry_id, position, address, alt, preview) VALUES ($1, 0, 'http://127.0.0.1:1/x.png', $2, $3)`,
      [entry, word, key],
    )
    const waiting = await one(`${file} VALUES ($1, $2, 'text/plain', 9, $3, $3, NULL, $4)`, [
      brandId,
      word,
      key,
      by,
    ])
    await db.rows(
      `INSERT INTO mails (entry_id, profile_id, envelope, folded, html) VALUES ($1, $2, '{}', $3, $3)`,
      [entry, profile.id, word],
    )
    const publicProfile = await one(
      `INSERT INTO public_profiles (brand_id, channel, network, name, url) VALUES ($1, 'pages', 'lanternpage', $2, $3)`,
      [brandId, `public ${word}`, `https://lantern.example/page-${word}`],
    )
    await db.rows(
      'INSERT INTO marks (watch_id, entry_id, on_topic, colleague_id) VALUES ($1, $2, true, $3)',
      [watch, entry, by],
    )
    return {
      attachment,
      picture,
      waiting,
      thread,
      entry,
      action,
      event,
      watch,
      group,
      alert,
      profile: profile.id,
      publicProfile,
      account,
      person,
      join,
      way,
      visit,
      request,
      invitation,
      session,
      placeItself,
      key: accessKey,
      door,
      team,
      hook,
      delivery,
      place: profile.placeId,
      followUp,
      lens,
      pattern,
      signOff,
      ownLine,
      approval,
      note,
      import: importId,
      tag,
      colleague: by,
      feed: `alert-${word}`,
    }
  }
  const [ellery, dunmarrow, bay] = (
    await db.rows<{ id: number }>(
      `SELECT id FROM places WHERE name IN ('Port Ellery', 'Dunmarrow', 'Shingle Bay') ORDER BY id`,
    )
  ).map(({ id }) => id)
  const own = await make(1, dunmarrow!, 'ternopen', people.get('ness')!)
  const hidden = await make(1, ellery!, hiddenWord, people.get('wynn')!)
  const other = await make(otherId, bay!, otherWord, people.get('bryn')!)
  const join = (name: string, role: string, places: number[] | null, profiles: number[] | null) =>
    db.rows(
      'INSERT INTO memberships (colleague_id, brand_id, role, place_ids, profile_ids) VALUES ($1, 1, $2, $3, $4)',
      [people.get(name), role, places, profiles],
    )
  await join('ivo', 'lead', null, null)
  await join('edda', 'lead', [dunmarrow!], null)
  await join('sorrel', 'reader', null, [own.profile])
  await db.rows(
    `INSERT INTO due_work (kind, subject, owner) SELECT 'watchHistory', id::text, 'brand' FROM brands ON CONFLICT DO NOTHING`,
  )
  await db.rows('UPDATE watches SET history_total = 1')
  await settled(world)
  return { own, hidden, other }
}
