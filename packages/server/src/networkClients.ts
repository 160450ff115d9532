import type { Logger } from 'pino'
import type { Config } from './config.ts'
import { networkHttp, RateBudget, type NetworkHttp } from './connectors/index.ts'

/** Requests a second to one network, and how many may go at once: below what the strictest of them allows. */
const budget = { perSecond: 50, burst: 50 }

/** One client for each network, made when it is first asked for: they share its budget. */
export function networkClients(
  { networks, allowedInnerAddresses }: Pick<Config, 'networks' | 'allowedInnerAddresses'>,
  log: Pick<Logger, 'info'>,
): (network: string) => NetworkHttp {
  const clients = new Map<string, NetworkHttp>()
  const open = (network: string): NetworkHttp =>
    networkHttp({
      budget: new RateBudget(budget.perSecond, budget.burst),
      // What is no network of the settings is an address that somebody typed.
      guard: networks.some((n) => n.network === network) ? undefined : { allowed: allowedInnerAddresses },
      log: (message, detail) => log.info(detail, message),
    })
  return (network) => {
    const client = clients.get(network) ?? open(network)
    clients.set(network, client)
    return client
  }
}
