const nouns =
  'harbour ticket kiosk railing window captain luggage bicycle lantern blanket gangway engine cushion whistle island bakery parcel umbrella compass teapot sandwich passport mooring violin curtain bucket helmet ladder pillow scarf anchor kettle notebook ribbon garden orchard valley meadow bridge tunnel chimney balcony mirror drawer hammer feather needle basket candle bottle saucer napkin carpet trumpet drum puzzle marble button'.split(
    ' ',
  )

/** Words that differ from number to number: who says the same again teaches nothing new. */
export const things = (n: number, words = 10): string =>
  Array.from({ length: words }, (_, i) => nouns[(n * 7 + i * (3 + (n % 5))) % nouns.length]).join(' ')
