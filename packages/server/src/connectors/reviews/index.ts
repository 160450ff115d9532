import { reviewSiteConnector } from '../shared/reviewSite.ts'

/** A review site: star reviews with a title, and the owner's answer. */
export const reviewsConnector = reviewSiteConnector({
  channel: 'reviews',
  replyLength: 2500,
  repliesTo: ['review'],
  reports: true,
})
