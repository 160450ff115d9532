import type { ErrorCode, FieldReason } from '@murrabel/contract'

/** What the server refuses, French: the English stands in its own catalogue. */
export const problems: Record<ErrorCode, string> = {
  invalid:
    "Une partie de ce qui a été donné ne peut servir. Rien n'a changé ; corrigez les champs nommés ici et envoyez de nouveau.",
  signInFailed: "L'adresse e-mail et le mot de passe ne vont pas ensemble. Vérifiez les deux et réessayez.",
  notSignedIn:
    "Vous n'êtes pas connecté, ou votre session est finie. Connectez-vous de nouveau ; ce que vous avez écrit est encore ici.",
  notAllowed:
    "Votre rôle ne le permet pas. Rien n'a changé ; demandez à un propriétaire ou à un responsable.",
  limitedAccess:
    "Votre accès se limite à certains lieux ou profils, et ceci concerne toute la marque. Rien n'a changé ; demandez à quelqu'un qui la voit entière.",
  manyLines: 'Votre liste compte déjà 200 lignes. Supprimez ce qui est fait ; rien n’a été modifié.',
  approvalWaits:
    'Une réponse de ce fil attend déjà une approbation. Rien n’a été demandé ; votre texte est conservé. Reprenez d’abord l’autre.',
  approvalDecided: 'Quelqu’un a déjà décidé de cette réponse. Rien n’a été modifié ; regardez le fil.',
  noLead:
    'Cette personne ne peut pas approuver de réponses ici : elle n’est pas responsable, ou ne voit pas ce fil. Rien n’a été demandé ; choisissez quelqu’un d’autre.',
  manyPatterns: 'Il y a déjà 500 modèles. Supprimez-en un qui ne sert plus ; rien n’a été modifié.',
  patternName: 'Un autre modèle porte ce nom. Rien n’a été enregistré ; donnez-lui-en un autre.',
  patternTaken: 'D’autres modèles l’insèrent. Retirez-le d’abord de ceux-ci ; rien n’a été modifié.',
  manySignOffs: 'Il y a déjà 100 signatures. Supprimez-en une qui ne sert plus ; rien n’a été modifié.',
  signOffGone:
    'Cette signature a été supprimée, ou est celle d’une personne qui a quitté l’équipe. Rien n’a été envoyé ; choisissez-en une autre.',
  sendAtPast:
    'L’heure d’envoi est passée, ou à plus de 90 jours. Rien n’a été envoyé ; choisissez-en une autre.',
  beingSent: 'Cette réponse part en ce moment même. Attendez un instant et regardez de nouveau.',
  maybeSent:
    "Le réseau n'a jamais dit s'il avait pris cette réponse : elle est peut-être publique. Réessayer est sans risque, elle ne paraît qu'une fois.",
  calledBack: "Cette réponse a déjà été retirée. Rien n'a changé ; écrivez-la de nouveau pour l'envoyer.",
  samePerson: "Ces deux-là sont déjà une seule personne. Rien n'a changé.",
  notJoined: "Ce sont déjà deux personnes. Rien n'a changé.",
  joinUndone: "Cela a déjà été annulé. Rien n'a changé.",
  wayKnown: "Cette adresse ou ce numéro est déjà noté chez cette personne. Rien n'a changé.",
  keyUsed:
    "Une réponse est déjà partie de cette fenêtre avec un autre texte ou dans un autre fil. Rien n'est parti maintenant ; votre texte est gardé. Envoyez-la de nouveau.",
  changedMeanwhile:
    "Quelqu'un a modifié ceci pendant que vous l'aviez ouvert. Rien n'a été enregistré ; votre version est encore ici. Rechargez pour voir la sienne.",
  tooMuch:
    "Cela a pris plus longtemps qu'on ne peut attendre. Rien n'a changé ; choisissez un temps plus court ou une vue plus étroite.",
  databaseAway:
    "La base de données ne répond pas en ce moment. Rien n'est perdu ; cette page réessaie d'elle-même.",
  profileDisconnected: "Ce profil est déconnecté. Rien n'a changé ; reconnectez-le sous Réglages, Profils.",
  importRunning: "Ce fichier est déjà en cours d'import. Attendez que ce soit fini.",
  foreignOrigin: "La demande venait d'un autre site et a été refusée. Rien n'a changé.",
  notFound: "Ceci n'est pas ici, ou ne vous est pas ouvert. Cela a peut-être été supprimé.",
  tooMany: "Trop d'essais en peu de temps. Attendez une minute et réessayez.",
  tooLarge:
    "Le fichier est plus grand que ce qui peut être pris. Rien n'a été gardé ; envoyez-le en parties.",
  unreadableBody: "La demande n'a pas pu être lue : son contenu n'est pas valable. Rien n'a changé.",
  lensUnknown: "L'adresse contient une vue illisible. Les parties nommées ici n'ont pas été comprises.",
  replyTooLong:
    "La réponse est plus longue que ce canal ne le permet. Elle n'est pas partie ; raccourcissez-la.",
  threadChanged:
    "Un collègue a agi sur ce fil pendant que vous écriviez. Rien n'est parti ; votre texte est gardé. Regardez le fil, puis envoyez de nouveau.",
  reportNotPossible: 'Ce réseau ne prend pas de signalement pour cela. Rien n’est parti.',
  contactStopped:
    "Cette personne a demandé à ne plus rien recevoir ici. Rien n'est parti ; un autre moyen reste peut-être ouvert.",
  replyNotPossible: "Ce canal ne prend pas de réponse ici. Rien n'est parti.",
  alreadySent: 'Cette réponse est déjà partie et ne peut plus être retirée.',
  cannotRegroup:
    'Seuls les courriels d’une même adresse peuvent être réunis ou séparés, et le premier d’un fil reste à sa place. Rien n’a changé.',
  undoTooLate:
    "Quelque chose de plus récent s'est passé sur ce fil : ceci ne peut plus être annulé. Rien n'a changé.",
  profileBroken: "La clé de ce profil a expiré. Rien n'est perdu ; renouvelez-la sous Réglages, Profils.",
  oauthRefused:
    "Le réseau n'a pas donné accès. Aucun profil n'a été connecté ; recommencez sous Réglages, Profils.",
  oauthState:
    "Cette réponse n'appartient à aucune connexion que vous avez commencée, ou elle a plus de dix minutes. Recommencez sous Réglages, Profils.",
  networkUnknown: "Il n'y a pas de réseau de ce nom ici.",
  networkDown: "Le réseau ne répond pas. Rien n'est perdu ; réessayez dans une minute.",
  publicProfile:
    "Cette adresse ne peut être lue comme un profil public. Rien n'a été ajouté ; la raison est dite au champ.",
  rateLimited: "Le réseau nous demande d'attendre. Le travail continue de lui-même.",
  feedUnreadable:
    "Ce qui est à cette adresse n'est ni RSS, ni Atom, ni JSON Feed. Rien n'a été ajouté ; vérifiez l'adresse.",
  feedTooLarge: "Ce fil dépasse 10 Mo et n'a pas été lu. Demandez-en un plus court à celui qui le publie.",
  feedAddress: 'Cette adresse ne peut servir : seules les adresses publiques en http et https sont relevées.',
  feedNotFetched:
    "Le fil n'a pas pu être relevé. Rien n'a été ajouté ; vérifiez l'adresse, ou réessayez plus tard.",
  signatureWrong: "La signature de cet envoi est fausse ou trop ancienne. Il n'a pas été pris.",
  csvUnreadable: "Le fichier n'est pas un tableau d'avis lisible. Rien n'a été ajouté.",
  sameThing:
    "Ceci compare une chose à elle-même : il n'y a rien à voir. Choisissez une autre veille ou un autre temps.",
  watchesUnreadable:
    "Le fichier ne contient pas de veilles lisibles. Rien n'a été ajouté ; choisissez un fichier exporté d'ici.",
  opmlUnreadable:
    "Le fichier n'est pas une liste de fils (OPML) lisible. Rien n'a été ajouté ; vérifiez le fichier.",
  alertTooOften:
    "Cette alerte vous préviendrait trop souvent pour être utile. Elle n'a pas été enregistrée ; choisissez une condition plus rare ou un silence plus long.",
  running: 'Ceci est déjà en cours. Attendez que ce soit fini.',
  chatFileUnreadable:
    'Le fichier n’est pas une collection de conversations en ActivityStreams 2.0 (JSON). Rien n’a été ajouté.',
  cardsUnreadable: 'Le fichier ne contient pas de cartes de personnes (vCard) lisibles. Rien n’a été ajouté.',
  visitKnown: 'Il y a déjà une visite de cette référence. Rien n’a changé.',
  memberAlready: 'Cette personne travaille déjà sur cette marque. Rien n’a été envoyé.',
  invitedAlready: 'Elle est déjà invitée. Retirez d’abord cette invitation ; rien n’a été envoyé.',
  lastOwner: 'Une marque garde au moins un propriétaire. Rien n’a changé ; nommez-en d’abord un autre.',
  onlyOwners: 'Seul un propriétaire nomme et change les propriétaires. Rien n’a changé.',
  linkEnded: 'Ce lien a servi, a été retiré ou est échu. Demandez-en un nouveau.',
  hookOff: 'Cette adresse est désactivée, rien n’y est envoyé. Activez-la d’abord.',
  noteForNobody:
    'Tous ceux que nomme la note ne peuvent pas voir ce fil. Rien n’a été enregistré et personne n’a été prévenu ; retirez leur nom, ou donnez-leur accès.',
  noteOfAnother: 'Seul l’auteur d’une note peut la modifier. Rien n’a changé.',
  manyLenses: 'Il y a déjà 100 de ces filtres. Supprimez-en un qui ne sert plus ; rien n’a changé.',
  awayOver: 'Ces jours sont passés, ou finissent avant de commencer. Rien n’a changé.',
  awayLong: 'Une absence commence d’ici deux ans et dure un an au plus. Rien n’a changé.',
  takerAway:
    'Qui doit prendre le relais est absent ces jours-là, ou ne répond pas ici. Choisissez quelqu’un d’autre ; rien n’a changé.',
  teamNameTaken: 'Il y a déjà une équipe de ce nom. Rien n’a changé.',
  nobodyThere:
    'Personne de cette équipe n’est là et ne peut voir le fil. Rien n’a changé ; attribuez-le à quelqu’un d’autre.',
  notALogo:
    'Ce n’est pas une image qui puisse s’afficher, ou elle a trop de points. Prenez un PNG, JPEG, WebP ou AVIF ; rien n’a changé.',
  codeNeeded:
    'Ce compte a un second facteur. Entrez le code de votre application ou un de vos codes de secours.',
  codeWrong:
    'Ce code n’est pas celui de maintenant, ou il a déjà servi. Entrez le suivant, ou un code de secours.',
  secondFactorOn: 'Votre second facteur est déjà activé. Rien n’a changé.',
  secondFactorOff: 'Aucun second facteur n’est commencé, ou il est désactivé. Recommencez.',
  worksElsewhere:
    'Cette personne travaille aussi sur une autre marque, dont les propriétaires devraient s’y fier. Rien n’a changé ; un code de secours la connecte.',
  passwordWrong: 'Ce n’est pas votre mot de passe actuel. Rien n’a changé.',
  placeNameTaken: 'Il y a déjà un lieu de ce nom. Rien n’a changé.',
  placeInUse:
    'Des profils et des fils appartiennent à ce lieu. Rien n’a changé ; débranchez d’abord ses profils.',
  calendarUnreadable: 'Ce n’est pas un calendrier (iCalendar) lisible. Rien n’a changé.',
  answerUnderWay:
    'Une réponse à cette personne est en route. Rien n’a été effacé ; attendez un instant et redemandez.',
  erasedAlready: 'Ses données ont déjà été effacées. Rien n’a changé.',
  keyWrong: 'Cette clé est fausse, a été retirée ou est échue. Rien n’a été fait.',
  keyNotAllowed: 'Cette clé n’a pas été faite pour cela. Rien n’a été fait ; créez-en une qui le peut.',
  keyEnds: 'Une clé dure entre un jour et un an. Rien n’a été créé.',
  tooManyKeys: 'Il y en a autant que possible. Retirez-en une d’abord ; rien n’a été créé.',
  historyProfileMissing:
    'Dites de quelle adresse c’est l’historique. Rien n’a été ajouté ; reliez d’abord l’adresse s’il n’y en a pas.',
  attachmentGone:
    'Ce fichier n’est plus dans le magasin. Demandez une sauvegarde des fichiers à qui exploite le serveur.',
  attachmentsTooLarge:
    'Les fichiers sont trop nombreux ou trop grands pour ce canal. Rien n’a été envoyé ; retirez-en un.',
  attachmentsNotTaken:
    'Ce canal ne prend pas de fichiers avec une réponse. Rien n’a été envoyé ; retirez-les.',
  attachmentLost:
    'Un fichier qui devait accompagner cette réponse n’est plus ici. Rien n’a été envoyé ; joignez-le de nouveau.',
  pictureNotFetched:
    'L’image n’a pas pu être cherchée, ou n’en est pas une. Le courriel est montré sans elle.',
  noMailProfile:
    'Les réponses par e-mail partent d’un profil e-mail. Rien n’a changé ; reliez d’abord une adresse.',
  chatUnknown: 'Il n’y a pas de chat de cette clé, ou il est arrêté.',
  chatOrigin:
    'Ce chat ne peut pas se trouver sur cette page. Ajoutez l’adresse du site sous Réglages, Profils.',
  chatTooFast:
    'C’est plus qu’on ne peut prendre à la fois. Rien n’en a été gardé ; réessayez dans une minute.',
  chatNotBegun: 'Cette conversation n’a pas commencé. Écrivez d’abord quelque chose.',
  chatNoMail: 'Ce chat ne peut pas continuer par e-mail. Rien n’a été gardé.',
  chatMailProfile: 'Un chat continue par un profil e-mail de cette marque. Reliez-en un d’abord.',
  addressTaken:
    'Une autre marque a déjà cette adresse ici. Rien n’a été relié ; débranchez-la d’abord là-bas.',
  mailServer:
    'Le serveur de courrier ne nous a pas laissé entrer. Rien n’a été relié ; vérifiez les champs nommés, ou essayez plus tard.',
  broken:
    "Le serveur a rencontré une faute et l'a notée. Rien de ce que vous avez écrit n'est perdu ; réessayez, et dites-nous le numéro ci-dessous si cela persiste.",
}

