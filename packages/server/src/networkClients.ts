import type { Logger } from 'pino'
import type { Config } from './config.ts'
import { networkHttp, RateBudget, type NetworkHttp } from './connectors/index.ts'

/** Requests a second to one network, and how many may go at once: below what the strictest of them allows. */
const budget = { perSecond: 50, burst: 50 }

export interface NetworkClients {
  httpFor(network: string): NetworkHttp
  /** Divides each network's budget among so many processes. */
  shareAmong(processes: number): void
}

/** One client for each network, made when it is first asked for: they share its budget. */
export function networkClients(
  { networks, allowedInnerAddresses }: Pick<Config, 'networks' | 'allowedInnerAddresses'>,
  log: Pick<Logger, 'info'>,
): NetworkClients {
  const clients = new Map<string, NetworkHttp>()
  const budgets: RateBudget[] = []
  let parts = 1
  function open(network: string): NetworkHttp {
    const own = new RateBudget(budget.perSecond, budget.burst)
    own.shareAmong(parts)
    budgets.push(own)
    return networkHttp({
      budget: own,
      // What is no network of the settings is an address that somebody typed.
      guard: networks.some((n) => n.network === network) ? undefined : { allowed: allowedInnerAddresses },
      log: (message, detail) => log.info(detail, message),
    })
  }
  return {
    httpFor(network) {
      const client = clients.get(network) ?? open(network)
      clients.set(network, client)
      return client
    },
    shareAmong(processes) {
      parts = processes
      for (const each of budgets) each.shareAmong(processes)
    },
  }
}
