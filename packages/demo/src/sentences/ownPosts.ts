import { lines } from './bank.ts'

/** What the brand itself shows: pictures with a caption, titles of films. */
export const ownPictures = lines(`
  Low sun on the {ship}, ten minutes out of {place}. Who was on board?
  {crew} with the rope that gave us the most trouble this {month}.
  Every lamp at {place} lit by four. Winter is here.
  Ailith's cinnamon buns, before the queue found them.
  The {ship} from the lighthouse path at {place}. Picture by one of you, thank you.
  New blankets for the upper deck, folded by {crew}.
  Three seals, one buoy, no agreement.
  Fog at {place}, horn on, tea on.
  The oldest ticket machine on the Sound retires on {day}. Come and say goodbye.
  The bridge of the {ship} at dawn, all needles where they should be.
  Somebody left a harp. It is safe, and Captain Brannoch has been told not to try.
  Paint day on the {ship}. Guess the shade.
  Last boat of {day}, first star.
  Dunmarrow ramp, freshly scrubbed. It will last until the first car.`)

export const ownFilms = lines(`
  How the {ship} gets through a night in the yard
  Boarding at {place}, explained in one minute
  A morning with {crew} on the car deck
  What happens when we cancel a sailing
  The galley before six: soup, rolls and Ailith
  Where your bicycle stands on the {ship}
  Wind, waves and when we stay in harbour`)

/** What stands under a film besides its title. */
export const filmTexts = lines(`
  You asked how this works, so we took a camera along. Tell us what to film next.
  Filmed on an ordinary {day} at {place}. Nobody was asked to smile.
  A short film from behind the barrier. Questions are welcome below.
  We get many questions about this, so here is the whole of it.`)

/** Titles of threads in which people turn to the brand by name. */
export const namedThreads = lines(`
  @skerrivane, one question about the day pass|Does the pass count from the first crossing or from midnight? The desk at {place} and the site say different things.
  @skerrivane please read: lost property|I left a grey jacket on the {time} from {place} on {day}. Who do I call? The form gives no number.
  Ramp at {place}, @skerrivane|Is the wheelchair ramp at {place} in use again? Last time we had to turn round.
  @skerrivane and the {time}|Why does the {time} from {place} wait for the bus on some days and leave without it on others?
  Thank you, @skerrivane|{crew} ran after us with the bag we had left on the {ship}. That deserves to be said in public.
  Refund, fourth week, @skerrivane|The {time} on {day} was cancelled. I have written twice and heard nothing. Booking {code}.
  Bicycles at {place}, @skerrivane|Are trailers taken on the {ship}, and do they count as a second bicycle?
  Dogs in the lounge, @skerrivane|Upper deck only, or the lounge as well when it rains? We travel on {day}.`)

/** What people add when they change what they wrote. */
export const afterthoughts = lines(`
  (edit: it was the {time}, not the one before)
  Edit: somebody from the crew has answered, thanks.
  Edit: typo.
  Edited to add that this was at {place}.
  Update: still nothing.
  (edited because autocorrect)
  Update, {day}: sorted.`)
