import { randomBytes } from 'node:crypto'

/** A secret by which messages are signed (Standard Webhooks). */
export const freshWebhookSecret = (): string => `whsec_${randomBytes(24).toString('base64')}`
