import { chromium } from '@playwright/test'
const [,, who, path, out, w='1280', h='800', full] = process.argv
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
const p = await (await b.newContext({ viewport: { width: +w, height: +h } })).newPage()
await p.request.post('http://localhost:4600/api/session', { data: { email: who + '@skerrivane.example', password: 'sound-of-orrin' }, headers: { origin: 'http://localhost:4600' } })
await p.goto('http://localhost:4600' + path); await p.waitForTimeout(2500)
await p.screenshot({ path: out, fullPage: full === 'full' })
await b.close()
