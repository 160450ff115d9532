import { SMTPServer, type SMTPServerDataStream } from 'smtp-server'
import { mailLimits } from '../connectors/index.ts'
import type { Context } from '../context.ts'
import { receiveMail, takesMail } from '../services/intake/index.ts'

export interface MailListener {
  port: number
  stop(): Promise<void>
}

const later = (error: unknown) =>
  Object.assign(new Error('not now; try again', { cause: error }), { responseCode: 451 })

/** A mail's bytes; null for one that is too large, of which nothing is kept: not every server says the size beforehand. */
async function bytesOf(stream: SMTPServerDataStream): Promise<Uint8Array | null> {
  let chunks: Uint8Array[] = []
  for await (const chunk of stream as AsyncIterable<Uint8Array>)
    if (stream.sizeExceeded) chunks = []
    else chunks.push(chunk)
  return stream.sizeExceeded ? null : new Uint8Array(Buffer.concat(chunks))
}

/**
 * Takes mail that other servers bring (SMTP, RFC 5321), for addresses that are profiles. A mail is taken when it is stored:
 * until then, and when something here fails, its server keeps it and tries again.
 */
export async function startMailListener(context: Context, port: number): Promise<MailListener> {
  const { log, config } = context
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS', 'AUTH'],
    size: mailLimits.bytes,
    maxClients: 50,
    socketTimeout: 60_000,
    logger: false,
    banner: 'Murrabel',
    onRcptTo({ address }, _session, done) {
      takesMail(context, address).then(
        (taken) =>
          taken ? done() : done(Object.assign(new Error('no such address here'), { responseCode: 550 })),
        (error: unknown) => done(later(error)),
      )
    },
    onData(stream, session, done) {
      const to = session.envelope.rcptTo.map(({ address }) => address)
      bytesOf(stream)
        .then(async (bytes) => {
          if (!bytes)
            return done(
              Object.assign(new Error(`at most ${mailLimits.bytes} bytes are taken`), { responseCode: 552 }),
            )
          await receiveMail(context, to, bytes)
          done()
        })
        .catch((error: unknown) => {
          log.warn({ err: error }, 'a mail was not taken')
          done(later(error))
        })
    },
  })
  server.on('error', (error) => log.warn({ err: error }, 'mail listener'))
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject)
    server.listen(port, config.host, () => resolve())
  })
  const at = server.server.address()
  return {
    port: typeof at === 'object' && at ? at.port : port,
    stop: () => new Promise((resolve) => server.close(() => resolve())),
  }
}