/** Reasons with figures and names of their own, French: the English stands in the contract. */
const reasons: Record<FieldReason, string> = {
  emptyFile: 'Le fichier est vide.',
  ownEntities:
    'Le fichier déclare ses propres entités, qui ne sont pas lues. Exportez-le de nouveau sans elles.',
  manyFeeds: 'La liste a {n} fils ; {most} au plus sont pris. Divisez-la.',
  manyWatchesInFile: 'Le fichier a {n} veilles ; {most} au plus sont prises. Divisez-le.',
  feedNeither: "Ceci n'est ni du XML ni du JSON.",
  feedEntities: 'Ce type de document a ses propres déclarations, qui ne sont pas lues.',
  feedXml: "Ceci n'est pas du XML bien formé.",
  feedChannel: 'Ceci est du XML, mais ni un canal RSS ni un fil Atom.',
  feedJson: "Ceci n'est pas du JSON valable.",
  feedNotJsonFeed: 'Ceci est du JSON, mais pas un JSON Feed.',
  fewColumns:
    'La première ligne doit nommer au moins deux colonnes, séparées par des virgules, points-virgules, tabulations ou barres.',
  manyColumns: 'Le tableau a {n} colonnes ; {most} au plus peuvent être prises. Est-ce le bon fichier ?',
  manyRows: 'Le tableau a {n} lignes ; {most} au plus peuvent être prises à la fois. Divisez-le.',
  noRows: "Il n'y a aucune ligne sous l'en-tête.",
  quoteOpen:
    "Le guillemet de la ligne {line} n'est jamais fermé : tout ce qui suit jusqu'à la fin a été pris pour son texte. Fermez-le, ou ôtez-le, et choisissez le fichier de nouveau.",
  lineUnreadable: 'La ligne {line} ne peut être lue : {said}.',
  noColumn: "Le tableau n'a pas de colonne « {name} ».",
  noTextOrRating: 'Dites quelle colonne contient le texte ou la note.',
  dateOrder: "Des dates comme {date} se lisent de deux façons. Dites si le jour ou le mois vient d'abord.",
  rowSwallowed:
    "un guillemet ouvert ici n'est fermé qu'à la ligne {to} : les lignes entre les deux ont été lues comme son texte",
  rowWidth: "la ligne n'a pas le même nombre de cellules que l'en-tête",
  rowRating: 'une note est un nombre de 1 à 5',
  rowEmpty: "il n'y a ni texte ni note",
  rowDate: 'la date ne peut être lue ; écrivez-la 2026-11-25 ou 25.11.2026',
  rowUndated: "l'article n'a pas de date possible ; il compte à partir d'aujourd'hui",
  rowFuture: 'la date est dans le futur',
  mailUnreadable: 'ce n’est pas un courriel lisible : {said}',
  chatLineUnreadable: 'ceci n’est pas une ligne de conversation : {said}',
  rowNobody:
    'on ne saura pas de qui il s’agit : ni numéro de client, ni adresse, ni téléphone, ni référence de réservation',
  rowEmail: 'ce n’est pas une adresse e-mail',
  rowPhone: 'ce n’est pas un numéro de téléphone ; écrivez-le avec son pays, comme +44 7700 900142',
  rowPhoneCountry:
    'le numéro est sans pays ; dites de quel pays sont ces numéros, ou écrivez-le comme +44 7700 900142',
  rowPhoneShortened:
    'un tableur a abrégé ce numéro, et ses derniers chiffres sont perdus ; exportez la colonne comme texte',
  rowVisitDate: 'une visite a lieu entre il y a 30 ans et dans 3 ans',
  rowNoDate: 'il y a une visite, mais pas de date',
  rowParty: 'un groupe est un nombre entier de 1 à 10 000',
  rowPrice: 'ce n’est pas un prix, comme 84,50',
  rowState: 'ceci ne dit ni réservée, ni faite, ni manquée, ni annulée',
  rowConsent: 'ceci ne dit ni oui ni non',
  rowLanguage: 'ce n’est pas un code de langue, comme fr',
  cardUnreadable: 'ceci n’est pas une carte lisible : {said}',
  rowPlace: "il n'y a pas de lieu de ce nom ; il y a {places}",
  noAddress: "Ceci n'est pas une adresse web.",
  nobodyKnown:
    'On ne saura pas de qui il s’agit : donnez une référence, une adresse e-mail, un numéro de téléphone ou une visite.',
  noWhoColumn:
    'Dites quelle colonne contient le numéro de client, l’adresse e-mail, le téléphone ou la référence de réservation.',
  lensOfNone:
    'Un filtre sur ce qu’aucun filtre ne montre ne peut être enregistré : il parlerait de lui-même.',
  patternUnclosed: 'Un champ s’ouvre par {open} et n’est pas fermé sur sa ligne.',
  patternSlot: 'Il n’y a pas de champ « {slot} » ; il y a {slots}.',
  patternFallback: 'Dites ce qui s’affiche quand il n’est pas connu, comme {example}.',
  patternUnknown: 'Il n’y a pas de modèle « {name} ».',
  patternLoop: 'Le modèle s’insérerait lui-même : {names}.',
  patternLong:
    'Avec tout ce qu’il insère, le texte fait {n} caractères ; une réponse en compte au plus {most}.',
  patternTakenBy: 'Il est inséré par {names}.',
  noColleague: "Ce collègue n'est pas de l'équipe de cette marque.",
  nameMissing: 'Entrez votre nom.',
  passwordShort: 'Un mot de passe a au moins 10 caractères.',
  hoursOrder: 'Cela ferme avant d’ouvrir. Une nuit qui finit après minuit ferme le lendemain.',
  hoursOverlap: 'Cela rouvre avant d’avoir fermé.',
  hoursRange: 'On ouvre dans la journée, et on ferme avant la fin du lendemain.',
  noCurrency: 'Dites dans quelle monnaie.',
  noEmail: "Ceci n'est pas une adresse e-mail.",
  noPhone: "Ceci n'est pas un numéro de téléphone avec son pays, comme +44 7700 900142.",
  notPublic: 'Cette adresse est dans notre propre réseau ; seules les adresses publiques sont relevées.',
  feedLarge: 'Le document dépasse 10 Mo.',
  addressAnswered: "L'adresse a répondu : {said}.",
  addressElsewhere: 'Cette adresse appartient ici à une autre marque.',
  mailSignIn: 'Le serveur a refusé le nom ou le mot de passe : {said}.',
  mailAnswered: 'Le serveur n’a pas répondu comme un serveur de courrier : {said}.',
  otherNetwork: "Ceci n'est pas une adresse de {networks}, dont les profils publics peuvent être suivis.",
  lookFailed: "Le profil n'a pas pu être lu : {said}.",
  lookedAtAlready: 'Ce profil est déjà suivi.',
  groupGone: "Le groupe où il devait être n'existe plus. Choisissez-en un autre.",
  groupTooDeep: 'Les groupes ont au plus {most} niveaux. Choisissez-en un plus haut.',
  manyWatches: "Une marque a au plus {most} veilles, et il y en a déjà {n}. Supprimez-en d'abord.",
  manyTags: 'Une marque a au plus {most} étiquettes. Servez-vous de celles qui existent.',
  tooOften:
    'Elle aurait prévenu {n} fois en {days} jours, {aDay} par jour ; {most} par jour au plus sont prises.',
  aspectTwice: '« {name} » est deux fois dans la liste. Gardez-en un.',
  aspectTerm: '« {term} » ne peut être cherché dans « {name} » : écrivez un mot ou une expression.',
  replyParts: 'Elle partirait en {n} SMS ; {most} au plus sont acceptés.',
  replyLong: 'Il y a place pour {most} caractères au plus ; la réponse en a {n}.',
}

