/** Reviews of the kayak hire, each a whole: stars and text, with slots for guides, times and weather. */
export interface KayakReview {
  stars: 1 | 2 | 3 | 4 | 5
  language: 'en' | 'fr'
  text: string
}

const of = (
  stars: KayakReview['stars'],
  texts: string,
  language: KayakReview['language'] = 'en',
): KayakReview[] =>
  texts
    .trim()
    .split('\n')
    .map((text) => ({ stars, language, text: text.trim() }))

export const kayakGuides = ['Marlo', 'Petra', 'Ines', 'Odd', 'Callum', 'Sunniva'] as const
export const kayakTimes = ['8:30', '9:15', '10:00', '11:45', '13:30', '15:00', '17:20', '19:00'] as const
export const kayakWeather = [
  'flat calm',
  'a light chop',
  'drizzle',
  'bright sun',
  'a stiff breeze',
  'low mist',
  'hail for ten minutes',
] as const

export const kayakReviews: readonly KayakReview[] = [
  ...of(
    5,
    `
    {guide} had us turning on the spot within a quarter of an hour, and by {time} we were past the skerry with seals on three sides.
    First time in a kayak for all four of us. Nobody fell in, everybody wants to come back, and the hot chocolate afterwards was as good as the paddling.
    We booked the two-hour tour in {weather} and would not have swapped it for anything. {guide} reads the water like a book.
    My father is seventy-eight and was treated like an adult. {guide} fitted the seat for his back and stayed near without fussing.
    Dry suits that are actually dry, paddles that are not held together with tape, and somebody who explains why. What a difference.
    An otter ate its breakfast two metres from my bow. {guide} had told us to drift and say nothing, and was right.
    The {time} slot was quiet, just us and one other couple. It felt like a private lesson at the price of a group one.
    They rang the evening before to move us from {weather} to the calm of the morning. I have never had a hire place do that unasked.
    Our daughter is deaf and {guide} had learned the signs for left, right and stop before we arrived. I nearly cried.
    Clear briefing, short queue, boats rinsed between groups. Everything simply worked.
    Came round the point and the whole bay was lit up. I stopped paddling and so did everybody else.
    I dropped my glasses in the harbour. {guide} dived for them at the end of the shift and posted them to me.
    We have hired from five places on this coast. This is the only one where the spray decks fit.
    The night paddle with glowing water is no trick of the photographs. Every stroke sparks.
    Two boys of eleven and thirteen, no screens for three hours, no complaints. Whatever you pay {guide}, pay more.
    The rescue drill before we left made me feel safe instead of silly.
    Booked on the way over on the ferry, in the water forty minutes later. Could not have been easier.
    I paddle at home every week and still learned something about my forward stroke from {guide}.
    Changing huts with heaters and a hook that holds. You notice such things at {time} in October.
    Rented two doubles for the day, got a chart with the tide marked in pencil and a phone number that was answered.
    The picnic island is worth every blister. Take the early boat and you have the sand to yourselves.
    They found a left-handed paddle for me without my asking. I have been fighting right-handed ones for ten years.
    We were late because of the bus and they waited. {guide} only asked whether we had eaten.
    {guide} lent me a dry hat without a word when mine went over the side. Small thing, big day.
    We came for an hour and stayed for three. Nobody hurried us, and the bill was for exactly what we used.
    Porpoises at {time}, close enough to hear them breathe. I did not know that they breathe so loudly.
    Our group of nine had ages from six to seventy and everybody was in the right boat.
    I have a bad shoulder. {guide} showed me a low stroke and I paddled the whole loop without pain.
    The slip is swept, the ropes are coiled, the staff smile. You can tell what sort of place it is before you pay.
    They keep a shelf of spare socks. Whoever thought of that deserves a medal.
    Perfect in {weather}, of all things: the islands came out of it one by one like in a story.
    The beginner course is two mornings and worth ten of what we had elsewhere. I can roll now. I can actually roll.
    {guide} let the children lead on the way home and only corrected the course with a finger.
    We were the only ones who turned up at {time} and they went out with us all the same.
    Saw the old pier from below, barnacles and all. You never get that from the ferry.
    Everything in the boat had a place and a lid. I have sailed for years and I was impressed.
    My phone is in the Sound of Orrin and I do not mind at all. What a day.
    A birthday for a twelve-year-old who likes nothing. She liked this.
    The tea comes out of a flask, on a rock, with {guide} cutting a cake. That is how it should be done.
    No upselling, no photo booth, no wristband. You paddle, you come back, you thank them.
    I was afraid of deep water. {guide} stayed at arm's length until I forgot about it.
    The chart on the wall has every rock with its name and a story. Ask for the one about the bell.
    They cancelled in the morning because of wind, gave the money back before we had asked, and told us where to walk instead.
    We did the crossing to the lighthouse with {guide}. Hard work, safely led, never to be forgotten.
    The seats adjust, the pedals adjust, even the cup holder adjusts. And the sea did the rest.
    One of our party uses a wheelchair. There was a mat over the shingle and two people who knew how to lift.
    Sunset over the western skerries and not an engine to be heard. I would pay twice for that silence.
    Three generations in three doubles, one of them singing. {guide} joined in the second verse.
    Spotless boats, honest advice on the tide, and a dog on the slip that welcomes you back.
    Proposed to her off the west skerry. {guide} took the photographs and pretended not to notice until she said yes.
    `,
  ),
  ...of(
    4,
    `
    Lovely morning and patient guide. One star off because the wetsuit they gave me was still cold and wet from the group before.
    Great route, and {guide} knows every bird. The path down to the slip is steep with a bag, so bring shoes with grip.
    Beautiful, but two hours is short once you have changed and been briefed. Book three.
    Very good with beginners. More experienced paddlers may want to hire without the tour.
    The boats are older than in the photographs and perfectly sound all the same.
    {guide} was excellent. Parking is not: we circled for twenty minutes before {time}.
    Calm water and a good pace for the children. The toilets are a walk away, which matters more than you think.
    In {weather} we only did the inner bay, which was the right decision. I would have liked part of the money back, though.
    All well organised. The booking page sent me the confirmation twice and the map not at all.
    A fine half day. A bench to sit on while one waits would help.
    Enjoyed it more than I expected to. The double kayaks steer like wardrobes until one has the knack.
    Friendly people and fair prices. I wish they opened before nine in summer.
    Seals, terns and one very large jellyfish. The dry bag was not quite as dry as its name.
    The evening tour is the one to take: fewer boats, warmer light. Bring gloves in autumn.
    {guide} is a born teacher. The hut could do with a second shower.
    A lovely loop round the bay, only the return against {weather} was more than the children had bargained for.
    Nearly perfect. The waiver form takes longer to read than the briefing takes to give.
    Good boats and good humour. Card payments were down at {time}, so bring cash to be safe.
    We liked the small group of six. The one before us had eleven, so ask when you book.
    Everything as promised, and the tide did the work on the way home. The map is a little old.
    Great with teenagers. For the very small ones a shorter tour would be good.
    Would come again, would bring a thicker jumper. The seals alone are worth it.
    The single kayaks are quick and light, the doubles are neither. Choose well.
    Good fun, well led. The photographs they sell at the end cost more than the second hour.
    `,
  ),
  ...of(
    3,
    `
    The paddling was fine. The shop was closed at {time} although the door says otherwise, so we started half an hour late.
    It is what it says: boats, paddles, water. Nobody told us where the good places are.
    {guide} was kind but had twelve of us, and the slow ones held up everybody.
    Half of us loved it, half were cold. Ask for the thick suits.
    Nice bay. Ours was a boat that pulled to the left all day.
    We had {weather}, which is nobody's fault, but a word in the morning would have saved us the trip.
    Decent for a first try. For the price I had expected more than a lap of the harbour.
    The briefing was long and the tour was short.
    Staff pleasant, lockers broken. We left our things in the car in the end.
    Neither good nor bad. We hired for an hour and went home.
    `,
  ),
  ...of(
    2,
    `
    Booked for {time}, on the water forty minutes later, and we still had to be back on the hour.
    The life jacket they gave my son was an adult one with the straps knotted short. I took him out of the boat again.
    Nobody seemed to know who was guiding. In the end {guide} came from the other group and did two at once.
    We were told it would be calm and it was {weather}. My wife was frightened the whole way.
    The seat back broke within ten minutes and there was no spare. Two hours without a back rest is a long time.
    They charged the deposit twice. It came back after three mails, the last of which was not friendly.
    Pretty place, careless people. Our bags were moved out of the hut and left in the rain.
    The paddles were all one length. I am one metre fifty-six.
    It says wetsuits are included. Boots are not, and they cost as much as lunch.
    We rang three times about the tide and were told three different things.
    `,
  ),
  ...of(
    1,
    `
    Cancelled by text at {time} when we stood at the slip with two children in swimsuits. Nobody there to talk to.
    The hull had a crack that had been taped over. We found out in the middle of the channel.
    {guide} shouted at a beginner in front of everybody. She has not been in a boat since.
    I paid for three hours and got one hour and fifty minutes. They call that weather; it was {weather}.
    No briefing, no whistle, no map. We were handed paddles and pointed at the sea.
    Still waiting for the refund of a tour in spring. Five mails, no answer.
    The suit smelled as if somebody had died in it.
    We were left on the island for an hour because the guide had counted wrong. An hour.
    `,
  ),
  ...of(
    5,
    `
    {guide} nous a tout expliqué avec patience, et à {time} nous étions seuls au milieu des phoques. Inoubliable.
    Matériel impeccable, combinaisons sèches, accueil en français sans qu'on le demande. Bravo.
    Nos enfants en parlent encore. La sortie du soir, quand l'eau s'illumine, vaut le voyage à elle seule.
    On nous a appelés la veille pour avancer la sortie à cause du vent. Voilà des gens sérieux.
    `,
    'fr',
  ),
  ...of(
    4,
    `
    Très belle balade, guide attentive. Le chemin jusqu'à la cale est raide et les vestiaires sont petits.
    Deux heures passent vite : prenez-en trois. Le reste est parfait.
    `,
    'fr',
  ),
  ...of(
    2,
    `
    Quarante minutes d'attente sur la cale, puis une sortie raccourcie. Personne ne s'est excusé.
    Le gilet de ma fille était trop grand et il n'y en avait pas d'autre. Nous avons renoncé.
    `,
    'fr',
  ),
]
