import { personalPlaces } from './checkReply.ts'
import { greetings } from './replyWords.ts'

const greetingLine = new RegExp(
  String.raw`^([ \t]*(?:${greetings.join('|')})[ \t]+)((?:(?:Mr|Mrs|Ms|Miss|Mx|Dr|Madame|Monsieur|Mme|Herr|Frau|Señora?|Sra|Sr)\.?[ \t]+)*\p{Lu}[\p{L}'’-]+(?:[ \t]+\p{Lu}[\p{L}'’-]+){0,2})`,
  'u',
)

/**
 * An earlier answer as the start of another: it greets the one who is answered now, what belonged to the other one is left as a gap
 * that the check before sending finds, and its sign-off is taken off.
 *
 * @param name what the one who is answered now is called; null: it is not known
 * @param signOffs texts that may stand at its end
 * @example startFrom('Dear Perrin,\nyour booking SKF-20411 is changed.', { name: 'Hester', signOffs: [] }) // "Dear Hester,\nyour booking [reference] is changed."
 */
export function startFrom(
  answer: string,
  { name, signOffs }: { name: string | null; signOffs: readonly string[] },
): string {
  let text = answer.trimEnd()
  const last = signOffs.find((each) => each && text.endsWith(each))
  if (last !== undefined) text = text.slice(0, -last.length).trimEnd()
  for (const { what, start, end } of personalPlaces(text).reverse())
    text = `${text.slice(0, start)}[${what}]${text.slice(end)}`
  return text.replace(greetingLine, (whole, greeting: string) =>
    name === null ? greeting.trimEnd() : `${greeting}${name}`,
  )
}
