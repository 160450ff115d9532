import type { Plugin, Rolldown } from 'vite'

/**
 * Which files a page begins with, by its path as Express writes one: the server names them beside the page itself, so
 * that the browser asks for all at once instead of one after the other.
 */
const pages: Record<string, string> = {
  '/inbox{/:thread}': 'sections/inbox/InboxPage.vue',
  '/watch': 'sections/watches/WatchPage.vue',
  '/sign-in': 'sections/signIn/SignInPage.vue',
}
/** Fonts of the first words on every page: those of Latin letters. */
const firstFont = /source-(?:sans|serif)-[34]-latin-wght-normal/

export interface PageFiles {
  /** Says that another version was built. */
  version: string
  fonts: string[]
  pages: Record<string, { scripts: string[]; styles: string[] }>
}

type Chunk = Rolldown.OutputChunk & { viteMetadata?: { importedCss: Set<string> } }

/** Writes `pages.json` beside the built application. */
export function pageFiles(version: string): Plugin {
  return {
    name: 'page-files',
    generateBundle(_options, bundle) {
      const chunks = new Map<string, Chunk>()
      for (const [name, output] of Object.entries(bundle))
        if (output.type === 'chunk') chunks.set(name, output)
      const withImports = (file: string, found = new Set<string>()): Set<string> => {
        if (found.has(file)) return found
        found.add(file)
        for (const other of chunks.get(file)?.imports ?? []) withImports(other, found)
        return found
      }
      const entry = [...chunks.values()].find((chunk) => chunk.isEntry)
      const first = entry ? withImports(entry.fileName) : new Set<string>()
      const filesOf = (page: string) => {
        const chunk = [...chunks.values()].find((each) => each.facadeModuleId?.endsWith(page))
        if (!chunk) throw new Error(`${page} is no page of its own`)
        const scripts = [...withImports(chunk.fileName)].filter((file) => !first.has(file))
        const styles = scripts.flatMap((file) => [...(chunks.get(file)?.viteMetadata?.importedCss ?? [])])
        return { scripts, styles }
      }
      const files: PageFiles = {
        version,
        fonts: Object.keys(bundle).filter((name) => firstFont.test(name)),
        pages: Object.fromEntries(Object.entries(pages).map(([path, page]) => [path, filesOf(page)])),
      }
      this.emitFile({ type: 'asset', fileName: 'pages.json', source: JSON.stringify(files) })
    },
  }
}

/** Refuses a build whose files import each other in a ring: which of them is run first would be left to chance. */
export function noRings(): Plugin {
  return {
    name: 'no-rings',
    generateBundle(_options, bundle) {
      const done = new Set<string>()
      const walk = (file: string, way: readonly string[]): void => {
        if (way.includes(file)) this.error(`These files import each other: ${[...way, file].join(' > ')}`)
        const chunk = bundle[file]
        if (done.has(file) || chunk?.type !== 'chunk') return
        for (const next of chunk.imports) walk(next, [...way, file])
        done.add(file)
      }
      for (const file of Object.keys(bundle)) walk(file, [])
    },
  }
}
