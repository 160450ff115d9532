import { places } from './places.ts'

type Role = 'owner' | 'lead' | 'specialist' | 'placeManager' | 'reader'

/** The demo's sign-ins; the password is the same for all and is printed at the start. */
export const demoPassword = 'sound-of-orrin'

export const demoBrand = {
  name: 'Skerrivane Ferries',
  zone: 'Europe/London',
  languages: ['en', 'fr', 'es', 'de'],
  places: places.map(({ name, street, phone, week }) => ({
    name,
    address: `${street}, ${name}`,
    phone,
    week,
  })),
  colleagues: [
    { name: 'Tamsin Kerr', email: 'tamsin@skerrivane.example', role: 'specialist' as Role },
    { name: 'Ivo Oduya', email: 'ivo@skerrivane.example', role: 'lead' as Role },
    { name: 'Wynn Adair', email: 'wynn@skerrivane.example', role: 'owner' as Role },
    {
      name: 'Ness Pascoe',
      email: 'ness@skerrivane.example',
      role: 'placeManager' as Role,
      places: ['Dunmarrow'],
    },
    { name: 'Rowan Teague', email: 'rowan@skerrivane.example', role: 'reader' as Role },
  ].map((c) => ({ ...c, password: demoPassword })),
}

type GroupKind = 'brand' | 'people' | 'places' | 'products' | 'rivals' | 'trade' | 'links' | 'other'

export const demoGroups: { name: string; kind: GroupKind; parent?: string }[] = [
  { name: 'Skerrivane', kind: 'brand' },
  { name: 'People', kind: 'people' },
  { name: 'Ships', kind: 'products' },
  { name: 'Rivals', kind: 'rivals' },
  { name: 'Trade', kind: 'trade' },
  { name: 'On board', kind: 'trade', parent: 'Trade' },
]

const bare = {
  allOf: [],
  noneOf: [],
  near: [],
  links: [],
  voices: { only: [], without: [] },
  channels: [],
  languages: [],
}
const any = (...terms: { text: string; slack?: boolean; prefix?: boolean; exactCase?: boolean }[]) => ({
  ...bare,
  anyOf: terms,
})

/** Watches the demo begins with. "skerrivane" catches a knitting pattern and a song as well, and a heron is a bird: left so, to be sharpened. */
export const demoWatches = [
  {
    name: 'Skerrivane',
    group: 'Skerrivane',
    query: {
      ...any({ text: 'skerrivane', slack: true }, { text: 'skerrivane ferries' }),
      links: ['skerrivane.example'],
    },
  },
  { name: 'Maren', group: 'People', query: any({ text: 'Maren', exactCase: true }) },
  { name: 'Wynn Adair', group: 'People', query: any({ text: 'wynn adair' }) },
  { name: 'Torquil', group: 'People', query: any({ text: 'torquil', slack: true }) },
  { name: 'Storm Petrel', group: 'Ships', query: any({ text: 'storm petrel' }, { text: 'the petrel' }) },
  { name: 'Grey Heron', group: 'Ships', query: any({ text: 'grey heron' }) },
  { name: 'Bluefathom Line', group: 'Rivals', query: any({ text: 'bluefathom', slack: true }) },
  {
    name: 'Halder Fast Cats',
    group: 'Rivals',
    query: any({ text: 'halder fast cats' }, { text: 'halder cats' }, { text: 'fast cats' }),
  },
  { name: 'Orrin Causeway Bus', group: 'Rivals', query: any({ text: 'causeway bus' }) },
  {
    name: 'Winter timetable',
    group: 'Trade',
    query: any({ text: 'winter timetable' }, { text: 'new timetable' }),
  },
  {
    name: 'Dogs on deck',
    group: 'On board',
    query: any(
      { text: 'dog', prefix: true },
      { text: 'chien', prefix: true },
      { text: 'perro', prefix: true },
      { text: 'hunde' },
    ),
  },
  {
    name: 'Galley',
    group: 'On board',
    query: any({ text: 'galley' }, { text: 'bacon roll' }, { text: 'coffee' }, { text: 'chowder' }),
  },
]

const terms = (text: string) =>
  text
    .split(', ')
    .map((each) => (each.endsWith('*') ? { text: each.slice(0, -1), prefix: true } : { text: each }))

/** What people judge one by one. */
export const demoAspects = [
  {
    name: 'Punctuality',
    terms: terms(
      'late, delay*, on time, punctual*, waited, minutes late, hours late, retard*, verspätung, puntual*',
    ),
  },
  {
    name: 'Crew',
    terms: terms(
      'crew, staff, deckhand*, captain, torquil, ailith, équipage, personnel, tripulación, personal, besatzung',
    ),
  },
  {
    name: 'Booking',
    terms: terms('booking*, book online, app, website, site, ticket*, réservation, reserva*, buchung*'),
  },
  {
    name: 'Price',
    terms: terms('price*, fare*, expensive, cheap*, cost*, prix, cher, precio*, preis*, teuer'),
  },
  {
    name: 'Galley',
    terms: terms('galley, food, coffee, bacon roll*, soup, chowder, cake*, café, comida, essen'),
  },
  {
    name: 'Cleanliness',
    terms: terms('clean*, dirty, filthy, toilet*, sticky, propre*, sale, limpi*, suci*, sauber*, schmutzig*'),
  },
  {
    name: 'Boarding',
    terms: terms('boarding, queue*, gate*, car lane, ramp, embarquement, cola, einsteigen, schlange'),
  },
  { name: 'Views', terms: terms('view*, sunset*, porpoise*, seal*, puffin*, vue*, vistas, aussicht') },
]

/** What the team knows of those who write most, the first of them first; of the press it knows the paper. */
export const demoNotes = [
  { standing: 'customer', note: 'Season ticket, always the car deck' },
  { standing: 'customer', note: 'May be quoted by first name' },
  { standing: 'partner', note: 'Brings groups from the mainland' },
  { standing: 'customer', note: 'Two complaints last winter, both settled' },
  { standing: 'troll', note: '' },
  { standing: 'customer', note: 'Regular, on top of it all' },
] as const

/** What is to be done after the threads that press most, in hours from the start of the demo. */
export const demoFollowUps = [
  { kind: 'followUp', what: 'Ask the harbour office, then write again', hours: 26 },
  {
    kind: 'lead',
    what: 'May come with a group',
    hours: 50,
    worth: 1900,
    currency: 'GBP',
    nextStep: 'Send the prices with lunch',
  },
  { kind: 'followUp', what: 'Tell them how it ended', hours: -20 },
  { kind: 'followUp', what: 'Call before the weekend', hours: 74 },
] as const
