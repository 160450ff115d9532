/** A conversation by text: what the customer writes (>) and what we answer (<), in turn, about one thing. */
export interface TextTalk {
  language: 'en' | 'fr' | 'es' | 'de'
  lines: readonly string[]
}

const talk = (language: TextTalk['language'], lines: string): TextTalk => ({
  language,
  lines: lines
    .trim()
    .split('\n')
    .map((line) => line.trim()),
})

/** Slots: {place}, {other} (harbours), {time}, {later} (clock), {ship}, {name} (of ours), {ref}. */
export const textTalks: readonly TextTalk[] = [
  talk(
    'en',
    `> Is the {time} from {place} running today?\n< It is, and on time. {name}, Skerrivane\n> Great thanks`,
  ),
  talk(
    'en',
    `> hi is {time} from {place} going ahead? forecast looks rough\n< Decision at noon. If the swell holds off it sails. We will text you. {name}`,
  ),
  talk(
    'en',
    `> Running 10 mins late for the {time}, will you hold it?\n< We can't hold it, sorry, but the {later} has room and your ticket is good for it. {name}\n> ok understood`,
  ),
  talk(
    'en',
    `> Left a blue rucksack on the {ship} this morning, front seats upstairs\n< Found, it is at the desk in {place}, under your number. Open until eight. {name}\n> you are stars, thank you so much`,
  ),
  talk(
    'en',
    `> Did anybody hand in a child's grey rabbit? {time} boat from {place}, she can't sleep without it\n< Not yet. The crew of the {ship} will look tonight and I'll text you either way. {name}\n> Thank you\n< Found under row 14. It can travel to {place} on the first boat tomorrow. {name}\n> she is beyond happy. best ferry company in the world`,
  ),
  talk(
    'en',
    `> No refund yet for {ref}. You said ten days, it has been three weeks.\n< It was stuck on our side, I have sent it again today: two working days. Sorry. {name}\n> I will believe it when I see it`,
  ),
  talk('en', `> Refund for {ref} arrived, thanks for sorting it`),
  talk(
    'en',
    `> can i bring my dog on the {time}? small terrier\n< Yes, on a lead, back deck or the lounge marked with a paw. No charge. {name}\n> perfect`,
  ),
  talk(
    'en',
    `> Do bikes need booking\n< Below 10 bikes a sailing no, above yes, so please book on Saturdays. It is free. {name}`,
  ),
  talk(
    'en',
    `> We've been in the car lane at {place} for 50 min and nobody tells us anything\n< The {ship} is waiting for a berth in {other}. Boarding from {later}. I have asked the lane crew to come to you. {name}\n> someone came. thanks for answering at least`,
  ),
  talk(
    'en',
    `> Your ticket machine at {place} ate my card!!\n< Sorry! Please ask at the desk, they can open it. They know you are coming. {name}\n> got it back thanks`,
  ),
  talk(
    'en',
    `> Wheelchair user travelling alone Tuesday {time} from {place}. Is the lift working?\n< It is, and {name} will meet you at the barrier at half past. Please text if you are late.\n> Brilliant, that makes it so much easier`,
  ),
  talk(
    'en',
    `> the lift at {place} is out of order AGAIN. how is my mother supposed to get on board\n< I am sorry. There is a ramp by the car deck and two of the crew will help her up. The lift is repaired on Thursday. {name}\n> she should not have to board with the lorries`,
  ),
  talk(
    'en',
    `> Is there gluten free food on board\n< Soup, two cakes and the crisps, all marked. The galley on the {ship} has most. {name}\n> thanks`,
  ),
  talk('en', `> £14 for two coffees and a scone, really?`),
  talk(
    'en',
    `> What time is the last boat from {other} tonight\n< {later} from {other}, then the {time} tomorrow. {name}`,
  ),
  talk(
    'en',
    `> Booked the wrong day, {ref}, can I change to Sunday?\n< Done: Sunday {time}, same price, new ticket by e-mail. {name}\n> That was quick! Thank you`,
  ),
  talk(
    'en',
    `> I need to cancel {ref}, my dad is in hospital\n< I am sorry to hear that. Cancelled, all of it comes back to your card. All the best to him. {name}\n> thank you, that is kind of you`,
  ),
  talk(
    'en',
    `> your website took the money and gave me no ticket\n< Found it: the ticket went to an address without the dot. Sent again to this phone as a link. {name}\n> ok have it now`,
  ),
  talk(
    'en',
    `> App crashes when I open my ticket. Boarding in 20 min\n< Show this text and your name at the gate, they have you on the list. {name}\n> worked. phew`,
  ),
  talk(
    'en',
    `> Deck lights of the {ship} shine into our bedroom all night when she lies at {place}\n< Noted and passed to the mate. From tonight only the gangway light stays on. Please tell us if not. {name}\n> much better, slept for the first time in weeks`,
  ),
  talk('en', `> Whoever was on the gate at {place} for the {time} was plain rude to my wife`),
  talk(
    'en',
    `> Please thank the young man on the {ship} who carried our bags. Did not catch his name. Made our day.\n< That was most likely our deckhand Ruaridh. He will be very glad of it. {name}`,
  ),
  talk(
    'en',
    `> whales!! from the {ship} just now, two of them, north side. crew slowed down so all could see. amazing`,
  ),
  talk('en', `> toilets on the {ship} have no water`),
  talk('en', `> How early for foot passengers\n< Fifteen minutes before, twenty with a bicycle. {name}`),
  talk(
    'en',
    `> Is the car park at {place} free overnight\n< £4 a night, pay at the machine or in the app, number plate needed. {name}\n> thx`,
  ),
  talk(
    'en',
    `> Missed the {time} because the bus was late, {ref}\n< Your ticket is good for the {later}. No charge. {name}\n> legend`,
  ),
  talk(
    'en',
    `> does the boat stop at {other} on sundays in winter\n< Twice, at 10:10 and 16:40, until the end of March. {name}\n> thank you`,
  ),
  talk(
    'en',
    `> School trip, 42 children and 5 adults, 12 May. Group price?\n< Yes: children half, every tenth free. An offer is in your mail, valid until the end of the month. {name}`,
  ),
  talk(
    'en',
    `> It says platform closed at {place}. Which side do we board\n< By the car ramp today, follow the green line. Sorry for the detour. {name}\n> found it`,
  ),
  talk(
    'en',
    `> Third time this month that the {time} is cancelled and each time I hear of it at the pier. I have a job to get to. What exactly are these text alerts for if they come after the boat should have left? Please do not tell me about the weather again, it is flat calm here.\n< You are right, the alert went out late: the ship had a fault, not the weather, and the text still waited for a person to release it. From today it goes out by itself. I have credited your last three crossings. {name}\n> Thank you for a straight answer.`,
  ),
  talk(
    'en',
    `> Do I get my money back for yesterday's 4 hour tow? We were on the Storm Petrel\n< Yes, all of it, and £50 each for the wait. Nobody needs to apply, it is on its way. {name}\n> ok. thanks`,
  ),
  talk(
    'en',
    `< Skerrivane: the {time} from {place} does not sail today (wind). Your ticket is good for the {later}. STOP ends these texts.\n> ok will take the {later}`,
  ),
  talk(
    'en',
    `< Skerrivane: the {time} from {place} does not sail today (wind). Your ticket is good for the {later}. STOP ends these texts.\n> Can I have the money back instead?\n< Of course, it is on its way to your card. {name}`,
  ),
  talk(
    'en',
    `< Skerrivane: the {time} from {place} leaves 25 min late today. STOP ends these texts.\n> thanks for letting us know`,
  ),
  talk(
    'en',
    `< Skerrivane: the {time} from {place} leaves 40 min late today. STOP ends these texts.\n> STOP`,
  ),
  talk(
    'en',
    `< Skerrivane: winter timetable from Sunday, first boat from {place} at {time}. STOP ends these texts.\n> Stop please`,
  ),
  talk(
    'en',
    `< Skerrivane: winter timetable from Sunday, first boat from {place} at {time}. STOP ends these texts.\n> STOP\n> START`,
  ),
  talk(
    'fr',
    `> Bonjour, le bateau de {time} au départ de {place} est maintenu ?\n< Bonjour, oui, et à l'heure. {name}, Skerrivane\n> merci`,
  ),
  talk(
    'fr',
    `> On peut embarquer avec une poussette double ?\n< Oui, par la rampe des voitures, l'équipage vous aide. {name}\n> Super, merci beaucoup`,
  ),
  talk(
    'fr',
    `> toujours pas remboursé, dossier {ref}, ça fait un mois !!\n< Je suis désolée : le virement est parti ce matin, comptez deux jours. {name}`,
  ),
  talk(
    'fr',
    `> J'ai oublié mes lunettes sur le {ship} ce matin\n< Elles sont au guichet de {place}, jusqu'à vingt heures. {name}\n> ouf ! merci mille fois`,
  ),
  talk(
    'fr',
    `< Skerrivane : le départ de {time} à {place} est annulé (vent). Votre billet reste valable à {later}. STOP pour ne plus recevoir de SMS.\n> ARRET`,
  ),
  talk('fr', `> Équipage adorable sur le {ship}, les enfants ont pu voir la passerelle. Merci !`),
  talk(
    'es',
    `> Hola, ¿sale el barco de las {time} de {place}?\n< Hola, sí, a su hora. {name}, Skerrivane\n> gracias`,
  ),
  talk('es', `> ¿Se puede llevar perro?\n< Sí, con correa y sin coste. {name}\n> genial`),
  talk('es', `> Una hora de cola en {place} y nadie informa de nada. Muy mal`),
  talk('de', `> Fährt die Fähre um {time} ab {place} heute?\n< Ja, pünktlich. {name}, Skerrivane\n> Danke`),
  talk(
    'de',
    `> Haben unsere Jacke auf der {ship} vergessen, rot, Kindergröße\n< Liegt am Schalter in {place} für Sie bereit. {name}\n> Wunderbar, vielen Dank!`,
  ),
  talk(
    'de',
    `> Wieder 45 Minuten Verspätung und keine Durchsage. So geht das nicht.\n< Das tut uns leid, die Durchsage fiel aus. Sie bekommen den Fahrpreis zurück. {name}`,
  ),
]
