import type { Express } from 'express'
import { aspectsSchema, learningSchema, readingSchema, routes, wordsSchema } from '@murrabel/contract'
import type { Context } from '../context.ts'
import {
  learnFromCorrections,
  saveAspects,
  saveWords,
  teachingAnswer,
  tryReading,
  wantLearning,
} from '../services/teaching/teaching.ts'
import { handle } from './handle.ts'

export function teachingRoutes(app: Express, context: Context): void {
  handle(app, routes.teaching, { act: ({ reader }) => teachingAnswer(context, reader) })
  handle(app, routes.saveWords, {
    schema: wordsSchema,
    right: 'watch',
    act: ({ reader, body }) => saveWords(context, reader, body.words),
  })
  handle(app, routes.saveAspects, {
    schema: aspectsSchema,
    right: 'watch',
    act: ({ reader, body }) => saveAspects(context, reader, body.aspects),
  })
  handle(app, routes.wantLearning, {
    schema: learningSchema,
    right: 'watch',
    act: ({ reader, body }) => wantLearning(context, reader, body.wanted),
  })
  handle(app, routes.learnNow, {
    right: 'watch',
    async act({ reader }) {
      await learnFromCorrections(context, reader.brandId, { anyway: true })
      context.jobs.nudge('reread')
      return teachingAnswer(context, reader)
    },
  })
  handle(app, routes.tryReading, {
    schema: readingSchema,
    act: ({ reader, body }) => tryReading(context, reader, body),
  })
}
