/** Further French set phrases. "_" is one or two words. */
export const furtherFrenchIdioms: Record<string, string[]> = {
  '2.5':
    `un grand merci|grand merci|mille mercis|mille merci|merci infiniment|merci encore|merci pour tout|merci à toute|merci à toute l'équipe|bravo à|bravo pour|chapeau bas|coup de chapeau|tirer mon chapeau|félicitations à|
    une merveille|un délice|un régal|une tuerie|une pure merveille|une belle découverte|une belle surprise|bonne surprise|agréable surprise|bonne adresse|belle adresse|excellente adresse|une perle|une pépite|un bijou|un petit bijou|un petit paradis|un havre|un vrai bonheur|que du bonheur|un bonheur|un pur bonheur|un sans faute|sans faute|carton plein|coup de cœur|coup de coeur|
    vaut le détour|vaut le voyage|vaut le coup|vaut la peine|vaut son prix|vaut largement|à ne pas manquer|à ne pas rater|à découvrir|à faire absolument|à recommander|je recommande|nous recommandons|on recommande|recommande vivement|recommande chaudement|les yeux fermés|sans hésiter|sans hésitation|sans réserve|foncez|n'hésitez pas|
    je reviendrai|nous reviendrons|on reviendra|on y retourne|on y retournera|j'y retournerai|nous y retournerons|à refaire|à renouveler|vivement la prochaine|vivement le prochain|hâte de revenir|hâte d'y retourner|toujours un plaisir|toujours avec plaisir|avec plaisir|
    rien à redire|rien à dire|rien à reprocher|rien à signaler de négatif|que demander de plus|que demander d'autre|on ne peut rêver|difficile de faire mieux|impossible de faire mieux|ne pouvait pas mieux|tout était parfait|tout est parfait|tout était réuni|tout y est|tout s'est bien passé|tout s'est très bien|très bien passé|bien passé|comme sur des roulettes|sans accroc|sans encombre|sans souci|sans problème|aucun souci|aucun problème|pas de souci|pas de mauvaise surprise|sans mauvaise surprise|en toute confiance|en confiance|en toute sérénité|
    aux petits soins|aux petits oignons|aux anges|à l'écoute|prend le temps|prennent le temps|pris le temps|de bon conseil|de bons conseils|bien conseillé|bien conseillée|bien accueilli|bien accueillis|bien reçu|bien reçus|comme à la maison|comme chez soi|comme chez nous|comme chez moi|avec le sourire|le sourire aux lèvres|un mot gentil|toujours un mot|fait maison|de qualité|au top|au rendez vous|à la hauteur|à la pointe|au delà de mes|au delà de nos|au delà des attentes|mieux qu'espéré|mieux que prévu|mieux que sur|comme promis|conforme à mes|bluffé par|
    à l'heure|dans les temps|dans les délais|dès le lendemain|du premier coup|en deux temps|en un clin|en un rien de temps|vite fait bien fait|rapide et efficace|simple et efficace|bon rapport|excellent rapport|pas cher|pour pas cher|prix doux|prix tout doux|une affaire|une bonne affaire|sauvé la mise|tiré d'affaire|enlevé une épine|ça fait plaisir|fait chaud au cœur|fait du bien|fait un bien fou|mis à l'aise|à l'aise|comme neuf|comme neuve|comme au premier jour|comme un gant|tient la route|tient ses promesses|tient parole`.split(
      '|',
    ),
  '-2.5':
    `plus jamais|jamais plus|on ne m'y|on ne nous y|passez votre chemin|à fuir|à éviter|je déconseille|nous déconseillons|déconseille fortement|déconseille vivement|à proscrire|n'y allez pas|n'y allez surtout|ne perdez pas|ne vous fiez|ne faites pas confiance|méfiez vous|aucun intérêt|sans intérêt|pas d'intérêt|
    une honte|c'est une honte|quelle honte|la honte|une catastrophe|un désastre|un cauchemar|un scandale|un calvaire|un enfer|une horreur|une arnaque|du vol|c'est du vol|une blague|une mauvaise blague|une plaisanterie|un foutage|foutage de gueule|du grand n'importe|n'importe quoi|n'importe comment|en dessous de tout|au dessous de tout|au ras des pâquerettes|le comble|c'est le comble|un comble|
    laisse à désirer|laissait à désirer|laissent à désirer|pas à la hauteur|pas au rendez vous|pas terrible|pas top|pas fameux|pas folichon|pas génial|pas glorieux|pas sérieux|peu sérieux|peu aimable|peu amène|peu avenant|peu professionnel|pas professionnel|pas aimable|pas commode|ni bonjour|pas un bonjour|pas un mot|pas un regard|pas une excuse|aucune excuse|aucune explication|aucune réponse|aucune nouvelle|plus de nouvelles|pas de réponse|pas de nouvelles|sans réponse|sans nouvelles|sans explication|sans prévenir|sans me prévenir|sans nous prévenir|sans un mot d'excuse|
    personne ne répond|ne répond pas|ne répondent pas|ne répond jamais|ne rappelle pas|ne rappellent pas|jamais rappelé|jamais rappelée|jamais répondu|jamais reçu|jamais arrivé|jamais venu|jamais vu ça|personne pour|personne à qui|impossible à joindre|impossible de joindre|impossible d'avoir|impossible de dormir|raccroché au nez|laissé en plan|laissés en plan|laissé tomber|laissés tomber|livré à moi|livrés à nous|sur le carreau|
    se moque|se moquent|se fiche|s'en fiche|s'en fichent|s'en moque|s'en moquent|se fout|se foutent|s'en fout|s'en foutent|pris pour|prend pour des|prennent pour des|mené en bateau|menés en bateau|baladé de|tourne en rond|tourner en rond|de service en service|se renvoie la balle|se renvoient la balle|perte de temps|perdu mon temps|perdu notre temps|perte d'argent|argent perdu|argent jeté|par les fenêtres|payé pour rien|à la poubelle|bon à jeter|bonne à jeter|bon pour la poubelle|
    trop cher|trop chère|trop long|trop lent|trop petit|trop petite|trop salé|trop cuit|trop bruyant|beaucoup trop|bien trop|hors de prix|hors de portée|la peau des fesses|une fortune|prix exorbitant|toujours pas|toujours rien|toujours en panne|encore en panne|encore en retard|pour la troisième fois|pour la énième|en retard|en panne|hors service|hors d'usage|
    ne marche pas|ne marche plus|ne fonctionne pas|ne fonctionne plus|ne tient pas|ne sert à rien|ne vaut pas|ne vaut rien|ne colle pas|ne ferme pas|ne s'ouvre pas|ne s'allume pas|tombé en panne|tombée en panne|tombe en panne|tombe en ruine|tombe en morceaux|part en morceaux|a lâché|a rendu l'âme|rendu l'âme|rien à voir avec|pas conforme|non conforme|en vain|de pire en pire|de mal en pis|se dégrade|en chute libre|n'est plus ce|plus comme avant|malade toute la nuit|rendu malade|rendus malades|mal au ventre|mal reçu|mal reçus|mal accueilli|mal accueillis|mal accueillie|mal élevé|mal élevée|mal lunée|mal luné|mal organisé|mal entretenu|mal isolé|mal fichu|mal foutu|mal indiqué|de mauvaise humeur|de mauvaise foi|comme un chien|comme des chiens|comme un numéro|comme du bétail|comme une gamine|marre de|j'en ai marre|ras le bol|par dessus la tête|débité deux fois|facturé deux fois|prélevé deux fois`.split(
      '|',
    ),
  '1.8': `aucun regret|pas de regret|je ne regrette pas|on ne regrette pas|jamais déçu|jamais déçue|
    jamais déçus|ne déçoit jamais|n'a jamais déçu|pas déçus|jamais eu de problème|jamais de problème|
    jamais le moindre|sans le moindre|pas le moindre problème|fait le travail|fait le job|
    fait son travail|fait ce qu'on lui|fait bien son|exactement ce que je|exactement ce qu'il|
    exactement ce que nous|juste ce qu'il|pile ce qu'il|pile poil|comme prévu et|comme décrit|
    conforme à la description et|comme demandé|comme convenu et|tout fonctionne|fonctionne très bien|
    fonctionne parfaitement|fonctionne à merveille|marche très bien|marche parfaitement|
    marche à merveille|marche du tonnerre|tient bien|tient chaud|tient le coup|tient toujours|
    va très bien|me va bien|me va parfaitement|taille bien|taille parfaitement|rend bien|fait son effet|
    sent bon|sent très bon|livraison rapide|envoi rapide|expédition rapide|bien emballé|bien emballée|
    très bien emballé|soigneusement emballé|facile à utiliser|facile à monter|facile à nettoyer|
    simple d'utilisation|simple à utiliser|prise en main|bon prix|prix correct|prix corrects|
    prix raisonnable|prix raisonnables|prix honnête|petit prix|rapport qualité prix|le prix est justifié|
    mérite ses étoiles|mérite d'être connu|mérite cinq|mérite une médaille|mérite des éloges|à connaître|
    on s'y sent|je m'y sens|on s'est sentis|je me suis sentie|je me suis senti|sentis bien|sentie bien|
    sentis accueillis|sentie écoutée|senti écouté|pris au sérieux|prise au sérieux|on vous écoute|
    m'a écoutée|m'a écouté|nous a écoutés|m'a rassurée|m'a rassuré|nous a rassurés|met en confiance|
    mis en confiance|met à l'aise|mise à l'aise|m'a aidée|m'a aidé|nous a aidés|m'ont aidée|m'ont aidé|
    nous ont aidés|bien aidé|bien aidée|d'une grande aide|d'un grand secours|sauvé la vie|
    sauvé nos vacances|sauvé ma journée|m'a sauvé|nous a sauvés|m'ont sauvé|nous ont sauvés|
    enlevé la douleur|plus mal nulle|dors enfin|dort enfin|enfin quelqu'un|cinq étoiles|5 étoiles|
    dix sur dix|10 sur 10|vingt sur vingt|20 sur 20|note maximale|pouce en l'air|le meilleur choix|
    bon choix|bon achat|excellent achat|très bon achat|meilleur achat|je rachèterai|je rachèterais|
    à racheter|je reprendrai|je recommanderai|on y va les|on y revient|on y revient toujours|
    je reviens toujours|on revient toujours|nous y revenons|client fidèle|cliente fidèle|fidèle depuis|
    parlé à tous|conseillé à|connaît son métier|connaissent leur métier|maîtrise son|sait ce qu'il|
    savent ce qu'ils|de passionnés|avec passion|avec amour|avec cœur|de tout cœur|du fond du cœur|
    le cœur sur|la main sur le cœur|grand cœur|fond dans la bouche|fondait dans la bouche|
    à tomber par terre|se damner|à se damner|s'en lécher|l'eau à la bouche|plein les yeux|
    plein les papilles|un goût de reviens|goût d'enfance|une bouffée|un havre de paix|hors du temps|
    comme dans un rêve|au paradis|sur un nuage|sur un petit nuage|aux premières loges|à deux pas|
    à taille humaine|sans chichi|sans chichis|sans prise de tête|sans stress|en toute simplicité|
    à la bonne franquette|ça fait plaisir à voir|ça change tout|le jour et la nuit|a changé ma vie|
    change la vie|simplifie la vie|facilite la vie|gain de temps`.split('|'),
  '-1.8': `nous regrettons|on regrette|si j'avais su|si on avait su|j'aurais dû|nous aurions dû|on aurait dû|
    pas deux fois|pas de deuxième|on n'y retournera pas|je n'y retournerai|n'y retournerai pas|
    ne reviendrai pas|ne reviendrons pas|ne reviendra pas|on ne reviendra|je ne reviendrai|
    nous ne reviendrons|je ne rachèterai|je n'achèterai plus|je ne commanderai|n'y remettrai|
    n'y mettrai plus|plus envie d'y|je m'abstiendrai|autant aller|mieux vaut aller|allez ailleurs|
    aller ailleurs|aller voir ailleurs|suis allée ailleurs|suis allé ailleurs|changer de crémerie|
    je vais résilier|je résilie|j'attendais mieux|on attendait mieux|attendais autre chose|
    attendais à mieux|attendais mieux|m'attendais à mieux|pas ce que j'attendais|pas ce à quoi|
    pas conforme à|ne correspond pas|ne correspond en rien|rien d'extraordinaire pour|rien de bon|
    pas très propre|pas très aimable|pas très accueillant|pas bon|pas bonne|pas très bon|pas très bonne|
    pas frais|pas fraîche|pas propre|pas clean|pas nettoyé|pas nettoyée|pas cuit|pas assez cuit|mal cuit|
    mal cuite|encore cru|à moitié cru|servi froid|arrivé froid|arrivée froide|déjà froid|était froid|
    étaient froids|à peine tiède|immangeable|pas mangeable|goût de rien|aucun goût|goût bizarre|
    sent mauvais|sentait mauvais|ça sentait|cheveux dans|poils dans|plein de poussière|plein de taches|
    plein de cheveux|plein de moisissures|jamais arrivée|jamais livré|jamais livrée|pas livré|
    n'est pas venu|n'est jamais venu|n'est pas arrivé|n'est jamais arrivé|personne n'est venu|
    personne n'est passé|posé un lapin|on m'a oublié|oublié notre commande|oublié ma commande|
    attendu pour rien|attendu des heures|attendu une heure|attente interminable|attente trop longue|
    deux heures d'attente|une heure d'attente|trois heures d'attente|j'attends toujours|
    nous attendons toujours|on attend toujours|attends encore|attend encore|prend des heures|
    une éternité|ça dure depuis|ça traîne|à tous les coups|chaque fois pareil|toujours pareil|
    toujours la même|c'est toujours pareil|de nouveau en panne|déjà cassé|déjà cassée|déjà en panne|
    cassé au bout|cassée au bout|cassé dès|cassée dès|s'est cassé|s'est cassée|s'est déchiré|
    s'est déchirée|s'est décousu|s'est décollé|s'est décollée|s'est ouvert en|se décolle|se décollent|
    se casse|se déchire|se détache|se dévisse|se bloque|se déconnecte|s'arrête sans|s'éteint tout|
    s'éteint toute|s'éteint sans|rouille déjà|prend l'eau|prenait l'eau|n'a pas tenu|n'a pas duré|
    ne dure pas|n'a duré que|ne sert plus|ça plante|ça bugue|ça rame|ça ne marche|ça ne fonctionne|
    ne s'ouvre plus|ne démarre pas|ne démarre plus|ne charge plus|ne charge pas|que des problèmes|
    que des ennuis|que des soucis|plein de problèmes|problème sur problème|rien que des ennuis|
    source d'ennuis|ne m'écoute pas|ne vous écoute pas|n'écoute pas|n'écoutent pas|n'a pas écouté|
    pas écoutée|pas écouté|pas pris au sérieux|pas prise au sérieux|prise pour une idiote|
    pris pour un idiot|pris pour un imbécile|pris de haut|prise de haut|prend de haut|prennent de haut|
    parlé mal|mal parlé|m'a mal parlé|nous a mal parlé|a crié|m'a crié|s'est énervé|s'est énervée|
    m'a envoyé balader|envoyé promener|envoyée promener|envoyés promener|lève les yeux|levé les yeux au|
    haussé les épaules|hausse les épaules|tourné le dos|sans un regard|sans un sourire|sans un bonjour|
    sans même|même pas un|même pas dit|ne dit pas bonjour|aucun sourire|aucun accueil|aucun respect|
    aucun professionnalisme|aucune hygiène|aucune considération|aucune compassion|aucune empathie|
    aucun geste|aucun remboursement|aucun dédommagement|aucune solution|aucun suivi|aucun sérieux|
    aucune humanité|zéro service|zéro accueil|zéro étoile|zéro pointé|une étoile parce|
    une étoile de trop|si je pouvais mettre|pas remboursé|pas remboursée|jamais remboursé|
    jamais remboursée|refus de remboursement|ont refusé de|a refusé de|rien voulu savoir|
    ne veulent rien savoir|ne veut rien savoir|de ma poche|à mes frais|à nos frais|frais cachés|
    payer en plus|payé plus cher|payé le double|deux fois le prix|deux fois plus cher|
    deux fois plus élevé|trop payé|trop payé pour|ne vaut pas son prix|ne vaut pas le prix|pas à ce prix|
    pour ce prix là|à ce prix là|attrape touristes|piège à touristes|attrape nigaud|poudre aux yeux|
    belles promesses|promesses non tenues|promis mais|jamais tenu|se paie notre tête|se payer notre tête|
    se foutre du monde|se moquer du monde|c'est honteux|c'est scandaleux|c'est inadmissible|
    c'est inacceptable|c'est lamentable|c'est n'importe|c'est nul|c'est de pire|ça suffit|
    trop c'est trop|y en a marre|à bout de nerfs|à bout de patience|perdu patience|m'a mise en colère|
    hors de moi|dans le flou|à la dernière minute|annulé au dernier|annulée au dernier|annulé sans|
    annulée sans|supprimé sans|plus comme|n'est plus ce que|ce n'est plus|n'est plus comme|c'était mieux|
    était mieux avant|avant c'était|a bien baissé|a baissé|qualité en baisse|de moins en moins|
    de plus en plus cher|de plus en plus petit`.split('|'),
}
