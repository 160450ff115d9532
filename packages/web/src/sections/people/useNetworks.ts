import { networkName } from '../../composables/networkName.ts'
import { useTexts } from '../../composables/useTexts.ts'

/** Networks as people call them, in the reader's language; a feed by its kind, for a person writes for many. */
export function useNetworks(): (networks: readonly string[]) => string {
  const { t } = useTexts()
  const called = (network: string) =>
    network === 'email' ? t('profiles.email.channel') : networkName({ network, profile: t('people.feed') })
  return (networks) => networks.map(called).join(', ')
}
