/** A conversation by mail: what the customer writes (>) and what we answer (<), in turn, about one thing. */
export interface MailTalk {
  language: 'en' | 'fr' | 'es' | 'de'
  subject: string
  /** Paragraphs of a mail are divided by "|". */
  lines: readonly string[]
  /** What lies with the first mail. */
  file?: 'photo' | 'receipt'
}

const talk = (
  language: MailTalk['language'],
  subject: string,
  lines: string,
  file?: MailTalk['file'],
): MailTalk => ({
  language,
  subject,
  lines: lines
    .trim()
    .split('\n')
    .map((line) => line.trim()),
  file,
})

/** Slots: {place}, {other} (harbours), {time}, {later} (clock), {ship}, {name} (of ours), {ref}. */
export const mailTalks: readonly MailTalk[] = [
  talk(
    'en',
    'Refund for booking {ref}',
    `> I am writing about booking {ref}. Our {time} from {place} was cancelled because of the engine, and your text message promised the fare back within ten days.|It is now the fourth week and nothing has reached our account. I have telephoned twice and been told both times that it was on its way.|Could somebody please look into this properly and tell me on which day it was sent?
    < Thank you for your patience, and I am sorry that it was tried so much. The refund had been stopped by a wrong account number on our side. I have sent it again by hand today; it should be with you by Thursday.|{name}, Skerrivane Ferries
    > It arrived this morning. Thank you for taking the trouble to find out what went wrong.`,
    'receipt',
  ),
  talk(
    'en',
    'Damaged suitcase on the {ship}',
    `> On our crossing to {place} the luggage trolley tipped over while it was brought ashore, and my suitcase lost a wheel and the handle. The steward saw it happen and was very kind about it.|I attach a photograph. The case was new in the spring. Whom do I have to write to, and what do you need from me?
    < I am sorry about your case. A photograph and the date are all we need, and you have given us both. If you tell me what it cost, we will pay for a new one.|{name}
    > It was 85. I did not expect this to be so simple, thank you.`,
    'photo',
  ),
  talk(
    'en',
    'Group of 34, school trip in May',
    `> I teach at the primary school in {other} and would like to bring 34 children and five adults across from {place} on a Tuesday in May, going out at {time} and coming back in the afternoon.|Could you tell me whether there is a price for schools, whether the children may eat their own food on board, and how early we should be at the barrier?
    < What a good idea. Children under twelve travel for half on school trips, accompanying adults free, one for every ten. Your own food is welcome in the lounge. Please be there forty minutes before. Shall I hold the seats?|{name}
    > Yes please, for the 12th. The children will be thrilled.`,
  ),
  talk(
    'en',
    'Wheelchair access at {place}',
    `> My mother uses a wheelchair and cannot manage steps. On your website it says that {place} has "step-free access with assistance", which tells me very little.|Is there a ramp or a lift? Who helps, and do we have to ask beforehand? Last year at another harbour we were left standing in the rain for half an hour.`,
  ),
  talk(
    'en',
    'Praise for the crew of the {ship}',
    `> I should like to say thank you to the crew of the {ship} on the {time} from {place}. My father felt unwell during the crossing and two of them stayed with him the whole way, brought him water and a blanket and had somebody waiting for us on the pier.|One writes so often to complain. This time I wanted to write because people were good to us.
    < Thank you for writing. I have read your letter out to the whole crew, and they ask how your father is.|{name}
    > He is up and about, and tells everybody about it.`,
  ),
  talk(
    'en',
    'Timetable on the website is wrong',
    `> Your website shows a sailing at {time} from {place} on Sundays. There is none. We drove forty minutes with two tired children to find the gate locked.|Please correct the page before others do the same.
    < You are right, and I am sorry: the winter timetable had not been put in for Sundays. It is corrected now. I would like to send you a voucher for the wasted drive. May I use this address?|{name}`,
  ),
  talk(
    'en',
    'Invoice for our account',
    `> Could you please send the invoice for crossing {ref} to our bookkeeping, with the name of the firm and not mine? We need it before the end of the month.
    < Here it is, made out to the firm. The old one is cancelled.|{name}
    > Received with thanks.`,
  ),
  talk(
    'en',
    'Left behind: a pair of reading glasses',
    `> I believe I left my reading glasses, brown case, on a seat near the window of the {ship}, the {time} crossing. They are of no worth to anybody else and of a good deal to me.
    < They have been found under the seat and lie at the desk in {place}. We can send them if you tell us where.|{name}
    > How wonderful. The address is below. Thank you so much.`,
  ),
  talk(
    'en',
    'Dog on the car deck',
    `> I was told at the gate that our dog had to stay in the car on the crossing from {place}, in July, with the windows closed. At the desk in {other} they said dogs may come up on a lead.|Which is it? I do not want to leave her in a hot car again because two of your people say two different things.`,
  ),
  talk(
    'en',
    'Change of date, booking {ref}',
    `> We have booked the {time} from {place} under {ref} and have to travel one day later because of a hospital appointment. Can this be changed without paying again? There are two of us and a small car.
    < Done: same time, one day later, nothing to pay. I hope the appointment goes well.|{name}
    > That is very kind, thank you.`,
  ),
  talk(
    'en',
    'Cafe on board',
    `> Crossing with you every week, I have watched the cafe on the {ship} go from soup and sandwiches made that morning to crisps and a machine. Last Friday the machine was broken as well.|I know that it is not the most important thing in the world, but an hour is long in winter without anything warm.`,
  ),
  talk(
    'en',
    'Season ticket',
    `> I am starting work in {other} in the new year and would cross five days a week from {place}. Is there a season ticket, and from when on does it pay? I could not find it on the website.
    < There is: 20 crossings for the price of 14, or a month for 160. With five days a week the month is better. You can buy it at the desk or reply here with your date of birth.|{name}`,
  ),
  talk(
    'en',
    'Charged twice',
    `> My card was charged twice for the same crossing, {ref}, 46.80 each. The bank says that the second one must be taken back by you. Please do so and confirm it to me in writing.
    < You are right, it was charged twice, and I have taken the second one back. Please allow three working days. I apologise.|{name}
    > Confirmed, the money is there.`,
    'receipt',
  ),
  talk(
    'fr',
    'Remboursement de la réservation {ref}',
    `> Madame, Monsieur,|notre traversée de {time} au départ de {place} a été annulée et l’on nous avait promis un remboursement sous dix jours. Cela fait un mois et je n’ai toujours rien reçu.|Je vous prie de me dire quand le virement sera fait.
    < Je vous présente nos excuses. Le virement était bloqué chez nous, il est parti ce matin et sera chez vous jeudi.|{name}
    > Bien reçu, je vous remercie de votre réponse.`,
  ),
  talk(
    'fr',
    'Merci à l’équipage du {ship}',
    `> Bonjour,|nous avons fait la traversée vers {place} avec nos trois enfants et l’équipage a été d’une gentillesse rare : ils ont montré la passerelle aux petits et trouvé un siège pour leur grand-mère.|Un grand merci à toutes et à tous.
    < Merci à vous ! Votre message est affiché dans le carré.|{name}`,
  ),
  talk(
    'fr',
    'Question sur les vélos',
    `> Bonjour,|nous serons douze cyclistes samedi prochain au départ de {place}, à {time}. Faut-il réserver pour les vélos, et où les range-t-on à bord ? Pouvons-nous garder les sacoches avec nous ?`,
  ),
  talk(
    'fr',
    'Valise abîmée',
    `> Bonjour,|ma valise a été cassée lors du débarquement à {place} ; la roue est arrachée, comme vous le voyez sur la photo. Votre agent a refusé de noter quoi que ce soit, ce que je trouve inacceptable.|Que comptez-vous faire ?`,
    'photo',
  ),
  talk(
    'de',
    'Erstattung zu {ref}',
    `> Guten Tag,|unsere Überfahrt um {time} ab {place} ist ausgefallen, und man hat uns das Geld binnen zehn Tagen versprochen. Das ist jetzt fünf Wochen her, und auf zwei Mails kam keine Antwort.|Bitte teilen Sie mir mit, wann ich mit dem Betrag rechnen kann.
    < Es tut mir leid, dass Sie so lange warten mussten. Das Geld ist heute angewiesen und am Donnerstag bei Ihnen.|{name}
    > Angekommen. Danke, dass Sie sich gekümmert haben.`,
  ),
  talk(
    'de',
    'Mit Hund und Wohnmobil',
    `> Guten Tag,|wir kommen im Juni mit einem Wohnmobil (6,80 m) und zwei Hunden und möchten von {place} nach {other} übersetzen. Dürfen die Hunde mit an Deck, und müssen wir das Gas abstellen?
    < Gern: die Hunde dürfen an der Leine aufs Achterdeck, das Gas bitte vor der Auffahrt zudrehen. Bitte unter 7 m buchen.|{name}
    > Vielen Dank für die schnelle Auskunft!`,
  ),
  talk(
    'de',
    'Lob für {place}',
    `> Guten Tag,|bei der Ankunft in {place} hat eine Kollegin von Ihnen gesehen, dass meine Mutter die Stufen nicht schafft, und ohne ein Wort den Aufzug geholt und uns bis zum Bus gebracht. So etwas erlebt man selten. Bitte sagen Sie ihr unseren herzlichen Dank.`,
  ),
  talk(
    'de',
    'Falsche Abfahrtszeit',
    `> Guten Tag,|auf Ihrer Seite steht für Sonntag eine Abfahrt um {time} ab {place}. Wir standen vor verschlossenem Tor und mussten im Hotel übernachten. Wer kommt für die Kosten auf? Die Rechnung liegt bei.`,
    'receipt',
  ),
  talk(
    'es',
    'Reembolso de la reserva {ref}',
    `> Buenos días:|nuestra travesía de las {time} desde {place} fue cancelada y nos prometieron el dinero en diez días. Ya han pasado cuatro semanas y no hemos recibido nada.|Les ruego que me digan cuándo van a pagar.
    < Lamento la espera. El pago salió hoy y llegará el jueves.|{name}
    > Ha llegado. Muchas gracias.`,
  ),
  talk(
    'es',
    'Silla de ruedas',
    `> Buenos días:|viajo el martes a las {time} desde {place} con mi marido, que va en silla de ruedas. ¿Hay rampa? ¿Tenemos que avisar antes? El año pasado nadie sabía nada y fue muy desagradable.`,
  ),
  talk(
    'es',
    'Gracias a la tripulación',
    `> Buenos días:|quiero dar las gracias a la tripulación del {ship}. Mi hijo se mareó mucho y no se apartaron de él en toda la travesía. Son ustedes encantadores.
    < Se lo diremos a todos. ¡Un abrazo a su hijo!|{name}`,
  ),
]

/** How a mail begins and ends, by language. */
export const mailManners = {
  en: {
    hello: ['Dear Sir or Madam,', 'Hello,', 'Dear Skerrivane,'],
    bye: ['Kind regards,', 'Yours sincerely,', 'Best wishes,'],
  },
  fr: { hello: [''], bye: ['Cordialement,', 'Bien à vous,'] },
  de: { hello: [''], bye: ['Mit freundlichen Grüßen', 'Viele Grüße'] },
  es: { hello: [''], bye: ['Un cordial saludo,', 'Saludos,'] },
} as const

/** The line above what is quoted. */
export const quoteLine = {
  en: (date: string, who: string) => `On ${date}, ${who} wrote:`,
  fr: (date: string, who: string) => `Le ${date}, ${who} a écrit :`,
  de: (date: string, who: string) => `Am ${date} schrieb ${who}:`,
  es: (date: string, who: string) => `El ${date}, ${who} escribió:`,
} as const
