import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { generateWorld } from './world.ts'

/** write.ts FOLDER END ENTRIES: the journals of the stand-ins. */
const [folder = '.', end = String(Date.now()), entries = '14000'] = process.argv.slice(2)
const world = generateWorld({ end: Number(end), entries: Number(entries) })
for (const [network, lines] of Object.entries(world))
  writeFileSync(
    join(folder, `${network}.jsonl`),
    (lines as object[]).map((line) => `${JSON.stringify(line)}\n`).join(''),
  )
