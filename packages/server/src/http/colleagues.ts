import express, { type Express, type Request } from 'express'
import {
  codeSchema,
  colleagueSchema,
  forgotSchema,
  invitationSchema,
  joinSchema,
  leaveSchema,
  newPasswordSchema,
  passwordSchema,
  provenSchema,
  routes,
  type JoinDraft,
} from '@murrabel/contract'
import { checked } from '../checked.ts'
import type { Context } from '../context.ts'
import {
  beginSecondFactor,
  changeColleague,
  changePassword,
  confirmSecondFactor,
  endSecondFactor,
  endSession,
  forgotPassword,
  invitationCard,
  invite,
  joinBrand,
  leaveBrand,
  liftSecondFactor,
  listColleagues,
  listSessions,
  ownSecondFactor,
  renewRecoveryCodes,
  resetPassword,
  takeBackInvitation,
} from '../services/colleagues/index.ts'
import { setSession, tokenOf } from './brand.ts'
import { handle } from './handle.ts'

const addressOf = (req: Request) => ({ address: req.ip ?? '' })

export function colleagueRoutes(app: Express, context: Context): void {
  handle(app, routes.colleagues, { act: ({ reader }) => listColleagues(context, reader) })
  handle(app, routes.changeColleague, {
    schema: colleagueSchema,
    act: ({ reader, id, body }) => changeColleague(context, reader, id(), body),
  })
  handle(app, routes.leave, {
    schema: leaveSchema,
    act: ({ reader, id, body }) => leaveBrand(context, reader, id(), body),
  })
  handle(app, routes.invite, {
    schema: invitationSchema,
    act: ({ reader, body }) => invite(context, reader, body),
  })
  handle(app, routes.takeBackInvitation, {
    act: ({ reader, id }) => takeBackInvitation(context, reader, id()),
  })
  handle(app, routes.changePassword, {
    schema: passwordSchema,
    act: ({ reader, req, body }) =>
      changePassword(context, reader, body, { ...addressOf(req), token: tokenOf(req) ?? '' }),
  })
  handle(app, routes.sessions, {
    act: ({ reader, req }) => listSessions(context, reader, tokenOf(req) ?? ''),
  })
  handle(app, routes.endSession, { act: ({ reader, id }) => endSession(context, reader, id()) })
  secondFactorRoutes(app, context)
  linkRoutes(app, context)
}

function secondFactorRoutes(app: Express, context: Context): void {
  handle(app, routes.secondFactor, { act: ({ reader }) => ownSecondFactor(context, reader) })
  handle(app, routes.beginSecondFactor, {
    schema: provenSchema,
    act: ({ reader, req, body }) => beginSecondFactor(context, reader, body, addressOf(req)),
  })
  handle(app, routes.confirmSecondFactor, {
    schema: codeSchema,
    act: ({ reader, body }) => confirmSecondFactor(context, reader, body),
  })
  handle(app, routes.endSecondFactor, {
    schema: provenSchema,
    act: ({ reader, req, body }) => endSecondFactor(context, reader, body, addressOf(req)),
  })
  handle(app, routes.newRecoveryCodes, {
    schema: provenSchema,
    act: ({ reader, req, body }) => renewRecoveryCodes(context, reader, body, addressOf(req)),
  })
  handle(app, routes.liftSecondFactor, {
    act: ({ reader, id }) => liftSecondFactor(context, reader, id()),
  })
}

/** Whoever has a link needs no session. */
function linkRoutes(app: Express, context: Context): void {
  const json = express.json({ limit: '10kb' })
  app.get(routes.invitation.path, async (req, res) => {
    res.json(await invitationCard(context, String(req.params.token)))
  })
  app.post(routes.join.path, json, async (req, res) => {
    const draft = await checked<JoinDraft>(joinSchema, req.body)
    const agent = req.get('user-agent') ?? ''
    const token = await joinBrand(context, String(req.params.token), draft, { ...addressOf(req), agent })
    setSession(context, res, token)
    res.status(204).end()
  })
  app.post(routes.forgotPassword.path, json, async (req, res) => {
    await forgotPassword(context, await checked<{ email: string }>(forgotSchema, req.body), addressOf(req))
    res.status(204).end()
  })
  app.post(routes.resetPassword.path, json, async (req, res) => {
    await resetPassword(
      context,
      String(req.params.token),
      await checked<{ password: string }>(newPasswordSchema, req.body),
    )
    res.status(204).end()
  })
}
