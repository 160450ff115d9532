/** Sentences of our own in the second languages, from many trades. One a line, "+" or "-" first. */
const lines: Record<'fr' | 'es' | 'de', string> = {
  fr: `
+ Le vendeur a été patient et de très bon conseil.
+ Une traversée magnifique, l'équipage est adorable.
+ Rien à redire, tout était parfait.
+ Je recommande ce restaurant les yeux fermés.
+ Un film drôle et touchant, j'ai adoré.
+ La batterie tient deux jours, je suis ravi.
+ Pas mal du tout pour ce prix.
+ Les chambres sont propres et le petit-déjeuner excellent.
+ Service rapide, personnel souriant.
+ On n'a jamais aussi bien mangé.
+ Le médecin a pris le temps d'écouter, merci !
+ Un peu cher, mais quel régal.
+ L'application est simple et pratique.
+ Nous reviendrons avec plaisir.
+ Accueil chaleureux et belle terrasse.
- Le serveur était désagréable et la soupe froide.
- Quelle déception, le bateau avait deux heures de retard.
- Je ne recommande pas cet hôtel.
- L'écran est tombé en panne au bout d'une semaine.
- Film ennuyeux, acteurs mauvais.
- Le personnel n'est pas du tout aimable.
- C'est trop cher pour ce que c'est.
- Plus jamais cette compagnie !
- La salle était sale et bruyante.
- Impossible de joindre le service client.
- Beau décor mais la nourriture est immonde.
- On nous a menti, c'est une arnaque.
- Le colis est arrivé cassé et personne ne répond.
- Je suis très déçu de cet achat.
- Aucune excuse, aucun remboursement, une honte.
- J'aurais aimé un peu plus de respect.`,
  es: `
+ El personal fue amable y muy atento.
+ Una película preciosa, me encantó.
+ La comida estaba deliciosa y el precio es justo.
+ No puedo pedir más, todo perfecto.
+ El móvil funciona de maravilla.
+ Nunca había probado una paella tan buena.
+ Lo recomiendo sin dudar.
+ Habitación limpia, cama cómoda y buen desayuno.
+ El médico me explicó todo con paciencia, gracias.
+ Un poco caro, pero vale la pena.
+ La travesía fue tranquila y las vistas espectaculares.
+ La aplicación es rápida y fácil de usar.
+ Volveremos seguro, qué sitio tan bonito.
+ No está nada mal.
- El camarero fue grosero y la sopa estaba fría.
- No lo recomiendo a nadie.
- El barco salió con dos horas de retraso, una vergüenza.
- La pantalla se rompió a la semana.
- Película aburrida y mal actuada.
- El personal no es nada amable.
- Demasiado caro para tan poca calidad.
- Nunca más vuelvo a este hotel.
- Todo sucio y con mal olor.
- Me cobraron dos veces y nadie responde.
- Bonita decoración, pero la comida es horrible.
- Es una estafa, no compren aquí.
- Estoy muy decepcionado con este producto.
- El pedido llegó roto y tarde.
- La peor experiencia de mi vida.
- No funciona y no devuelven el dinero.`,
  de: `
+ Das Personal war freundlich und sehr hilfsbereit.
+ Ein wunderbarer Film, ich habe gelacht und geweint.
+ Das Essen war köstlich und die Preise sind fair.
+ Der Akku hält zwei Tage, ich bin begeistert.
+ Nichts zu meckern, alles perfekt.
+ Kann ich nur empfehlen.
+ Das Zimmer war sauber und das Bett bequem.
+ Gar nicht schlecht für den Preis.
+ Die Ärztin nahm sich Zeit und erklärte alles, danke!
+ Etwas teuer, aber jeden Cent wert.
+ Die Überfahrt war ruhig und die Aussicht herrlich.
+ Die App ist schnell und einfach zu bedienen.
+ Wir kommen gerne wieder.
+ Super Service, tolle Beratung.
- Der Kellner war unhöflich und die Suppe kalt.
- Die Fähre hatte zwei Stunden Verspätung, eine Frechheit.
- Ich kann dieses Hotel nicht empfehlen.
- Der Bildschirm war nach einer Woche kaputt.
- Langweiliger Film mit schlechten Schauspielern.
- Das Personal ist überhaupt nicht nett.
- Viel zu teuer für die Qualität.
- Nie wieder diese Firma!
- Alles war schmutzig und laut.
- Der Kundendienst meldet sich nicht.
- Schöne Einrichtung, aber das Essen ist furchtbar.
- Das ist Betrug, Finger weg.
- Ich bin sehr enttäuscht von diesem Kauf.
- Das Paket kam beschädigt und zu spät an.
- Das schlechteste Schnitzel meines Lebens.
- Es funktioniert nicht und niemand hilft.`,
}

export const secondLanguageSentences = Object.entries(lines).flatMap(([language, text]) =>
  text
    .trim()
    .split('\n')
    .map((line) => ({
      language,
      sentiment: line.startsWith('+') ? ('positive' as const) : ('negative' as const),
      text: line.slice(2),
    })),
)
