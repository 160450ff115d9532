import { appendFileSync, existsSync, mkdirSync, readFileSync } from 'node:fs'
import { dirname } from 'node:path'

/**
 * What a stand-in remembers: one JSON value a line, appended and never rewritten, so that a killed process loses
 * nothing but a half-written last line, which is left out when reading.
 */
export class Journal<T> {
  constructor(private readonly file: string | null) {}

  read(): T[] {
    if (!this.file || !existsSync(this.file)) return []
    const lines = readFileSync(this.file, 'utf8').split('\n')
    const values: T[] = []
    for (const line of lines) {
      if (!line) continue
      try {
        values.push(JSON.parse(line) as T)
      } catch {
        break
      }
    }
    return values
  }

  append(value: T): void {
    if (!this.file) return
    mkdirSync(dirname(this.file), { recursive: true })
    appendFileSync(this.file, `${JSON.stringify(value)}\n`)
  }
}