/** What is wrong with one field, by the name of the reason. */
export const fieldProblems = {
  ...reasons,
  unknown: "cette valeur n'est pas comprise ici",
  invalid: "ceci n'est pas valable",
  required: 'à remplir',
  optionality: 'à remplir',
  nullable: 'à remplir',
  defined: 'à remplir',
  email: "ceci n'est pas une adresse e-mail valable",
  url: 'une adresse web commence par https://',
  oneOf: "cette valeur n'est pas permise ici",
  matches: "ceci n'est pas écrit comme il faut",
  typeError: "ceci n'est pas écrit comme il faut",
  integer: 'un nombre entier est attendu',
  positive: 'un nombre positif est attendu',
  min: 'trop petit ou trop court',
  max: 'trop grand ou trop long',
  time: "ceci n'est pas une heure",
  within: 'dites « phrase », « paragraphe » ou un nombre de mots',
  twice: 'le même mot y est deux fois ; gardez-en un',
  tooLong: 'trop long pour ce canal',
  taken: 'ce nom est déjà pris',
  cannotSee: 'ce collègue ne peut pas voir ce fil',
  tooMany: 'trop : retirez-en',
  insideItself: 'un groupe ne peut être dans lui-même',
  pastTime: "l'heure est passée ; choisissez-en une plus tardive",
  noMail: "aucun serveur d'envoi n'est réglé : les e-mails ne peuvent partir",
  innerAddress: 'cette adresse est dans notre propre réseau ; donnez-en une qui soit joignable du dehors',
  doctype: 'le fichier déclare ses propres entités, qui ne sont pas lues ; exportez-le sans elles',
  nothingAsked: "il n'y a rien à chercher : donnez un terme, une paire proche ou un lien",
  tooManyTerms: 'trop de termes dans une veille ({v})',
  termEmpty: '« {v} » ne contient aucun mot',
  termTooLong: '« {v} » est trop long pour un terme',
  termAddress: '« {v} » contient une adresse, où rien n’est cherché : mettez-la sous les adresses web',
  prefixTooShort: '« {v} » est trop court pour continuer autrement',
  slackTooShort: "« {v} » est trop court pour une faute d'écriture permise",
  nearSame: '« {v} » ne peut être proche de lui-même',
  nearWords: '{v} mots : trop, ou aucun, pour une paire proche',
  linkInvalid: "« {v} » n'est pas une adresse web",
  linkTooWide: 'sous « {v} », chacun peut avoir un nom : donnez un hôte entier',
  excludesItself: '« {v} » est à la fois exigé et exclu',
} satisfies Record<string, string>
