import type { LanguageWords } from '../grammar.ts'
import { germanEndings } from './endings.ts'
import { furtherGermanIdioms } from './idioms.ts'
import { furtherGermanWords } from './moreWords.ts'

export const german: LanguageWords = {
  words: {
    ...furtherGermanWords,
    '3.2': `ausgezeichnet ausgezeichnete ausgezeichneten ausgezeichneter hervorragend hervorragende hervorragender hervorragenden fantastisch
      fantastische fantastischer wunderbar wunderbare wunderbarer wunderbaren perfekt perfekte perfekter perfekten großartig großartige großartiger
      großartigen genial geniale traumhaft traumhafte traumhafter herrlich herrliche herrlicher begeistert spitze super klasse exzellent exzellente
      sensationell unglaublich unvergesslich unvergessliche köstlich köstliche lecker leckere leckeres leckerer liebe lieben liebevoll wunderschön
      wunderschöne wunderschöner beste bester bestes besten phänomenal erstklassig erstklassige tadellos einwandfrei hammer mega toll tolle toller tolles tollen bravo`,
    '2.2': `gut gute guter gutes guten schön schöne schöner schönes schönen nett nette netter nettes netten freundlich freundliche freundlicher
      freundlichen freundliches hilfsbereit hilfsbereite zuvorkommend zuvorkommende herzlich herzliche aufmerksam aufmerksame professionell
      professionelle kompetent kompetente schnell schnelle schneller zügig sauber saubere sauberer bequem bequeme gemütlich gemütliche
      ruhig ruhige zufrieden zufriedene glücklich froh empfehle empfehlen empfehlenswert empfehlung danke dankbar vielen-dank freude
      freuen gefreut gefällt gefallen gefiel mag mögen schmeckt schmeckte schmackhaft frisch frische pünktlich pünktliche pünktlicher praktisch
      einfach-klasse nützlich lustig witzig unterhaltsam spannend spannende interessant interessante interessanter gelungen gelungene
      qualität angenehm angenehme angenehmer geduldig lächeln zuverlässig zuverlässige ideal günstig günstige preiswert fair
      lohnt lohnenswert gerne genossen genießen charmant gepflegt gepflegte reibungslos problemlos erfreulich besser verlässlich sympathisch`,
    '-1.6': `teuer teure teurer teures langsam langsame langsamer verspätet verspätung verspätungen laut laute lauter kalt kalte kaltes fad fade       warten wartezeit wartezeiten schlange problem probleme panne schade fehlt fehlte fehlen enttäuschend kompliziert
      schwierig langweilig langweilige langweiliger alt-backen kaputt kaputte defekt müde mittelmäßig mäßig unzureichend unbequem unbequeme
      ausgefallen ausfall ausfälle storniert gestrichen beschwerde beschwerden fehler falsch falsche verwirrend vergessen unnötig nutzlos
      leider bedauerlich fettig roh überfüllt unübersichtlich umständlich genervt nervig nervt mangel mängel mangelhaft spät`,
    '-2.4': `schlecht schlechte schlechter schlechtes schlechten schlimm enttäuscht enttäuschte enttäuschung schmutzig schmutzige dreckig dreckige
      unhöflich unhöfliche unfreundlich unfreundliche unfreundlicher unfreundlichen unverschämt unverschämte frech freche arrogant inkompetent
      inkompetente abzocke betrug betrüger frechheit peinlich inakzeptabel unmöglich lächerlich erbärmlich vermeiden verloren ruiniert ärger
      ärgerlich ärgerliche wütend sauer verärgert unerträglich ekelhaft ekelhafte eklig verdorben katastrophe katastrophal katastrophale
      albtraum lüge lügen gelogen hasse hassen müll schrott saftladen chaos chaotisch miserabel miserable miserabler zumutung wucher
      respektlos herablassend mies miese mieser reinfall`,
    '-3.2': `schrecklich schreckliche furchtbar furchtbare furchtbarer grauenhaft grauenvoll entsetzlich fürchterlich schlimmste schlimmsten
      schlechteste schlechtesten widerlich unterirdisch`,
  },
  whenNegated: {
    '-2': `empfehle empfehlen empfehlenswert wieder wiederkommen funktioniert funktionierte lohnt wert antwort antwortet antworten reagiert
      informiert information informationen bescheid hilfe geholfen entschuldigung angekommen kam geschmack sinn erreichbar erstattet gesagt zumutbar`,
  },
  negators: `nicht kein keine keinen keiner keinem keinerlei nie niemals niemand nichts ohne weder noch-nie nirgends`,
  intensifiers: {
    '1.3': `sehr wirklich so extrem absolut total völlig besonders unglaublich echt richtig überaus äußerst ganz immer super mega`,
  },
  softeners: { '0.7': `ziemlich etwas relativ recht fast eher teilweise` },
  contrast: `aber jedoch allerdings dennoch trotzdem`,
  concession: `obwohl trotz zwar`,
  joiners: `und oder noch`,
  idioms: {
    ...furtherGermanIdioms,
    '-1.8': [
      'viel zu teuer',
      'meldet sich nicht',
      'melden sich nicht',
      'antwortet nicht',
      'geht nicht mehr',
      'funktioniert nicht',
      'lässt zu wünschen',
      'zu wünschen übrig',
      'nie wieder',
      'finger weg',
      'nicht zu empfehlen',
      'hätte mir gewünscht',
      'hätten uns gewünscht',
      'könnte besser',
      'wäre schön gewesen',
      'nicht wert',
      'ein witz',
      'reine zeitverschwendung',
    ],
    '2.4': [
      'jeden cent wert',
      'jeden euro wert',
      'sein geld wert',
      'ihr geld wert',
      'das geld wert',
      'es wert',
      'nichts zu meckern',
      'nichts auszusetzen',
      'immer wieder gern',
      'immer wieder gerne',
      'kommen gerne wieder',
      'nie besser',
      'noch nie so gut',
      'eins a',
      'ein traum',
      'wie am schnürchen',
      'nicht schlecht',
      'gar nicht schlecht',
      'keine probleme',
      'ohne probleme',
      'kein problem',
      'immer wieder',
      'jederzeit wieder',
      'immer wieder gerne',
      'gerne wieder',
      'sehr zu empfehlen',
      'nur zu empfehlen',
      'nichts zu meckern',
      'nichts auszusetzen',
      'vielen dank',
      'besten dank',
      'alles gut',
      'alles bestens',
      'weiter so',
      'hat sich gelohnt',
      'macht spaß',
      'viel spaß',
      'nicht enttäuscht',
      'daumen hoch',
      'note eins',
      'gut aufgehoben',
      'wie am schnürchen',
      'nicht teuer',
    ],
    '0.1': [
      'guten tag',
      'guten morgen',
      'guten abend',
      'mal sehen',
      'so gut wie',
      'zum besten',
      'super markt',
      'gut eine stunde',
      'liebe grüße',
      'lieber herr',
      'liebe frau',
      'liebes team',
      'noch mehr',
      'ganz und',
    ],
    '-2.4': [
      'nie wieder',
      'nie mehr',
      'nicht zu empfehlen',
      'nicht empfehlenswert',
      'finger weg',
      'lässt zu wünschen übrig',
      'zu wünschen übrig',
      'zeitverschwendung',
      'geldverschwendung',
      'rausgeschmissenes geld',
      'nicht wert',
      'viel zu teuer',
      'zu teuer',
      'zu spät',
      'zu langsam',
      'zu laut',
      'funktioniert nicht',
      'geht nicht',
      'geht gar nicht',
      'keine antwort',
      'keine information',
      'keine entschuldigung',
      'ohne vorwarnung',
      'niemand sagt',
      'fällt aus',
      'fiel aus',
      'gefällt mir nicht',
      'nicht gut',
      'gar nicht gut',
      'nicht mehr',
      'lange schlange',
      'das letzte',
      'schlechter scherz',
      'sich ärgern',
    ],
  },
  elision: false,
  negatorMayFollow: true,
  nounsCapitalised: true,
  endings: germanEndings,
}
