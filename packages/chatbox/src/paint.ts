import { shadesOf } from '@murrabel/core/colour'

/** The brand's colour as styles of the box; nothing where it is none, so that the box keeps its own. */
export function paintOf(colour: string | null | undefined): Record<string, string> {
  if (!colour || !/^#[0-9a-f]{6}$/i.test(colour)) return {}
  const { fill, onFill, text, wash } = shadesOf(colour)
  return { '--fill': fill, '--on-fill': onFill, '--text': text, '--wash': wash }
}
