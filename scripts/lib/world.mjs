// The demo world running: cluster, stand-ins, server. Used by the demo, the browser tests and the screenshots.
import { randomBytes } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { freePort, startCluster } from './cluster.mjs'
import { runProgram, startProgram, waitFor } from './processes.mjs'
import { startProxy } from './proxy.mjs'
import { webFolder } from './setup.mjs'

/** Ports and keys are made once and kept, because webhooks and sealed keys depend on them. */
async function settingsOf(folder) {
  const file = join(folder, 'settings.json')
  if (existsSync(file)) return JSON.parse(readFileSync(file, 'utf8'))
  const settings = {
    key: randomBytes(32).toString('base64'),
    port: await freePort(4600),
    standins: await freePorts(),
  }
  writeFileSync(`${file}.new`, JSON.stringify(settings))
  renameSync(`${file}.new`, file)
  return settings
}

async function freePorts() {
  for (let first = 4700; ; first += 13) {
    const found = await Promise.all(Array.from({ length: 13 }, (_, i) => freePort(first + i)))
    if (found.every((port, i) => port === first + i)) return first
  }
}

export const networksAt = (first) => [
  { network: 'lanternpage', name: 'Lanternpage', channel: 'pages', address: `http://127.0.0.1:${first}` },
  { network: 'wherabout', name: 'Wherabout', channel: 'maps', address: `http://127.0.0.1:${first + 1}` },
  { network: 'fivefold', name: 'Fivefold', channel: 'reviews', address: `http://127.0.0.1:${first + 9}` },
  { network: 'textmast', name: 'Textmast', channel: 'texts', address: `http://127.0.0.1:${first + 10}` },
  ...[
    { network: 'skimmer', name: 'Skimmer', channel: 'posts' },
    { network: 'framelet', name: 'Framelet', channel: 'photos' },
    { network: 'reelbarn', name: 'Reelbarn', channel: 'video' },
    { network: 'talkstead', name: 'Talkstead', channel: 'forum' },
  ].map((network, i) => ({ ...network, address: `http://127.0.0.1:${first + 3 + i}` })),
]

async function seedStandins(folder, { end, entries }) {
  const standins = join(folder, 'standins')
  if (existsSync(standins)) return false
  const fresh = join(folder, 'standins.new')
  rmSync(fresh, { recursive: true, force: true })
  mkdirSync(fresh, { recursive: true })
  await runProgram('packages/demo/src/write.ts', { args: [fresh, String(end), String(entries)] })
  renameSync(fresh, standins)
  return true
}

/**
 * One server, or several behind a proxy that has their common address; with several, one that dies leaves its work to the
 * others. Each does everything.
 */
async function startServers({ processes, env, logFolder, port }) {
  const main = 'packages/server/src/main.ts'
  const start = (name, own) =>
    startProgram(name, main, {
      logFolder,
      env: { ...env, PORT: String(own), TRUST_PROXY: processes > 1 ? '1' : '' },
    })
  if (processes === 1) return [start('server', port)]
  const ports = []
  for (let i = 0; i < processes; i++) ports.push(await freePort())
  const servers = ports.map((own, i) => start(`server-${i + 1}`, own))
  for (const [i, own] of ports.entries())
    await waitFor(`http://127.0.0.1:${own}/alive`, { program: servers[i] })
  const proxy = await startProxy(
    ports.map((own) => `http://127.0.0.1:${own}`),
    { port },
  )
  return [{ name: 'proxy', exited: new Promise(() => {}), stop: () => proxy.close() }, ...servers]
}

/** Starts everything in a folder; what is there already is kept. */
export async function startWorld(
  folder,
  {
    say = () => {},
    end = Date.now(),
    entries = 14_000,
    databaseUrl = process.env.DATABASE_URL,
    fast = false,
    fill = true,
    processes = 1,
    live = null,
  } = {},
) {
  mkdirSync(folder, { recursive: true })
  const settings = await settingsOf(folder)
  const logFolder = join(folder, 'logs')
  const cluster = databaseUrl ? null : await startCluster(join(folder, 'postgres'), { fast })
  const url = databaseUrl ?? cluster.createDatabase('murrabel')
  const programs = []
  const stop = async () => {
    for (const program of programs.reverse()) await program.stop()
    cluster?.stop()
  }
  try {
    if (await seedStandins(folder, { end, entries }))
      say('Wrote a year of the Sound of Orrin into the stand-in networks.')
    const standins = startProgram('standins', 'packages/standins/src/main.ts', {
      logFolder,
      env: { STANDINS_DATA: join(folder, 'standins'), STANDINS_PORT: String(settings.standins) },
    })
    programs.push(standins)
    const client = { clientId: 'murrabel', clientSecret: 'murrabel-at-the-standins' }
    const address = `http://localhost:${settings.port}`
    const env = {
      DATABASE_URL: url,
      MURRABEL_KEY: settings.key,
      PUBLIC_ADDRESS: address,
      MURRABEL_WEB: webFolder,
      MURRABEL_DEMO: '1',
      MURRABEL_NETWORKS: JSON.stringify(networksAt(settings.standins).map((n) => ({ ...n, ...client }))),
      // The press, the mailroom's pages, and its ports of SMTP and IMAP.
      MURRABEL_INNER_ADDRESSES: [2, 7, 8, 11, 12].map((i) => `127.0.0.1:${settings.standins + i}`).join(','),
      MURRABEL_FILES: join(folder, 'files'),
      MURRABEL_SMTP: `smtp://127.0.0.1:${settings.standins + 8}`,
      MURRABEL_MAIL_FROM: 'Murrabel <murrabel@skerrivane.example>',
      LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
    }
    const servers = await startServers({ processes, env, logFolder, port: settings.port })
    programs.push(...servers)
    await waitFor(`http://127.0.0.1:${settings.standins + 2}/`, { program: standins })
    await waitFor(`${address}/alive`, { program: servers[0] })
    // A start that was cut short fills in what is missing; one that was filled has nothing to ask for.
    const filled = join(folder, 'filled')
    if (!fill || databaseUrl || !existsSync(filled)) {
      const brand = await runProgram('packages/demo/src/printBrand.ts')
      await runProgram('packages/server/src/createBrandCli.ts', { env, input: brand })
      if (fill) {
        await runProgram('packages/demo/src/fill.ts', {
          env: { MURRABEL_ADDRESS: address, STANDINS_PORT: String(settings.standins) },
          show: true,
        })
        writeFileSync(filled, '')
      }
    }
    if (live !== null)
      programs.push(
        startProgram('people', 'packages/demo/src/live.ts', {
          logFolder,
          args: [join(folder, 'standins'), String(settings.standins), String(live)],
        }),
      )
    const ends = programs.map((p) => p.exited.then(() => p.name))
    // Of several servers one may end: that is what there are several for.
    const exited = processes > 1 ? Promise.all(ends).then(([name]) => name) : Promise.race(ends)
    return { address, standins: settings.standins, env, url, cluster, stop, exited, logFolder }
  } catch (error) {
    await stop()
    throw new Error(`${error.message}\nWhat the programs printed is in ${logFolder}.`, { cause: error })
  }
}
