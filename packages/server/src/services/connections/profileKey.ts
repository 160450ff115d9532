import { seal, unseal } from '../../access/seal.ts'

/** What a network gave us to act for a profile; kept sealed. */
export interface ProfileKey {
  access: string
  refresh: string | null
}

export const sealKey = (key: ProfileKey, sealingKey: Buffer) => seal(JSON.stringify(key), sealingKey)

export function unsealKey(sealed: Buffer | null, sealingKey: Buffer): ProfileKey {
  return sealed ? (JSON.parse(unseal(sealed, sealingKey)) as ProfileKey) : { access: '', refresh: null }
}
