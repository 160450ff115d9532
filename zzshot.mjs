import { chromium } from '@playwright/test'
// usage: node zzshot.mjs who path name [click-text ...]
const jobs = JSON.parse(process.argv[2])
const b = await chromium.launch({ executablePath: '/usr/bin/chromium' })
const A='http://localhost:4600'
for (const j of jobs) {
  const c = await b.newContext({ viewport: { width: 1280, height: 800 }, locale: j.locale ?? 'en-GB' })
  if (j.who) { const r = await c.request.post(A+'/api/session',{headers:{origin:A},data:{email:j.who+'@skerrivane.example',password:'sound-of-orrin'}}); if(!r.ok()) console.log(await r.text()) }
  const p = await c.newPage()
  p.on('pageerror', e => console.log('ERR', j.name, e.message))
  await p.goto(A+j.path)
  await p.waitForLoadState('networkidle',{timeout:4000}).catch(()=>{})
  for (const s of j.steps ?? []) {
    try {
    if (s.click) await p.getByRole(s.role ?? 'button', { name: s.click, exact: s.exact ?? false }).first().click({timeout:5000})
    if (s.fill) await p.getByLabel(s.fill[0], { exact: s.exact ?? false }).first().fill(s.fill[1])
    if (s.eval) await p.evaluate(s.eval)
    if (s.wait) await p.getByText(s.wait).first().waitFor({timeout:8000})
    } catch(e) { console.log(j.name, JSON.stringify(s), e.message.slice(0,200)) }
  }
  await new Promise(r=>setTimeout(r,600))
  await p.screenshot({ path: '/tmp/shots/'+j.name+'.png', fullPage: false })
  await c.close()
}
await b.close()
