/** What tells one review site from another. */
export interface ReviewSiteKind {
  name: string
  /** Reviews have a title. */
  titled: boolean
  /** Visitors can ask as well. */
  questions: boolean
  /** Owners can report a review, and the site decides. */
  reports: boolean
  /** Characters of an owner's answer. */
  answerLength: number
}

export const reviewSites = {
  wherabout: { name: 'Wherabout', titled: false, questions: true, reports: false, answerLength: 4000 },
  fivefold: { name: 'Fivefold', titled: true, questions: false, reports: true, answerLength: 2500 },
} as const satisfies Record<string, ReviewSiteKind>
export type ReviewSiteName = keyof typeof reviewSites
