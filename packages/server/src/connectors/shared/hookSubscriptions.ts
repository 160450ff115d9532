import type { Connector, ConnectorProfile } from '../contract.ts'

/** Where a network is asked to announce what is new, and asked to stop. */
export const hookSubscriptions = (
  addressOf: (profile: ConnectorProfile) => string,
): Required<Pick<Connector, 'subscribe' | 'unsubscribe'>> => ({
  async subscribe(profile, subscription, http) {
    await http.json(addressOf(profile), {
      method: 'POST',
      token: profile.accessToken,
      body: subscription,
    })
  },
  async unsubscribe(profile, http) {
    await http.json(addressOf(profile), { method: 'DELETE', token: profile.accessToken })
  },
})
