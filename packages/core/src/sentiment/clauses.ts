const clauseEnd =
  /[.!?;…\n]+|,\s+(?=(?:but|and|yet|while|although|mais|et|pero|aunque|y|aber|und)\b)|\s+(?=(?:but|while|although|mais|pero|aber)\b)/giu

/** The clauses of a text: UTF-16 offsets. A text is cut at sentence ends and before words of contrast. */
export function clausesOf(text: string): { start: number; end: number }[] {
  const found: { start: number; end: number }[] = []
  let start = 0
  for (const mark of text.matchAll(clauseEnd)) {
    const end = mark.index + (/[.!?…]/.test(mark[0]) ? mark[0].length : 0)
    if (text.slice(start, end).trim()) found.push({ start, end })
    start = mark.index + mark[0].length
  }
  if (text.slice(start).trim()) found.push({ start, end: text.length })
  return found
}
