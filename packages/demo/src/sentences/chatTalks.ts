import type { TextTalk } from './textMessages.ts'

/** A conversation in the box on our own site, begun on one of its pages. */
export interface ChatTalk extends TextTalk {
  page: 'timetable' | 'fares' | 'bikes' | 'home'
}

const talk = (language: ChatTalk['language'], page: ChatTalk['page'], lines: string): ChatTalk => ({
  language,
  page,
  lines: lines
    .trim()
    .split('\n')
    .map((line) => line.trim()),
})

/** In pieces, as people write while they wait. Slots: {place}, {other} (harbours), {time}, {later}, {ship}, {name}, {ref}. */
export const chatTalks: readonly ChatTalk[] = [
  talk(
    'en',
    'timetable',
    `> hello
> is the {time} from {place} on a saturday too?
< Hello! On Saturdays the first is at {later}, it says so under the little anchor.
> ah, never saw the anchor. thanks`,
  ),
  talk(
    'en',
    'fares',
    `> Hi, quick one
> does a dog need a ticket
< Hello, no, dogs go free. On a lead, and on the open deck.
> perfect, he will be pleased`,
  ),
  talk(
    'en',
    'fares',
    `> I am trying to book {place} to {other} for a motorhome
> it will not let me put in 7.2 m
< It stops at 7 in the short form. Choose "van or longer" and the field goes to 12.
> that worked
> maybe say so on the page`,
  ),
  talk(
    'en',
    'bikes',
    `> do bikes need booking on the {ship}?
< Only groups of six and more. Otherwise roll on with everybody else.
> lovely, there are four of us`,
  ),
  talk(
    'en',
    'home',
    `> My card was charged twice for {ref}
> both say pending
< I see one booking and one failed try. The second falls off by itself within five days.
> and if it does not?
< Then write to us with {ref} and we send it back the same day. {name}
> ok. not happy but ok`,
  ),
  talk(
    'en',
    'timetable',
    `> is anything sailing today??
> your page says "see notices" and the notices page is empty
< The {time} and the {later} are off for wind, everything after that is planned. The notice was late, sorry.
> we are standing on the quay in {place} in the rain reading an empty page
< I understand. The waiting room is open, and the kiosk has been told to give you tea.`,
  ),
  talk(
    'en',
    'home',
    `> lost property?
> left a green umbrella on the {ship} last night
< We have three umbrellas and one is green, with a duck as a handle.
> THAT IS THE ONE
< It waits in {place} under your name. {name}`,
  ),
  talk(
    'en',
    'fares',
    `> Is there a fare for carers
> my mother is in a wheelchair and I travel with her
< Yes: whoever accompanies her travels free. Tick "with assistance" in the second step.
> thank you, that is generous
< And say which sailing, then somebody meets you at the ramp.`,
  ),
  talk(
    'en',
    'timetable',
    `> Can I change {ref} to the {later}?
< Yes, there is room. Shall I do it?
> please
< Done, the new ticket is in your mail.
> that took one minute. thank you {name}`,
  ),
  talk(
    'en',
    'fares',
    `> your site lost my booking at the payment step
> three times now
< Sorry about that. Which browser do you use?
> does it matter? I just want to go to {other}
< It helps us find it. I can also book it for you now: which day, how many?
> friday, two adults, {time} from {place}
< Held for an hour under {ref}, pay at the desk. {name}`,
  ),
  talk(
    'en',
    'home',
    `> Hi do you hire out the {ship} for weddings
< We do, from October to April. Ask for Wynn at the {place} office, she has the dates.
> brilliant, will ring tomorrow`,
  ),
  talk(
    'en',
    'timetable',
    `> how long from {place} to {other}
< An hour and ten minutes.
> and does the bus wait
< The number 4 waits up to ten minutes for the boat.
> great`,
  ),
  talk(
    'en',
    'bikes',
    `> a strap on the bike rack was broken yesterday
> my bike fell over on the {ship}, bent mudguard
< I am sorry. Can you send a picture and the time of your sailing?
> {time}. picture to which address?
< hello@skerrivane.example, with {ref} in the subject. We pay for the mudguard. {name}`,
  ),
  talk(
    'en',
    'home',
    `> Is anybody there?
> I have been waiting on the phone for 40 minutes so I try here
< Here I am. What can I do?
> the {time} tomorrow. sailing or not. that is all I need
< Sailing. The forecast is calm until the evening.
> you should put that on the phone line`,
  ),
  talk(
    'en',
    'fares',
    `> student discount?
< A third off on weekdays with a card of any school or university.
> nice`,
  ),
  talk(
    'en',
    'home',
    `> just wanted to say the woman at the {place} desk was wonderful with my dad today
> he gets confused and she walked him to his seat
< Thank you for telling us. I pass it on to her today. {name}`,
  ),
  talk(
    'en',
    'timetable',
    `> the times on this page and the times on the sign in {place} are different
> sign says {time}, page says {later}
< The page is right, the sign is still the summer one.
> then take the sign down please, there are ten people here looking at it
< Somebody is on the way with a ladder.`,
  ),
  talk(
    'en',
    'fares',
    `> How much for a small van to {other} and back
< 64 with one driver, 58 on weekdays.
> hm ok
> and a trailer?
< Half of that again.`,
  ),
  talk(
    'fr',
    'timetable',
    `> bonjour
> le bateau de {time} part bien de {place} demain ?
< Bonjour ! Oui, et il reste de la place.
> merci beaucoup`,
  ),
  talk(
    'fr',
    'fares',
    `> Je n'arrive pas à payer, la page reste blanche
> deuxième essai déjà
< Désolée. Je peux réserver pour vous : quel jour, combien de personnes ?
> samedi, deux adultes, un enfant, {place} vers {other}
< C'est réservé sous {ref}, vous payez au guichet. {name}
> merci, mais réparez votre page`,
  ),
  talk(
    'fr',
    'bikes',
    `> faut-il réserver pour deux vélos ?
< Non, seulement à partir de six.
> super, merci`,
  ),
  talk(
    'fr',
    'home',
    `> j'ai oublié une veste bleue sur le {ship} hier soir
< Elle est au guichet de {place}, à votre nom.
> formidable, je passe demain`,
  ),
  talk(
    'fr',
    'timetable',
    `> Aucun bateau ce matin et aucune information sur votre site
> c'est la troisième fois ce mois-ci
< Le vent, et une annonce partie trop tard : nous en sommes désolés. Le {later} est prévu.
> nous verrons bien`,
  ),
  talk(
    'de',
    'timetable',
    `> Hallo
> fährt die {time} ab {place} auch sonntags?
< Hallo, sonntags erst um {later}.
> danke, gut zu wissen`,
  ),
  talk(
    'de',
    'fares',
    `> Ich habe {ref} doppelt bezahlt
< Ich sehe es, der zweite Betrag geht heute zurück. Entschuldigung! {name}
> das ging schnell, danke`,
  ),
  talk(
    'de',
    'home',
    `> Seit zwei Wochen keine Antwort auf meine Mail
> so macht man das nicht
< Das tut mir leid. Worum ging es, dann sehe ich sofort nach?
> Erstattung für {ref}
< Sie ist bewilligt und heute hinausgegangen. {name}`,
  ),
  talk(
    'es',
    'timetable',
    `> hola
> ¿el barco de las {time} sale de {place} los domingos?
< Hola, los domingos sale a las {later}.
> gracias`,
  ),
  talk(
    'es',
    'fares',
    `> La página no acepta mi tarjeta
> lo he intentado cuatro veces
< Lo siento. Puedo reservarlo yo: ¿qué día y cuántas personas?
> viernes, dos adultos, de {place} a {other}
< Reservado con {ref}, se paga en la taquilla. {name}
> menos mal`,
  ),
  talk(
    'es',
    'home',
    `> solo quería dar las gracias a la tripulación del {ship}, fueron muy amables con mi abuela
< Muchas gracias, se lo diremos hoy mismo. {name}`,
  ),
]
