import EmailReplyParser from 'email-reply-parser'

/** The words of a mail, and what is folded below them: what it quotes, and how its writer signs. */
export interface FoldedMail {
  said: string
  folded: string
}

/** Texts longer than this are not taken apart: the time for it grows with the square. Characters. */
const longest = 20_000
/** No line above a quote is longer; the library looks for them in time that grows with the fourth power of a line. Characters. */
const longestLine = 300

/**
 * Lines that begin as the library's heads of quotes do, and words of which it looks for each after each of them: of a few
 * that is nothing, of thousands it is minutes. Nobody quotes so often; what does is left whole.
 */
const headBegins = /^[ \t]*(?:(?:On|Le|El|Il|Em|Am|Op|W dniu|Dnia|Den|pe|\p{Ll}{3,4}\.)\s|在)/gmu
const headEnds = /schreef|skrev/g
const mostHeads = 60
const mostPairs = 500

/** Many empty lines are as good as one, and cost the library seconds. */
const withoutGaps = (text: string) =>
  text
    .split('\n')
    .map((line) => line.trimEnd())
    .join('\n')
    .replace(/\n{3,}/g, '\n\n')

function hasManyHeads(text: string): boolean {
  const heads = text.match(headBegins)?.length ?? 0
  return heads > mostHeads || heads * (text.match(headEnds)?.length ?? 0) > mostPairs
}

/** A text whose long lines stand for themselves by a number, and the way back; how far they are quoted stays to be seen. */
function longLinesAside(text: string): { short: string; whole: (part: string) => string } {
  let code = 0xe000
  while (text.includes(String.fromCodePoint(code))) code++
  const mark = String.fromCodePoint(code)
  const aside: string[] = []
  const short = text
    .split('\n')
    .map((line) => {
      if (line.length <= longestLine) return line
      const quoted = /^[> \t]{0,40}/.exec(line)![0]
      aside.push(line.slice(quoted.length))
      return `${quoted}${mark}${aside.length - 1}${mark}`
    })
    .join('\n')
  const number = new RegExp(`${mark}(\\d+)${mark}`, 'gu')
  return { short, whole: (part) => part.replace(number, (_, i) => aside[Number(i)]!) }
}

/** Lines that programs put above a mail they quote whole, which the library does not know in all our languages. */
const quoteHead = new RegExp(
  [
    // "-----Original Message-----" and its sisters.
    String.raw`^-{2,} ?(?:original message|ursprüngliche nachricht|message d['’]origine|mensaje original|messaggio originale|forwarded message|weitergeleitete nachricht|message transféré|mensaje reenviado|messaggio inoltrato) ?-{2,}$`,
    // A block of sender and date.
    String.raw`^\*?(?:from|von|de|da)\*? ?: .{1,200}\n\*?(?:sent|date|gesendet|datum|envoyé|enviado(?: el)?|fecha|inviato|data)\*? ?: `,
  ].join('|'),
  'imu',
)

/**
 * Takes a mail's text apart: what its writer says, and what follows it of quoted mails and signature. Answers between the
 * lines of a quote stay where they are, with the lines. A mail of nothing but a quote is all said.
 *
 * @param given plain text of the mail
 */
export function foldMail(given: string): FoldedMail {
  const text = withoutGaps(given)
  if (text.length > longest || hasManyHeads(text)) return { said: text.trim(), folded: '' }
  const at = text.search(quoteHead)
  // At the very beginning it is no quote that is answered, but all there is.
  const own = at > 0 && text.slice(0, at).trim() ? text.slice(0, at) : text
  const below = text.slice(own.length)
  const { short, whole } = longLinesAside(own.trimEnd())
  const fragments = new EmailReplyParser().read(short).getFragments()
  const last = fragments.findLastIndex((each) => !each.isHidden() && each.getContent().trim())
  if (last < 0) return { said: text.trim(), folded: '' }
  const join = (some: typeof fragments) => whole(some.map((each) => each.getContent()).join('\n'))
  return {
    said: join(fragments.slice(0, last + 1)).trim(),
    folded: `${join(fragments.slice(last + 1))}\n${below}`.trim(),
  }
}
