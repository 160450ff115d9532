import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import {
  demoClient,
  noFaults,
  startReviewSite,
  startTextmast,
  type ReviewSite,
  type Textmast,
} from '@murrabel/standins'
import type { Database } from '@murrabel/server'
import { chatVisitors } from './chatVisitors.ts'
import type { Caller, TestWorld } from './world.ts'

/** Whose profiles are connected by OAuth. */
const connected = ['lanternpage', 'wherabout', 'fivefold', 'skimmer', 'talkstead', 'textmast'] as const
const ownNumber = '+447700900100'
export const ownAddress = 'hello@skerrivane.example'
const asForm = (address: string, form: Record<string, string>) =>
  fetch(address, { method: 'POST', body: new URLSearchParams(form), redirect: 'manual' })

/** What stands on a network, by whether it is ours: texts, each of which is said once in the whole world. */
export type Standing = Record<string, { theirs: string[]; ours: string[] }>

export interface LivingWorld {
  networks: readonly string[]
  /** Connects a profile on each. */
  connect(call: Caller): Promise<void>
  /** Somebody says something new somewhere. */
  say(): Promise<void>
  /** Somebody changes what they said, or takes it away. */
  change(): void
  /** One network begins to fail in one way; whatever was wrong with it before is over. */
  fault(): void
  calm(): void
  /** A network is cut off in the middle of whatever it does, and comes back with what it had written down. */
  kill(): Promise<void>
  outside(): Promise<Standing>
  close(): Promise<void>
}

/**
 * People on every kind of network, and networks that fail.
 *
 * @param random 0 to 1
 * @param own.address of the server that visitors of the brand's own site talk to
 */
export async function livingWorld(
  world: TestWorld,
  random: () => number,
  { address: own }: { address: string },
): Promise<LivingWorld> {
  const folder = await mkdtemp(join(tmpdir(), 'murrabel-world-'))
  const journal = (name: string) => join(folder, `${name}.jsonl`)
  let fivefold = await startReviewSite('fivefold', { journalFile: journal('fivefold') })
  const startTexts = (port = 0) => startTextmast({ deliveryMs: 20, port, journalFile: journal('textmast') })
  let textmast = await startTexts()
  const { lanternpage, wherabout, skimmer, talkstead, mailroom } = world
  const box = mailroom.mailbox(ownAddress, 'ferry')
  const mailed: string[] = []
  const visitors = chatVisitors(own, random)
  const mail = () => {
    const name = somebody()
    const text = words()
    const before = random() < 0.3 ? pick(box.mails) : undefined
    const answered = /^Message-ID: (<[^>]+>)/m.exec(before?.source.toString() ?? '')?.[1]
    mailed.push(text)
    mailroom.put(
      ownAddress,
      [
        `From: ${name} <${name.replace(' ', '')}@customers.example>`,
        `To: ${ownAddress}`,
        `Subject: Mail ${mailed.length}`,
        `Message-ID: <${mailed.length}@customers.example>`,
        `Date: ${new Date().toUTCString()}`,
        ...(answered ? [`In-Reply-To: ${answered}`] : []),
        '',
        text,
        '',
      ].join('\r\n'),
    )
  }
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  const address = { street: '1', town: 'Port Ellery', phone: '' }
  lanternpage.state.add({ op: 'page', id: 'skerrivane', name: 'Skerrivane Ferries' })
  wherabout.state.add({ op: 'business', id: 'ellery', name: 'Skerrivane Ferries, Port Ellery', ...address })
  fivefold.state.add({ op: 'business', id: 'skerrivane', name: 'Skerrivane Ferries', ...address })
  for (const net of [skimmer, talkstead])
    net.state.add({ op: 'account', id: 'skerrivane', name: 'Skerrivane Ferries', handle: 'skerrivane' })
  textmast.state.add({ op: 'number', id: ownNumber, name: 'Sound of Orrin line' })
  world.config.networks.push(
    { network: 'fivefold', name: 'Fivefold', channel: 'reviews', address: fivefold.address, ...demoClient },
    { network: 'textmast', name: 'Textmast', channel: 'texts', address: textmast.address, ...demoClient },
  )
  let said = 0
  /** Whose turn it is: every network says as much as the others. */
  let turn = 0
  /** Not the last of it, so that there is something to compare on every network. */
  const goes = (items: readonly unknown[]) => items.length > 2 && random() < 0.3
  const words = () => `Saying ${++said} about the crossing, number ${said}.`
  const somebody = () => `Person ${Math.floor(random() * 40)}`
  const review = (site: ReviewSite, business: string) =>
    asForm(`${site.address}/businesses/${business}`, {
      name: somebody(),
      rating: String(1 + Math.floor(5 * random())),
      title: 'A title',
      text: words(),
    })
  const post = (net: typeof skimmer) => {
    const name = somebody()
    net.publish({
      author: { id: name, name, handle: name.replace(' ', '') },
      content: `@skerrivane ${words()}`,
      published: new Date().toISOString(),
    })
  }
  const say: (() => unknown)[] = [
    () => asForm(`${lanternpage.address}/pages/skerrivane/messages`, { name: somebody(), content: words() }),
    () => review(wherabout, 'ellery'),
    () => review(fivefold, 'skerrivane'),
    () => post(skimmer),
    () => post(talkstead),
    mail,
    () => visitors.say(words()),
    () =>
      textmast.text({
        number: ownNumber,
        from: `+44770090${String(1000 + Math.floor(random() * 40))}`,
        // Every third travels in parts.
        text: random() < 0.33 ? `${words()} ${'And so on. '.repeat(30)}${said}` : words(),
      }),
  ]
  const at = () => new Date().toISOString()
  const boards = () =>
    [lanternpage, wherabout, fivefold, skimmer, talkstead, textmast].map(({ board }) => board)
  return {
    networks: [...connected, 'email', 'chat'],
    async connect(call) {
      for (const network of connected) await world.connect(call, network)
      await visitors.connect(call)
      const server = { host: '127.0.0.1', secure: false, user: ownAddress, password: 'ferry' }
      await call('POST', '/api/profiles/email', {
        address: ownAddress,
        name: 'Skerrivane Ferries',
        imap: { ...server, port: mailroom.imapPort },
        smtp: { ...server, port: mailroom.smtpPort },
      })
    },
    async say() {
      await say[turn++ % say.length]!()
    },
    change() {
      const isTheirs = ({ author }: { author: { id: string } }) => author.id !== 'skerrivane'
      const reviews = fivefold.state.itemsOf('skerrivane').filter(({ op }) => op === 'review')
      for (const [net, notes] of [
        [lanternpage, lanternpage.state.notesOf('skerrivane').filter(isTheirs)],
        [skimmer, skimmer.state.visible().filter(isTheirs)],
      ] as const)
        if (notes.length) {
          const { id } = pick(notes as readonly { id: string }[])
          const content = `${net === skimmer ? '@skerrivane ' : ''}${words()}`
          net.change(goes(notes) ? { op: 'deletion', id, at: at() } : { op: 'edit', id, content, at: at() })
        }
      if (reviews.length) {
        const { id } = pick(reviews)
        fivefold.change(
          goes(reviews) ? { op: 'deletion', id, at: at() } : { op: 'edit', id, text: words(), at: at() },
        )
      }
    },
    fault() {
      if (random() < 1 / 7) {
        mailroom.imapFaults.drop = random() < 0.5
        mailroom.refuseWith(random() < 0.5 ? 451 : 0)
        mailroom.loseAnswers(2)
        return
      }
      const board = pick(boards())
      board.faults = {
        ...noFaults,
        ...pick([
          { requestsPerWindow: 4 },
          { timeouts: 1 },
          { failures: 3 },
          { lostAnswers: 2 },
          { doubleDeliveries: true },
          { reorderDeliveries: true, doubleDeliveries: true },
          {},
        ]),
      }
    },
    calm() {
      mailroom.imapFaults.drop = false
      mailroom.refuseWith(0)
      mailroom.loseAnswers(0)
      for (const board of boards()) board.faults = { ...noFaults }
    },
    async kill() {
      const port = ({ address: at }: { address: string }) => Number(new URL(at).port)
      if (random() < 0.5) {
        await fivefold.close()
        fivefold = await startReviewSite('fivefold', {
          port: port(fivefold),
          journalFile: journal('fivefold'),
        })
      } else {
        await textmast.close()
        textmast = await startTexts(port(textmast))
      }
    },
    outside: async () => ({
      ...outsideOf({ world, fivefold, textmast }),
      chat: await visitors.boxes(),
      email: {
        theirs: mailed,
        ours: mailroom.mails.filter(({ from }) => from.includes(ownAddress)).map(({ text }) => text.trim()),
      },
    }),
    async close() {
      await Promise.all([fivefold.close(), textmast.close()])
      await rm(folder, { recursive: true, force: true })
    },
  }
}

