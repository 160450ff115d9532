/**
 * A network as people call it; a feed goes by its own name.
 *
 * @param mail what e-mail is called in the reader's language
 */
export const networkName = (
  { network, profile }: { network: string; profile: string },
  mail = 'E-mail',
): string =>
  network === 'feed'
    ? profile
    : network === 'email'
      ? mail
      : network.charAt(0).toUpperCase() + network.slice(1)
