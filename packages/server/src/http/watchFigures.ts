import type { Express } from 'express'
import { publicProfileSchema, routes, voiceSchema } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { handle } from './handle.ts'
import {
  compare,
  figures,
  phrases,
  addPublicProfile,
  removePublicProfile,
  rivals,
  spikes,
  watchSummaries,
  changeVoice,
  voiceCard,
  voices,
} from '../services/watches/index.ts'

/** What is seen of watches: figures, phrases, spikes, voices, rivals. */
export function watchingRoutes(app: Express, context: Context): void {
  handle(app, routes.summaries, { act: ({ reader, req }) => watchSummaries(context, reader, req.query) })
  handle(app, routes.figures, { act: ({ reader, req }) => figures(context, reader, req.query) })
  handle(app, routes.phrases, { act: ({ reader, req }) => phrases(context, reader, req.query) })
  handle(app, routes.spikes, { act: ({ reader, req }) => spikes(context, reader, req.query) })
  handle(app, routes.compare, { act: ({ reader, req }) => compare(context, reader, req.query) })
  handle(app, routes.rivals, { act: ({ reader, req }) => rivals(context, reader, req.query) })
  handle(app, routes.addPublicProfile, {
    schema: publicProfileSchema,
    act: ({ reader, body }) => addPublicProfile(context, reader, body),
  })
  handle(app, routes.removePublicProfile, {
    act: ({ reader, id }) => removePublicProfile(context, reader, id()),
  })
  handle(app, routes.voices, { act: ({ reader, req }) => voices(context, reader, req.query) })
  handle(app, routes.voice, { act: ({ reader, id }) => voiceCard(context, reader, id()) })
  handle(app, routes.changeVoice, {
    schema: voiceSchema,
    act: ({ reader, id, body }) => changeVoice(context, reader, id(), body),
  })
}
