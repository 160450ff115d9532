/** Asks Murrabel as its owner would. */
type Call = <T>(method: string, path: string, body?: unknown) => Promise<T>

interface Pattern {
  name: string
  folder: string
  texts: { language: string; text: string }[]
}

const texts = (en: string, fr?: string, es?: string, de?: string): Pattern['texts'] =>
  Object.entries({ en, fr, es, de }).flatMap(([language, text]) => (text ? [{ language, text }] : []))

/** What Skerrivane answers again and again. */
export const demoPatterns: Pattern[] = [
  {
    name: 'Where we are',
    folder: 'Parts',
    texts: texts(
      'The ticket office at {place|the quay} is open from an hour before the first sailing until the last has left.',
      'Le guichet {place|du quai} ouvre une heure avant le premier départ et ferme après le dernier.',
    ),
  },
  {
    name: 'Cancelled, money back',
    folder: 'Cancelled sailings',
    texts: texts(
      'Dear {name|guest},\n\nI am sorry about {visit|your crossing}: we should have told you sooner. The whole fare goes back to the card you paid with and is there within five working days; you need to do nothing.\n\nIf the cancellation cost you more than the fare, write to me here and I will look at it.',
      'Bonjour {name|à vous},\n\nNous sommes désolés pour {visit|votre traversée} : nous aurions dû vous prévenir plus tôt. Le prix entier est remboursé sur votre carte sous cinq jours ouvrés ; vous n’avez rien à faire.',
      'Hola, {name|buenos días}:\n\nSentimos lo ocurrido con {visit|su travesía}; debimos avisarle antes. Le devolvemos el importe completo a su tarjeta en cinco días laborables; no tiene que hacer nada.',
      'Guten Tag {name|lieber Gast},\n\nes tut uns leid wegen {visit|Ihrer Überfahrt}: Wir hätten früher Bescheid geben müssen. Der ganze Fahrpreis geht binnen fünf Werktagen auf Ihre Karte zurück; Sie müssen nichts tun.',
    ),
  },
  {
    name: 'Cancelled, next sailing',
    folder: 'Cancelled sailings',
    texts: texts(
      'Hello {name|there}, your ticket is good for the next sailing with room, today or any day this month; show it at {place|the gate} and they will find you a space. {pattern: Where we are}',
    ),
  },
  {
    name: 'Dogs on board',
    folder: 'Questions',
    texts: texts(
      'Hello {name|there}, dogs travel free on every ship, on a lead: on the open decks and in the aft lounge of the Storm Petrel and the Grey Heron. Nothing to book.',
      'Bonjour {name|à vous}, les chiens voyagent gratuitement sur tous nos navires, en laisse, sur les ponts et dans le salon arrière. Aucune réservation.',
      undefined,
      'Guten Tag {name|und danke für die Frage}, Hunde fahren auf allen Schiffen kostenlos mit, angeleint, auf den Decks und im hinteren Salon. Eine Buchung braucht es nicht.',
    ),
  },
  {
    name: 'Bicycles',
    folder: 'Questions',
    texts: texts(
      'Hello {name|there}, bicycles go on the car deck, no booking needed before ten bikes; push yours on after the cars and tie it to the rail on the left.',
    ),
  },
  {
    name: 'Group booking, first answer',
    folder: 'Questions',
    texts: texts(
      'Dear {name|guest},\n\nThank you for thinking of us. For groups of twelve and more the tenth place is free. To hold the seats I need the date, the number of people, and whether a coach comes along. I answer by {date} with a price.',
    ),
  },
  {
    name: 'Praise for the crew',
    folder: 'Thanks',
    texts: texts(
      'Thank you, {name|that is kind}. I have read this out to the crew at {place|the quay}, and they were very pleased.',
      'Merci {name|beaucoup} ! Je l’ai lu à l’équipage, qui en a été très touché.',
    ),
  },
  {
    name: 'Passed on to the works',
    folder: 'Complaints',
    texts: texts(
      'Dear {name|guest}, you are right, and thank you for telling us. I have passed it to the people who mend it and will write here when it is done.',
    ),
  },
]

/** Patterns and sign-offs; what is there already is left as it is. */
export async function fillReplies(call: Call): Promise<void> {
  if ((await call<unknown[]>('GET', '/api/patterns')).length) return
  for (const pattern of demoPatterns) await call('POST', '/api/patterns', pattern)
  const { colleagues } = await call<{ colleagues: { id: number; name: string }[] }>('GET', '/api/brand')
  const whose = (first: string) => colleagues.find(({ name }) => name.startsWith(first))?.id ?? null
  for (const [text, first] of [
    ['Passenger care, Skerrivane Ferries', null],
    ['Tamsin, passenger care', 'Tamsin'],
    ['Ivo Oduya, head of passenger care', 'Ivo'],
    ['Ness, Dunmarrow harbour', 'Ness'],
  ] as const)
    await call('POST', '/api/sign-offs', { text, whose: first && whose(first) })
}
