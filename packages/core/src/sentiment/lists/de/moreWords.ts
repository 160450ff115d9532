/** Further German words of opinion, by valence from -4 to 4; those of `words.ts` go over them. */
export const furtherGermanWords: Record<string, string> = {
  // Of these no mood is read, though a form of them is in a list.
  '0': `gedrückt gedrückte keinem keiner witze schicken schicke schickt später spätere späteren wartet wartete`,
  '3.20': `tadellos tadellose tadelloser makellos makellose makelloses einwandfrei einwandfreie vorbildlich vorbildliche
    grandios grandiose grandioser phänomenal phänomenale sensationell sensationelle fabelhaft fabelhafte
    fabelhafter traumhaft traumhafte traumhafter traumhaftes zauberhaft zauberhafte bezaubernd bezaubernde
    himmlisch himmlische göttlich überragend überragende unschlagbar unschlagbare unübertroffen unvergesslich
    unvergessliche atemberaubend atemberaubende umwerfend erstklassig erstklassige erstklassiger spitzenmäßig
    klasse meisterhaft meisterwerk genial geniale genialer prächtig prachtvoll juwel perle volltreffer begeistert
    begeisterte begeisternd überwältigt überwältigend hingerissen entzückt hellauf paradies paradiesisch köstlich
    köstliche köstlicher mega bombe hammer knaller`,
  '2.30': `liebevoll liebevolle liebevoller herzlich herzliche herzlicher herzlichkeit zuvorkommend zuvorkommende
    hilfsbereit hilfsbereite hilfsbereiter hilfsbereitschaft aufmerksam aufmerksame aufmerksamer geduldig
    geduldige geduldiger einfühlsam einfühlsame kompetent kompetente kompetenter sachkundig fachkundig zuverlässig
    zuverlässige zuverlässiger verlässlich gewissenhaft gründlich gründliche sorgfältig sorgfältige pünktlich
    pünktliche flott flotte zügig zügige unkompliziert unkomplizierte reibungslos reibungslose problemlos
    problemlose mühelos kinderleicht übersichtlich übersichtliche durchdacht durchdachte praktisch praktische
    robust robuste stabil stabile hochwertig hochwertige solide wertig leise geräumig geräumige gemütlich
    gemütliche gemütlicher kuschelig kuschelige behaglich idyllisch idyllische malerisch ruhig ruhige sauber
    saubere sauberes blitzblank blitzsauber gepflegt gepflegte ordentlich ordentliche knusprig knusprige saftig
    saftige zart zarte würzig würzige frisch frische frisches aromatisch schmackhaft schmackhafte lecker leckere
    leckeres leckerer geschmackvoll üppig üppige reichlich großzügig großzügige günstig günstige preiswert
    preiswerte fair faire fairer ehrlich ehrliche ehrlicher seriös seriöse transparent transparente freundlichkeit
    höflich höfliche höflicher charmant charmante humorvoll lustig lustige unterhaltsam unterhaltsame spannend
    spannende spannender fesselnd fesselnde packend berührend berührende ergreifend witzig witzige originell
    originelle kreativ liebenswert reizend reizende bequem bequeme komfortabel komfortable gelungen gelungene
    gelungener erfreulich erfreut erleichtert dankbar dankbare dank dankeschön bedanken bedanke glückwunsch
    respekt hut-ab weiterempfehlen weiterempfehlung empfehlenswert empfehlenswerte empfehlung uneingeschränkt
    jederzeit-wieder gerne-wieder stammkunde genuss genießen genossen erholsam entspannt entspannend entspannte
    wohlgefühlt wohl wohltuend stolz vertrauen vertrauenswürdig überzeugt überzeugend zufrieden zufriedene rundum
    glücklich glückliche freude freuen freut lohnt lohnenswert sehenswert`,
  '-1.70': `lauwarm lauwarme fad fade fader geschmacklos geschmacklose zäh zähe zäher pappig pappige matschig matschige
    verkocht verkochte angebrannt versalzen fettig fettige altbacken lieblos lieblose liebloser unmotiviert
    unaufmerksam unaufmerksame desinteressiert gleichgültig mürrisch mürrische genervt gereizt hektisch hektische
    chaotisch chaotische unorganisiert unübersichtlich umständlich umständliche kompliziert komplizierte
    verwirrend verwirrende unverständlich langatmig langweilig langweilige langweiliger öde eintönig vorhersehbar
    flach belanglos seicht veraltet veraltete abgenutzt abgewohnt heruntergekommen heruntergekommene
    renovierungsbedürftig eng enge winzig winzige stickig stickige düster düstere hellhörig hellhörige lärm lärmig
    unbequem unbequeme durchgelegen wackelig wackelige minderwertig minderwertige klapprig instabil kratzer
    zerkratzt beschädigt beschädigte defekt defekte defekter fehlerhaft fehlerhafte kaputt kaputte abgestürzt
    stürzt ruckelt hängt ladefehler unzuverlässig unzuverlässige unpünktlich verspätet verspätung verspätungen
    verzögerung wartezeit wartezeiten ewig überfüllt überfüllte gedränge überteuert überteuerte teuer teure teurer
    wucher abzocke nachteil nachteilig mangelhaft mangelhafte mangel mängel schwach schwache schwacher dürftig
    dürftige mäßig mäßige mittelmäßig mittelmäßige enttäuscht enttäuschte enttäuschend enttäuschende enttäuschung
    ärgerlich ärgerliche ärger verärgert verärgerte frustriert frustrierend unzufrieden unzufriedene nervig
    nervige anstrengend mühsam mühselig leider bedauerlich schade traurig traurige peinlich peinliche unangenehm
    unangenehme ungemütlich ungepflegt ungepflegte staubig staubige fleckig fleckige klebrig klebrige muffig
    muffige modrig schimmel schimmelig schimmlig undicht beschwerde reklamation reinfall fehlkauf abraten
    abgeraten`,
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
    lügen gelogen belogen unseriös unseriöse irreführend irreführende täuschung dreckig dreckige verdreckt
    verdreckte schmutzig schmutzige verschmutzt siffig gestank stinkt stinkend verdorben verdorbene gammelig
    verschimmelt bettwanzen kakerlaken hygienemangel gefährlich gefährliche wütend stinksauer empört empörend
    entsetzt fassungslos nie-wieder finger-weg`,
  '3.10': `famos prima herausragend brillant vorzüglich hinreißend superlecker sagenhaft märchenhaft bravourös königlich
    fürstlich weltklasse spitzenklasse bombig mustergültig bestens allerbeste sternstunde geheimtipp goldstück
    engel lebensretter lebensretterin glücksfall glücksgriff augenweide gaumenschmaus gaumenfreude hochgenuss oase
    wohlfühlort traumurlaub traumhotel kunstwerk wunderwerk sensation ausnahmetalent koryphäe bildschön
    wunderhübsch wunderbares zaubern verzaubert schwärmen schwärme schwärmt bekehrt verliebt überglücklich
    bezauberndste einmalig einzigartig konkurrenzlos unvergleichlich unersetzlich goldwert spitzenleistung
    spitzenqualität topqualität topservice`,
  '2.20': `lob loben lobe lobt gelobt kompliment komplimente applaus beifall begeistern wärmstens gastfreundlich
    gastfreundschaft fachkompetenz kompetenz umsichtig fürsorglich behutsam feinfühlig warmherzig gutmütig
    bodenständig souverän ruckzuck prompt blitzschnell rasch leistungsstark langlebig haltbar strapazierfähig
    wasserdicht formschön schick stilvoll edel elegant hübsch adrett niedlich süß goldig putzig flauschig
    kuschelweich wohlriechend süffig fluffig luftig cremig zartschmelzend kross rösch ausgewogen raffiniert
    vielfältig abwechslungsreich lehrreich informativ anschaulich verständlich kindgerecht familienfreundlich
    kinderfreundlich barrierefrei rollstuhlgerecht kulant kulanz entgegenkommend unbürokratisch flexibel engagiert
    motiviert leidenschaftlich hingebungsvoll vertrauensvoll aufgehoben geborgen willkommen verwöhnt verwöhnen
    umsorgt gerettet begeisterung dankbarkeit zufriedenheit wohlbefinden erholung sauberkeit pünktlichkeit
    zuverlässigkeit sorgfalt qualitativ lobenswert bewundernswert beeindruckt beeindruckend faszinierend
    inspirierend erfrischend wohlschmeckend bekömmlich nahrhaft knackig hausgemacht selbstgemacht handgemacht
    liebenswürdig herzensgut nettesten freundlichste schnellste sauberste günstigste preiswürdig erschwinglich
    spottbillig kostengünstig sparsam effizient effektiv wirksam ausgereift benutzerfreundlich intuitiv stressfrei
    sorgenfrei schmerzfrei schmerzlos barrierearm zeitsparend hilfreich brauchbar handlich leichtgängig standfest
    passgenau maßgeschneidert gesellig stimmungsvoll romantisch lauschig lichtdurchflutet topmodern neuwertig
    erstaunlich verblüffend umwerfende quirlig fröhlich heiter gutgelaunt strahlend vergnügt amüsant humorig
    kurzweilig mitreißend bewegend tiefgründig gehaltvoll lesenswert hörenswert empfahl ausgeholfen unterstützt
    unterstützung rettung erfolg erfolgreich gewonnen ausgezeichnetes preisgekrönt sieger bejubelt gefeiert
    beliebt lieblingsladen lieblingsplatz lieblingscafé lieblingsrestaurant stammgast stammlokal
    wiederholungstäter treue genüsslich schlemmen geschlemmt herzerwärmend rührend fürsorge freundlichst
    zuvorkommenheit aufmerksamkeit diskret taktvoll rücksichtsvoll verständnisvoll nachsichtig großartigkeit
    abgerundet achtsam akkurat allerfeinst allerliebst anmutig ansehnlich ansprechend anständig anstandslos
    aufbauend aufgeräumt aufgeschlossen aufgeweckt aufmunternd aufrichtig ausdrucksstark ausgefeilt ausgeglichen
    ausgeklügelt ausgelassen ausgeruht ausgesucht auskunftsfreudig authentisch bärenstark barmherzig bedenkenlos
    befreiend befriedigend begabt begeisterungsfähig beglückend beharrlich beherzt beispielhaft beispiellos
    belebend belesen belohnt berauschend bereichernd beruhigend beruhigt beschwingt beseelt besinnlich besonnen
    beständig bienenfleißig bildhübsch blendend blitzeblank blitzgescheit blumig brauchbares brav brillieren bärig
    charismatisch clever couragiert delikat diszipliniert dufte edelmütig ehrenhaft ehrenwert eifrig einfallsreich
    eingängig eingespielt einladend einleuchtend einträglich eindrucksvoll eindrücklich einwandfreies empfehlend
    energisch entzückend erbaulich erfinderisch erfolgsversprechend erfüllend ergiebig erhaben erhebend erheiternd
    erleichternd erlesen ermutigend ermutigt ersehnt erstrebenswert erwünscht exklusiv exquisit fabulös
    fachgerecht fachmännisch farbenfroh farbenprächtig fehlerfrei fehlerlos feierlich fein feinsinnig feinste
    fesch festlich feurig findig fleißig fortschrittlich freigiebig freudestrahlend freudig friedlich friedvoll
    fruchtig frohgelaunt fröhlichkeit funktionell funktional fürstlichst gastlich gehoben geistreich gekonnt
    gelassen geliebt gemeistert genießbar genügsam geschätzt geschmeidig getröstet gewieft gewinnend
    gewissenhaftigkeit gewitzt glanzleistung glanzvoll glänzend glaubhaft glaubwürdig glimpflich glorreich gnädig
    goldrichtig graziös griffig gutaussehend gutherzig gutmütigkeit haltbarkeit handfest harmonisch hausmannskost
    heilsam heimelig herzig herzlichst hinreißende hochbegabt hocherfreut hochklassig hochkarätig hochmodern
    hochprofessionell hochzufrieden hoffnungsvoll höflichkeit humor ideenreich imposant innovativ inspiriert
    instruktiv intelligent jubeln jubel kerngesund keimfrei klangvoll klug knuffig knusperig kollegial komfort
    konkurrenzfähig konstruktiv kostbar kräftigend kristallklar kultig kulinarisch künstlerisch kuschlig labsal
    lebendig lebensfroh lebenslustig lebhaft leckerbissen leckerei legendär leidenschaft leistungsfähig
    liebenswürdigkeit lieblich lindernd lobgesang lohnend lohnte loyal luxuriös makellosigkeit meisterlich
    menschenfreundlich menschlich milde mitfühlend mitreißende mollig monumental mustergültige nachhaltig
    nahrhaftes nonplusultra optimal ordnungsgemäß originalgetreu perfektion pfiffig pflegeleicht pflichtbewusst
    phantasievoll fantasievoll phantastisch pikant pittoresk plausibel prachtexemplar prägnant präzise
    preisgünstig problemfrei profimäßig punktgenau quietschfidel rekordverdächtig redlich reell reichhaltig
    reizvoll resolut respektvoll riesenspaß robustheit romantik rücksicht ruhevoll rüstig sachgerecht sanft
    sattelfest saugut saulecker saustark schlagfertig schlau schmuck schmeichelhaft schmerzlindernd schmuckstück
    schnuckelig schnäppchen schwungvoll seelenruhig segen segensreich sehnlichst selbstlos sensibel seidenweich
    sinnvoll solidarisch sonnenklar sorgenlos spaß spaßig spendabel spielfreudig spontan spritzig standhaft
    stilsicher stimmig strahlender strapazierfähiges superbequem superfreundlich superleicht supernett supersauber
    superschnell superschön sympathie talentiert tatkräftig taufrisch tiefenentspannt toleranz tolerant topaktuell
    topfit toppreis traumschön treffend treffsicher treu treuherzig trostreich tröstlich tröstend tüchtig
    tugendhaft überragendes übersichtlichkeit überzeugte umgänglich umsorgend umweltfreundlich unbedenklich
    unbefangen unbeschwert unbezahlbar unerschrocken ungetrübt ungezwungen universell unterhaltung unterstützend
    unverfälscht unvoreingenommen unverwüstlich urgemütlich urig verantwortungsbewusst verantwortungsvoll
    verbessert verbesserung verbindlich verblüfft vergnügen vergnüglich verheißungsvoll verlockend vernünftig
    versiert verträumt vertraut verwöhnprogramm vielseitig virtuos vital vollkommen vollmundig vollwertig
    vorausschauend vorbildhaft vorfreude vornehm vorteil vorteile vorteilhaft vorzeigbar wachsam wasserfest
    weltoffen wertbeständig wertgeschätzt wertschätzend wertschätzung wertvoll wiedererkannt wissbegierig witz
    wohlig wohlklingend wohltat wohlwollend wolkenlos wonnig wortgewandt wundervoll würdevoll würdig zackig
    zärtlich zauber zeitgemäß zeitlos zielführend zielgerichtet zielstrebig zuversichtlich zuverlässigste
    zukunftsfähig zweckmäßig`,
  '-1.60': `faul gestrandet überflutet verschwindet gebrochen durchgefallen ramsch billigware trödel plunder
    schund tand wegwerfware schäbig schmuddelig speckig abgeranzt ranzig verlebt karg kahl lieblosigkeit
    geschmacksneutral wässrig verwässert labbrig schlabberig ledrig gummiartig zerkocht verbrannt verkohlt halbgar
    fertiggericht fertigsoße tiefkühlware aufgewärmt abgestanden muffelig stinkig säuerlich übersüßt überwürzt
    knauserig knickrig kleinlich geizig pingelig unflexibel stur bürokratisch umständlichkeit schleppend träge
    lahm lahmarschig trödeln lahme schnecke warteschleife hinhalten hingehalten vertröstet vertrösten abgewimmelt
    abgewiesen abgespeist ignoriert übergangen überhört vernachlässigt vergesslich zerstreut unkonzentriert
    lustlos wortkarg einsilbig kurzangebunden distanziert abweisend unnahbar unterkühlt schroff barsch harsch
    belehrend besserwisserisch neunmalklug aufdringlich penetrant lästig nervtötend störend störung störungen
    ausgefallene verspätete verpatzt vermurkst misslungen missraten gescheitert unausgereift halbherzig halbgares
    oberflächlich lückenhaft unvollständig ungenau unscharf verschwommen verrauscht dröhnend scheppernd quietscht
    quietschend knarrt knarzt klappert wackelt klemmt klebt leckt tropft rostet rostig rost verrostet verbogen
    eingedrückt zerdrückt zerknittert zerrissen gerissen zerbrochen zersplittert abgebrochen abgegangen
    ausgeleiert verblichen verwaschen fusselt kratzig kratzt scheuert juckt unpraktisch klobig sperrig unhandlich
    instabile kippelig überladen überbucht überlaufen beengt zugig klamm eisig überhitzt stickiges verraucht
    verqualmt lärmend ohrenbetäubend ruhestörung schlaflos schlaflose übermüdet gestresst stress stressig hektik
    gedrängel drängeln angerempelt nachteile minuspunkt manko schwäche schwächen schwachpunkt defizit rückschritt
    verschlechtert verschlimmbessert nachgelassen bergab überbewertet überschätzt überzogen gesalzen happig
    unverhältnismäßig mogelpackung beschönigt übertrieben geschönt unklar undurchsichtig widersprüchlich unlogisch
    sinnlos überflüssig hinfällig vergeblich erfolglos ratlos hilflos alleingelassen verunsichert ungeduldig
    entnervt resigniert ernüchternd ernüchtert desillusioniert verstimmt gekränkt vergrault verprellt bereut
    bereue bedauere bedaure bemängeln bemängelt kritisieren beanstanden beanstandung reklamiert reklamieren
    beschweren beschwert abgebrannt abgebrochenes abgedroschen abgegriffen abgehetzt abgekaut abgemagert abgenervt
    abgeschmackt abgestumpft abgetragen ablehnend ablehnung abschreckend abstoßend abstürze abwegig abwertend
    albern altersschwach altmodisch ängstlich anfällig angeberisch angeblich angeknackst angekratzt angelaufen
    angeschlagen angespannt angestaubt angestrengt angetrunken anstößig apathisch aufgebläht aufgebracht
    aufgedunsen aufgesetzt aufgeschwatzt aufgedrängt ausbaufähig ausgebrannt ausgebremst ausgedacht ausgefranst
    ausgelaugt ausgeliefert ausgenutzt ausgepowert ausgestorben ausgetrocknet ausrede ausreden aussetzer
    ausweichend baufällig bedenklich bedrängt bedrückend bedürftig beeinträchtigt befremdlich befremdet behäbig
    behelfsmäßig beklagenswert beklemmend beliebig belästigt belästigung benachteiligt benommen beschränkt
    beschwerlich besserwisser bevormundet bevormundend bezweifeln blass blöd blödsinn bockig borniert brenzlig
    bröckelt brummig brüchig brüsk bürokratie chancenlos chaot dämlich defekten demotivierend demotiviert
    deprimierend deprimiert desorganisiert dubios dumm dummdreist dumpf durcheinander durchgescheuert durchhängt
    durchnässt durchwachsen durchweicht dusslig egoistisch eigensinnig eigenwillig einfallslos eingebrochen
    eingefroren eingegangen eingelaufen eingerissen eingeschnappt eingestaubt einschläfernd einseitig elend
    empfindungslos endlos engstirnig entgeistert enthemmt entmutigend entmutigt entsorgt entwertet erdrückend
    erfroren ermüdend ermüdet erniedrigt erschlagen erschöpft erschreckend erschrocken erschüttert erschwert
    erstarrt ersticken erzwungen extremteuer fadenscheinig fahl fahrig falschangabe falschaussage falschlieferung
    falschberatung faulig fehlbuchung fehlentscheidung fehlend fehlgeschlagen fehlinformation fehlleistung
    fehlplanung fehlschlag fehltritt feindselig fies finster flackert flapsig flatterhaft flau flegelhaft
    fleckiges fluchen flüchtig forsch fragwürdig frösteln frustration furchteinflößend fuselig garstig gedankenlos
    gedrückt gefährdet gefährdung gefrustet gehässig gehetzt geistlos gelangweilt geldschneiderei gemein gemeckert
    genötigt geplagt gequält gequetscht geräuschvoll geringschätzig geschädigt gescheppert geschlampt geschmälert
    gespalten gestört getrübt gewürgt glanzlos glitschig grantig grauenerregend grässliches grausam grell grimmig
    grottenhässlich grundlos gruselig haarsträubend halbfertig halblebig halbseiden haltlos hanebüchen hapert
    hässlich hasserfüllt heikel heillos herablassung herzzerreißend heuchlerisch hinderlich hinkt hintergangen
    hinterlistig hirnlos hitzig hoffnungslos höhnisch holprig holpert horrorladen humorlos ignorant ignoranz
    inakkurat indiskret inflationär inhaltsleer inhaltslos inkorrekt inkonsequent instabilität intolerant
    irritierend irritiert jammer jammern kaltschnäuzig karges katastrophenurlaub kaugummiartig keifend keif
    kindisch kitschig kläglich knallhart knarzig knausrig kollabiert komatös konfus konzeptlos kopflos
    kopfschmerzen kostspielig krachend krampf krankmachend kratzend krumm kulanzlos kümmerlich kundenunfreundlich
    lachhaft lächerlichkeit lädiert lahmt lapidar lästern läppisch launisch lausig lauwarmes leblos leidig
    leidvoll lethargisch lieblosen löchrig luftleer lustlosigkeit makaber marode massenabfertigung matschiges
    meckern meckert mickrig minderwertiges miserablen missachtet missachtung missbraucht missgelaunt missfallen
    misslich misslang missmutig misstrauen misstrauisch missverständlich modrige monoton morsch mühselige murren
    nachlässig nachlässigkeit nachteiliges naiv narrte neidisch nervenaufreibend nervensäge niedergeschlagen
    nichtssagend niederschmetternd notdürftig notlösung nutzlosigkeit öd oberflächlichkeit ohnmächtig ölig
    orientierungslos parteiisch patzer peinigend peinlichkeit planlos platzangst plagt plärrend pleite plump
    preistreiber primitiv problematisch protzig provisorisch provokant qualvoll quälend quatsch quietschende
    rabiat raffgier ramponiert randvoll ratlosigkeit rauswurf realitätsfern reizbar reizlos rigide rigoros riskant
    rissig ruckelig rückständig rückzieher rumpelig rüde rüpelhaft ruppigkeit sabotage säumig schabernack schäden
    schadhaft schändlich scharfkantig schaurig scheinheilig scherben scheußlichkeit schief schiefgegangen
    schiefgelaufen schimpfen schlabbrig schlaff schlammig schlechtgelaunt schlechtigkeit schleierhaft schleimig
    schlimmer schludrig schmach schmerzhaft schmierig schmutz schnippisch schnoddrig schnöde schockiert
    schockierend schreckhaft schreierei schroffheit schummelei schummeln schummrig schwachsinn schwammig
    schweißtreibend schwerfällig schwierigkeit schwierigkeiten schwindel schwindlig schwitzig seelenlos seltsam
    sinnfrei skeptisch sorgenvoll spöttisch spuckt stagniert standardfloskel standardfloskeln starr steif
    sterbenslangweilig stichelei stinkfaul stinklangweilig stolperfalle störrisch stockend strapaziös streikt
    streitlustig stressfaktor stümperei stumpf stupide suboptimal tadelnswert tatenlos tollpatschig töricht
    tragisch tränenreich trampelig trostlos trotzig trübe trübsinnig trügerisch tückisch übelgelaunt übellaunig
    überaltert überarbeitet überdreht übereilt überfordert überforderung überhastet überhebliches überlang
    überlasst überlastet überreizt überrumpelt übersalzen überstürzt überteuertes übertreibung umweltschädlich
    unachtsam unangebracht unangemeldet unangemessen unansehnlich unappetitlich unaufgeräumt unaufrichtig
    unausgewogen unausstehlich unbeachtet unbedarft unbeeindruckt unbefriedigend unbegabt unbegreiflich
    unbegründet unbeholfen unbehaglich unbelehrbar unbeliebt unbenutzbar unberechenbar unberechtigt unbeständig
    unbrauchbarkeit undankbar undeutlich undiplomatisch undiszipliniert undurchdacht uneinsichtig unerfahren
    unerfreulich unergiebig unerreichbar unerwünscht unfair unfertig unförmig unfreiwillig ungebildet ungeduld
    ungeeignet ungefragt ungehalten ungeheizt ungehobelt ungelernt ungelöst ungemach ungenügend ungerecht
    ungerechtfertigt ungereimtheit ungereimtheiten ungeschickt ungesund ungewaschen ungezogen unglaubwürdig
    ungleichmäßig unglück unglücklich ungünstig unheil unhygienisch uninformiert uninspiriert uninteressant
    uninteressiert unkollegial unkonzentriertheit unkoordiniert unkulant unlauter unleserlich unlösbar
    unmenschlich unmut unnatürlich unpassend unpersönlich unplausibel unproduktiv unqualifiziert unrealistisch
    unrecht unreif unrein unruhe unruhig unsachgemäß unsachlich unsauber unschön unselig unsensibel unsicher
    unsinn unsinnig unstimmigkeit unsympathisch untauglich untergegangen unterbesetzt unterbezahlt
    unterdimensioniert unterdurchschnittlich untergeschoben unterkühltes unüberlegt unverantwortlich
    unverbesserlich unverkäuflich unverschuldet unverständnis unverträglich unvorbereitet unvorteilhaft unwahr
    unwahrheit unwesentlich unwillig unwirsch unwissend unwissenheit unwohl unwürdig unzugänglich unzulänglich
    unzulässig unzusammenhängend vage verantwortungslosigkeit verärgerung verbaut verbeult verbittert verblasst
    verbockt verbrannte verbummelt verdächtig verdrängt verdreht verdreckung verdrießlich verdrossen verfälscht
    verfärbt verfehlt verfilzt verhagelt verhängnisvoll verharmlost verhasst verheerend verkalkt verkantet
    verkatert verklebt verklemmt verkommen verkrustet verlangsamt verleumdet verlogene verlust verlustreich
    vermodert vermüllt vernichtend verpeilt verpestete verraten verringert verrottete verrufen verrutscht versagen
    versagt versagte versandet verschandelt verschlafen verschlampt verschleiert verschleißt verschleppt
    verschlissen verschmiert verschmutzung verschreckt verschuldet verschwendet verschwendung versifft verspannt
    versperrt verspottete verstaubt verstimmung verstört verstopft verstörend verstümmelt verteuert verteuerung
    vertrackt vertrocknet vertuscht verunglimpft verunreinigt verunstaltet verunglückt verwackelt verwahrlost
    verwanzt verwechselt verwechslung verwelkt verweigert verweigerte verwirrt verwohnt verworren verzerrt
    verzettelt verzogen verzögert verzögern verzweifelte wacklig wahllos wässrige wehleidig weinerlich weltfremd
    welk wertverlust widerborstig widersinnig widerstand widerwillig willenlos willkür willkürlich wirkungslos
    wirr wortbrüchig wurmstichig wüst wütet zähflüssig zank zappelig zeitraubend zermürbend zermürbt zerbeult
    zerbröselt zerfleddert zerfällt zerfressen zerknirscht zerlöchert zermatscht zerplatzt zerrüttet zerschlissen
    zerstreutheit zögerlich zudringlich zurückgelassen zurückgewiesen zweifel zweifelhaft zweitklassig zwielichtig
    zwickt zynisch`,
  '-2.50': `abscheulichkeit abartig absurd ätzend bodenlos bodenlose desaster debakel fiasko trauerspiel armutszeugnis
    blamage blamabel saustall schweinestall drecksloch bruchbude absteige rattenloch kloake ekel ekelerregend
    angewidert brechreiz übelkeit lebensmittelvergiftung vergiftet ungeziefer ratten mäuse maden schaben wanzen
    flöhe läuse verseucht verpestet verrottet verfault vergammelt widerwärtig niederträchtig hinterhältig
    heimtückisch verlogen verlogenheit unehrlich gaunerei gauner ganoven halunken betrügerisch abgezockt
    ausgenommen übervorteilt reingelegt hereingelegt getäuscht veräppelt verarscht verarsche geprellt bestohlen
    geklaut unterschlagen erpresst erpressung nötigung bedroht bedrohung drohen schikane schikaniert schikanös
    gemobbt mobbing gedemütigt demütigend erniedrigend entwürdigend menschenverachtend menschenunwürdig würdelos
    herzlos gefühllos kaltherzig gewissenlos skrupellos verantwortungslos leichtsinnig grobfahrlässig
    lebensgefährlich lebensgefahr unfallgefahr gesundheitsschädlich giftig krebserregend verbrüht misshandelt
    geschlagen geschubst beschimpft beschimpfung angepöbelt pöbelnd ausgelacht verhöhnt verspottet rausgeworfen
    hinausgeworfen rassismus rassist sexistisch diskriminiert diskriminierung ausländerfeindlich
    behindertenfeindlich kundenfeindlich rotzfrech unverfroren anmaßend hochnäsig eingebildet selbstgefällig
    großkotzig cholerisch aggressiv ausfallend jähzornig unmöglichste unterirdische unterste allerletzte
    grottenschlecht grottig hundeelend hundsmies stümper stümperhaft dilettantisch laienhaft amateurhaft pfuscher
    murks gemurkst schindluder schlendrian wertlos nichtsnutzig müllhalde geldmacherei geldgier geldgierig
    habgierig raffgierig wucherpreise unsumme horrend horrende zerstört ruinieren versaut verdirbt verdarb
    vermiest untragbar unhaltbar unentschuldbar unverzeihlich unerhört empörung fassungslosigkeit zorn zornig
    verzweifelt verzweiflung bitterböse verabscheue`,
}
