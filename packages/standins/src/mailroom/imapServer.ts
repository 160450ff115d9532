import { createServer, type Server, type Socket } from 'node:net'

export interface BoxedMail {
  uid: number
  source: Buffer
  /** Epoch milliseconds. */
  at: number
}

export interface Mailbox {
  address: string
  password: string
  /** Another value says that the UIDs count anew. */
  validity: number
  /** What came. */
  mails: BoxedMail[]
  /** What went out. */
  sent: BoxedMail[]
}

export interface ImapFaults {
  /** Answers nothing, and keeps the connection. */
  hang: boolean
  /** Ends connections at the next command. */
  drop: boolean
  /** Refuses every password. */
  refuse: boolean
}

interface Session {
  socket: Socket
  box: Mailbox | null
  /** The open folder's mails. */
  open: BoxedMail[] | null
}

/** One argument of a command: an atom, a quoted text, or a parenthesised list as it stands. */
function argsOf(text: string): string[] {
  const found: string[] = []
  let depth = 0
  let part = ''
  let isQuoted = false
  for (let i = 0; i < text.length; i++) {
    const sign = text[i]!
    if (isQuoted && sign === '\\') {
      part += text[++i] ?? ''
    } else if (sign === '"') isQuoted = !isQuoted
    else if (!isQuoted && sign === ' ' && depth === 0) {
      found.push(part)
      part = ''
    } else {
      if (!isQuoted && (sign === '(' || sign === '[')) depth++
      if (!isQuoted && (sign === ')' || sign === ']')) depth--
      part += sign
    }
  }
  return [...found, part].filter((each, i, all) => each !== '' || i < all.length - 1)
}

function inSet(set: string, uid: number, last: number): boolean {
  return set.split(',').some((range) => {
    const [from = 0, to] = range.split(':').map((each) => (each === '*' ? last : Number(each)))
    const end = to ?? from
    return uid >= Math.min(from, end) && uid <= Math.max(from, end)
  })
}

const months = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ')
function dateOf(at: number): string {
  const d = new Date(at)
  const two = (n: number) => String(n).padStart(2, '0')
  return `${two(d.getUTCDate())}-${months[d.getUTCMonth()]}-${d.getUTCFullYear()} ${two(d.getUTCHours())}:${two(d.getUTCMinutes())}:${two(d.getUTCSeconds())} +0000`
}

/** Its FETCH answer (RFC 9051, 7.5.2), as far as clients of ours ask. */
function fetched({ source, uid, at }: BoxedMail, index: number, items: string): Buffer {
  const parts: (string | Buffer)[] = [`UID ${uid}`]
  if (/\bFLAGS\b/i.test(items)) parts.push('FLAGS ()')
  if (/\bINTERNALDATE\b/i.test(items)) parts.push(`INTERNALDATE "${dateOf(at)}"`)
  if (/\bRFC822\.SIZE\b/i.test(items)) parts.push(`RFC822.SIZE ${source.length}`)
  if (/\bBODY(?:\.PEEK)?\[\]/i.test(items))
    parts.push(Buffer.concat([Buffer.from(`BODY[] {${source.length}}\r\n`), source]))
  const chunks = [Buffer.from(`* ${index + 1} FETCH (`)]
  parts.forEach((part, i) => chunks.push(Buffer.from(i ? ' ' : ''), Buffer.from(part)))
  return Buffer.concat([...chunks, Buffer.from(')\r\n')])
}

type Command = (session: Session, args: string[], tag: string) => void

