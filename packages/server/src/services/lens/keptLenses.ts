import { blankLens, parseLens, type Lens } from '@murrabel/core/lens'

/** A lens over threads as it is kept. Names of things that are no longer here ask for what is not here; what cannot be read is left out. */
export function keptLensOf(text: string): Lens {
  const { lens } = parseLens(new URLSearchParams(text), { ...blankLens, unit: 'threads' })
  // It would ask about itself.
  return { ...lens, uncaught: false }
}
