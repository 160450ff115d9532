import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { en } from '../src/messages/en.ts'

/** The code of some packages, without the texts themselves. */
function sourceOf(folders: readonly string[]): string {
  return folders
    .flatMap((folder) =>
      readdirSync(folder, { recursive: true, encoding: 'utf8' })
        .filter((file) => /\.(?:ts|vue)$/.test(file) && !file.startsWith('messages'))
        .map((file) => readFileSync(`${folder}/${file}`, 'utf8')),
    )
    .join('\n')
}
const packages = join(import.meta.dirname, '../../')
const web = sourceOf([`${packages}web/src`])
/** Kinds, states and the like are named where they are decided. */
const words = new Set(
  sourceOf(['web', 'contract', 'core', 'server'].map((name) => `${packages}${name}/src`)).match(/\w+/g),
)

function keysOf(texts: object, at = ''): string[] {
  return Object.entries(texts).flatMap(([name, text]: [string, string | object]) =>
    typeof text === 'string' ? [at + name] : keysOf(text, `${at}${name}.`),
  )
}

/** Keys with a gap, as `today.gap.${gap.kind}`: what stands there is named elsewhere. */
const withGaps = [...web.matchAll(/`([a-z]\w*\.[\w.]*\$\{[^}`]*\}(?:[\w.]|\$\{[^}`]*\})*)`/gi)].map(
  ([, key]) =>
    new RegExp(
      `^${key!
        .split(/\$\{[^}]*\}/)
        .map((part) => part.replaceAll('.', '\\.'))
        .join('(.+)')}$`,
    ),
)

const isNamed = (gap: string) => (gap.match(/\w+/g) ?? []).every((word) => words.has(word))
const stands = (key: string) => ["'", '"', '`'].some((mark) => web.includes(mark + key + mark))

function isAsked(key: string): boolean {
  if (stands(key) || withGaps.some((asked) => asked.exec(key)?.slice(1).every(isNamed))) return true
  // What stands above is given on, and one of its texts is chosen there.
  const parts = key.split('.')
  return parts
    .slice(1)
    .some((_, i) => stands(parts.slice(0, i + 1).join('.')) && parts.slice(i + 1).every(isNamed))
}

test('every text is shown somewhere', () => {
  const keys = keysOf(en)
  expect(keys.length).toBeGreaterThan(2000)
  expect(keys.filter((key) => !isAsked(key))).toEqual([])
})
