/** Further Spanish words of opinion, by valence from -4 to 4; those of `words.ts` go over them. */
export const furtherSpanishWords: Record<string, string> = {
  // Of these no mood is read, though a form of them is in a list.
  '0': `prácticas prácticos aguanta renovar robo podría podrían podríais esperó esperaron viejo vieja viejos viejas arreglar pena entregado entregada entregados tarda tardan`,
  '3.20': `impecable impecables intachable inmejorable inmejorables insuperable insuperables sensacional sensacionales
    fabuloso fabulosa fabulosos fabulosas espectacular espectaculares alucinante alucinantes fenomenal fenomenales
    magistral sublime divino divina exquisito exquisita exquisitos exquisitas riquísimo riquísima riquísimos
    riquísimas buenísimo buenísima buenísimos deliciosa delicioso deliciosos delicia delicias maravilla maravillas
    joya joyas joyita lujo encantadísimo encantadísima encantados encantadas enamorado enamorada enamorados
    emocionante emocionada inolvidable inolvidables mágico mágica idílico paradisíaco paraíso impresionante
    impresionantes brutal genial geniales estupendo estupenda estupendos estupendas chulísimo precioso preciosa
    preciosos preciosas preciosidad bellísimo guapísimo perfección matrícula sobresaliente ejemplar ejemplares
    campeón campeones crack cracks `,
  '2.30': `amabilísimo atento atenta atentos atentas cercano cercana cercanos servicial serviciales educado educada
    educados simpático simpática simpáticos simpáticas majo maja majos majas encantador encantadora encantadores
    cariñoso cariñosa cariñosos paciente pacientes paciencia profesional profesionales profesionalidad competente
    competentes eficiente eficientes eficaz eficaces eficacia resolutivo resolutiva rápido rápida rápidos rapidez
    rapidísimo ágil ágiles puntual puntuales puntualidad fiable fiables seriedad honesto honesta honestos honrado
    honrada sincero transparente cómodo cómoda cómodos cómodas comodísimo confortable acogedor acogedora
    acogedores amplio amplia luminoso luminosa tranquilo tranquila tranquilidad silencioso silenciosa limpio
    limpia limpios limpias limpísimo impoluto impoluta detalle detalles sabroso sabrosa sabrosos sabrosas rico
    rica ricos ricas jugoso jugosa tierno tierna crujiente crujientes fresco fresca frescos casero casera caseros
    abundante abundantes generoso generosa generosos asequible asequibles económico económica razonable razonables
    sencillo sencilla fácil fáciles facilísimo práctico práctica útil útiles intuitivo intuitiva resistente
    resistentes robusto robusta sólido sólida duradero duradera elegante elegantes moderno moderna bonito bonita
    bonitos bonitas chulo chula divertido divertida divertidos divertidísimo entretenido entretenida gracioso
    graciosa emotivo emotiva conmovedor conmovedora apasionante adictivo original originales ingenioso ingeniosa
    creativo creativa acierto aciertos recomendable recomendables recomiendo recomendamos recomendado recomendaría
    repetiré repetiremos repetimos volveré volveremos gracias agradecido agradecida agradecidos agradecer
    enhorabuena felicidades felicito contento contenta contentos satisfecho satisfecha satisfechos feliz felices
    alegría alegre alegres disfrutar disfrutamos disfruté disfrutado disfrutón gusto placer gozada relajante
    relajado orgulloso orgullosa confianza aliviado aliviada mimo miman mimado merece merecido`,
  '-1.70': `soso sosa sosos insípido insípida reseco reseca crudo cruda quemado quemada recalentado recalentada tibio
    tibia templada grasiento grasienta aceitoso pegajoso pegajosa pegajosos rancio rancia escaso escasa escasos
    minúsculo minúscula diminuto diminuta estrecho estrecha agobiante ruidoso ruidosa ruidosos ruido sombrío polvo
    polvoriento descuidado descuidada descuidados dejado dejadez anticuado anticuada obsoleto obsoleta desfasado
    roto rota rotos rotas rayado rayada rajado rajada dañado dañada defectuoso defectuosa defectuosos estropeado
    estropeada averiado averiada endeble frágil frágiles inestable lento lenta lentos lentitud lentísimo     tardaron tardanza retraso retrasos retrasado demora demoras cola colas interminable interminables eterno
    eterna abarrotado masificado desorganizado desorganizada desorganización caos caótico caótica lío confuso
    confusa complicado complicada complicados engorroso engorrosa incómodo incómoda incómodos incomodidad molesto
    molesta molestos molestia aburrido aburrida aburridos aburridísimo monótono previsible repetitivo flojo floja
    flojos mediocre mediocres decepción decepcionado decepcionada decepcionados decepcionante decepcionantes
    chasco desilusión insatisfecho insatisfecha descontento descontenta frustrante frustrado frustrada enfadado
    enfadada harto harta hartos triste tristes deprimente caro cara caros caras carísimo carísima carísimos
    sobrevalorado sobrevalorada encarecido abusivo abusiva abusivos excesivo excesiva fallo fallos falla fallan
    falló errores cuelga colgó bloquea problemas problema queja quejas reclamación pena lástima lamentablemente
    desgraciadamente antipático antipática antipáticos borde bordes desganado desgana indiferente indiferencia
    pasotismo pasota frialdad despistado olvidaron ignoran ignoraron ignorado ignorada`,
  '-2.60': `pésimo pésima pésimos pésimas nefasto nefasta nefastos fatal fatales horrible horribles horroroso horrorosa
    espantoso espantosa asqueroso asquerosa asquerosos asco repugnante repugnantes vomitivo incomible incomibles
    intragable intomable inservible inservibles inutilizable inhabitable insalubre mugriento mugrienta mugre
    guarro guarra cochambroso cutre cutres chapuza chapuzas chapucero lamentable lamentables vergonzoso vergonzosa
    vergüenza bochornoso indignante indignado indignada indigno indigna inadmisible inaceptable intolerable
    imperdonable inexcusable estafa estafas estafado estafada estafador estafadores timo timos timado timada
    ladrones robo engaño engaños engañado engañada engañados engañoso engañosa mentira mentiras mentiroso
    mentirosos mienten mintieron fraude fraudulento tomadura maleducado maleducada maleducados grosero grosera
    groseros chulería prepotente prepotentes prepotencia soberbia arrogante arrogantes déspota insultó insultaron
    insulto insultos gritó gritaron humillante humillado humillada racista racistas discriminación desprecio
    despreciable irrespetuoso irrespetuosa incompetente incompetentes incompetencia ineptos inepto inútiles
    negligente negligencia peligroso peligrosa peligrosos desastre desastres desastroso desastrosa catastrófico
    catastrófica catástrofe calamidad desagradable desagradables insoportable insoportables patético patética
    penoso penosa bodrio basura porquería mierda pesadilla infierno huid huyan huir evitad eviten furioso furiosa
    cabreado cabreada tirar-el-dinero ruina`,
  '3.10': `formidable formidables soberbio soberbios glorioso gloriosa gloria celestial celestiales mágicos mágicas
    soñado soñada ensueño fantásticos fantásticas maravillosas maravillosamente magníficos magníficas
    extraordinaria extraordinarios excepcional excepcionales incomparable incomparables inigualable inigualables
    imbatible imbatibles imprescindible memorable memorables legendario legendaria apoteósico apoteósica
    deslumbrante deslumbrantes radiante radiantes cojonudo cojonuda flipante flipantes flipado flipada alucinado
    alucinada superbien superbueno requetebueno rebueno estupendamente divinamente perfectísimo bestial bárbaro
    bárbara tesoro tesoros perla oasis héroe héroes heroína salvador salvadora artista artistas genio genios
    matrícula-de-honor manjar manjares exquisitez exquisiteces obra-maestra espléndido espléndida espléndidos
    primoroso primorosa`,
  '2.20': `aplauso aplausos aplaudir ovación elogio elogios elogiar elogiable chapó olé ole halago cumplido cumplidor
    cumplidora cordial cordiales cordialidad hospitalario hospitalaria hospitalidad afable afables afectuoso
    afectuosa cálido cálida calidez ternura dulzura delicado delicada delicadeza tacto atenciones detallista
    detallistas considerado considerada comprensivo comprensiva empatía empático empática flexible flexibles
    flexibilidad diligente diligentes diligencia prontitud veloz veloces cuidadoso cuidadosa cuidadosos meticuloso
    meticulosa minucioso minuciosa riguroso rigurosa experto experta expertos pericia entendido entendida dedicado
    dedicada dedicación entusiasta entusiastas dinámico dinámica alegremente risueño risueña
    sonriente sonrientes jovial festivo pulcro pulcra pulcritud reluciente relucientes inmaculado inmaculada
    cuidado cuidada cuidados coqueto coqueta reformado reformada renovado renovada espacioso espaciosa soleado
    soleada céntrico céntrica pintoresco pintoresca romántico romántica íntimo íntima panorámico panorámica
    privilegiado privilegiada apetitoso apetitosa suculento suculenta suculentos gustoso gustosa cremoso cremosa
    esponjoso esponjosa meloso melosa jugosos tiernos artesano artesana artesanal artesanales copioso copiosa
    saciado degustar saborear deleite deleitarse gozar gozamos gozo relax relajados relajada desconectar descansar
    descansado reparador reparadora reconfortante reconfortantes duraderos irrompible inquebrantable
    aguanta aguantan impermeable potente potentes manejable versátil versátiles cómodamente ergonómico ergonómica
    elegancia refinado refinada estiloso estilosa favorecedor favorecedora sienta-bien lúdico didáctico didáctica
    instructivo instructiva ameno amena amenos claro-y-conciso comprensible enriquecedor enriquecedora inspirador
    inspiradora motivador motivadora alentador éxitos exitoso triunfo triunfar victoria premiado premiada
    galardonado galardonada aclamado aclamada favorito favorita favoritos predilecto fiel fieles lealtad leal
    leales confiable confiables confiar confío íntegro íntegra honradez honestidad transparencia justa justos
    equitativo ahorro ahorramos ganga gangas chollo chollos regalado rentable solucionado solucionada solucionaron
    solucionó resolvieron resolvió resuelto resuelta arreglaron arregló salvaron salvó salvado rescatado
    rescataron ayudado ayudada apoyo apoyado acompañado curado curada sanado mejorado mejoría convencido
    convencida convincente gratamente grato grata gratos placentero placentera cautivado cautivada cautivador
    cautivadora seducido admirable admirables admiración admirado gratitud agradecimiento agradecimientos
    agradezco afortunado afortunada júbilo regocijo carcajadas acertado acertada acogida adecuadamente adictiva
    admirablemente adorable adorables afán afición ágilmente agasajo agraciado agradablemente aliciente alivio
    amabilidad amablemente amistoso amistosa amoroso amorosa amplitud animada ánimo animoso apacible apetecible
    apetecibles aplicado aplicada apreciado apreciada aprecio aprendizaje apropiado armonioso armoniosa aromático
    aromática arreglado artístico asombro asombrado asombrosa asombroso aseado aseada atractivo atractiva
    atractivos auténtico auténtica auténticos avanzado bendición bendito beneficio beneficios beneficioso
    beneficiosa benévolo bienestar bienvenida bienvenido bienvenidos bondad bondadoso bondadosa bonificado
    brillante brillantes brillantez buenazo buenaza buenísimas campechano campechana cariño cariñosamente cautivar
    civilizado clarísimo coherente colaborador colaboradora colorido colorida comodidad comodidades compañerismo
    complaciente comprometido comprometida conciliador concienzudo confort constructivo convivencia coordinado
    coordinados cordialmente cortés corteses cortesía creatividad creíble crujientito cualificado cualificada
    cualificados cuidadosamente cumplidores deleitar deliciosamente deportividad desahogado descansados
    desenfadado desenvuelto deslumbró despejado desinteresado desinteresada destaco destacar destacable
    destacables destacado destreza dichoso dichosa dignidad digno digna diestro dinamismo diversión divertidísima
    divertidas docilidad edificante educativo efectivo efectiva efectividad efectivos eficientemente ejemplarmente
    elaborado elegantemente elocuente embelesado eminente emocionados emotivos empeño encantadoras encantos
    enérgico entendible entrañable entrañables entretenimiento entretenidos entusiasmo entusiasmado entusiasmada
    equidad equilibrado equilibrada escrupuloso esfuerzo esmerado esmerada esmero esperanza esperanzador estable
    estabilidad estético estimulante estimulantes estupendísimo exactitud excelencia excelentemente experimentado
    experimentada exquisitamente fabulosamente facilidad facilidades fácilmente fascinante fascinantes fascinado
    favorable favorablemente felicidad felizmente fenómeno fértil festivos fiabilidad fielmente finura firme
    flamante florido formalidad fortaleza fraternal frescura frondoso galante garantizado gastronomía generosidad
    generosamente gentil gentiles gentileza gloriosamente gratificante gratificantes gratis guay guapa guapas
    guapo guapos habilidad hábil hábiles halagador hazaña hermosura heroico honorable honor honrados hospitalarios
    humanidad humanos humilde humildad ilusión ilusionado ilusionante imaginación imaginativo impresionado
    impresionada infalible infatigable ingenio ingeniosos inmaculados inmejorablemente innovador innovadora
    inspiración inspirado instructivos inteligente inteligentes íntegramente interesantísimo interesantísima
    invencible jovialidad laborioso laureado limpísima lindo linda lindos lindas llevadero logro logros lucido
    luminosos lustroso madurez maestría majísimo majísima majísimos magistralmente majestuoso majestuosa mañoso
    manitas maravillado maravillada mejora mejoras mejoró mejorando melódico mérito merecidísimo milagro milagroso
    milagrosa mimaron monísimo motivación motivado motivados noble nobleza notable notables notablemente novedoso
    novedosa nítido nutritivo nutritiva oportuno oportuna óptimo óptima óptimos optimista ordenado ordenada
    ordenados originalidad pacífico paradisíacas pasión pasional paz perfeccionista perseverante pintorescos
    placenteros plácido poderoso poético polivalente positivamente precavido preciosidades precisión preciso
    precisa predilección preparadísimo prestigio prestigioso primor primordial privilegio profundo prometedor
    prometedora protector provecho provechoso provechosa prudente pulidísimo pundonor puntualísimo puntualmente
    raudo razonablemente realista receptivo receptivos reconfortado reconocido reconocimiento recomendadísimo
    recompensa recompensado recreativo refinamiento refrescante refrescantes relajación renombrado renombre
    renovador reputado resolutivos respetable respeto respetuoso respetuosa respetuosos resplandeciente
    restablecido riqueza risueños romanticismo sabiduría sabio sabrosón sabrosísimo sabrosísima saludable
    saludables salvavidas sanador satisfacción satisfactorio satisfactoria seductor selecto selecta sensato
    sencillez sereno serenidad servicialidad simpatía simpatiquísimo simpatiquísima sinceramente sinceridad
    sobresalientes solidario solidaridad solidez solvente solvencia sonriendo sosegado soñar sorprendente
    sorprendentes suavidad supremo talento talentoso talentosa tranquilizador tranquilizadora tratable trabajador
    trabajadora trabajadores útilísimo utilidad valentía valiente valioso valiosa valiosos variada variados
    variedad ventaja ventajas ventajoso vibrante victorioso vigoroso virtuoso virtud vistoso vistosa vitalidad
    vivaz vocación vocacional voluntarioso`,
  '-1.60': `perdieron caducado caducada caducados gotera goteras aplazado baratija baratijas cachivache cachivaches
    quincalla morralla trasto trastos imitación cursi hortera horteras pasado-de-moda vetusto vetusta deslucido
    deslucida desvencijado desvencijada destartalado destartalada raído raída ajado ajada manchado manchada
    pringoso pringosa pringue correoso correosa chicloso chiclosa gomoso gomosa pastosa harinoso harinosa resecos
    recocido aguado aguada aguados desabrido desabrida insulso insulsa insípidos agrio agria amargos empalagoso
    empalagosa indigesto indigesta tacaño tacaña tacaños rácano rácana ridículas raquítico raquítica birria
    mezquino mezquina quisquilloso rígido rígida terco tozudo burocrático papeleo trabas lentísima lentísimos
    tortuga tardón tardona oxidado oxidada óxido atascado atascada atasca chirría chirrían gotea pierde-agua rompe
    rompen rompió quebrado quebrada doblado doblada torcido torcida abollado abollada aplastado aplastada
    agrietado agrietada grietas arañado arañada arañazo arañazos despegado despegada despega descosido descosida
    deshilachado deshilachada desteñido desteñida destiñe encogió encogido encogida roza rozadura ampollas
    voluminoso aparatoso poco-práctico inadecuado inadecuada ineficaz ineficaces ineficiente impotente superado
    ilocalizable ilocalizables mareado marean mareando ninguneado ninguneada ninguneo desatendido desatendida
    desatendidos desatención abandonado abandonada plantón esperamos-horas retrasaron retrasó suspendieron
    interrumpido apagón apagones bloqueado bloqueada bloqueos colapsado colapsada colapso sobreventa overbooking
    saturado saturada saturados aglomeración aglomeraciones empujones apretujados hacinados asfixiante sofocante
    bochorno congelados corriente-de-aire estruendo jaleo alboroto ensordecedor ensordecedora insomnio sin-dormir
    estresado estresada estresante estrés agobio agobiado agobiada angustia angustiado angustiada temor susto
    preocupado preocupada preocupante inquieto inquietante nervioso sobrevalorados inflado inflados hinchado
    desorbitado desorbitada desorbitados exagerado exagerada clavada sablazo sablazos pasarse abusar opaco opaca
    ambiguo ambigua contradictorio contradictoria ilógico incoherente superficial incompleto incompleta
    incompletos inexacto inexacta impreciso equivocado equivocada equivocados equivocación equivocaron despiste
    despistes descuido descuidos olvidó olvidan inútilmente vano desengañado desengaño desanimado desanimada
    desmoralizado desesperante fastidio fastidioso fastidiosa irritante irritado irritada exasperante exasperado
    herido ofendido ofendida dolido arrepentido arrepentida arrepiento arrepentimos crítica críticas reproche
    reproches reclamé reclamaciones quejarse quejarme abatido abatida abatimiento aberrantes abochornado
    abochornada abominación abrasado abrumador abrumadora abrumado abusón abusones aburrimiento aburrir acobardado
    acongojado acusado adefesio adulterado adverso afligido agarrotado agobia agravado agraviado agravio agresivos
    aguafiestas ahogado airado alarmado alarmante alarmantes alicaído altibajos altanería alterado alterada
    amañado amañada amargado amargura ambigüedad amenazador amargada amontonado amuermado anacrónico angosto
    angosta angustioso angustiosa anodino anodina anomalías anómalo antiestético antigualla antihigiénico
    antihigiénica apático apática apatía apelmazado apelotonados apenado apenada apestando apurado arbitrario
    arbitraria arduo árido arisco arisca ariscos arrogancia arruga arrugado arrugada artificial artificiales
    áspero áspera asustado asustada atontado atosigan atosigado atrasada atrasos atropellado atropello aturdido
    avaricia avaricioso avaro avergonzado avergonzada avinagrado bajón banal baratucho berrinche birrioso
    blandengue boicoteado bodrios borroso borrosa brusco brusca bruscos brusquedad bronca broncas burdo burocracia
    calamitoso calamitosa calumnia cansancio cansino cansina caprichoso carencias carencia carente catastróficos
    cateto chafado chantajista chillando chillan chillidos chirriante chungo chunga cínico cínica coacciones
    cochambre coladero cojea colapsados colmo complicación complicaciones condena conflictivo conflictiva
    confusión congestión consternado contradicción contradicciones contraproducente contratiempo contratiempos
    corruptos costoso costosa costosos crispado criticable crudos cuestionable cuestionables cutrez cutrísimo
    dañino dañina debacle débil débiles debilidad decadente decadencia decaído decepciona decepcionó decepciones
    defectos deficiencia deficiencias deficiente deficientes deficitario deformado deforme degradado degradante
    dejadísimo demencial denigrante denigrado denunciable denunciado deplorables deprimido deprimida derrochar
    derroche derrumbado desacertado desacertada desacierto desacuerdo desafortunado desafortunada desagradecido
    desagrado desaliñado desaliñada desalojo desamparado desamparada desánimo desapacible desaprensivo
    desaprensivos desaprovechado desastrosos desatendidas desatino desbarajuste desbordado desbordados desbordada
    descabellado descafeinado descalabro descarados descolorido descolorida descompuesto desconcertado
    desconcertante desconcierto desconfianza desconfiado desconfiada desconfío desconsiderado desconsiderada
    desconsideración descontrol descontrolado descontentos descortés descortesía desencajado desencantado
    desencanto desengañada desequilibrado desesperados desestructurado desfachatez desfavorable desfavorecedor
    desgastado desgastada desgracia desgraciado desgarrado desgarro deshonesto deshonesta deshonestos deshonra
    desidia desigual desilusionado desilusionada desilusionante desinformado desinformación desinflado desinterés
    deslealtad desmejorado desmedido desmedida desmontado desmotivado desmotivada desmoronado desobediente
    desolador desoladora desolado desordenado desordenada desorden despectivos desperfecto desperfectos despiadado
    despilfarro desplante desprecian desproporcionado desproporcionada despropósito desprotegido desquiciado
    desquiciante destrozados desvergonzado desvergonzados desvergüenza detestable detestables deteriorado
    deteriorada deterioro devastador devastado difamación dificultad dificultades dificultoso discordia
    discriminados discutible disgustado disgustada disgusto disgustos disparatada displicente displicencia
    disuadido disuasorio doloroso dolorosa dramático dudoso dudosa dudosos efímero egoísta egoístas embarrado
    embarazoso embaucador embaucadores embotado embrollo embustera empeora empeorado empeoró empeorando
    empobrecido enfadados enfado enfadoso enfurecido engorro enojado enojada enojo enojoso enredo enredos
    ensañamiento ensuciado entorpecen entorpecido entrometido enturbiado envejecido envejecida enviciado equívoco
    equívoca errático erróneo errónea erróneos escabroso escalofriante escamado escandalizado escandalizada
    escandalosos escaqueo escaquearse escasez escacharrado escacharrada escéptico escéptica escombros escozor
    escarmentado escarmentada espanto espantada espeluznante esperpénticos estancado estancada estigma estrepitoso
    estresados estridente estropicio estrechez estúpido estúpida estúpidos estupidez estupideces evasivas evasivo
    exasperación excluido excluida excusa excusas exiguo exigua explotado explotados explotación extenuante
    extenuado extraviado extraviada extraviaron extraviados facineroso falacia fallidos fallido fallida falsario
    falsedades falto fanfarrón farragoso farragosa fastidia fastidiado fastidiada fastidian fatigado fatigoso feo
    fea feos feas fealdad fétidos ficticio fiero fingido fisura fisuras flaqueza flojera flojísimo flojísima
    fracasado fracaso fracasos fracasó fraudes fraudulenta fraudulentos fregado frenético frívolo fugaz funesto
    funesta gafe gamberro garrafal garrafales garrafón garrulo gélido gélida glacial gravísimo grieta gritando
    gritan grosería groserías gruñón gruñona gruñones guarrada guarrería guarrerías guarrísimo hartazgo hartísima
    hartísimo hediondo hedionda herrumbre histérico histérica hostil hostiles hostilidad huraño huraña ignominioso
    ignorancia ignorante ignorantes ilegible ilegibles ilegítimo ilusos imbécil imbéciles impaciente impaciencia
    impagado impago impasible impedimento impedimentos imperfecto imperfecciones impersonal impertinencia
    implacable imponen impotencia impostora impracticable imprecisión imprecisiones impresentable impresentables
    imprevisible imprevistos imprudencia improvisado improvisada improvisación impúdico impuntual impuntuales
    impuntualidad inaccesible inaccesibles inacabado inacabada inadecuados inadaptado inaguantable inaguantables
    inalcanzable inapetente inapropiado inapropiada inasumible incapacidad incertidumbre incivismo incívico
    incívicos incoherencia incoherencias incómodas incompatibles incomprendido incomprensible incomprensibles
    incomprensión incomunicado incomunicados inconexo inconformidad inconsciente inconscientes inconsistente
    inconveniente inconvenientes incordio incordios incorrecto incorrecta incorrectos incuria indecente indecentes
    indecencia indecoroso indefenso indefensa indefensión indeseable indeseables indiferentes indigestión indignos
    indiscreción indiscreto indisciplina ineficiencia inepcia inerte inestables inexistente inexistentes inexperto
    inexperta inexpertos infame infames infantiloide infeliz infernales infiel infortunio infracción infractores
    infructuoso infructuosa infumable infumables infundado ingrato ingrata inhábil inhóspito inhóspita inhumanos
    inmaduro inmoral inmorales inmundicia inmundo inmunda inmundos inmisericorde innecesario innecesaria
    innecesarios inoperante inoperantes inoportuno inoportuna inquietos inquietantes inquietud insano insalubres
    insatisfacción insatisfactorio insatisfactoria insegura inseguro inseguridad insensato insensible insensibles
    insensibilidad insidioso insignificante insostenible insubordinado insuficientes insuficiencia insufrible
    insufribles insulsos insultantes intempestivo intimidado intimidada intimidante intolerante intolerancia
    intragables intransigente intransigentes intranquilo intranquila intratable intratables intriga intrusivo
    inundado inundada inutilidad inválido inverosímil inviable invivible ira iracundo irracional irrazonable
    irrealizable irreconocible irregular irregulares irregularidad irregularidades irrelevante irremediable
    irreparable irrespirable irritación irritantes irrisorio irrisoria jeringado jodido jodida lamentamos
    lastimoso lastimosa lástimas latoso latosa laxo lerdo lerda lesivo letal liante liantes litigio llorica
    lúgubre lúgubres macabro machacado machacón malestar malentendido malentendidos malcarado malcarada maleante
    maleantes maleficio malévolo malgastado malgastar malgastamos malhablado malhumorado malhumorada malhumorados
    malicioso maliciosa maligno malintencionado malintencionada maloliente malolientes malsano malsana maltrecho
    maltrecha malvendido malvada mancillado mandón mandona manazas mangoneo manipulado manipulador manipuladores
    manirroto marchito marchita marranada mareante masificada masificación mediocridad melancólico menospreciado
    menosprecio menosprecian mentecato mezquindad miserable miserables miseria mohín moho mohoso mohosa molestan
    molestado molestada molestias molestísimo monotonía morosidad mortificado mosqueado mosqueada mosqueo mustio
    mustia nauseabundo nauseabunda necio necios negación negligentes nerviosismo nerviosa neurótico nimiedad
    nocivo nociva nocivos nulo nula nulos nulidad obcecado obsceno obsesivo obstáculo obstáculos obstinado
    obstruido odioso odiosa odiosos ofensa ofensas ofensivo ofensiva ofensivos ojeriza olvidadizo olvido olvidos
    opresivo oprimido oscurantismo ostentoso pachorra palurdo palurdos pánico pantomima paripé parsimonia pasmado
    pasmarotes pasotas patán patanes patosa patoso patraña patrañas patinazo pavoroso pelma pelmas penalizado
    penalizaciones penalidad penalidades penar penosos penosamente penuria penurias percance percances perdedor
    pereza perezoso perezosa pérfido perjudicado perjudicada perjudicados perjudicial perjudiciales perjuicio
    perjuicios pernicioso perplejo perpleja perturbado perverso pesadez pesadísimo pésimamente petulante
    petulantes pillos plasta plastas plúmbeo polémica polémico pomposo porquerías porrazo pringados precario
    precaria precariedad precipitado prejuicio prejuicios preocupaciones preocupación presuntuoso pretencioso
    pretenciosa pretexto pretextos primitivo problemático problemática prohibitivo prohibitiva provocación
    provocador puñeta puñetero puñetera quebraderos quejica quejicas quejosos quejoso quejumbroso racanería
    rancios rapapolvo rapaz rastreros rebuscado rechazado rechazada rechazo recalcitrante recargos rechinan
    recriminado redundante regañado regañada regañina rencor rencoroso reñido renqueante repelente repelentes
    repelús represalia represalias reprobable reprobables reprochable repudio repulsa repulsión repulsivo
    repulsiva resbaladizo resbaladiza resentido resentida resentimiento resignado resignada retorcido retorcida
    retroceso revoltijo ridiculizado ridiculizada ridiculez ridículos rigidez riña riñas ruinas ruindad ruinoso
    ruinosa ruinosos ruidosas rudeza rudo ruda rutinario sablear saboteado sacacuartos sacadineros saturación
    sarna sevicia simplón sinrazón sinsabor sinsabores sinsentido sobado soez soeces sofoco somnoliento sombría
    soborno sobrecargado sobrecargo sobrecoste sobrecostes solapado soporífero soporífera sórdido sórdida
    sospechoso sospechosa sospechosos subestimado sucedáneo sucedáneos suciedades sucísimo sucísima sufrí sufrido
    sufrida sufrimiento sufrimos sufrir suplantación superficialidad sustos tacañería tarado tardanzas tardío
    tedio tedioso tediosa tediosos temblando temerosa temeroso temible tenebroso tensa tensos tergiversado
    tergiversan terrorífico terrorífica timorato tirano tiranos tiranía torpe torpes torpeza torpezas tortuoso
    tostón tostones tosco tosca traicionado traición traidor traicionero tragedia trágico trapicheo trastorno
    trastornos tramposa trasnochado traumático traumática traumatizado tristeza tristísimo trola trolas tropiezo
    truño tumulto turbio turbia turbios ultrajado usura usureros usurero vagancia vagos vandalismo vapuleado
    varapalo vejación vejaciones vejatorio vejatoria vengativo venganza ventajista vergonzante vicioso vil viles
    vileza vilipendiado virulento viscoso viscosa vulgar vulgares vulgaridad yermo zafiedad zarrapastroso
    zarandeado zozobra zopenco`,
  '-2.50': `abominable abominables aberrante aberración absurdo absurda disparate disparatado barbaridad atrocidad
    aborrecible bazofia bazofias engrudo asquerosidad cochino cochina cochinada pocilga cuchitril antro tugurio
    vertedero estercolero cloaca cucarachas cucaracha chinches pulgas plaga infestado infestada contaminado
    contaminada intoxicación intoxicado intoxicada intoxicados envenenado vómito vómitos vomitar vomitando náuseas
    náusea podridos podridas pudre putrefacto pestilente peste apesta apestan apestaba apestoso hedor fétido
    destrozado destrozada destrozaron destrozo destrozos arruinó arruinaron echado-a-perder estropearon cargaron
    destruido masacre carnicería charlatán charlatanes matasanos inepta ineptitud incapaz incapaces mamarracho
    mamarrachada payasada cachondeo pitorreo farsa farsantes farsante impostor timador timadores timaron estafar
    estafaron ladrón mangantes sinvergüenza sinvergüenzas caradura caraduras robaron robado robada hurto atraco
    atracan atracadores extorsión chantaje coacción engañan engañaron engañar engañifa trampa trampas tramposo
    tramposos artimaña publicidad-engañosa embuste embusteros falsos falsedad falsificado hipócrita hipócritas
    hipocresía desleal ruin rastrero rastrera malvado maldad malicia despectivo despectiva desdén altanero
    altanera chulesco chulesca impertinente impertinentes insolente insolentes insolencia descarado descarada
    descaro zafio zafia brutos violento violenta violencia agresivo agresiva agresión agredido pegó golpeó empujó
    insultar insultado insultada injurias amenaza amenazas amenazaron amenazó amenazante acoso acosado acosada
    humillación humillar humillaron burla burlas burlaron burlan racismo xenófobo xenófoba homófobo machista
    discriminado discriminada discriminan discriminatorio inhumano inhumana cruel crueles crueldad desalmado
    desalmados maltrato maltratado maltratada maltratan irresponsable irresponsables irresponsabilidad temerario
    temeraria imprudente mortal mortales peligros lesión lesiones tóxico tóxica veneno quemaduras infamia
    indignidad indignados indignación escándalo escandaloso escandalosa ultraje insultante vergonzosos sonrojante
    esperpento esperpéntico kafkiano surrealista inaudito inaudita inconcebible inexplicable injustificable
    injusto injusta injusticia ilegal ilegales abuso abusos arruinados desesperado desesperada desesperación
    infernal calvario suplicio tortura martirio odiar aborrezco detesto boicot`,
}
