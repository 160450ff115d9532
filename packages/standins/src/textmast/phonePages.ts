import express, { type Router } from 'express'
import { escapeHtml, page } from '../shared/html.ts'
import { isNumber, type TextmastState } from './state.ts'

const name = 'Textmast'

/** Phones that text a business: what they said and got, and the form with which one of them writes. */
export function phonePages(
  state: TextmastState,
  write: (text: { number: string; from: string; text: string }) => void,
): Router {
  const router = express.Router()
  router.get('/', (_req, res) => {
    const links = [...state.numbers.values()]
      .map((n) => `<li><a href="/numbers/${encodeURIComponent(n.id)}">${escapeHtml(n.name)}</a> ${n.id}</li>`)
      .join('')
    res.send(page(name, `<ul>${links}</ul>`))
  })
  router.get('/numbers/:number', (req, res) => {
    const number = state.numbers.get(req.params.number)
    if (!number) return void res.status(404).send(page(name, '<p>No such number.</p>'))
    const rows = [...(state.streams.get(number.id) ?? [])]
      .slice(-60)
      .reverse()
      .flatMap((record) =>
        record.op === 'text'
          ? `<article><strong>${record.from} to ${record.to}</strong> <small>${record.sent} ${state.delivered.get(record.id)?.state ?? ''}</small><p>${escapeHtml(record.text)}</p></article>`
          : [],
      )
    res.send(
      page(
        name,
        `<h1>${escapeHtml(number.name)}</h1><form method="post"><input name="from" placeholder="+44 7700 900123" required><textarea name="text"></textarea><button>Text</button></form>${rows.join('')}`,
      ),
    )
  })
  router.post('/numbers/:number', express.urlencoded({ extended: false }), (req, res) => {
    const { from = '', text = '' } = req.body as Record<string, string>
    const sender = from.replace(/[\s()-]/g, '')
    if (!state.numbers.has(req.params.number) || !isNumber(sender) || !text.trim())
      return void res.status(422).send(page(name, '<p>A number in the form +44… and words are needed.</p>'))
    write({ number: req.params.number, from: sender, text })
    res.redirect(303, `/numbers/${encodeURIComponent(req.params.number)}`)
  })
  return router
}
