/** Further French words of opinion, by valence from -4 to 4; those of `words.ts` go over them. */
export const furtherFrenchWords: Record<string, string> = {
  // Of these no mood is read, though a form of them is in a list.
  '0': `plantes plante planter étanche emballé emballée prêté annuler supprimer familiale familiales disponibles sec sèche`,
  '3.20': `irréprochable irréprochables nickel épatant épatante épatants sensationnel sensationnelle éblouissant
    éblouissante bouleversant bouleversante inégalable imbattable imbattables incomparable sublimes magique
    magiques magistral magistrale divin divine divins somptueux somptueuse phénoménal phénoménale prodigieux
    stupéfiant idyllique paradisiaque perle perles merveille merveilles bijou délice délices régalés régalée
    régalé régalées émerveillé émerveillée émerveillés conquis conquise comblé comblée comblés aux-anges
    exemplaire exemplaires virtuose`,
  '2.30': `adorable adorables bienveillant bienveillante bienveillants bienveillance prévenant prévenante prévenants
    disponibles courtois courtoise courtoisie poli polie polis à-l'écoute dévoué dévouée dévoués humain
    humaine rassurant rassurante rassuré rassurée soulagé soulagée reconnaissant reconnaissante remercie
    remercions remerciements gentillesse amabilité efficacité réactivité compétence professionnalisme fraîcheur
    confort douceur tendresse générosité élégant élégante élégance raffiné raffinée ravissant ravissante coquet
    cosy douillet douillette moelleux moelleuse fondant fondante croustillant croustillante goûteux goûteuse
    parfumé parfumée tendre juteux juteuse onctueux onctueuse copieuse copieuses gourmand gourmande gourmands
    léger légère légers équilibré équilibrée fluide fluides intuitif intuitive ergonomique solide solides robuste
    robustes silencieux silencieuse lumineuse ensoleillé vaste vastes immense impec génialissime ingénieux
    ingénieuse malin maligne astucieux astucieuse original originale créatif créative drôles drôlement hilarant
    hilarante rigolo marrant marrante captivante prenant prenante haletant envoûtant poétique émouvante touchante
    vibrant vibrante chaleur convivial conviviale conviviaux authentique authentiques honnête honnêtes
    franc sincère sérieux sérieuse rigoureux rigoureuse méticuleux méticuleuse minutieux précis précise
    ponctualité rapidité modique modiques avantageux avantageuse économique gratuitement offert offerte
    impressionnante impressionné impressionnée agréablement volontiers vivement chaudement félicite félicitation
    fan fans accro inconditionnel bluffée bluffé bluffante dépaysant dépaysement reposant reposante ressourcé
    apaisant apaisante serein sereine sérénité bien-être privilégié privilège honneur fierté fier fière gagnant
    réconfort réconfortant utilement recommandable recommandables recommander`,
  '-1.70': `bruyants bruyantes bruit bruits tapage sombre sombres exigu exiguë étroit étroite minuscule minuscules
    étouffant étouffante mou molle caoutchouteux tiède tièdes réchauffé réchauffée rassis rassise insipide
    insipides brûlé brûlée surcuit pâteux collant collante collantes poisseux moisi moisie moisissure humide
    humides crasse puant puante pue puent odeur odeurs égout cafard cafards punaises fissuré fissurée rayé rayée
    rayure rayures ébréché déchiré déchirée troué usée usés fragile fragiles fragilité bancal bancale défectueux
    défectueuse défectueuses buggé bugs bug plante plantage plantages crash rame ramer saccadé illisible
    incompréhensible incohérent incohérente flou floue confuse désordre désorganisé désorganisée pagaille foutoir
    bazar débordé débordés surchargé bondé bondée cohue interminable interminables lenteur lenteurs longuet
    poireauté galérer galéré pénible pénibles fastidieux fastidieuse laborieux laborieuse lassant lassante
    répétitif répétitive prévisible convenu creux creuse mal-fichu mal-foutu expédié expédiée négligé négligée
    négligence négligent oubli oublis erroné erronée trompé trompée trompeur trompeuse mensonger mensongère abusif
    abusive surfacturé surcoût exorbitant exorbitante exorbitants hors-de-prix onéreux gênant gênante gêne inquiet
    inquiète inquiétant frustrant frustrante frustré frustrée contrarié dommages dégradé dégradée dégrade
    décevants décevantes déconseille déconseillé déconseillons insatisfait insatisfaite mécontent mécontente
    mécontents râle râler ras-le-bol marre lassé lassée fatiguant épuisant triste tristes morne morose froideur
    glacial glaciale hautain hautaine distant distante grincheux grincheuse grognon bougon bougonne renfrogné
    indifférent indifférente indifférence injoignable injoignables inaccessible`,
  '-2.60': `minable minables misérable misérables honteusement scandaleusement ahurissant ahurissante hallucinant
    hallucinante révoltant révoltante révoltée indigne indignes indigné indignée odieux odieuse odieuses grossier
    grossière grossiers insolent insolente insultant insultante insulté insultée insultes humilié humiliée
    humiliant agressif agressive agressifs hurlé menacé menacée raciste sexiste discriminé discrimination
    malhonnête malhonnêtes malhonnêteté escroc escrocs arnaqueur arnaqueurs arnaqué arnaquée voleur fraude
    frauduleux mensonges menti mentent foutage bâclé bâclée bâclés calamiteux calamiteuse désastreusement infâme
    infâmes immangeable immangeables imbuvable inmangeable inutilisable inutilisables invivable insalubre
    insalubres crasseux crasseuse répugnant répugnante écœurant écœurante dégueulasse dégueu nauséabond
    nauséabonde vomitif danger-public dangereux dangereuse dangereusement gâchis fiasco débâcle désolant désolante
    navrant navrante affligeant affligeante consternant consternante pathétique risible nullissime nullité moche
    moches laid laide laids hideux hideuse sinistre sinistres lugubre glauque gâche gâchent ruiné ruinée dégoûté
    dégoûtée dégoûtés écœuré écœurée outré outrée furax choqué choquée choquant choquante traumatisé traumatisant
    incompétence incompétentes irrespect irrespectueux irrespectueuse inexcusable impardonnable inqualifiable
    intolérable`,
  '3.10': `prodige fabuleusement divinement sublimement admirable admirablement mirifique mirobolant dément dingue
    génialement imparable hors-pair hors-norme incontournable légendaire mythique mémorable royal royale princier
    princière féerique féérie enchanteur enchanteresse enchantement ensorcelant éblouir éblouis transporté
    transportée chouchou pépite trésor trésors petit-bijou coup-de-maître chef-d'œuvre perfection excellence
    félicité extase extatique sauveur sauveuse héros héroïne champion championne champions extraordinairement
    somptuosité majestueux majestueuse spectaculaire spectaculaires étincelant étincelante radieux radieuse
    brillantissime`,
  '2.20': `applaudir applaudissements éloge éloges louer louable louange complimenter compliment compliments
    chaleureusement cordial cordiale cordialité avenant avenante affable aimablement gentiment courtoisement
    délicat délicate délicatesse tact attention attentions prévenance empathie empathique compréhensif
    compréhensive arrangeant arrangeante conciliant conciliante souple souplesse flexible diligent diligente
    promptement rapidissime zélé consciencieux consciencieuse appliqué appliquée soigneux soigneuse soigneusement
    irréprochablement qualifié qualifiée expert experte expertise connaisseur passionné passionnée dynamique
    enjoué enjouée jovial joviale rieur pétillant pétillante chantant festif festive propreté étincelants immaculé
    immaculée pimpant pimpante coquette coquets rénové rénovée modernes cossu cossue feutré feutrée intimiste
    romantique champêtre bucolique verdoyant verdoyante fleuri fleurie ombragé ensoleillée panoramique imprenable
    délectable succulent succulente succulents savoureusement appétissant appétissante alléchant alléchante
    croquant croquante aérien aérienne crémeux crémeuse fumant artisanal artisanale copieusement généreusement
    rassasié rassasiée rassasiés régaler dégusté savouré savourer gourmandise gourmandises réconfortante
    ressourçant ressourçante relaxant relaxante détendu détendue détente délassant bien-fait bien-fini durable
    durables increvable inusable indestructible costaud résistant résistante étanche performant performante
    performants puissant puissante maniable ludique instructif instructive pédagogique pédagogue clairement
    limpide compréhensible didactique enrichissant enrichissante inspirant inspirante stimulant stimulante
    motivant motivante encourageant encourageante épanoui épanouie progressé progrès réussite réussites succès
    triomphe triomphal victoire gagné primé primée récompensé récompensée acclamé acclamée plébiscité plébiscitée
    fidèle fidèles fidélité habitué habituée confiance honnêteté intègre loyal loyale transparent transparente
    transparence équitable correctement avantageusement économe économes rentable gratuité secouru secourue sauvé
    sauvée aidé aidée aidés dépanné dépannée soutien soutenu épaulé guéri guérie apaisé apaisée réconcilié
    réconciliée convaincu convaincue convaincant convaincante agréable-surprise plaisant plaisante plaisants
    charmé charmée charmés séduit séduite séduits séduisant séduisante attachant attachante admiratif admirative
    reconnaissance gratitude remerciement merci-infiniment mille-mercis chanceux chanceuse veinard ravissement
    allégresse gaieté gaie gai joyeux joyeuse rigolade fou-rire abouti accommodant adapté adorablement adroit
    agile aisé aisément alerte ambitieux amène amical amicale amusante animé apprivoisé approprié ardent assidu
    assidue assuré audacieux avisé béni bénéfique bienfait bienfaisant bienfaisante bienheureux bienvenu bienvenue
    bonifié bravoure brillant brillante brillants candide caressant célèbre céleste charitable charismatique chic
    chouette chouettes civilisé clairvoyant cohérent cohérente coloré colorée commode complaisant complice
    complicité concis confiant confortablement consolant consolé constructif convenable coopératif coquin correcte
    cordialement crédible créativité cultivé débrouillard décontracté décontractée délassante délectation
    délicieusement démocratique désaltérant désaltérante désintéressé désirable désopilant dévouement digeste
    digne diplomate disponibilité distingué distinguée distrayante docile doué douée doucement dynamisme
    éblouissement éclairant éclairé éclatant éclatante écologique édifiant efficacement égayé élégamment éloquent
    éminent emballé emballée embelli embellie émerveillement énergique énergisant enthousiasme enthousiasmé
    enthousiasmant enthousiaste enthousiastes entraînant entraînante épicurien épatée éprouvé équilibre ergonomie
    esthétique estimable estimé étonnant étonnante exaltant exaltante excellemment exemplairement expérimenté
    expérimentée exquisément extasié facilité fameux fameuse fantaisie farniente fascinant fascinante favorable
    favori favorite fervent festin fiabilité fidèlement finesse flamboyant flatteur flatteuse florissant
    foisonnant formateur formatrice fraternel fraternelle frétillant fructueux fructueuse futé gagnante galant
    galante généreuses gentilhomme glorieux gracieux gracieuse gracieusement gratifiant gratifiante gustatif
    habile habilement harmonieux harmonieuse heureusement honnêtement honorable hospitalier hospitalière
    hospitalité humble humour humoristique idéalement illuminé imaginatif imaginative impartial impeccablement
    imposant incollable inédit infaillible infatigable inégalé inégalée ingéniosité innovante inspiré inspirée
    instructives intelligent intelligente intelligible intéressés inventif inventive invincible invitant
    irrésistible irrésistibles jolies joliment jubilatoire judicieux judicieuse ludiques luxe luxueux luxueuse
    magie magnanime magnétique magnificence maîtrisé maîtrise majestueusement malicieux mélodieux mélodieuse
    mérite mérité méritée méthodique méticuleusement mignonne mignons miraculeux miraculeuse miracle moderne
    motivé motivée motivés noble nourrissant nourrissante novateur novatrice obligeant obligeante ondoyant
    opérationnel optimal optimale optimiste ordonné ordonnée paisible paisibles paradis pardonné passionnante
    passionnants passionnément patiemment percutant perspicace pertinent pertinente philanthrope pittoresque
    plébiscite poliment ponctuellement positivement précieuse précieux précisément précision prestigieux
    prestigieuse primeur privilégiés probité productif proéminent professionnelles profité prometteur prometteuse
    prospère protecteur protégé prudent puissamment qualitatif qualitative raffinement raisonnablement rassurants
    ravigotant ravissants rayonnant rayonnante réactifs réactives réalisable réaliste récréatif réfléchi réfléchie
    régénérant régénérée régularité réjoui réjouie réjouissant réjouissante relaxation remarquablement
    remarquables remarquée renommé renommée réparateur resplendissant resplendissante respecté respectée
    respectueux respectueuse ressourcement réussir rêve rêvé revigorant revigorante richesse rigueur robustesse
    romanesque ronronne rusé sagesse sain saine sainement salutaire satisfaisante satisfaites savamment
    scintillant sécurisant sécurisante séduction sensas sensible sensuel serviabilité simplicité sincèrement
    sociable solidaire solidarité solidité somptueusement soulagement soulagés spirituel spirituelle splendeur
    splendides spontané spontanée stimulé structuré studieux stylé stylée suave suprême surdoué symbiose talent
    talents talentueux talentueuse tempéré tendance tolérant tolérante tonifiant tranquillement tranquillité
    travailleur travailleuse triomphant unique vaillant valable valorisant valorisante valeureux velouté veloutée
    vertueux victorieux vif vigilant vigilante vigoureux vitaminé vivant vivante vivifiant vivifiante voluptueux
    zen zénitude`,
  '-1.60': `fuit suinte périmé périmée périmés supprimé supprimée repoussé repoussée reporté reportée interrompu camelote
    pacotille toc gadget ringard ringarde kitsch démodé démodée désuet désuète vieillot vieillotte défraîchi
    défraîchie délabré délabrée décrépit décrépite lézardé poussiéreux poussiéreuse graisseux graisseuse huileux
    huileuse spongieux farineux farineuse filandreux filandreuse desséché desséchée trop-cuit pas-assez-cuit
    aqueux aqueuse délavé délavée dilué éventée aigre amère amers écœurants indigeste indigestes chiche radin
    radine mesquin mesquine rachitique riquiqui maigres maigrelet tatillon tatillonne pointilleux rigide borné
    bornée obtus têtu traîne traînent traîné lambin mollasson poussif poussive rouille rouillé rouillée coincé
    coincée grince grincent grinçant fuite fuites cassés brisé brisée brisés brise tordue froissé écrasé écrasée
    cabossé cabossée enfoncé fêlé fêlée décollé décollée décolle décousu décousue effiloché bouloché bouloche
    délave rétréci rétrécie déteint déteinte démange étriqué encombrant encombrante lourdaud peu-pratique
    malcommode inadapté inadaptée inefficace inefficaces inopérant impuissant dépassé dépassée baladé baladée
    renvoyé renvoyés éconduit éconduite ignoré ignorée ignorés négligés délaissé délaissée abandonné abandonnée
    planté-là lapin poireauter poireaute retardé retardée manqué manquée interrompue coupure coupures bloqué
    bloquée blocage surréservé surbooké surbooking débordement bousculade bousculé entassé entassés étouffe
    suffocant frigorifié vacarme boucan brouhaha assourdissant assourdissante insomnie nuit-blanche stressé
    stressée stressant stressante angoissé angoissée angoissant angoisse apeuré paniqué paniquée anxieux surfait
    surfaite surestimé surestimée surcoté surcotée exagéré exagérée gonflé gonflée abuser abusé pingre obscur
    obscure opaque opaques ambigu ambiguë contradictoire contradictoires illogique superficiel superficielle
    incomplet incomplète incomplets imprécis imprécise inexact inexacte approximatif approximative faussé
    faussement inabouti vain vaine inutilement désabusé désabusée dépité dépitée démoralisé démoralisée abattu
    découragé découragée désemparé désemparée agacée agaçant agaçante irritant irritante irrité irritée exaspéré
    exaspérée exaspérant excédé excédée blessé blessée vexé vexée vexant froissée regret regrets regretté
    regrettée regrettons critique critiques reproche reproches réclamation réclamations déplorer déplore déplorons
    abattement abêtissant abîmée abîmés abracadabrantesque abrupt abrutissant abstrus accablement accidenté accusé
    acerbe âcre acrimonie affaibli affaiblie affamé affolant affolement aggravé aggravée aggraver agressivité
    aigri aigrie alarmant alarmante alourdi altéré altérée amateur ambigus amertume amoché anarchique anéanti
    angoissante angoisser animosité anormal anormale antipathique antipathiques anxiété apathique arbitraire
    arrogance artificiel artificielle asphyxiant assommant assommante atterrant atterré attristé attristée austère
    avare aveugle aveuglement baclage bâclage bafoué bafouée bagarre balbutiant banal banale bancals baratin
    baratiner baratineur barbant barbante bavure belliqueux bêtement bêtise bêtises biaisé bidon bidouillé
    bidouillage blâmable blafard blâme blême boiteux boiteuse boude boudeur boueux boueuse bourbier bourré
    brouillé brouillon brouillonne brusque brusquement bureaucratie bureaucratique caduc cahoteux calamité
    camouflet capharnaüm caprices capricieux capricieuse carence carences caricatural caricature cassante cassant
    catastrophiquement censuré chaotique chamboulé charabia chagrin chagriné chétif chiant chiante chiantissime
    chipoter choc choquants cinglant clochent clochait cloche collants complication complications compromise
    condamnable conflictuel confusion congestionné contaminés contesté contrainte contraintes contrariant
    contrariante contrariée contrefaçon contrefaçons corrompu corrosif couac couacs coûteux coûteuse crado
    cradingue craintif crétin criard criarde crispant crispé critiquable croupi croupie croûteux débraillé débile
    débiles décadent déceptions déchéance déchet déchets déchirant déclin décomposé décrépitude défaillance
    défaillances défaillant défaillante défaitiste défavorable déficient déficiente déficit déformé déformée
    défraîchis dégingandé dégoût dégoûter dégradant dégradante dégradation dégradations déguerpir délabrement
    délaissés délit déloyaux démangeaisons démesuré démesurée démissionner démonté démotivant démotivé dénigré
    dénué déplacé déplacée déplaisant déplaisante déplaisants déprimant déprimante déprimé dérangé dérangeant
    dérangeante dérapage dérapages déréglé dérisoire dérisoires dérouté déroutant déroutante désabusés désagrément
    désagréments désappointé désappointée désaccord désaffecté désastres désastreuses désavantage désavantages
    désavantagé désobligeant désobligeante désolation désordonné désordonnée désorienté désorganisation désœuvré
    dessèche destructeur détérioration détérioré détériorée détresse détraqué détrempé dévalorisant dévalorisé
    dévasté dévastateur difforme dilapidé diminué diminuée discordant discutable discutables disgracieux
    disproportionné disproportionnée disparate dissuasif dissuadé dissuadée dissonant dommageable doléances
    douloureux douloureuse douteux douteuse douteuses draconien dramatique durement dysfonctionnement
    dysfonctionnements ébranlé ébréchée éclaté écœure écorché écroulé effarant effarante effondré effondrée
    effrayant effrayante effrayé effroi effroyable effroyables égaré égarée égarés égoïste embarrassant
    embarrassante embarras embêtant embêtante embêtement embourbé embrouille embrouilles embrouillé émoussé
    empiété empêtré empirer empire empoisonnant emprunté encrassé encrassée endommagé endommagée endommagés
    énervant énervante énervement enfumé engorgé engueulé engueulée engueulade ennui ennuis ennuyante ennuyés
    enragé enrageant entachée entassement entêté entravé envahi envahissant envahissante envasé épars éparpillé
    épineux éploré épouvante épouvantables éprouvant éprouvante épuisante épuisé épuisée équivoque éreintant
    éreintante erratique errements erronés escamoté essoufflé étouffement étriquée étroits évasif évasive évincé
    exagération exaspération exaspérante excécrable excessif excessive excessifs exclu exclue exclusion exécrables
    exigus expédiés exploité exténuant exténué factice fâché fâchée fâcheux fâcheuse fadasse fadeur faible faibles
    faiblesse faiblesses faillite fallacieux falsifié famélique fanée fané fastidieuses fatidique fatigante
    fatigant fautif fébrile feignant feignants fissures fissure flagrant flasque flemme flemmard flemmards flétri
    foireux foireuse foiré foirée foutaise foutu foutue fracas fracassé fragilisé frêle frelaté frivole froidement
    frousse frustration frustrations fuyant fuyante gâcher gaffes gaspillage gaspillé gaspillée gauche gênants
    gênées giflé glissant glissante goujat goujats gougnafier gourde grabuge gravement grief griefs grimaçant
    grincements grippé grisâtre grogne grognement grondé grossièreté grossièretés grotesque grotesques haine
    haineux haineuse halluciné handicapant hargneux hargneuse harassant harassante hasardeux hasardeuse hésitant
    hésitante honteuses hostile hostiles houleux humiliés hurlait hurlements hystérique idiot idiote idiots ignare
    ignares ignorance ignorant ignorante illégitime illisibles illusoire imbécile imbéciles imbécillité immaturité
    immobilisé immoral immorale impasse impassible impatience impatient impatiente impersonnel impersonnelle
    impertinence impertinent impitoyable impolitesse impoliment impopulaire importuné importune imprévisible
    improductif improvisé improvisation impuissance impur inadéquat inadéquate inadmissibles inanimé inappétissant
    inapproprié inappropriée inapte inattentif inattentive inaudible incapacité incertain incertaine incertitude
    incivil incivilité incivilités incohérence incohérences incommodant incommodante incommodé incommode
    incompatibilité incompréhensibles incompréhension incontrôlable inconvénient inconvénients inconvenant
    incorrect incorrecte incriminé indécent indécente indécis indélicat indélicate indésirable indéfendable
    indifférents indigence indigente indignement indisponible indisponibles indiscipliné indiscret indiscrète
    inefficacité inégal inégale inélégant inepte ineptie inepties inerte inexactitude inexistant inexistante
    inexistants inexpérimenté inexpérimentée infantilisant infantilisé infection inférieur inférieure inflexible
    infondé infonde infortune infructueux infructueuse ingérable ingrat ingrate inhabitable inhospitalier
    inhospitalière inintéressant inintéressante injurieuse injustices innommables inquiétude inquiétudes
    inquiétants insalubrité insatisfaction insatisfaisant insatisfaisante insécurité insensé insensée insensible
    insensibles insignifiant insignifiante insipidité insistant insolence insolents insoluble insoutenable
    instable instables insuffisance insuffisamment insuffisante insupportables intempestif intempestive intenable
    intimidant intimidé intolérance intoxications intransigeant intransigeante intrusif intrusive inutilisé
    invalide invasif invectivé irascible irrationnel irréaliste irréfléchi irrégulier irrégulière irrégularités
    irréparable irresponsabilité irrévérencieux irritation jaloux jauni jaunie jérémiades lâche lâcheté
    laborieuses laideur lamentablement larmoyant larvé lasse lassitude lésé lésée lésés léthargique lésiné litige
    litiges lourdeur lourdingue louches lugubres macabre maladresse maladroit maladroite malaise malaisant
    malaisante malchance malencontreux malentendu malentendus malfaçon malfaçons malheur malheureuse
    malhonnêtement malmené malmenée malodorant malodorante malpropre malpropres malsain malsaine malvenu
    manipulateur manipulé manquant manquante manquants manquements marasme mauvaiseté maussade méchamment
    méchanceté méchant méchante mécontentement mécréant méfait méfiant méfiante mélancolique mensongèrement
    mesquinerie mésaventure mésaventures méprisants merde merdique merdiques merdier miteux miteuse misère
    misérablement mochissime mollesse moisissures monotone monotonie mortifiant mortifié moqueur moqueuse morveux
    mutisme naze nazes nases navrés nébuleux négativement négligents négligences nerveux nerveuse nonchalance
    nonchalant nonchalante nuisance nuisances nuisible nuisibles obscène obscurité obsolète obsolètes obstiné
    obstructif occulté offensant offensante offensé offensée oiseux oppressant oppressante oppressé outrageusement
    outrance pagaïe paniquant paniquer paresse paresseux paresseuse parodie partial passable pathétiques
    patibulaire pédant pédante pénalisant pénalisé pénalisée péniblement pénurie pénuries perdant perdants perdue
    perdus perfide périlleux périlleuse perturbant perturbante perturbé perturbée perturbations pervers pessimiste
    pestes pester peste pète pétrin piégé piégée piètre piètres pingres piteux piteuse plaignant plaintif plantés
    polluée polémique poltron poussifs précaire précaires précipité précipitée préjudice préjudices préjudiciable
    préoccupant préoccupante préoccupé prétexte prétextes problématique problématiques profiteur profiteurs
    prohibitif prohibitive prohibitifs proscrire provocant puanteur puéril puérile punition punitif querelle
    querelles rabougri rabroué rabrouée rafistolé rafistolage rageant rageante rageur raide râleur râleurs rancœur
    rancune rancunier rapace rapaces rapiécé rasant ravage ravages rebutant rebutante rebuté rébarbatif
    rébarbative récalcitrant redondant redoutable refoulés refroidi refroidis rejet rejeté rejetée relégué relou
    remontrances rembarré rembarrée renfrognée répréhensible répulsif réticent réticente retors révolte révulsé
    rigidité risqué risquée rouillés rugueux ruine rude rudesse rustre rustres sabordé saboté sabotage salace
    saletés salissant salopé sanction sanctionné saturé saturée saturation scabreux sceptique scandaleuses
    schlingue secoué sévère sévèrement sinistré sinistrée somnolent sordide sordides sottise souffert souffrance
    souffrances souffrant souffre souffreteux souillé souillée sournois sournoise stagnant stagnante stridente
    strident stupide stupidement stupidité submergé submergée subi suffocante suintant surchauffé surchauffée
    surcharge surévalué surfacturation surmené surpeuplé suspect suspecte suspects suspicion tapageur tapageuse
    tardif tardive tare tares tâtonnant tendancieux tendu tendue ternes terne terrifiant terrifiante terrifié
    terrorisé têtus tiraillé tordus torpeur tort tortueux tourment tourmenté tourmente traînant traînante traître
    traîtres tracas tracasserie tracasseries tragédie tragique tragiquement trahi trahie trahison traquenard
    traumatisante tremblant tricher tripatouillage tristesse tristement trituré tromper trompés tromperie
    tromperies troublant troublé trouillard tumulte turpitude tyrannique usant usante usurpé vaniteux vandalisé
    vandalisée vaseux vaseuse venimeux vermoulu véreux véreuse vexante vexatoire vicié viciée vicieux vieillissant
    vieillissante vilain vilaine vindicatif violemment virulent visqueux visqueuse vociférer vociférations voyou
    voyous vulgaires vulgarité vulnérable zizanie`,
  '-2.50': `abjecte abject abominablement aberrant aberrante aberration absurdité accablant accablante abracadabrant
    bordel bordélique boui-boui bouge taudis gourbi porcherie dépotoir égouts vermine asticots asticot blattes
    infesté infestée contaminé contaminée intoxication intoxiqué intoxiquée empoisonné vomi vomir nausée nausées
    avarié avariée pourriture putride rance fétide pestilentiel pestilentielle écœurement abîmer bousillé
    bousillée saccagé saccagée détruit détruite ravagé massacre massacré massacrée boucherie charlatan charlatans
    amateurisme incapable incapables bon-à-rien bras-cassés tocards guignols clowns branquignols rigolos fumiste
    fumistes fumisterie imposteur imposture mascarade arnaquer escroquer escroqué escroquée extorsion extorqué
    racket rackettés voler volé volée volés dépouillé dépouillée plumé plumée pigeon pigeons entourloupe
    entourloupes combine magouille magouilles tricherie tricheurs triché filou crapule crapules mensongers fourbe
    hypocrite hypocrites hypocrisie déloyal déloyale malveillant malveillante malveillance mépriser méprisé
    méprisée dédain dédaigneux dédaigneuse condescendant condescendante condescendance hautains prétentieux
    prétentieuse odieusement brutal brutale brutalité brutalisé violent violente violence bousculée insulter
    injure injures injurié injurieux menace menaces menaçant menaçante harcèlement harcelé harcelée humiliation
    humilier rabaissé rabaissée moqué moquée moquerie moqueries racisme xénophobe homophobe homophobie
    discriminatoire inhumain inhumaine cruel cruelle cruauté sans-cœur maltraitance maltraité maltraitée
    irresponsable irresponsables inconscient inconsciente imprudent mortel mortelle blessure blessures toxique
    toxiques cancérigène explosif electrocuté électrocuté brûlures ignominie infamie infamant révoltés écœurés
    scandalisé scandalisée scandalisés indignation outrage outrageant outrageux stupéfaction sidéré sidérée
    hallucinants ubuesque kafkaïen kafkaïenne innommable inouï inqualifiables injustifiable injustifié injustifiée
    injuste injustice illégal illégale illicite ruineux ruineuse désespéré désespérée désespoir enfer infernal
    infernale calvaire supplice torture boycott boycotter boycottez méfiez-vous méfiance gaffe`,
}
