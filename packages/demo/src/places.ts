export interface DemoPlace {
  id: string
  name: string
  street: string
  phone: string
  /** Share of what is written. */
  weight: number
  /** Chance that a plain review is glad. */
  glad: number
  /** Opening spans from Monday, in minutes from midnight. */
  week: [number, number][][]
}

const daily = (open: number, close: number): [number, number][][] =>
  Array.from({ length: 7 }, () => [[open * 60, close * 60]])

export const places: DemoPlace[] = [
  {
    id: 'port-ellery',
    name: 'Port Ellery',
    street: '1 Ferry Terminal',
    phone: '+44 1632 960101',
    weight: 42,
    glad: 0.83,
    week: daily(6, 22),
  },
  {
    id: 'dunmarrow',
    name: 'Dunmarrow',
    street: 'Harbour Road 12',
    phone: '+44 1632 960102',
    weight: 15,
    glad: 0.72,
    week: daily(7, 20),
  },
  {
    id: 'inchgarth',
    name: 'Inchgarth',
    street: 'The Slip',
    phone: '+44 1632 960103',
    weight: 15,
    glad: 0.86,
    week: daily(8, 19),
  },
  {
    id: 'selwick-quay',
    name: 'Selwick Quay',
    street: 'Quayside 4',
    phone: '+44 1632 960104',
    weight: 18,
    glad: 0.66,
    week: daily(8, 18),
  },
  {
    id: 'northmoor-pier',
    name: 'Northmoor Pier',
    street: 'Pier Head',
    phone: '+44 1632 960105',
    weight: 10,
    glad: 0.78,
    week: [...daily(8, 18).slice(0, 6), []],
  },
]
