export * from './problems.ts'
export * from './routes.ts'
export * from './absences/index.ts'
export * from './alerts/index.ts'
export * from './approvals/index.ts'
export * from './attachments/index.ts'
export * from './brand/index.ts'
export * from './chat/index.ts'
export * from './entries/index.ts'
export * from './followUps/index.ts'
export * from './hooks/index.ts'
export * from './imports/index.ts'
export * from './inbox/index.ts'
export * from './keys/index.ts'
export * from './lenses/index.ts'
export * from './log/index.ts'
export * from './people/index.ts'
export * from './personalData/index.ts'
export * from './colleagues/index.ts'
export * from './places/index.ts'
export * from './profiles/index.ts'
export * from './replies/index.ts'
export * from './teaching/index.ts'
export * from './staffing/index.ts'
export * from './today/index.ts'
export * from './together/index.ts'
export * from './watches/index.ts'
export {
  bodyBytes,
  mayDo,
  rights,
  type Access,
  type Asking,
  type Right,
  type Scope,
} from './shared/access.ts'
export { boundProblems, knownPart } from './shared/bounds.ts'
export { knownElement, type AskedPage, type FirstScreen, type PageDrawer } from './shared/pageDrawer.ts'
export { draftProblems, fieldProblemsOf } from './shared/draftProblems.ts'
export {
  fieldProblem,
  fieldReasons,
  reasonText,
  type FieldReason,
  type ReasonValues,
} from './shared/fieldReasons.ts'
export { fileSchema, largestId } from './shared/fields.ts'
export { limits } from './shared/limits.ts'
export { pathOf, type Method, type Route } from './shared/route.ts'
export { versionHeader } from './shared/versionHeader.ts'
export type { Span } from './shared/span.ts'
