import { StoryBook, storyPrint } from '../src/stories/index.ts'
import { drawing, percent, type SimulatedFigure } from './figure.ts'

const words = (text: string) => text.split(' ')
const who = words(
  'we family neighbours cyclists grandmother students drivers musicians walkers tourists crew captain purser stewardess dog children teacher postman fishermen farmers',
)
const did = words(
  'crossed waited boarded returned asked watched missed enjoyed expected booked cancelled changed found lost heard carried met paid forgot noticed',
)
const what = words(
  'ticket cabin breakfast queue timetable luggage bicycle pier lounge weather refund harbour sunset engine gangway blanket coffee announcement window trailer parcel compass lighthouse seals fiddle',
)
const how = words(
  'slowly early together twice again quietly nearly somewhere outside upstairs afterwards meanwhile anyway happily hardly suddenly once there nearby alone',
)
const like = words(
  'good bad lovely awful wonderful terrible cold warm empty crowded clean dirty kind rude late early calm rough cheap dear',
)
const places = words('Dunmarrow Orrin Skerrivane Ellery Tarbrae Cullonsay Haverick Strandby Murragh Fennholm')
const days = words('Monday Tuesday Wednesday Thursday Friday Saturday Sunday')

const beginnings = words('Cor Mal Ter Bran Fen Hul Wes Sor Kel Dra Pel Gar Lis Nor Tam Ulf Vik Ros Ed Jar')
const endings = words(
  'rin dra wick low mond sey vale gard nick ton by mere stan lock den beth ley ric mar fold',
)
/** People and streets, 400 of them: what one speaks of and others do not. */
const name = (draw: Draw) => pick(beginnings, draw) + pick(endings, draw)

type Draw = () => number
const pick = <T>(list: readonly T[], draw: Draw): T => list[Math.floor(draw() * list.length)]!

/** Something said of a crossing, of two to six sentences. */
export function said(draw: Draw): string {
  const sentence = () =>
    [
      () =>
        `The ${pick(who, draw)} ${pick(did, draw)} the ${pick(like, draw)} ${pick(what, draw)} ${pick(how, draw)} in ${pick(places, draw)}.`,
      () =>
        `On ${pick(days, draw)} my ${pick(who, draw)} ${pick(did, draw)} a ${pick(what, draw)} and ${pick(did, draw)} it ${pick(how, draw)}.`,
      () =>
        `It was ${pick(like, draw)} and ${pick(like, draw)}, though the ${pick(what, draw)} ${pick(did, draw)} us ${pick(how, draw)}.`,
      () =>
        `Nobody ${pick(did, draw)} the ${pick(what, draw)} of the ${pick(who, draw)} near ${pick(places, draw)} before ${2 + Math.floor(draw() * 20)} o'clock.`,
      () =>
        `${name(draw)} from ${name(draw)} ${pick(did, draw)} our ${pick(like, draw)} ${pick(what, draw)} ${pick(how, draw)}.`,
      () =>
        `Ask ${name(draw)} about the ${pick(what, draw)} that we ${pick(did, draw)} with ${name(draw)} ${pick(how, draw)}.`,
      () =>
        `Does the ${pick(who, draw)} know why ${pick(places, draw)} has no ${pick(what, draw)} for the ${pick(who, draw)}?`,
    ][Math.floor(draw() * 7)]!()
  return Array.from({ length: 2 + Math.floor(draw() * 4) }, sentence).join(' ')
}

const time = (draw: Draw) =>
  `${6 + Math.floor(draw() * 16)}:${pick(['05', '10', '20', '35', '40', '55'], draw)}`

/** Notices of one form each, and with other facts. */
const notices: ((draw: Draw) => string)[] = [
  (draw) =>
    `The ${time(draw)} sailing from ${pick(places, draw)} is delayed by ${5 + Math.floor(draw() * 50)} minutes because of the weather. We are sorry for the wait and thank you for your patience.`,
  (draw) =>
    `Passengers for ${pick(places, draw)}: on ${pick(days, draw)} the last boat leaves the pier earlier than usual, at ${time(draw)}. Please be there in good time with your ticket.`,
  (draw) =>
    `${pick(places, draw)} office will be closed on ${pick(days, draw)} for cleaning. Tickets are sold on board by the purser, in coins and notes only.`,
  (draw) =>
    `Route ${1 + Math.floor(draw() * 30)}: no bicycles on the boat to ${pick(places, draw)} this ${pick(days, draw)}, as there is a market on the other side and the deck is full of stalls.`,
]

function changed(text: string, share: number, draw: Draw): string {
  const list = words(text)
  const others = [...who, ...did, ...what, ...how]
  const places = new Set<number>()
  while (places.size < Math.floor(share * list.length)) places.add(Math.floor(draw() * list.length))
  return list.map((word, i) => (places.has(i) ? pick(others, draw) : word)).join(' ')
}

const shorter = (text: string) =>
  words(text)
    .slice(0, Math.ceil(words(text).length * 0.75))
    .join(' ')

/** Copies that are found, and texts that are taken for copies, among so many others. */
export function storyFigures(texts = 200_000, tries = 2000): SimulatedFigure[] {
  const draw = drawing(14)
  const book = new StoryBook()
  const known: string[] = []
  for (let id = 0; id < texts; id++) {
    const text = said(draw)
    const print = storyPrint(text)!
    if (id < tries) known.push(text)
    book.add(print, id)
  }
  const found = (make: (text: string) => string) => {
    let right = 0
    known.forEach((text, id) => {
      const print = storyPrint(make(text))
      if (print && book.find(print) === id) right++
    })
    return right / known.length
  }
  const copies: [string, string, (text: string) => string][] = [
    ['5% of the words changed', 'at least 95%', (text) => changed(text, 0.05, draw)],
    ['10% of the words changed', 'at least 95%', (text) => changed(text, 0.1, draw)],
    ['a line in front', 'at least 80%', (text) => `You have to see what somebody wrote here. ${text}`],
    ['cut to three quarters', 'at least 80%', shorter],
  ]
  const figures = copies.map(([what, claimed, make]): SimulatedFigure => ({
    what: `Copies of a text, ${what}: found`,
    claimed,
    measured: percent(found(make)),
    how: `${tries.toLocaleString('en')} copies among ${texts.toLocaleString('en')} texts of 16 to 70 words`,
  }))
  const alone = (() => {
    let wrong = 0
    for (let i = 0; i < tries; i++) if (book.find(storyPrint(said(draw))!) !== null) wrong++
    return wrong / tries
  })()
  const folded = notices.map((notice) => {
    const shelf = new StoryBook()
    const seen = new Set<string>()
    let [wrong, all] = [0, 0]
    for (let i = 0; i < 1500; i++) {
      const text = notice(draw)
      if (seen.has(text)) continue
      seen.add(text)
      all++
      const print = storyPrint(text)!
      if (shelf.find(print) !== null) wrong++
      else shelf.add(print, i)
    }
    return `${percent(wrong / all)} of ${all}`
  })
  return [
    ...figures,
    {
      what: 'Texts of their own: taken for copies',
      claimed: 'at most 1%',
      measured: percent(alone),
      how: `${tries.toLocaleString('en')} among ${texts.toLocaleString('en')}`,
    },
    {
      what: 'Notices of one form with other facts: taken for copies',
      claimed: 'at most 1%',
      measured: folded.join(', '),
      how: 'four forms, times, places, days and numbers drawn anew',
    },
  ]
}