function outsideOf({
  world: { lanternpage, wherabout, skimmer, talkstead },
  fivefold,
  textmast,
}: {
  world: TestWorld
  fivefold: ReviewSite
  textmast: Textmast
}): Standing {
  const divided = <T>(items: readonly T[], isOurs: (item: T) => boolean, textOf: (item: T) => string) => ({
    theirs: items.filter((item) => !isOurs(item)).map(textOf),
    ours: items.filter(isOurs).map(textOf),
  })
  const site = ({ state }: ReviewSite, business: string) =>
    divided(
      state.itemsOf(business),
      ({ op }) => op === 'answer',
      ({ text }) => text,
    )
  const net = ({ state }: TestWorld['skimmer']) =>
    divided(
      state.visible(),
      ({ author }) => author.id === 'skerrivane',
      ({ content }) => content,
    )
  const texts = [...textmast.state.texts.values()]
  const wholes = new Map<string, string>()
  for (const { from, part, text, id } of texts) {
    const whole = part ? `${from} ${part.reference}` : id
    wholes.set(whole, (wholes.get(whole) ?? '') + text)
  }
  return {
    lanternpage: divided(
      lanternpage.state.notesOf('skerrivane'),
      ({ author }) => author.id === 'skerrivane',
      ({ content }) => content,
    ),
    wherabout: site(wherabout, 'ellery'),
    fivefold: site(fivefold, 'skerrivane'),
    skimmer: net(skimmer),
    talkstead: net(talkstead),
    textmast: {
      theirs: [...wholes.values()].filter((text) => text.startsWith('Saying')),
      ours: texts.filter(({ from }) => from === ownNumber).map(({ text }) => text),
    },
  }
}

/** What the database holds of each network. */
export async function insideOf(db: Database, networks: readonly string[]): Promise<Standing> {
  const rows = await db.rows<{ network: string; ours: boolean; text: string }>(
    `SELECT p.network, e.direction = 'out' AS ours, e.text
     FROM entries e
     JOIN profiles p ON p.id = e.profile_id
     WHERE e.deleted_at IS NULL AND NOT e.withdrawn`,
  )
  const texts = (network: string, ours: boolean) =>
    rows.filter((row) => row.network === network && row.ours === ours).map(({ text }) => text)
  return Object.fromEntries(
    networks.map((network) => [network, { theirs: texts(network, false), ours: texts(network, true) }]),
  )
}
