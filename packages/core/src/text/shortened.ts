/**
 * The beginning of a text on one line, cut between words, with an ellipsis where something was cut.
 *
 * @param most UTF-16 units of the answer, at least 3
 * @example shortened('The ferry was late again', 15) // 'The ferry was…'
 */
export function shortened(text: string, most: number): string {
  const line = text.replace(/\s+/g, ' ').trim()
  if (line.length <= most) return line
  const space = line.lastIndexOf(' ', most - 1)
  // A word that fills half of the room, or a script without spaces, is cut within; never within a surrogate pair.
  let end = space > most / 2 ? space : most - 1
  if (/[\ud800-\udbff]/.test(line[end - 1] ?? '')) end--
  return `${line.slice(0, end).replace(/[\s,;:.\-–]+$/, '')}…`
}
