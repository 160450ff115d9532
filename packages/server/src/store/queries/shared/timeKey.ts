/** Where a page of what goes by time ends. */
export interface TimeKey {
  at: string
  id: number
}

export const printTimeKey = ({ at, id }: TimeKey) =>
  Buffer.from(JSON.stringify([at, id])).toString('base64url')

/** A place in a list; null for what is none. */
export function parseTimeKey(text: string): TimeKey | null {
  if (!/^[\w-]{1,200}$/.test(text)) return null
  try {
    const [at, id, ...more] = JSON.parse(Buffer.from(text, 'base64url').toString()) as unknown[]
    const fits =
      typeof at === 'string' &&
      /^\d{4}-\d\d-\d\dT[\d:.]{5,15}Z$/.test(at) &&
      Number.isSafeInteger(id) &&
      !more.length
    return fits && !Number.isNaN(Date.parse(at)) ? { at, id: id as number } : null
  } catch {
    return null
  }
}
