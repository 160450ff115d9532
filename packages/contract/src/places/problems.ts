import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const placesProblems = {
  placeNameTaken: refusal(409, 'There is a place of this name already. Nothing was changed.'),
  placeInUse: refusal(
    409,
    'Profiles belong to this place, and threads lie in it. Nothing was changed; disconnect its profiles first.',
  ),
  calendarUnreadable: refusal(422, 'This is no calendar (iCalendar) that can be read. Nothing was changed.'),
  notALogo: refusal(
    422,
    'This is no picture that can be shown, or it has too many dots. Take a PNG, JPEG, WebP or AVIF; nothing was changed.',
  ),
} satisfies Record<string, RefusalKind>
