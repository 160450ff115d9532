import { generateWorld } from '@murrabel/demo'
import { startLanternpage } from '@murrabel/standins'

/** A stand-in with so many entries, in a process of its own; says where it is, and ends with whoever started it. */
const entries = Number(process.argv[2])
const lanternpage = await startLanternpage()
const world = generateWorld({ end: Date.now(), entries: Math.round(entries * 1.6) })
for (const line of world.lanternpage.slice(0, entries)) lanternpage.state.add(line)
const token = {
  access: 'bench',
  refresh: 'bench',
  expires: Date.now() + 3_600_000,
  resources: [...lanternpage.state.pages.keys()],
}
lanternpage.allow(token)
process.on('disconnect', () => process.exit(0))
process.send!({
  address: lanternpage.address,
  token,
  pages: [...lanternpage.state.pages.values()].map(({ id, name }) => ({ id, name })),
})
