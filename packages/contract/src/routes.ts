import { absencesRoutes } from './absences/routes.ts'
import { alertsRoutes } from './alerts/routes.ts'
import { approvalsRoutes } from './approvals/routes.ts'
import { attachmentsRoutes } from './attachments/routes.ts'
import { brandRoutes } from './brand/routes.ts'
import { chatRoutes } from './chat/routes.ts'
import { entriesRoutes } from './entries/routes.ts'
import { followUpsRoutes } from './followUps/routes.ts'
import { hooksRoutes } from './hooks/routes.ts'
import { importsRoutes } from './imports/routes.ts'
import { inboxRoutes } from './inbox/routes.ts'
import { keysRoutes } from './keys/routes.ts'
import { lensesRoutes } from './lenses/routes.ts'
import { logRoutes } from './log/routes.ts'
import { peopleRoutes } from './people/routes.ts'
import { personalDataRoutes } from './personalData/routes.ts'
import { placesRoutes } from './places/routes.ts'
import { colleaguesRoutes } from './colleagues/routes.ts'
import { profilesRoutes } from './profiles/routes.ts'
import { teachingRoutes } from './teaching/routes.ts'
import { repliesRoutes } from './replies/routes.ts'
import { togetherRoutes } from './together/routes.ts'
import { staffingRoutes } from './staffing/routes.ts'
import { todayRoutes } from './today/routes.ts'
import { watchesRoutes } from './watches/routes.ts'

/** Everything the server answers to a browser, by name, with who may ask it. */
export const routes = {
  ...brandRoutes,
  ...entriesRoutes,
  ...inboxRoutes,
  ...lensesRoutes,
  ...togetherRoutes,
  ...repliesRoutes,
  ...approvalsRoutes,
  ...todayRoutes,
  ...staffingRoutes,
  ...peopleRoutes,
  ...watchesRoutes,
  ...teachingRoutes,
  ...alertsRoutes,
  ...profilesRoutes,
  ...followUpsRoutes,
  ...colleaguesRoutes,
  ...absencesRoutes,
  ...placesRoutes,
  ...personalDataRoutes,
  ...keysRoutes,
  ...logRoutes,
  ...hooksRoutes,
  ...importsRoutes,
  ...attachmentsRoutes,
  ...chatRoutes,
} as const

export type RouteName = keyof typeof routes
