import { reviewSiteConnector } from '../shared/reviewSite.ts'

/** Map listings: star reviews, questions, and the owner's answers to both. */
export const mapsConnector = reviewSiteConnector({
  channel: 'maps',
  replyLength: 4000,
  repliesTo: ['review', 'question'],
})
