/** What is sent to everybody who has a page, in nearly the same words. */
export const pitchSubject = 'More visitors for your page'
export const pitchText =
  'We bring three times as many visitors to your page within a month, with a plan made for boats and piers. ' +
  'The first two weeks cost nothing, and you can end it whenever you like. ' +
  'Shall we put you down for a call on Tuesday, or is Wednesday better for you?'
export const pitchSenders = [
  { name: 'Piers Hollowell', email: 'piers@brighter-pages.example', opening: 'Dear owner,' },
  { name: 'Piers H.', email: 'growth@brighter-boats.example', opening: 'Dear boat owner,' },
  { name: 'Team Brighter', email: 'hello@brighter-harbours.example', opening: 'Hello there,' },
] as const
