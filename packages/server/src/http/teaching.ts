import type { Express } from 'express'
import {
  aspectsSchema,
  doubtSchema,
  learningSchema,
  readingSchema,
  routes,
  wordsSchema,
} from '@murrabel/contract'
import type { Context } from '../context.ts'
import { handle } from './handle.ts'
import {
  learnFromCorrections,
  saveAspects,
  saveWords,
  teachingAnswer,
  doubtsAnswer,
  saveDoubtBelow,
  tryReading,
  wantLearning,
} from '../services/teaching/index.ts'

export function teachingRoutes(app: Express, context: Context): void {
  handle(app, routes.teaching, { act: ({ reader }) => teachingAnswer(context, reader) })
  handle(app, routes.saveWords, {
    schema: wordsSchema,
    act: ({ reader, body }) => saveWords(context, reader, body.words, body.edition),
  })
  handle(app, routes.saveAspects, {
    schema: aspectsSchema,
    act: ({ reader, body }) => saveAspects(context, reader, body.aspects, body.edition),
  })
  handle(app, routes.wantLearning, {
    schema: learningSchema,
    act: ({ reader, body }) => wantLearning(context, reader, body.wanted),
  })
  handle(app, routes.learnNow, {
    async act({ reader }) {
      await learnFromCorrections(context, reader.brandId, { anyway: true })
      return teachingAnswer(context, reader)
    },
  })
  handle(app, routes.doubts, {
    act: ({ reader, req }) => doubtsAnswer(context, reader, req.query.of === 'sample' ? 'sample' : 'useful'),
  })
  handle(app, routes.saveDoubt, {
    schema: doubtSchema,
    act: ({ reader, body }) => saveDoubtBelow(context, reader, body.below),
  })
  handle(app, routes.tryReading, {
    schema: readingSchema,
    act: ({ reader, body }) => tryReading(context, reader, body),
  })
}
