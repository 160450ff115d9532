/** A network as people call it; a feed goes by its own name. */
export const networkName = ({ network, profile }: { network: string; profile: string }): string =>
  network === 'feed'
    ? profile
    : network === 'email'
      ? 'E-mail'
      : network.charAt(0).toUpperCase() + network.slice(1)
