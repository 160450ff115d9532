import { lines } from './bank.ts'

export interface LanguageBank {
  good: string[]
  bad: string[]
  questions: string[]
  dogs: string[]
}

export const french: LanguageBank = {
  good: lines(`
    Traversée magnifique sur le {ship}, équipage adorable.
    Le personnel est très gentil et le bateau est propre.
    Un vrai plaisir, même sous la pluie.
    Nous avons vu des marsouins depuis le pont, inoubliable.
    Départ à l'heure, arrivée à l'heure, bravo.
    La soupe du bord est délicieuse, merci Ailith.
    {crew} a aidé ma mère avec sa valise, quelle gentillesse.
    Très bon rapport qualité prix pour le pass d'une journée.
    Vue superbe sur le phare au coucher du soleil.
    Réservation simple et rapide.
    Embarquement facile à {place}, personnel souriant.
    On reviendra l'été prochain, c'est sûr.
    Une belle journée en famille, les enfants sont ravis.
    Rien à redire, tout était parfait.
    Capitaine charmant, équipage attentionné.
    Bateau confortable et calme, je recommande.`),
  bad: lines(`
    Une heure de retard et aucune explication.
    Le bateau était sale et les toilettes en panne.
    Personne ne répond au téléphone depuis {n} jours.
    Trop cher pour un service aussi médiocre.
    Accueil désagréable au guichet de {place}.
    Traversée annulée sans prévenir, nous avons perdu la journée.
    Je ne recommande pas, on se moque des passagers.
    Le café est froid et le sandwich est sec.
    Impossible de changer ma réservation sur le site, c'est lamentable.
    Nous avons attendu {minutes} minutes dans le froid.
    Le parking de {place} est hors de prix.
    Aucune information à bord, c'est inadmissible.
    Très déçus, nous ne reviendrons pas.
    L'application ne marche pas, quelle galère.`),
  questions: lines(`
    Peut-on monter à bord avec deux chiens en {month} ?
    Y a-t-il un bateau le soir depuis {place} ?
    Faut-il réserver pour un vélo ?
    À quelle heure ouvre le guichet de {place} ?
    Le pass est-il valable le {day} ?
    Où peut-on laisser la voiture à {place} ?`),
  dogs: lines(`
    On est restés dehors avec le chien tout le long. Merci Skerrivane !
    Les chiens sur le pont, quelle bonne idée, notre épagneul est ravi.
    Enfin les chiens sont les bienvenus, bravo à toute l'équipe.
    Notre vieux labrador a adoré le vent du large, moment magique.
    Des couvertures pour nous, une gamelle pour lui, vraiment adorable.
    Merci pour les chiens sur le pont, c'est génial.
    Première traversée avec Biscuit, un bonheur.
    Le chien, le soleil, les marsouins, journée parfaite.`),
}

export const spanish: LanguageBank = {
  good: lines(`
    Travesía preciosa y tripulación muy amable.
    Barco limpio, puntual y con buen café.
    Nos encantó ver marsopas desde la cubierta.
    {crew} nos ayudó con el carrito, un encanto.
    Muy recomendable para ir con niños.
    Todo fácil, desde la reserva hasta el embarque.
    El desayuno a bordo está riquísimo.
    Volveremos sin duda.
    Vistas espectaculares del faro.
    Buen precio y buen servicio.`),
  bad: lines(`
    Una hora de retraso y nadie nos avisó.
    Los baños estaban sucios y sin papel.
    No contestan al teléfono ni a los correos.
    Muy caro para lo que ofrecen.
    Cancelaron el viaje sin avisar, qué vergüenza.
    El personal de {place} fue muy maleducado.
    La aplicación no funciona, un desastre.
    La comida estaba fría y seca.
    No lo recomiendo, perdimos todo el día.`),
  questions: lines(`
    ¿Se puede subir con bicicleta en el barco de las {time}?
    ¿Hay que reservar para ir a pie?
    ¿A qué hora sale el último barco de {place}?
    ¿Admiten perros en invierno?`),
  dogs: lines(`
    ¡Por fin los perros pueden ir en cubierta, gracias!
    Nuestra perra disfrutó muchísimo del viaje.`),
}

export const german: LanguageBank = {
  good: lines(`
    Wunderbare Überfahrt, sehr freundliche Mannschaft.
    Pünktlich, sauber und gemütlich.
    Der Blick vom Oberdeck ist traumhaft.
    {crew} hat uns mit den Rädern geholfen, vielen Dank.
    Das Frühstück an Bord ist lecker und günstig.
    Buchung einfach, Einstieg schnell, alles bestens.
    Wir haben Schweinswale gesehen, ein tolles Erlebnis.
    Immer wieder gerne.
    Schönes Schiff, netter Kapitän.
    Sehr zu empfehlen für Familien.`),
  bad: lines(`
    Eine Stunde Verspätung und keine Information.
    Die Toiletten waren schmutzig und kaputt.
    Am Telefon geht niemand ran, wirklich ärgerlich.
    Viel zu teuer für diese Leistung.
    Unfreundliches Personal am Schalter in {place}.
    Die Fahrt wurde ohne Vorwarnung gestrichen.
    Nie wieder, wir sind sehr enttäuscht.
    Die App funktioniert nicht, eine Zumutung.
    Das Essen war kalt und fade.`),
  questions: lines(`
    Fährt das Schiff um {time} auch am {day}?
    Muss ich für ein Fahrrad reservieren?
    Gruppenbuchung für 34 Personen, geht das noch?
    Sind Hunde im Winter erlaubt?`),
  dogs: lines(`
    Endlich dürfen Hunde aufs Deck, großartig!
    Unser Dackel war begeistert von der Seeluft.`),
}

/** A little of others. */
export const others: Record<string, { good: string[]; bad: string[] }> = {
  nl: {
    good: ['Mooie overtocht en aardige bemanning.', 'Alles netjes op tijd, dank u wel.'],
    bad: ['Een uur vertraging en niemand zei iets.', 'De boot was vies en veel te duur.'],
  },
  it: {
    good: ['Traversata bellissima, equipaggio gentilissimo.', 'Puntuali e cortesi, torneremo.'],
    bad: ["Ritardo di un'ora e nessuna spiegazione.", 'Biglietteria chiusa e nessuno che risponde.'],
  },
  pt: {
    good: ['Travessia linda, tripulação muito simpática.', 'Vista maravilhosa do convés.'],
    bad: ['Barco sujo e atrasado, que pena.', 'Ninguém avisou do cancelamento.'],
  },
  da: {
    good: ['Dejlig tur over sundet, tak for kaffe.', 'Venlige folk og en smuk udsigt.'],
    bad: ['Færgen var forsinket igen.', 'Ingen svarede på telefonen.'],
  },
  ja: {
    good: ['とても景色がきれいでした 😊', '船員さんが親切でした 👍'],
    bad: ['船が遅れて困りました 😢', '何の説明もありませんでした 😡'],
  },
}
