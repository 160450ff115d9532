/**
 * Whom a note goes to alone (ActivityStreams 2.0: "to" without everybody): undefined when it is for all, null when that is
 * somebody other than the author of what it answers.
 */
export function privateTo({ to }: { to?: string[] }, author: string): string | undefined | null {
  if (!to?.length || to.some((each) => each.endsWith('#Public'))) return undefined
  return to.length === 1 && decodeURIComponent(to[0]!.split('/').pop() ?? '') === author ? author : null
}
