import type { NetworkHttp, Upload } from '../contract.ts'
import { NetworkFailure } from './outcome.ts'
import { outerHost } from './innerAddress.ts'
import { parseJson } from './parseJson.ts'
import { readBytes, readLimited, TooLargeError, type NetworkResponse } from './readBody.ts'
import { followingRedirections, withinBudget, withRetry, type RequestOptions } from './requests.ts'

/** Bytes of an answer in JSON. */
const jsonBytes = 16_000_000

interface JsonRequest {
  method?: string
  body?: unknown
  token?: string
  headers?: Record<string, string>
}

const initOf = ({ method = 'GET', body, token, headers = {} }: JsonRequest) => ({
  method,
  headers: {
    accept: 'application/json',
    ...(token ? { authorization: `Bearer ${token}` } : {}),
    ...(body === undefined ? {} : { 'content-type': 'application/json' }),
    ...headers,
  },
  body: body === undefined ? undefined : JSON.stringify(body),
})

async function jsonOf<T>(response: NetworkResponse): Promise<T> {
  try {
    return parseJson(await readLimited(response, jsonBytes)) as T
  } catch (error) {
    if (error instanceof TooLargeError)
      throw new NetworkFailure('refused', 'the answer is larger than can be taken', null, {
        cause: error,
        reached: true,
      })
    throw new NetworkFailure('transient', 'the answer broke off or is not JSON', null, { cause: error })
  }
}

/** Wraps requests to one network: budget, time-out, retry with backoff and jitter, classes of failure, a log line each. */
export function networkHttp(options: RequestOptions): NetworkHttp {
  const send = withRetry(withinBudget(followingRedirections(options), options), options)
  return {
    json: async <T>(url: string, request: JsonRequest = {}) => jsonOf<T>(await send(url, initOf(request))),
    async post(url, body, headers) {
      const response = await send(url, { method: 'POST', headers, body })
      await response.body?.cancel()
    },
    upload: async <T>(url: string, { bytes, type, token }: Upload) =>
      jsonOf<T>(
        await send(url, {
          method: 'POST',
          headers: { accept: 'application/json', authorization: `Bearer ${token}`, 'content-type': type },
          body: new Uint8Array(bytes),
        }),
      ),
    host: (name, port) => outerHost(name, port, options.guard?.allowed),
    bytes: async (url, { maxBytes }) => readBytes(await send(url, { method: 'GET', headers: {} }), maxBytes),
    async text(url, { headers, maxBytes }) {
      const response = await send(url, { method: 'GET', headers })
      return {
        status: response.status,
        body: response.status === 304 ? '' : await readLimited(response, maxBytes),
        etag: response.headers.get('etag') ?? undefined,
        modified: response.headers.get('last-modified') ?? undefined,
        type: response.headers.get('content-type') ?? '',
        maxAgeSeconds: maxAgeOf(response.headers.get('cache-control')),
      }
    },
  }
}

/** Seconds an answer says it stays fresh (RFC 9111); undefined when it does not. */
function maxAgeOf(cacheControl: string | null): number | undefined {
  const found = /(?:^|[,\s])max-age=(\d{1,9})/i.exec(cacheControl ?? '')
  return found ? Number(found[1]) : undefined
}
