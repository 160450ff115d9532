import * as oauth from 'oauth4webapi'
import type { Reader } from '../../access/reader.ts'
import type { NetworkConfig } from '../../config.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { ProfileKey } from './profileKey.ts'
import { openFlow, takeFlow } from '../../store/queries/profiles/oauth.ts'

const flowMinutes = 10
/** A network that does not answer is not waited for any longer. */
const timeoutMs = 10_000
export const callbackPath = '/oauth/callback'

export function networkOf({ config }: Pick<Context, 'config'>, name: string): NetworkConfig {
  const network = config.networks.find((n) => n.network === name)
  if (!network) throw new Refusal('networkUnknown')
  return network
}

/** Plain http is spoken to networks on this machine alone. */
const insecure = (network: NetworkConfig) => ({
  signal: () => AbortSignal.timeout(timeoutMs),
  [oauth.allowInsecureRequests]: network.address.startsWith('http://127.0.0.1'),
})

async function discover(network: NetworkConfig): Promise<oauth.AuthorizationServer> {
  try {
    const issuer = new URL(network.address)
    const response = await oauth.discoveryRequest(issuer, {
      algorithm: 'oauth2',
      ...insecure(network),
    })
    return await oauth.processDiscoveryResponse(issuer, response)
  } catch (error) {
    throw new Refusal('networkDown', {}, { cause: error })
  }
}

const redirectUri = ({ config }: Pick<Context, 'config'>) => `${config.publicAddress}${callbackPath}`

/** Starts an authorization code grant with PKCE (RFC 7636, S256); gives the address to send the browser to. */
export async function startOAuth(context: Context, reader: Reader, name: string): Promise<string> {
  const network = networkOf(context, name)
  const server = await discover(network)
  const verifier = oauth.generateRandomCodeVerifier()
  const state = oauth.generateRandomState()
  await openFlow(context.db, {
    state,
    brandId: reader.brandId,
    colleagueId: reader.colleagueId,
    network: name,
    verifier,
  })
  const url = new URL(server.authorization_endpoint!)
  url.search = new URLSearchParams({
    client_id: network.clientId,
    response_type: 'code',
    redirect_uri: redirectUri(context),
    state,
    code_challenge: await oauth.calculatePKCECodeChallenge(verifier),
    code_challenge_method: 'S256',
  }).toString()
  return url.href
}

export interface Granted {
  network: NetworkConfig
  key: ProfileKey
}

/** Takes the browser's way back: the flow must be the reader's own, and is used up by it. */
export async function finishOAuth(
  context: Context,
  reader: Reader,
  params: URLSearchParams,
): Promise<Granted> {
  const state = params.get('state') ?? ''
  const flow = await takeFlow(context.db, {
    state,
    brandId: reader.brandId,
    colleagueId: reader.colleagueId,
    minutes: flowMinutes,
  })
  if (!flow) throw new Refusal('oauthState')
  const network = networkOf(context, flow.network)
  const server = await discover(network)
  const client: oauth.Client = { client_id: network.clientId }
  try {
    const checked = oauth.validateAuthResponse(server, client, params, state)
    const response = await oauth.authorizationCodeGrantRequest(
      server,
      client,
      oauth.ClientSecretPost(network.clientSecret),
      checked,
      redirectUri(context),
      flow.verifier,
      insecure(network),
    )
    const token = await oauth.processAuthorizationCodeResponse(server, client, response)
    return { network, key: { access: token.access_token, refresh: token.refresh_token ?? null } }
  } catch (error) {
    throw new Refusal('oauthRefused', {}, { cause: error })
  }
}

/** A new key for a refresh token; null when the network refuses it. */
export async function refreshKey(
  context: Context,
  name: string,
  refresh: string,
): Promise<ProfileKey | null> {
  const network = context.config.networks.find((n) => n.network === name)
  if (!network) return null
  const server = await discover(network)
  const client: oauth.Client = { client_id: network.clientId }
  try {
    const response = await oauth.refreshTokenGrantRequest(
      server,
      client,
      oauth.ClientSecretPost(network.clientSecret),
      refresh,
      insecure(network),
    )
    const token = await oauth.processRefreshTokenResponse(server, client, response)
    return { access: token.access_token, refresh: token.refresh_token ?? refresh }
  } catch {
    return null
  }
}
