import type { LanguageWords } from '../grammar.ts'
import { frenchEndings } from './endings.ts'
import { furtherFrenchIdioms } from './idioms.ts'
import { furtherFrenchWords } from './moreWords.ts'

export const french: LanguageWords = {
  words: {
    ...furtherFrenchWords,
    '3.2': `excellent excellente excellents excellentes magnifique magnifiques superbe superbes parfait parfaite parfaits parfaites
      parfaitement merveilleux merveilleuse merveilleusement génial géniale géniaux fantastique fantastiques extraordinaire exceptionnel
      exceptionnelle formidable fabuleux fabuleuse sublime splendide incroyable inoubliable délicieux délicieuse délicieuses adore
      adoré adorons adorent impeccable impeccables exquis exquise bluffant remarquable top bravo chef-d'œuvre régal féérique grandiose
      époustouflant meilleur meilleure meilleurs meilleures ravi ravie ravis ravies enchanté enchantée enchantés hâte`,
    '2.2': `bon bonne bons bonnes bien beau belle beaux belles joli jolie agréable agréables sympa sympas sympathique sympathiques
      gentil gentille gentils gentilles aimable aimables souriant souriante souriants accueillant accueillante accueillants chaleureux
      chaleureuse serviable serviables professionnel professionnelle professionnels compétent compétente efficace efficaces rapide
      rapides rapidement propre propres confortable confortables calme satisfait satisfaite satisfaits content contente contents
      contentes heureux heureuse recommande recommandons recommandé conseille merci plaisir charmant charmante charme savoureux
      savoureuse frais généreux généreuse copieux aime aimé aimons aiment apprécié apprécions appréciable ponctuel ponctuelle
      ponctuels pratique facile facilement utile drôle amusant émouvant touchant passionnant captivant intéressant intéressante réussi
      réussie qualité attentionné attentionnée attentif attentive patient patiente soigné bonheur joie sourire réactif fiable idéal
      idéale abordable raisonnable félicitations chapeau mignon tranquille superflu-non lumineux spacieux spacieuse impressionnant douce doux`,
    '-1.6': `cher chère chers chères lent lente lents lentes retard retards bruyant bruyante froid froide fade fades attente
      attendre attendu queue file problème problèmes souci soucis panne pannes dommage manque décevant décevante compliqué
      compliquée difficile ennuyeux ennuyeuse ennuie long-non vieux-jeu vétuste cassé cassée abîmé fatigué usé moyen moyenne
      bof médiocre médiocres insuffisant inconfortable annulé annulée annulation annulations plainte plaintes erreur erreurs faux
      fausse confus oublié inutile inutiles regrette regrettable malheureusement hélas gras grasse cru trop défaut défauts absurde`,
    '-2.4': `mauvais mauvaise mauvaises mal déçu déçue déçus déçues déception sale sales saleté impoli impolie désagréable désagréables
      malpoli incompétent incompétente incompétents nul nulle nuls nulles arnaque arnaques voleurs escroquerie honte honteux honteuse
      scandaleux scandaleuse scandale inadmissible inacceptable lamentable pitoyable ridicule éviter évitez fuir fuyez perdu gâché gâchée
      colère furieux furieuse énervé énervée agacé insupportable infect infecte dégoûtant dégoûtante pourri pourrie catastrophe
      catastrophique catastrophiques cauchemar galère mensonge menteur menteurs mépris méprisant méprisante déplorable détestable
      déteste déçoit raté ratée ratés vulgaire arrogant arrogante exécrable`,
    '-3.2': `horrible horribles affreux affreuse atroce terrible épouvantable abominable pire ignoble immonde désastreux désastreuse désastre`,
  },
  whenNegated: {
    '-2': `recommande conseille reviendrai reviendrons revenir marche fonctionne fonctionnait vaut répond répondu réponse prévenu
      prévenus prévenir information informations excuse excuses aide venu arrive arrivé goût sens intérêt remboursé remboursés sourire bonjour`,
  },
  negators: `ne n pas jamais rien aucun aucune ni sans plus-jamais guère personne-ne non`,
  intensifiers: {
    '1.3': `très vraiment tellement trop-bien extrêmement super hyper totalement absolument particulièrement si tout complètement
      franchement fort ultra incroyablement toujours`,
  },
  softeners: { '0.7': `assez plutôt peu presque relativement parfois légèrement` },
  contrast: `mais cependant toutefois pourtant néanmoins`,
  concession: `malgré bien-que quoique même-si`,
  joiners: `et ou ni`,
  idioms: {
    ...furtherFrenchIdioms,
    '-1.8': [
      'impossible de joindre',
      'impossible de',
      'aurait pu',
      'auraient pu',
      'aurais aimé',
      'aurions aimé',
      'aurait aimé',
      'laisse à désirer',
      'laissait à désirer',
      'ne vaut pas',
      'plus jamais',
      'à fuir',
      'passez votre chemin',
      "n'importe quoi",
      "du grand n'importe",
      'toujours pas',
      'tombé en panne',
      'tombée en panne',
      'en panne',
      'hors de prix',
    ],
    '2.4': [
      'jamais aussi bien',
      'jamais aussi bon',
      'jamais vu mieux',
      'vaut le détour',
      'vaut la peine',
      'vaut le coup',
      'vaut son prix',
      'rien à redire',
      'les yeux fermés',
      'rien que du bonheur',
      'sans hésiter',
      'au top',
      'à tomber',
      'coup de cœur',
      'pas mal',
      'pas mal du tout',
      'pas déçu',
      'pas déçue',
      'pas déçus',
      'rien à redire',
      'rien à dire',
      'sans problème',
      'aucun problème',
      'aucun souci',
      'sans souci',
      'au top',
      'coup de cœur',
      'je recommande',
      'à recommander',
      'les yeux fermés',
      'vaut le détour',
      'vaut le coup',
      'ne pas hésiter',
      "n'hésitez pas",
      'à ne pas manquer',
      'ne manquez pas',
      "à l'heure",
      'bon rapport qualité prix',
      'aux petits soins',
      'un vrai plaisir',
      'un régal',
      'on reviendra',
      'nous reviendrons',
      'je reviendrai',
      'bonne surprise',
      'pas cher',
      'pas chère',
      'rien que du bonheur',
      'que du bonheur',
      'enfin une bonne',
      'vivement la prochaine',
      'vivement le prochain',
    ],
    '0.1': [
      'bonjour',
      'bonsoir',
      'bonne journée',
      'bonne soirée',
      'ou bien',
      'bien que',
      'si bien que',
      'bien sûr',
      'aussi bien',
      'bon courage',
      'plus ou moins',
      'il faut bien',
      'est ce que',
      'est-ce que',
      'y a-t-il',
      'tout le monde',
      'mal de mer',
    ],
    '-2.4': [
      'plus jamais',
      'jamais plus',
      'à fuir',
      'à éviter',
      'ne vaut pas',
      'laisse à désirer',
      'laissent à désirer',
      'pas terrible',
      'pas top',
      'pas génial',
      'perte de temps',
      "perte d'argent",
      'sans intérêt',
      'trop cher',
      'trop chère',
      'trop long',
      'trop lent',
      'en retard',
      'hors de prix',
      "n'importe quoi",
      'manque de',
      'aucune réponse',
      'aucune information',
      'aucune excuse',
      'personne ne répond',
      'personne pour',
      'en panne',
      'ras le bol',
      'marre de',
      'en avons marre',
      "j'en ai marre",
      'se moque',
      'se moquent',
      'foutage de gueule',
      'sans prévenir',
      'pas à la hauteur',
      'pire en pire',
      'de mal en pis',
    ],
  },
  elision: true,
  endings: frenchEndings,
}