/** An IMAP server (RFC 9051, and RFC 3501 where clients are older) for reading one folder. */
export async function startImap(
  mailboxOf: (address: string) => Mailbox | undefined,
  faults: ImapFaults,
  port = 0,
): Promise<{ port: number; close(): Promise<void> }> {
  const say = ({ socket }: Session, ...lines: string[]) =>
    socket.write(lines.map((line) => `${line}\r\n`).join(''))
  const signIn = (session: Session, tag: string, user: string, password: string) => {
    const box = mailboxOf(user.toLowerCase())
    if (faults.refuse || !box || box.password !== password)
      return say(session, `${tag} NO [AUTHENTICATIONFAILED] user name or password is wrong`)
    session.box = box
    say(session, `${tag} OK signed in`)
  }
  const select: Command = (session, [folder = ''], tag) => {
    const { box } = session
    const mails = /^inbox$/i.test(folder) ? box?.mails : folder === 'Sent' ? box?.sent : undefined
    if (!box || !mails) return say(session, `${tag} NO there is no such folder`)
    session.open = mails
    const { validity } = box
    say(
      session,
      '* FLAGS (\\Seen)',
      `* ${mails.length} EXISTS`,
      `* OK [UIDVALIDITY ${validity}] it is`,
      `* OK [UIDNEXT ${(mails.at(-1)?.uid ?? 0) + 1}] it is`,
      `${tag} OK [READ-ONLY] opened`,
    )
  }
  const commands: Record<string, Command> = {
    CAPABILITY: (session, _args, tag) =>
      say(session, '* CAPABILITY IMAP4rev1 ID NAMESPACE SPECIAL-USE UNSELECT', `${tag} OK done`),
    ID: (session, _args, tag) => say(session, '* ID ("name" "Mailroom")', `${tag} OK done`),
    NOOP: (session, _args, tag) => say(session, `${tag} OK done`),
    NAMESPACE: (session, _args, tag) => say(session, '* NAMESPACE (("" "/")) NIL NIL', `${tag} OK done`),
    LIST: (session, _args, tag) =>
      say(
        session,
        '* LIST (\\HasNoChildren) "/" "INBOX"',
        '* LIST (\\HasNoChildren \\Sent) "/" "Sent"',
        `${tag} OK done`,
      ),
    LSUB: (session, _args, tag) =>
      say(session, '* LSUB () "/" "INBOX"', '* LSUB () "/" "Sent"', `${tag} OK done`),
    LOGIN: (session, [user = '', password = ''], tag) => signIn(session, tag, user, password),
    SELECT: select,
    EXAMINE: select,
    CLOSE: (session, _args, tag) => say(session, `${tag} OK done`),
    UNSELECT: (session, _args, tag) => say(session, `${tag} OK done`),
    UID: (session, [what = '', ...args], tag) => {
      const mails = session.open
      if (!mails) return say(session, `${tag} BAD no folder is open`)
      const last = mails.at(-1)?.uid ?? 0
      if (what.toUpperCase() === 'SEARCH') {
        const range = args.findIndex((each) => each.toUpperCase() === 'UID')
        const set = (range < 0 ? undefined : args[range + 1]) ?? '1:*'
        const header = args.findIndex((each) => each.toUpperCase() === 'HEADER')
        const [name = '', value = ''] = header < 0 ? [] : args.slice(header + 1)
        const bears = ({ source }: BoxedMail) =>
          header < 0 ||
          new RegExp(`^${name}: .*${value.replace(/[^\w@-]/g, '\\$&')}`, 'im').test(
            source.toString('latin1').split('\r\n\r\n')[0] ?? '',
          )
        const uids = mails.filter((mail) => inSet(set, mail.uid, last) && bears(mail)).map(({ uid }) => uid)
        return say(session, `* SEARCH${uids.map((uid) => ` ${uid}`).join('')}`, `${tag} OK done`)
      }
      if (what.toUpperCase() !== 'FETCH') return say(session, `${tag} BAD not known`)
      const [set = '', ...items] = args
      mails.forEach((mail, i) => {
        if (inSet(set, mail.uid, last)) session.socket.write(fetched(mail, i, items.join(' ')))
      })
      say(session, `${tag} OK done`)
    },
    LOGOUT: (session, _args, tag) => {
      say(session, '* BYE', `${tag} OK done`)
      session.socket.end()
    },
  }
  const sockets = new Set<Socket>()
  const server: Server = createServer((socket) => {
    const session: Session = { socket, box: null, open: null }
    sockets.add(socket)
    socket.on('close', () => sockets.delete(socket))
    socket.on('error', () => {})
    let buffer = Buffer.alloc(0)
    const obey = (line: string) => {
      if (faults.hang) return
      if (faults.drop) return socket.destroy()
      const [tag = '*', name = '', ...rest] = line.split(' ')
      const command = commands[name.toUpperCase()]
      if (command) command(session, argsOf(rest.join(' ')), tag)
      else say(session, `${tag} BAD not known`)
    }
    socket.on('data', (chunk: Buffer) => {
      buffer = Buffer.concat([buffer, chunk])
      for (;;) {
        const end = buffer.indexOf('\r\n')
        if (end < 0) return
        const line = buffer.toString('utf8', 0, end)
        // A literal (RFC 9051, 4.3): so many bytes follow, which are a part of the line.
        const literal = /\{(\d+)(\+?)\}$/.exec(line)
        if (literal) {
          const from = end + 2
          const size = Number(literal[1])
          if (buffer.length < from + size) {
            if (!literal[2] && buffer.length === from) socket.write('+ go on\r\n')
            return
          }
          const text = buffer.toString('utf8', from, from + size).replace(/[\\"]/g, '\\$&')
          buffer = Buffer.concat([
            Buffer.from(`${line.slice(0, literal.index)}"${text}"`),
            buffer.subarray(from + size),
          ])
          continue
        }
        buffer = buffer.subarray(end + 2)
        obey(line)
      }
    })
    if (!faults.hang) socket.write('* OK Mailroom\r\n')
  })
  await new Promise<void>((resolve) => server.listen(port, '127.0.0.1', resolve))
  const address = server.address()
  return {
    port: typeof address === 'object' && address ? address.port : port,
    close: () =>
      new Promise((resolve) => {
        for (const socket of sockets) socket.destroy()
        server.close(() => resolve())
      }),
  }
}
