import { readFileSync, readdirSync } from 'node:fs'
import { readSentiment } from '../packages/core/src/sentiment/index.ts'
const lang = process.argv[2] ?? 'en'
const dir = `/work/main/packages/core/training/${lang}/`
const words: string[] = JSON.parse(readFileSync('/tmp/vec/words.json', 'utf8'))
const vec = new Float32Array(readFileSync('/tmp/vec/vec.bin').buffer.slice(0))
const D = 100
const at = new Map(words.map((w, i) => [w, i]))
// centre, remove the common direction, unit length
const mean = new Float64Array(D); const NW = words.length
for (let i = 0; i < 20000; i++) for (let k = 0; k < D; k++) mean[k] += vec[i*D+k] / 20000
for (let i = 0; i < NW; i++) { let s = 0; for (let k = 0; k < D; k++) { vec[i*D+k] -= mean[k]; s += vec[i*D+k]**2 } s = Math.sqrt(s); for (let k = 0; k < D; k++) vec[i*D+k] /= s }
const freqW = (i: number) => Math.min(1, Math.log(i + 2) / Math.log(2000)) // common words say little
interface Ex { text: string; y: number; w: string; trade: string; f: [number, number][] }
const exs: Ex[] = []
for (const f of readdirSync(dir)) for (const line of readFileSync(dir + f, 'utf8').trim().split('\n')) {
  const m = /^([+0-]) ([qrcpfon]) ([ynm]) ([RCMHFN]) (.+)$/.exec(line)!
  if (!m) { console.log('BAD', f, line); continue }
  exs.push({ text: m[5], y: '-0+'.indexOf(m[1]), w: m[2], trade: f, f: [] })
}
const names = new Map<string, number>()
const counts = new Map<string, number>()
const id = (n: string) => { let k = names.get(n); if (k === undefined) names.set(n, k = names.size); return k }
const neg = /^(?:not|no|never|nobody|nothing|none|without|n't|cannot|nor|neither|hardly|barely)$|n't$|n’t$/
const opts = new Set((process.argv[3] ?? 'u,b,v,vn,vq,vl,g,m').split(','))
function feats(text: string): Map<string, number> {
  const out = new Map<string, number>()
  const put = (n: string, v: number) => out.set(n, (out.get(n) ?? 0) + v)
  const low = text.toLowerCase().replace(/’/g, "'")
  const sents = low.match(/[^.!?…]+[.!?…]*/g) ?? [low]
  const all = new Float64Array(D), q = new Float64Array(D), ng = new Float64Array(D), last = new Float64Array(D)
  let na = 0, nq = 0, nn = 0, nl = 0
  sents.forEach((s, si) => {
    const toks = s.match(/[a-z]+(?:'[a-z]+)?|\d+(?:[.:,]\d+)*|[!?]+|\p{Extended_Pictographic}/gu) ?? []
    const isQ = /\?/.test(s)
    let scope = 0
    let prev = si === 0 ? '<t>' : '<s>'
    for (const t of toks) {
      const tok = /^\d/.test(t) ? '<n>' : t
      if (opts.has('u')) out.set('u:' + tok, 1)
      if (opts.has('b')) out.set('b:' + prev + ' ' + tok, 1)
      prev = tok
      const base = tok.replace(/'s$/, '')
      const i = at.get(base)
      if (i !== undefined) {
        const fw = freqW(i)
        for (let k = 0; k < D; k++) {
          const v = vec[i*D+k] * fw
          all[k] += v; if (isQ) q[k] += v; if (scope > 0) ng[k] += v; if (si === sents.length - 1) last[k] += v
        }
        na++; if (isQ) nq++; if (scope > 0) nn++; if (si === sents.length - 1) nl++
      }
      if (neg.test(tok)) scope = 4; else scope--
    }
  })
  const dense = (tag: string, v: Float64Array, n: number) => { if (n) for (let k = 0; k < D; k++) put(tag + k, v[k] / Math.sqrt(n) * 1.5) }
  if (opts.has('v')) dense('v', all, na)
  if (opts.has('vn')) dense('vn', ng, nn)
  if (opts.has('vq')) dense('vq', q, nq)
  if (opts.has('vl') && sents.length > 1) dense('vl', last, nl)
  if (opts.has('g')) { const r = readSentiment(text, { language: lang }); put('g:raw', Math.tanh(r.raw / 3) * 3); put('g:pos', r.spans.filter(s => s.contribution > 0).length); put('g:neg', r.spans.filter(s => s.contribution < 0).length); put('g:' + r.sentiment, 2); if (!r.spans.length) put('g:none', 1) }
  if (opts.has('m')) { if (/\?\s*$/.test(text)) put('m:endq', 2); if (/\?/.test(text)) put('m:q', 1); if (/!/.test(text)) put('m:!', 1); if (!/[.!?…]\s*$/.test(text)) put('m:noend', 1); if (/^(?:please|could|can|kindly|do|does|is|are|what|how|where|when|which|who)\b/i.test(text)) put('m:ask', 2); if (/\d/.test(text)) put('m:num', 1); put('m:len', Math.log(text.length / 60)); put('m:bias', 1) }
  return out
}
const rawF = exs.map((e) => feats(e.text))
for (const f of rawF) for (const n of f.keys()) counts.set(n, (counts.get(n) ?? 0) + 1)
exs.forEach((e, i) => { e.f = [...rawF[i]].filter(([n]) => counts.get(n)! >= 2).map(([n, v]) => [id(n), v]) })
const P = names.size
function train(tr: Ex[], l2 = Number(process.argv[4] ?? 1.0), its = 150) {
  const w = new Float64Array(P * 3), m = new Float64Array(P*3), s = new Float64Array(P*3), g = new Float64Array(P*3)
  for (let it = 1; it <= its; it++) {
    for (let k = 0; k < g.length; k++) g[k] = l2 * w[k]
    for (const e of tr) { const z = [0,0,0]; for (const [f, v] of e.f) for (let c = 0; c < 3; c++) z[c] += w[f*3+c]*v
      const mx = Math.max(...z); const ex = z.map((x) => Math.exp(x - mx)); const su = ex[0]+ex[1]+ex[2]
      for (let c = 0; c < 3; c++) { const d = ex[c]/su - (c === e.y ? 1 : 0); for (const [f, v] of e.f) g[f*3+c] += d*v } }
    for (let k = 0; k < g.length; k++) { m[k] = .9*m[k] + .1*g[k]; s[k] = .999*s[k] + .001*g[k]**2; w[k] -= 0.03 * (m[k]/(1-.9**it)) / (Math.sqrt(s[k]/(1-.999**it)) + 1e-8) }
  }
  return w
}
const trades = [...new Set(exs.map((e) => e.trade))]
let ok = 0, opp = 0, moody = 0, trOk = 0, trN = 0
const F = 6
const wrong: string[] = []
for (let fold = 0; fold < F; fold++) {
  const held = new Set(trades.filter((_, i) => i % F === fold))
  const tr = exs.filter((e) => !held.has(e.trade)), te = exs.filter((e) => held.has(e.trade))
  const w = train(tr)
  const pred = (e: Ex) => { const z = [0,0,0]; for (const [f, v] of e.f) for (let c = 0; c < 3; c++) z[c] += w[f*3+c]*v; return z.indexOf(Math.max(...z)) }
  for (const e of te) { const p = pred(e); if (p === e.y) ok++; else wrong.push('-0+'[e.y] + '>' + '-0+'[p] + ' ' + e.text); if (e.y !== 1) { moody++; if (p !== 1 && p !== e.y) opp++ } }
  for (const e of tr) { trN++; if (pred(e) === e.y) trOk++ }
}
console.log([...opts].join(','), 'n', exs.length, 'features', P, 'held', (ok / exs.length).toFixed(3), 'opposite', (opp / moody).toFixed(3), 'train', (trOk/trN).toFixed(3))
if (process.argv[5]) console.log(wrong.slice(0, Number(process.argv[5])).join('\n'))
