import { createHash, randomBytes } from 'node:crypto'
import express, { type NextFunction, type Request, type Response, type Router } from 'express'
import { escapeHtml, page } from './html.ts'
import { problem } from './faults.ts'

export interface OAuthOptions {
  network: string
  clientId: string
  clientSecret: string
  /** What can be granted, to be ticked on the consent page. */
  choices(): { id: string; name: string }[]
  onGrant(token: StoredToken): void
  granted: StoredToken[]
}

export interface StoredToken {
  access: string
  refresh: string
  /** Epoch milliseconds. */
  expires: number
  resources: string[]
}

interface Code {
  redirectUri: string
  challenge: string
  resources: string[]
  expires: number
}

const base64url = (bytes: Buffer) => bytes.toString('base64url')

/** An authorization server for one network: RFC 6749 code grant with RFC 7636 PKCE, metadata as in RFC 8414. */
export class OAuthServer {
  private readonly codes = new Map<string, Code>()
  private readonly tokens = new Map<string, StoredToken>()
  private readonly refreshes = new Map<string, StoredToken>()
  address = ''

  constructor(private readonly options: OAuthOptions) {
    for (const token of options.granted) this.keep(token)
  }

  private keep(token: StoredToken): void {
    this.tokens.set(token.access, token)
    this.refreshes.set(token.refresh, token)
  }

  /** Takes a key as granted without a consent page: for programs that set a network up. */
  allow(token: StoredToken): void {
    this.keep(token)
  }

  /** Every access token given so far is refused from now on; with `refreshToo`, consent has to be given anew. */
  expireAll({ refreshToo }: { refreshToo: boolean }): void {
    this.tokens.clear()
    if (refreshToo) this.refreshes.clear()
  }

  readonly authorised = (req: Request, res: Response, next: NextFunction): void => {
    const token = this.tokens.get((req.headers.authorization ?? '').replace(/^Bearer /, ''))
    if (!token || token.expires < Date.now()) {
      res.setHeader('WWW-Authenticate', 'Bearer error="invalid_token"')
      problem(res, 401, 'The key is not valid or has expired')
      return
    }
    res.locals.resources = token.resources
    next()
  }

  router(): Router {
    const router = express.Router()
    router.get('/.well-known/oauth-authorization-server', (_req, res) => {
      res.json({
        issuer: this.address,
        authorization_endpoint: `${this.address}/oauth/authorize`,
        token_endpoint: `${this.address}/oauth/token`,
        response_types_supported: ['code'],
        grant_types_supported: ['authorization_code', 'refresh_token'],
        code_challenge_methods_supported: ['S256'],
        token_endpoint_auth_methods_supported: ['client_secret_post'],
      })
    })
    router.get('/oauth/authorize', (req, res) => this.consentPage(req, res))
    router.post('/oauth/authorize', express.urlencoded({ extended: true }), (req, res) =>
      this.consent(req, res),
    )
    router.post('/oauth/token', express.urlencoded({ extended: false }), (req, res) => this.token(req, res))
    return router
  }

  private consentPage(req: Request, res: Response): void {
    const query = req.query as Record<string, string>
    if (
      query.client_id !== this.options.clientId ||
      query.code_challenge_method !== 'S256' ||
      !query.redirect_uri
    ) {
      res.status(400).send(page(this.options.network, '<p>This request to connect is not valid.</p>'))
      return
    }
    const hidden = ['redirect_uri', 'state', 'code_challenge']
      .map((name) => `<input type="hidden" name="${name}" value="${escapeHtml(query[name] ?? '')}">`)
      .join('')
    const boxes = this.options
      .choices()
      .map(
        ({ id, name }) =>
          `<p><label><input type="checkbox" name="resource" value="${escapeHtml(id)}" checked> ${escapeHtml(name)}</label></p>`,
      )
      .join('')
    res.send(
      page(
        this.options.network,
        `<h1>Murrabel asks for access</h1><p>It wants to read and answer in the name of:</p>
        <form method="post">${hidden}${boxes}
        <button name="answer" value="grant">Grant access</button> <button name="answer" value="refuse">Refuse</button></form>`,
      ),
    )
  }

  private consent(req: Request, res: Response): void {
    const body = req.body as Record<string, string | string[]>
    const target = new URL(String(body.redirect_uri))
    if (body.state) target.searchParams.set('state', String(body.state))
    if (body.answer === 'grant') {
      const code = base64url(randomBytes(24))
      const resources = body.resource ? [body.resource].flat() : []
      this.codes.set(code, {
        redirectUri: String(body.redirect_uri),
        challenge: String(body.code_challenge),
        resources,
        expires: Date.now() + 60_000,
      })
      target.searchParams.set('code', code)
    } else target.searchParams.set('error', 'access_denied')
    // RFC 9207: the answer names its issuer.
    target.searchParams.set('iss', this.address)
    res.redirect(303, target.href)
  }

  private token(req: Request, res: Response): void {
    const body = req.body as Record<string, string>
    if (body.client_id !== this.options.clientId || body.client_secret !== this.options.clientSecret) {
      res.status(401).json({ error: 'invalid_client' })
      return
    }
    const resources = body.grant_type === 'refresh_token' ? this.refreshed(body) : this.exchanged(body)
    if (!resources) {
      res.status(400).json({ error: 'invalid_grant' })
      return
    }
    const token = {
      access: base64url(randomBytes(24)),
      refresh: base64url(randomBytes(24)),
      expires: Date.now() + 365 * 86_400_000,
      resources,
    }
    this.keep(token)
    this.options.onGrant(token)
    res.setHeader('Cache-Control', 'no-store')
    res.json({
      access_token: token.access,
      refresh_token: token.refresh,
      token_type: 'bearer',
      expires_in: 365 * 86_400,
    })
  }

  private refreshed({ refresh_token: refresh = '' }: Record<string, string>): string[] | null {
    const old = this.refreshes.get(refresh)
    this.refreshes.delete(refresh)
    return old?.resources ?? null
  }

  private exchanged({
    code = '',
    redirect_uri: redirect,
    code_verifier: verifier = '',
  }: Record<string, string>): string[] | null {
    const known = this.codes.get(code)
    this.codes.delete(code)
    if (!known || known.expires < Date.now() || known.redirectUri !== redirect) return null
    const challenge = base64url(createHash('sha256').update(verifier).digest())
    return challenge === known.challenge ? known.resources : null
  }
}
