import { describe, expect, it } from 'vitest'
import { readByLists } from '../../../src/sentiment/lists/readByLists.ts'

describe('a word of opinion in a name', () => {
  it.each([
    ['Halder Fast Cats left from the other pier today', 'en'],
    ['We took the Swift Parcels van to the harbour', 'en'],
    ['The Dreadful Goat is our local since the spring', 'en'],
    ['Nous avons dîné au Bon Accueil avec des amis', 'fr'],
    ['Cenamos en Casa Feliz con unos amigos del barrio', 'es'],
  ])('says nothing: %s', (text, language) => {
    expect(readByLists(text, { language }).raw).toBe(0)
  })

  it.each([
    ['Very Good Food and a table by the window', 'en'],
    ['Great Service And Lovely People', 'en'],
    ['One Clean Boat And Some Tea', 'en'],
    ['I Love this place so much', 'en'],
    ['They were Absolutely Brilliant with my mum', 'en'],
    ['Good Crossing with the Grey Heron this morning', 'en'],
    ['Das Schöne Wetter hat uns auf dem Deck gehalten', 'de'],
  ])('counts where a capital is only a way of writing: %s', (text, language) => {
    expect(readByLists(text, { language }).raw).toBeGreaterThan(0.45)
  })

  it('counts all of several in a row, which are no name', () => {
    const text = 'We had a Lovely Friendly Chat with the man at the harbour'
    expect(readByLists(text).raw).toBe(readByLists(text.toLowerCase()).raw)
  })

  it('leaves the other words of the sentence their say', () => {
    const text = 'Halder Fast Cats staff at the desk were so rude to the lady before me'
    const { spans, sentiment } = readByLists(text)
    expect(spans.map(({ start, end }) => text.slice(start, end))).toEqual(['rude'])
    expect(sentiment).toBe('negative')
  })

  it("does not take the say of the brand's own word", () => {
    const ownWords = [{ term: 'fast cats', valence: -2 }]
    expect(readByLists('We crossed with Halder Fast Cats this morning', { ownWords }).raw).toBe(-2)
  })
})
