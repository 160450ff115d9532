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

/** Watches the demo begins with. "skerrivane" catches a knitting pattern and a song as well: left so, to be sharpened. */
export const demoWatches = [
  {
    name: 'Skerrivane',
    query: {
      anyOf: [{ text: 'skerrivane', slack: true }, { text: 'skerrivane ferries' }],
      allOf: [],
      noneOf: [],
      links: ['skerrivane.example'],
    },
  },
  {
    name: 'Storm Petrel',
    query: { anyOf: [{ text: 'storm petrel' }, { text: 'the petrel' }], allOf: [], noneOf: [], links: [] },
  },
  {
    name: 'Winter timetable',
    query: {
      anyOf: [{ text: 'winter timetable' }, { text: 'new timetable' }],
      allOf: [],
      noneOf: [],
      links: [],
    },
  },
  {
    name: 'Dogs on deck',
    query: {
      anyOf: [
        { text: 'dog', prefix: true },
        { text: 'chien', prefix: true },
        { text: 'perro', prefix: true },
        { text: 'hunde' },
      ],
      allOf: [],
      noneOf: [],
      links: [],
    },
  },
  { name: 'Maren', query: { anyOf: [{ text: 'Maren', exactCase: true }], allOf: [], noneOf: [], links: [] } },
  { name: 'Wynn Adair', query: { anyOf: [{ text: 'wynn adair' }], allOf: [], noneOf: [], links: [] } },
  {
    name: 'Rivals',
    query: {
      anyOf: [{ text: 'bluefathom line' }, { text: 'halder fast cats' }, { text: 'causeway bus' }],
      allOf: [],
      noneOf: [],
      links: [],
    },
  },
]
