/** Further Spanish words of opinion, by valence from -4 to 4; those of `words.ts` go over them. */
export const furtherSpanishWords: Record<string, string> = {
  '3.20': `impecable impecables intachable inmejorable inmejorables insuperable insuperables sensacional sensacionales
    fabuloso fabulosa fabulosos fabulosas espectacular espectaculares alucinante alucinantes fenomenal fenomenales
    magistral sublime divino divina exquisito exquisita exquisitos exquisitas riquísimo riquísima riquísimos
    riquísimas buenísimo buenísima buenísimos deliciosa delicioso deliciosos delicia delicias maravilla maravillas
    joya joyas joyita lujo encantadísimo encantadísima encantados encantadas enamorado enamorada enamorados
    emocionante emocionada inolvidable inolvidables mágico mágica idílico paradisíaco paraíso impresionante
    impresionantes brutal genial geniales estupendo estupenda estupendos estupendas chulísimo precioso preciosa
    preciosos preciosas preciosidad bellísimo guapísimo perfección matrícula sobresaliente ejemplar ejemplares
    campeón campeones crack cracks máquina máquinas`,
  '2.30': `amabilísimo atento atenta atentos atentas cercano cercana cercanos servicial serviciales educado educada educados
    simpático simpática simpáticos simpáticas majo maja majos majas encantador encantadora encantadores cariñoso
    cariñosa cariñosos paciente pacientes paciencia profesional profesionales profesionalidad competente competentes
    eficiente eficientes eficaz eficaces eficacia resolutivo resolutiva rápido rápida rápidos rapidez rapidísimo ágil
    ágiles puntual puntuales puntualidad fiable fiables seriedad honesto honesta honestos honrado honrada sincero
    transparente cómodo cómoda cómodos cómodas comodísimo confortable acogedor acogedora acogedores amplio amplia
    luminoso luminosa tranquilo tranquila tranquilidad silencioso silenciosa limpio limpia limpios limpias limpísimo
    impoluto impoluta detalle detalles sabroso sabrosa sabrosos sabrosas rico rica ricos ricas jugoso jugosa tierno
    tierna crujiente crujientes fresco fresca frescos casero casera caseros abundante abundantes generoso generosa
    generosos asequible asequibles económico económica razonable razonables sencillo sencilla fácil fáciles
    facilísimo práctico práctica útil útiles intuitivo intuitiva resistente resistentes robusto robusta sólido sólida
    duradero duradera elegante elegantes moderno moderna bonito bonita bonitos bonitas chulo chula divertido
    divertida divertidos divertidísimo entretenido entretenida gracioso graciosa emotivo emotiva conmovedor
    conmovedora apasionante adictivo original originales ingenioso ingeniosa creativo creativa acierto aciertos
    recomendable recomendables recomiendo recomendamos recomendado recomendaría repetiré repetiremos repetimos
    volveré volveremos gracias agradecido agradecida agradecidos agradecer enhorabuena felicidades felicito contento
    contenta contentos satisfecho satisfecha satisfechos feliz felices alegría alegre alegres disfrutar disfrutamos
    disfruté disfrutado disfrutón gusto placer gozada relajante relajado orgulloso orgullosa confianza aliviado
    aliviada mimo miman mimado merece merecido`,
  '-1.70': `soso sosa sosos insípido insípida reseco reseca crudo cruda quemado quemada recalentado recalentada tibio tibia
    templada grasiento grasienta aceitoso pegajoso pegajosa pegajosos rancio rancia escaso escasa escasos minúsculo
    minúscula diminuto diminuta estrecho estrecha agobiante ruidoso ruidosa ruidosos ruido sombrío polvo polvoriento
    descuidado descuidada descuidados dejado dejadez anticuado anticuada obsoleto obsoleta desfasado roto rota rotos
    rotas rayado rayada rajado rajada dañado dañada defectuoso defectuosa defectuosos estropeado estropeada averiado
    averiada endeble frágil frágiles inestable lento lenta lentos lentitud lentísimo tarda tardaron tardanza retraso
    retrasos retrasado demora demoras cola colas interminable interminables eterno eterna abarrotado masificado
    desorganizado desorganizada desorganización caos caótico caótica lío confuso confusa complicado complicada
    complicados engorroso engorrosa incómodo incómoda incómodos incomodidad molesto molesta molestos molestia
    aburrido aburrida aburridos aburridísimo monótono previsible repetitivo flojo floja flojos mediocre mediocres
    decepción decepcionado decepcionada decepcionados decepcionante decepcionantes chasco desilusión insatisfecho
    insatisfecha descontento descontenta frustrante frustrado frustrada enfadado enfadada harto harta hartos triste
    tristes deprimente caro cara caros caras carísimo carísima carísimos sobrevalorado sobrevalorada encarecido
    abusivo abusiva abusivos excesivo excesiva fallo fallos falla fallan falló errores cuelga colgó bloquea problemas
    problema queja quejas reclamación pena lástima lamentablemente desgraciadamente antipático antipática antipáticos
    borde bordes desganado desgana indiferente indiferencia pasotismo pasota frialdad despistado olvidaron ignoran
    ignoraron ignorado ignorada`,
  '-2.60': `pésimo pésima pésimos pésimas nefasto nefasta nefastos fatal fatales horrible horribles horroroso horrorosa
    espantoso espantosa asqueroso asquerosa asquerosos asco repugnante repugnantes vomitivo incomible incomibles
    intragable intomable inservible inservibles inutilizable inhabitable insalubre mugriento mugrienta mugre guarro
    guarra cochambroso cutre cutres chapuza chapuzas chapucero lamentable lamentables vergonzoso vergonzosa vergüenza
    bochornoso indignante indignado indignada indigno indigna inadmisible inaceptable intolerable imperdonable
    inexcusable estafa estafas estafado estafada estafador estafadores timo timos timado timada ladrones robo engaño
    engaños engañado engañada engañados engañoso engañosa mentira mentiras mentiroso mentirosos mienten mintieron
    fraude fraudulento tomadura maleducado maleducada maleducados grosero grosera groseros chulería prepotente
    prepotentes prepotencia soberbia arrogante arrogantes déspota insultó insultaron insulto insultos gritó gritaron
    humillante humillado humillada racista racistas discriminación desprecio despreciable irrespetuoso irrespetuosa
    incompetente incompetentes incompetencia ineptos inepto inútiles negligente negligencia peligroso peligrosa
    peligrosos desastre desastres desastroso desastrosa catastrófico catastrófica catástrofe calamidad desagradable
    desagradables insoportable insoportables patético patética penoso penosa bodrio basura porquería mierda pesadilla
    infierno huid huyan huir evitad eviten furioso furiosa cabreado cabreada tirar-el-dinero ruina`,
}
