import type { FeedAddresses } from '@murrabel/contract'
import type { Config } from '../../config.ts'

/** The addresses of a feed by its secret token; none when it is switched off. */
export const feedAddresses = (
  { publicAddress }: Pick<Config, 'publicAddress'>,
  token: string | null,
): FeedAddresses => ({
  atom: token && `${publicAddress}/feeds/${token}.atom`,
  json: token && `${publicAddress}/feeds/${token}.json`,
})
