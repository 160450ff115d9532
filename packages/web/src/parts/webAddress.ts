/** An address that may stand in a link: what is no web address could be a script, and is no link. */
export const webAddress = (address: string | null | undefined): string | undefined =>
  address && /^https?:\/\//i.test(address) && URL.canParse(address) ? address : undefined
