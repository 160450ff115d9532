const words =
  'harbour ticket kiosk railing window captain luggage bicycle lantern seagull breakfast blanket gangway timetable engine cushion whistle island lighthouse bakery parcel umbrella compass teapot sandwich passport mooring pigeon violin wheelbarrow curtain bucket helmet ladder pillow scarf anchor kettle notebook sailor ribbon garden orchard valley meadow bridge tunnel chimney staircase balcony mirror drawer hammer feather needle basket candle bottle saucer napkin carpet mattress trumpet drum puzzle marble button pocket sleeve collar jacket apron slipper suitcase backpack calendar envelope postcard magazine newspaper dictionary pencil eraser ruler scissors magnet battery torch radio camera telescope thermometer barometer hourglass pendulum sundial'.split(
    ' ',
  )

/** Words that say nothing of a mood, drawn anew each time: no two texts of them are alike. */
export const fillers = (n: number, draw: () => number): string[] =>
  Array.from({ length: n }, () => words[Math.floor(draw() * words.length)]!)

/** A text of such words around some that matter, in any place. */
export function worded(telling: readonly string[], draw: () => number, n = 8): string {
  const all = fillers(n, draw)
  for (const word of telling) all.splice(Math.floor(draw() * (all.length + 1)), 0, word)
  return all.join(' ')
}
