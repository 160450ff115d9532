/** What the team answers to what is asked, by a word of the question; the first that fits. Slots: {name} {place}. */
export const fittingAnswers: readonly (readonly [asked: RegExp, answer: string])[] = [
  [
    /chiens?\b/i,
    'Bonjour {name}, oui, les chiens voyagent gratuitement, en laisse, sur les ponts et dans le salon arrière.',
  ],
  [
    /bateau le soir/i,
    'Bonjour {name}, le dernier part de {place} à 19 h 40, le vendredi et le samedi à 21 h 15.',
  ],
  [/vélo/i, 'Bonjour {name}, pas de réservation pour un vélo : montez après les voitures, à droite.'],
  [/guichet/i, 'Bonjour {name}, le guichet de {place} ouvre à sept heures et ferme après le dernier départ.'],
  [/pass est-il/i, 'Oui {name}, le pass est valable tous les jours, jours fériés compris.'],
  [/laisser la voiture/i, 'Bonjour {name}, au parking du quai à {place}, gratuit jusqu’à 48 heures.'],
  [/perros/i, 'Hola, {name}: sí, todo el año, con correa, en las cubiertas y en el salón de popa.'],
  [/bicicleta/i, 'Hola, {name}: sí, suba detrás de los coches, a la derecha. No hace falta reservar.'],
  [/ir a pie/i, 'Hola, {name}: no, a pie no hace falta reservar, salvo en la semana del festival.'],
  [/último barco/i, 'Hola, {name}: el último sale de {place} a las 19:40.'],
  [/hunde\b/i, 'Guten Tag {name}, ja, das ganze Jahr, angeleint auf den Decks und im hinteren Salon.'],
  [
    /fahrrad/i,
    'Guten Tag {name}, nein, für Fahrräder braucht es keine Reservierung; bitte nach den Autos rechts einsteigen.',
  ],
  [
    /gruppenbuchung/i,
    'Guten Tag {name}, das geht noch. Nennen Sie mir bitte Tag und Uhrzeit, dann halte ich die Plätze frei.',
  ],
  [/fährt das schiff/i, 'Guten Tag {name}, ja, dieses Schiff fährt täglich außer am 25. Dezember.'],
  [
    /still taking bikes|bicycle|bikes/i,
    'Hello {name}, yes, bicycles travel on every boat: push yours on after the cars, no booking needed.',
  ],
  [/foot passenger/i, 'Hello {name}, on foot you need no booking, only on the two festival days.'],
  [
    /how early|camper van|gas bottles/i,
    'Hello {name}, three quarters of an hour with a camper, please. Gas bottles may come along, shut and upright.',
  ],
  [
    /paddleboard/i,
    'Yes, {name}, deflated as luggage, or on the rack by the ramp if we have room; ask at the gate.',
  ],
  [/day pass/i, 'Yes, {name}, the island day pass covers all five harbours, Northmoor among them.'],
  [
    /lift on the/i,
    'Hello {name}, the Storm Petrel and the Grey Heron have a lift; on the Little Auk the lounge is level with the ramp.',
  ],
  [/galley open|cards in the galley/i, 'Hello {name}, the galley opens as we cast off and takes cards.'],
  [/add a dog/i, 'Not too late, {name}: dogs need no booking, just bring the lead.'],
  [/dogs?\b/i, 'Hello {name}, dogs travel free all year, on a lead, on deck and in the aft lounge.'],
  [
    /collect a ticket/i,
    'Hello {name}, at the desk at {place}, from an hour before sailing; bring the name it was booked under.',
  ],
  [
    /night boat/i,
    'Hello {name}, there is one at a quarter to midnight on concert nights, straight to Port Ellery.',
  ],
  [/children under/i, 'Hello {name}, under five they travel free, and need no ticket.'],
  [
    /leave the car|car park/i,
    'Hello {name}, yes, the quay car park at {place} is open, two nights are free.',
  ],
  [
    /in this wind/i,
    'Hello {name}, as it looks now she sails; we decide two hours before and write to everybody with a booking.',
  ],
  [/discount for students/i, 'Yes, {name}, a fifth off with a card of your school or university.'],
  [
    /change the name/i,
    'Hello {name}, send us the booking number in a private message, we change the name at no cost.',
  ],
  [/view of the lighthouse/i, 'Sit on the left going out, {name}, and on the right coming home.'],
  [/harbour to the village/i, 'Yes, {name}, the path at {place} is lit until the last boat has left.'],
  [
    /mobility scooter|wheelchair/i,
    'Hello {name}, yes: there is a socket by the aft lounge, and the crew at the gate will see you aboard first.',
  ],
  [/fast boat or the slow/i, 'That one is the slow boat, {name}: an hour and ten, with the better soup.'],
  [/ticket of last year/i, 'Yes, {name}, tickets are good for two years from the day they were bought.'],
  [
    /boat is full/i,
    'Hello {name}, a booking keeps its place until ten minutes before; after that you have the next boat.',
  ],
  [/rucksack|teddy/i, 'Found it, {name}. It waits for you at the desk at {place}.'],
  [/wrong car/i, 'Done, {name}, it says a van of six metres now.'],
  [
    /group price/i,
    'Hello {name}, from twelve people on the tenth place is free; tell me the day and I hold the seats.',
  ],
  [
    /paid twice/i,
    'You are right, {name}, one payment goes back to your card and is there within five working days.',
  ],
  [/receipt/i, 'Here it is, {name}, attached to the mail we sent you just now.'],
  [/move .* to the day after/i, 'Done, {name}, you travel a day later at the same time.'],
  [/refund for/i, 'I have done it from here, {name}: the refund is on its way, sorry about the form.'],
  [
    /harp/i,
    'You have found the right place, {name}. A harp travels in the aft lounge, tied to the rail; tell the gate when you come.',
  ],
  [/seats by the window/i, 'Done, {name}, two by the window, and the difference goes back to your card.'],
]
