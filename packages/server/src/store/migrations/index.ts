import * as first from './0001-first.ts'
import * as rollupTriggers from './0002-rollup-triggers.ts'

/** In order; append only. */
export const migrations = [
  { name: '0001-first', ...first },
  { name: '0002-rollup-triggers', ...rollupTriggers },
]
