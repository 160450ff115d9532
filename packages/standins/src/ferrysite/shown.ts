import { escapeHtml } from '../shared/html.ts'
import { sitePages } from './sitePages.ts'

const links = Object.entries(sitePages)
  .map(([name, { title }]) => `<a href="/${name === 'home' ? '' : name}">${escapeHtml(title)}</a>`)
  .join('')

/** A page of the site. */
export const shown = (title: string, body: string, snippet: string) => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>${escapeHtml(title)} · Skerrivane Ferries</title>
<style>body{margin:0;font:17px/1.55 Georgia,serif;color:#22313a;background:#fbfaf6}
header{background:#24485c;color:#fff;padding:18px 8vw}header b{font-size:22px}nav a{color:#dbe9ee;margin-right:22px}
main{padding:26px 8vw;max-width:46rem}table{border-collapse:collapse}td,th{border-bottom:1px solid #d8d2c2;padding:5px 28px 5px 0;text-align:left}
footer{padding:0 8vw 30px;color:#6b7478;font-size:14px}</style></head>
<body><header><b>Skerrivane Ferries</b><nav>${links}</nav></header>
<main><h1>${escapeHtml(title)}</h1>${body}</main><footer>The simulated site of a ferry company that is made up.</footer>
${snippet}</body></html>`
