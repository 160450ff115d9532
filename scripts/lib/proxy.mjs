// A small proxy before several server processes: for the demo and the tests, not for the open network.
import { createServer, request } from 'node:http'

/** An upstream that did not answer is left alone for this long. */
const restMs = 1_000

/**
 * Takes turns over the upstreams. One that cannot be reached is left out for a moment; a request that did not get through
 * to it goes to the next. What was under way in a process that dies is answered 502, for the browser to ask again.
 */
export async function startProxy(upstreams, { port = 0 } = {}) {
  const restUntil = upstreams.map(() => 0)
  const answered = upstreams.map(() => 0)
  let turn = 0

  function nextOf(tried) {
    const open = upstreams.map((_, i) => i).filter((i) => !tried.has(i))
    const rested = open.filter((i) => restUntil[i] <= Date.now())
    const list = rested.length ? rested : open
    return list.length ? list[turn++ % list.length] : null
  }
  function pass(req, res, body, tried = new Set()) {
    const index = nextOf(tried)
    if (index === null) return void res.writeHead(502).end()
    const { hostname, port: to } = new URL(upstreams[index])
    const headers = { ...req.headers, 'x-forwarded-for': req.socket.remoteAddress }
    const onward = request({ hostname, port: to, method: req.method, path: req.url, headers }, (answer) => {
      answered[index]++
      res.writeHead(answer.statusCode, answer.headers)
      answer.pipe(res)
      // A stream that breaks is broken for the browser, too, which then opens another.
      answer.on('error', () => res.destroy())
      answer.on('aborted', () => res.destroy())
    })
    onward.on('error', (error) => {
      restUntil[index] = Date.now() + restMs
      tried.add(index)
      const harmless = error.code === 'ECONNREFUSED' || req.method === 'GET'
      if (!res.headersSent && harmless) pass(req, res, body, tried)
      else if (!res.headersSent) res.writeHead(502).end()
      else res.destroy()
    })
    res.on('close', () => onward.destroy())
    onward.end(body)
  }
  const server = createServer((req, res) => {
    const parts = []
    req.on('data', (part) => parts.push(part))
    req.on('end', () => pass(req, res, Buffer.concat(parts)))
  })
  await new Promise((resolve) => server.listen(port, '127.0.0.1', resolve))
  return {
    port: server.address().port,
    answered,
    close: () =>
      new Promise((resolve) => {
        server.close(() => resolve())
        server.closeAllConnections()
      }),
  }
}
