import type { StandinOptions } from '../shared/network.ts'
import { startOwnedNetwork, type OwnedNetwork, type OwnedParts } from '../shared/ownedNetwork.ts'
import { eventOf, readingApi, sendingApi } from './api.ts'
import { phonePages } from './phonePages.ts'
import { TextmastState } from './state.ts'
import { trafficOf, type Traffic } from './traffic.ts'

export interface Textmast extends OwnedNetwork<TextmastState> {
  text: Traffic['fromPhone']
}

/** Milliseconds until a text is on its phone. */
const usualDelivery = 400

/** A gateway for texts: numbers of businesses in the form of E.164, texts in parts, delivery reports. */
export async function startTextmast({
  deliveryMs = usualDelivery,
  ...options
}: StandinOptions & { deliveryMs?: number } = {}): Promise<Textmast> {
  const state = new TextmastState(options.journalFile ?? null)
  let parts: OwnedParts<TextmastState>
  const traffic = trafficOf(state, {
    announce: (record) => parts.announce(record.number, eventOf(record)),
    deliveryMs,
  })
  const running = await startOwnedNetwork(
    state,
    {
      name: 'Textmast',
      choices: () => [...state.numbers.values()].map(({ id, name }) => ({ id, name: `${name}, ${id}` })),
      announcedAt: '/numbers/:number',
      pages(made) {
        parts = made
        return phonePages(state, traffic.fromPhone)
      },
      api(api) {
        readingApi(api, state)
        sendingApi(api, { state, send: traffic.toPhone })
      },
    },
    options,
  )
  traffic.resume()
  return {
    ...running,
    text: traffic.fromPhone,
    close: async () => {
      traffic.stop()
      await running.close()
    },
  }
}
