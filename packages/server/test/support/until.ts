/** Waits for something to become true by looking again and again; fails with what there is `instead`. */
export async function until<T>(
  look: () => Promise<T | false | null | undefined> | T | false | null | undefined,
  { seconds = 60, instead }: { seconds?: number; instead?: () => Promise<unknown> } = {},
): Promise<T> {
  const end = Date.now() + seconds * 1000
  for (;;) {
    const found = await look()
    if (found) return found
    if (Date.now() > end)
      throw new Error(
        `not within ${seconds} s: ${look.toString()} ${JSON.stringify(await instead?.()) ?? ''}`,
      )
    await new Promise((resolve) => setTimeout(resolve, 20))
  }
}
