export { connectorProfile, withProfileKey } from './keys.ts'
export { type Granted, callbackPath, finishOAuth, startOAuth } from './oauth.ts'
export { type ProfileKey, sealKey, unsealKey } from './profileKey.ts'
export { readersProfile } from './readersProfile.ts'
