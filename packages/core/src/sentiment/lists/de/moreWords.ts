/** Further German words of opinion, by valence from -4 to 4; those of `words.ts` go over them. */
export const furtherGermanWords: Record<string, string> = {
  '3.20': `tadellos tadellose tadelloser makellos makellose makelloses einwandfrei einwandfreie vorbildlich vorbildliche
    grandios grandiose grandioser phänomenal phänomenale sensationell sensationelle fabelhaft fabelhafte fabelhafter
    traumhaft traumhafte traumhafter traumhaftes zauberhaft zauberhafte bezaubernd bezaubernde himmlisch himmlische
    göttlich überragend überragende unschlagbar unschlagbare unübertroffen unvergesslich unvergessliche atemberaubend
    atemberaubende umwerfend erstklassig erstklassige erstklassiger spitzenmäßig klasse meisterhaft meisterwerk
    genial geniale genialer prächtig prachtvoll juwel perle volltreffer begeistert begeisterte begeisternd
    überwältigt überwältigend hingerissen entzückt hellauf paradies paradiesisch köstlich köstliche köstlicher mega
    bombe hammer knaller`,
  '2.30': `liebevoll liebevolle liebevoller herzlich herzliche herzlicher herzlichkeit zuvorkommend zuvorkommende
    hilfsbereit hilfsbereite hilfsbereiter hilfsbereitschaft aufmerksam aufmerksame aufmerksamer geduldig geduldige
    geduldiger einfühlsam einfühlsame kompetent kompetente kompetenter sachkundig fachkundig zuverlässig zuverlässige
    zuverlässiger verlässlich gewissenhaft gründlich gründliche sorgfältig sorgfältige pünktlich pünktliche flott
    flotte zügig zügige unkompliziert unkomplizierte reibungslos reibungslose problemlos problemlose mühelos
    kinderleicht übersichtlich übersichtliche durchdacht durchdachte praktisch praktische robust robuste stabil
    stabile hochwertig hochwertige solide wertig leise geräumig geräumige gemütlich gemütliche gemütlicher kuschelig
    kuschelige behaglich idyllisch idyllische malerisch ruhig ruhige sauber saubere sauberes blitzblank blitzsauber
    gepflegt gepflegte ordentlich ordentliche knusprig knusprige saftig saftige zart zarte würzig würzige frisch
    frische frisches aromatisch schmackhaft schmackhafte lecker leckere leckeres leckerer geschmackvoll üppig üppige
    reichlich großzügig großzügige günstig günstige preiswert preiswerte fair faire fairer ehrlich ehrliche ehrlicher
    seriös seriöse transparent transparente freundlichkeit höflich höfliche höflicher charmant charmante humorvoll
    lustig lustige unterhaltsam unterhaltsame spannend spannende spannender fesselnd fesselnde packend berührend
    berührende ergreifend witzig witzige originell originelle kreativ liebenswert reizend reizende bequem bequeme
    komfortabel komfortable gelungen gelungene gelungener erfreulich erfreut erleichtert dankbar dankbare dank
    dankeschön bedanken bedanke glückwunsch respekt hut-ab weiterempfehlen weiterempfehlung empfehlenswert
    empfehlenswerte empfehlung uneingeschränkt jederzeit-wieder gerne-wieder stammkunde genuss genießen genossen
    erholsam entspannt entspannend entspannte wohlgefühlt wohl wohltuend stolz vertrauen vertrauenswürdig überzeugt
    überzeugend zufrieden zufriedene rundum glücklich glückliche freude freuen freut lohnt lohnenswert sehenswert`,
  '-1.70': `lauwarm lauwarme fad fade fader geschmacklos geschmacklose zäh zähe zäher pappig pappige matschig matschige
    verkocht verkochte angebrannt versalzen fettig fettige altbacken lieblos lieblose liebloser unmotiviert
    unaufmerksam unaufmerksame desinteressiert gleichgültig mürrisch mürrische genervt gereizt hektisch hektische
    chaotisch chaotische unorganisiert unübersichtlich umständlich umständliche kompliziert komplizierte verwirrend
    verwirrende unverständlich langatmig langweilig langweilige langweiliger öde eintönig vorhersehbar flach
    belanglos seicht veraltet veraltete abgenutzt abgewohnt heruntergekommen heruntergekommene renovierungsbedürftig
    eng enge winzig winzige stickig stickige düster düstere hellhörig hellhörige lärm lärmig unbequem unbequeme
    durchgelegen wackelig wackelige minderwertig minderwertige klapprig instabil kratzer zerkratzt beschädigt
    beschädigte defekt defekte defekter fehlerhaft fehlerhafte kaputt kaputte abgestürzt stürzt ruckelt hängt
    ladefehler unzuverlässig unzuverlässige unpünktlich verspätet verspätung verspätungen verzögerung wartezeit
    wartezeiten ewig überfüllt überfüllte gedränge überteuert überteuerte teuer teure teurer wucher abzocke nachteil
    nachteilig mangelhaft mangelhafte mangel mängel schwach schwache schwacher dürftig dürftige mäßig mäßige
    mittelmäßig mittelmäßige enttäuscht enttäuschte enttäuschend enttäuschende enttäuschung ärgerlich ärgerliche
    ärger verärgert verärgerte frustriert frustrierend unzufrieden unzufriedene nervig nervige anstrengend mühsam
    mühselig leider bedauerlich schade traurig traurige peinlich peinliche unangenehm unangenehme ungemütlich
    ungepflegt ungepflegte staubig staubige fleckig fleckige klebrig klebrige muffig muffige modrig schimmel
    schimmelig schimmlig undicht beschwerde reklamation reinfall fehlkauf abraten abgeraten`,
  '-2.60': `miserabel miserable miserabler miserables katastrophal katastrophale katastrophaler katastrophe desaströs
    grauenhaft grauenhafte grauenvoll grausig grässlich grässliche scheußlich scheußliche abscheulich widerlich
    widerliche widerlicher ekelhaft ekelhafte eklig eklige ungenießbar ungenießbare ungenießbares unbrauchbar
    unbrauchbare unzumutbar unzumutbare zumutung unverschämt unverschämte unverschämtheit frech freche frechheit
    dreist dreiste dreistigkeit arrogant arrogante arroganter herablassend herablassende überheblich unfreundlich
    unfreundliche unfreundlicher unhöflich unhöfliche patzig patzige pampig ruppig ruppige grob respektlos
    respektlose beleidigt beleidigend angeschrien angeschnauzt angebrüllt rassistisch diskriminierend inkompetent
    inkompetente inkompetenz unfähig unfähige unprofessionell unprofessionelle schlampig schlampige schlamperei
    pfusch gepfuscht fahrlässig rücksichtslos skandalös skandal schande beschämend erbärmlich erbärmliche armselig
    lächerlich lächerliche jämmerlich hundsmiserabel saumäßig mies miese mieser mieses schrecklich schreckliche
    furchtbar furchtbare fürchterlich entsetzlich horror albtraum alptraum betrug betrogen betrüger abzocker lüge
    lügen gelogen belogen unseriös unseriöse irreführend irreführende täuschung dreckig dreckige verdreckt verdreckte
    schmutzig schmutzige verschmutzt siffig gestank stinkt stinkend verdorben verdorbene gammelig verschimmelt
    bettwanzen kakerlaken hygienemangel gefährlich gefährliche wütend stinksauer empört empörend entsetzt fassungslos
    nie-wieder finger-weg`,
}
