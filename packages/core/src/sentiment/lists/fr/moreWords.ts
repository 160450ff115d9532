/** Further French words of opinion, by valence from -4 to 4; those of `words.ts` go over them. */
export const furtherFrenchWords: Record<string, string> = {
  '3.20': `irréprochable irréprochables nickel épatant épatante épatants sensationnel sensationnelle éblouissant
    éblouissante bouleversant bouleversante inégalable imbattable imbattables incomparable sublimes magique magiques
    magistral magistrale divin divine divins somptueux somptueuse phénoménal phénoménale prodigieux stupéfiant
    idyllique paradisiaque perle perles merveille merveilles bijou délice délices régalés régalée régalé régalées
    émerveillé émerveillée émerveillés conquis conquise comblé comblée comblés aux-anges exemplaire exemplaires
    virtuose`,
  '2.30': `adorable adorables bienveillant bienveillante bienveillants bienveillance prévenant prévenante prévenants
    disponible disponibles courtois courtoise courtoisie poli polie polis à-l'écoute dévoué dévouée dévoués humain
    humaine rassurant rassurante rassuré rassurée soulagé soulagée reconnaissant reconnaissante remercie remercions
    remerciements gentillesse amabilité efficacité réactivité compétence professionnalisme fraîcheur confort douceur
    tendresse générosité élégant élégante élégance raffiné raffinée ravissant ravissante coquet cosy douillet
    douillette moelleux moelleuse fondant fondante croustillant croustillante goûteux goûteuse parfumé parfumée
    tendre juteux juteuse onctueux onctueuse copieuse copieuses gourmand gourmande gourmands léger légère légers
    équilibré équilibrée fluide fluides intuitif intuitive ergonomique solide solides robuste robustes silencieux
    silencieuse lumineuse ensoleillé vaste vastes immense impec génialissime ingénieux ingénieuse malin maligne
    astucieux astucieuse original originale créatif créative drôles drôlement hilarant hilarante rigolo marrant
    marrante captivante prenant prenante haletant envoûtant poétique émouvante touchante vibrant vibrante chaleur
    convivial conviviale conviviaux familial authentique authentiques honnête honnêtes franc sincère sérieux sérieuse
    rigoureux rigoureuse méticuleux méticuleuse minutieux précis précise ponctualité rapidité modique modiques
    avantageux avantageuse économique gratuitement offert offerte impressionnante impressionné impressionnée
    agréablement volontiers vivement chaudement félicite félicitation fan fans accro inconditionnel bluffée bluffé
    bluffante dépaysant dépaysement reposant reposante ressourcé apaisant apaisante serein sereine sérénité bien-être
    privilégié privilège honneur fierté fier fière gagnant réconfort réconfortant utilement recommandable
    recommandables recommander`,
  '-1.70': `bruyants bruyantes bruit bruits tapage sombre sombres exigu exiguë étroit étroite minuscule minuscules étouffant
    étouffante mou molle caoutchouteux tiède tièdes réchauffé réchauffée rassis rassise insipide insipides brûlé
    brûlée surcuit pâteux collant collante collantes poisseux moisi moisie moisissure humide humides crasse puant
    puante pue puent odeur odeurs égout cafard cafards punaises fissuré fissurée rayé rayée rayure rayures ébréché
    déchiré déchirée troué usée usés fragile fragiles fragilité bancal bancale défectueux défectueuse défectueuses
    buggé bugs bug plante plantage plantages crash rame ramer saccadé illisible incompréhensible incohérent
    incohérente flou floue confuse désordre désorganisé désorganisée pagaille foutoir bazar débordé débordés
    surchargé bondé bondée cohue interminable interminables lenteur lenteurs longuet poireauté galérer galéré pénible
    pénibles fastidieux fastidieuse laborieux laborieuse lassant lassante répétitif répétitive prévisible convenu
    creux creuse mal-fichu mal-foutu expédié expédiée négligé négligée négligence négligent oubli oublis erroné
    erronée trompé trompée trompeur trompeuse mensonger mensongère abusif abusive surfacturé surcoût exorbitant
    exorbitante exorbitants hors-de-prix onéreux gênant gênante gêne inquiet inquiète inquiétant frustrant frustrante
    frustré frustrée contrarié dommages dégradé dégradée dégrade décevants décevantes déconseille déconseillé
    déconseillons insatisfait insatisfaite mécontent mécontente mécontents râle râler ras-le-bol marre lassé lassée
    fatiguant épuisant triste tristes morne morose froideur glacial glaciale hautain hautaine distant distante
    grincheux grincheuse grognon bougon bougonne renfrogné indifférent indifférente indifférence injoignable
    injoignables inaccessible`,
  '-2.60': `minable minables misérable misérables honteusement scandaleusement ahurissant ahurissante hallucinant
    hallucinante révoltant révoltante révoltée indigne indignes indigné indignée odieux odieuse odieuses grossier
    grossière grossiers insolent insolente insultant insultante insulté insultée insultes humilié humiliée humiliant
    agressif agressive agressifs hurlé menacé menacée raciste sexiste discriminé discrimination malhonnête
    malhonnêtes malhonnêteté escroc escrocs arnaqueur arnaqueurs arnaqué arnaquée voleur fraude frauduleux mensonges
    menti mentent foutage bâclé bâclée bâclés calamiteux calamiteuse désastreusement infâme infâmes immangeable
    immangeables imbuvable inmangeable inutilisable inutilisables invivable insalubre insalubres crasseux crasseuse
    répugnant répugnante écœurant écœurante dégueulasse dégueu nauséabond nauséabonde vomitif danger-public dangereux
    dangereuse dangereusement gâchis fiasco débâcle désolant désolante navrant navrante affligeant affligeante
    consternant consternante pathétique risible nullissime nullité moche moches laid laide laids hideux hideuse
    sinistre sinistres lugubre glauque gâche gâchent ruiné ruinée dégoûté dégoûtée dégoûtés écœuré écœurée outré
    outrée furax choqué choquée choquant choquante traumatisé traumatisant incompétence incompétentes irrespect
    irrespectueux irrespectueuse inexcusable impardonnable inqualifiable intolérable`,
}
