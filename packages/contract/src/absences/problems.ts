import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const absencesProblems = {
  awayOver: refusal(422, 'These days are over, or end before they begin. Nothing was changed.'),
  awayLong: refusal(422, 'An absence begins within two years and lasts a year at most. Nothing was changed.'),
  takerAway: refusal(
    409,
    'Whoever is to take over is away in these days, or does not answer here. Choose somebody else; nothing was changed.',
  ),
  teamNameTaken: refusal(409, 'There is a team of this name already. Nothing was changed.'),
  nobodyThere: refusal(
    409,
    'Nobody of this team is there and may see the thread. Nothing was changed; assign it to somebody else.',
  ),
} satisfies Record<string, RefusalKind>
