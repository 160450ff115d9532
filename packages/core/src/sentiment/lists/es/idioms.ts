/** Further Spanish set phrases. "_" is one or two words. */
export const furtherSpanishIdioms: Record<string, string[]> = {
  '2.5':
    `menos mal|un aplauso|un gran aplauso|un aplauso para|mil gracias|muchas gracias|muchísimas gracias|gracias por todo|gracias de corazón|gracias a todo|gracias a todo el equipo|enhorabuena a|enhorabuena por|felicidades a|bravo por|chapó por|un diez|un 10|de diez|de matrícula|de sobresaliente|nota alta|
    una maravilla|una delicia|una pasada|una gozada|una joya|un tesoro|un lujo|un acierto|un acierto total|un gustazo|un encanto|un sol|un descubrimiento|todo un descubrimiento|un placer|una experiencia única|de cine|de lujo|de maravilla|de fábula|de película|de primera|de categoría|de calidad|de ensueño|como en casa|como nuevo|como nueva|como el primer día|como la seda|como un guante|como anillo al dedo|como debe ser|a las mil maravillas|
    vale la pena|merece la pena|valía la pena|valió la pena|valen la pena|merecía la pena|mereció la pena|merecen la pena|merece mucho la pena|merece una visita|merece el viaje|vale cada|vale lo que cuesta|dinero bien invertido|bien invertido|bien gastado|muy recomendable|totalmente recomendable|cien por cien recomendable|lo recomiendo|la recomiendo|los recomiendo|las recomiendo|recomiendo a todo|con los ojos cerrados|sin dudarlo|sin dudar|sin duda|no dudéis|no lo dudes|no os lo perdáis|
    volveré|volveremos|volvería|volveríamos|repetiré|repetiremos|para repetir|a repetir|siempre que puedo|siempre vuelvo|nuestro sitio|mi sitio de|cliente fiel|
    ni una pega|ninguna pega|sin pegas|nada que objetar|nada que reprochar|nada que decir|no se puede pedir más|no puedo pedir más|qué más se puede pedir|qué más pedir|imposible hacerlo mejor|no se puede mejorar|no tiene precio|no hay color|da gusto|da gusto ir|da gloria|se agradece|es de agradecer|de agradecer|todo perfecto|todo genial|todo estupendo|todo bien|todo rodado|todo salió bien|salió todo|sin problemas|sin problema|sin ningún problema|ningún problema|sin complicaciones|sin sorpresas desagradables|sin letra pequeña|sin agobiar|sin agobios|con total confianza|en buenas manos|
    muy atentos|muy atento|muy majos|pendientes de todo|se desviven|se desvivieron|se volcaron|se portaron|se portaron genial|se portan|con mucho cariño|con muchísimo cariño|con cariño|con mimo|con una sonrisa|siempre con una sonrisa|con toda la paciencia|con paciencia|te escuchan|me escucharon|se toma su tiempo|se toman su tiempo|bien aconsejado|bien atendido|bien atendida|bien atendidos|buen trato|trato exquisito|trato inmejorable|trato familiar|buen rollo|buena gente|gente maja|a la altura|superó mis|superó nuestras|supera las expectativas|mejor de lo que esperaba|mejor de lo esperado|más de lo que esperaba|tal como prometieron|tal y como prometieron|cumple lo que|cumplieron|
    a tiempo|a su hora|en hora|antes de lo previsto|en un santiamén|en un periquete|en el acto|al momento|al instante|el mismo día|al día siguiente|a la primera|visto y no visto|rápido y bien|buena relación|bueno bonito y barato|a buen precio|buen precio|precio justo|una ganga|un chollo|tirado de precio|me salvaron|nos salvaron|me salvó|nos salvó|me sacaron del apuro|nos sacaron del apuro|me alegró|nos alegró|me alegraron|qué alegría|qué gusto|qué maravilla|qué rico|qué bonito|qué detalle|menudas vistas|se pasa volando|se pasó volando|se pasaron volando|chuparse los dedos|se chupa`.split(
      '|',
    ),
  '-2.5':
    `nunca más|nunca jamás|jamás volveré|no vuelvo|no volvemos|no volveré|no volveremos|no volvería|no repetiré|no repetiremos|ni gratis|ni regalado|ni loco|ni loca|ni se os ocurra|ni se te ocurra|ni de broma|no lo recomiendo|no la recomiendo|no los recomiendo|no recomiendo|no recomendable|nada recomendable|poco recomendable|no vayáis|no vayan|no compréis|no compren|huid|salid corriendo|
    una vergüenza|qué vergüenza|una estafa|un timo|un robo|un atraco|un engaño|un desastre|un horror|un asco|qué asco|un fiasco|una chapuza|una pesadilla|un infierno|una tortura|un calvario|una tomadura|tomadura de pelo|una broma|una burla|un insulto|una falta de respeto|falta de respeto|falta de educación|falta de profesionalidad|falta de higiene|falta de|el colmo|es el colmo|lo nunca visto|de risa|de pena|de vergüenza|de juzgado|de mal en peor|cada vez peor|va a peor|
    deja mucho que|deja que desear|dejan mucho que|deja bastante que|no está a la altura|no da la talla|no cumple|no cumplen|no cumplieron|muy flojo|muy justito|nada del otro|poco serio|poco seria|poco serios|poco profesional|nada profesional|nada amable|poco amable|malas formas|malas maneras|mala educación|mala cara|mala gana|mal humor|mala leche|de malas|mal trato|mal atendido|mal atendidos|mala atención|mala calidad|mal hecho|mal olor|mal sabor|mal estado|mal organizado|
    ni caso|ni una palabra|ni una disculpa|ni una explicación|ni un perdón|ni un aviso|ni mu|ni contestan|ni contestaron|ni miran|ni te miran|ni me miró|ni respuesta|sin respuesta|sin avisar|sin explicación|sin explicaciones|sin solución|sin noticias|sin previo aviso|nadie contesta|nadie responde|nadie coge|nadie sabe|nadie se hace|nadie avisó|nadie vino|no contestan|no responden|no responde|no cogen|no coge|no llaman|no llamaron|no aparece|no apareció|no aparecieron|no vino|no llegó|nunca llegó|no llega|no ha llegado|sigue sin|sigo sin|siguen sin|seguimos sin|
    me colgaron|me colgó|nos colgaron|dan largas|dando largas|me dieron largas|marear la perdiz|de aquí para allá|se pasan la pelota|se lavan las manos|me dejaron tirado|me dejaron tirada|nos dejaron tirados|dejar tirado|dejado tirado|en la estacada|con la palabra en la boca|me tomaron el pelo|nos tomaron el pelo|toman el pelo|me engañaron|nos engañaron|me la colaron|gato por liebre|letra pequeña|
    pérdida de tiempo|perder el tiempo|perdí el tiempo|pérdida de dinero|tirar el dinero|dinero tirado|tirado el dinero|a la basura|directo a la basura|para tirar|no vale|no vale nada|no vale la pena|no merece la pena|no sirve|no sirve para nada|no sirven|muy caro|muy cara|carísimo para|demasiado caro|demasiado cara|demasiado pequeño|demasiado salado|demasiado ruido|un ojo de la cara|un dineral|se pasan tres|
    no funciona|no funcionan|no funcionaba|dejó de funcionar|ha dejado de|no va bien|no arranca|no enciende|no carga|no cierra|no cuadra|se rompió|se ha roto|se rompe|se rompieron|se estropeó|se ha estropeado|se cae a|se cae la|se caen|se despegó|se descosió|se desarma|se cuelga|se bloquea|se queda colgada|fuera de servicio|por tercera vez|por enésima|llevo semanas|llevo meses|llevamos semanas|con retraso|llegó tarde|llegaron tarde|me cobraron|nos cobraron|cobrado dos veces|cobro indebido|cobraron dos|cobrado de más|me puse malo|me puse mala|nos pusimos malos|me sentó mal|nos sentó mal|a gritos|de arriba abajo|como a un perro|como ganado|como un número|pasan de ti|pasan de todo|les da igual|les da lo mismo|a nadie le importa`.split(
      '|',
    ),
  '1.8': `no me arrepiento|no nos arrepentimos|sin arrepentirme|nunca defrauda|no defrauda|nunca decepciona|
    no me ha decepcionado|no nos ha decepcionado|nunca falla|nunca me ha fallado|nunca nos ha fallado|
    nunca un problema|ni un problema|ningún inconveniente|sin ningún inconveniente|cumple su función|
    cumple su cometido|cumple con lo|hace lo que tiene|hace lo que promete|justo lo que buscaba|
    justo lo que necesitaba|justo lo que quería|justo lo que buscábamos|exactamente lo que|
    tal cual la foto y|tal como se ve|como esperaba y|como acordamos y|todo funciona|
    funciona perfectamente|funciona genial|funciona muy bien|funciona de maravilla|va perfecto|va genial|
    va muy bien|va de lujo|va como un|me va genial|me queda perfecto|me queda genial|me queda bien|
    me sienta bien|sienta de maravilla|queda precioso|queda genial|huele muy bien|huele bien|
    sabe a gloria|sabe muy bien|envío rápido|entrega rápida|llegó rápido|llegó enseguida|
    llegó muy rápido|llegó antes|llega antes|bien embalado|muy bien embalado|bien empaquetado|
    bien presentado|fácil de usar|fácil de montar|fácil de limpiar|sencillo de usar|buenos precios|
    precios justos|precios razonables|precio razonable|muy buen precio|bien de precio|
    relación calidad precio|calidad precio|merece sus estrellas|merece un diez|merece un premio|
    merece una medalla|se merece un|se merecen un|se lo merecen|te sientes como|nos sentimos como|
    me sentí como|me sentí escuchada|me sentí escuchado|nos sentimos bienvenidos|me tomaron en serio|
    nos tomaron en serio|te hacen sentir|nos hicieron sentir|me hicieron sentir|me tranquilizó|
    nos tranquilizó|me tranquilizaron|me quitó el miedo|nos quitó el miedo|da confianza|dan confianza|
    da tranquilidad|inspira confianza|me ayudó mucho|me ayudaron mucho|nos ayudaron mucho|
    nos ayudó mucho|de gran ayuda|una gran ayuda|gran ayuda|me ha cambiado la vida|cambia la vida|
    me salvó la vida|nos salvó la vida|salvaron el viaje|salvaron las vacaciones|salvó las vacaciones|
    me quitó el dolor|adiós a los dolores|duermo mejor|por fin duermo|por fin alguien|cinco estrellas|
    5 estrellas|diez sobre diez|10 sobre 10|máxima puntuación|pulgar arriba|la mejor decisión|
    buena decisión|buena compra|gran compra|muy buena compra|mejor compra|lo volvería a|la volvería a|
    volvería a comprar|volvería a pedir|volvería a ir|volvería a elegir|volveré a comprar|
    volveré a pedir|volvemos siempre|siempre volvemos|vuelvo siempre|clientes de toda la vida|
    de toda la vida|cliente de toda|hablo bien de|se lo he recomendado|recomendado a todos|
    saben lo que hacen|sabe lo que hace|conoce su oficio|conocen su oficio|dominan su|
    se nota la experiencia|se nota el cariño|se nota que les gusta|les gusta lo que hacen|con pasión|
    con amor|con el corazón|un corazón enorme|un corazón de oro|se deshace en la boca|
    se derrite en la boca|para chuparse|de vicio|de escándalo|está de muerte|está de miedo|
    está buenísimo|está buenísima|estaba buenísimo|estaba riquísimo|estaba todo riquísimo|todo riquísimo|
    todo buenísimo|todo muy rico|todo muy bueno|todo exquisito|estaba todo bueno|estaba delicioso|
    a rebosar de|un remanso|un remanso de paz|un oasis|un paraíso|el paraíso|un sueño|de sueño|de postal|
    para enmarcar|para recordar|para no olvidar|a cuerpo de rey|como reyes|como a reyes|como reinas|
    me siento como nueva|como un reloj|va como un reloj|sin estrés|sin complicarse|sin complicarte|
    sin rodeos|sin líos|es otro mundo|no hay comparación|de lo mejorcito|de lo mejor|número uno|
    ahorra tiempo|ahorras tiempo|facilita la vida|hace la vida más`.split('|'),
  '-1.8': `me arrepiento|nos arrepentimos|si lo llego a saber|si lo hubiera sabido|ojalá hubiera|
    tenía que haber|no tenía que haber|no caigáis|no caigan|no piquéis|no piquen|una y no más|
    no habrá segunda|no habrá próxima|no pienso volver|no pensamos volver|no pisaré|no pienso repetir|
    no compro más|no pido más|no me ven más|no me pillan más|antes me voy|mejor buscar otro|id a otro|
    vayan a otro|vete a otro|buscad otro|busquen otro|me he cambiado|nos hemos cambiado|me doy de baja|
    me voy a dar de baja|esperaba más|esperábamos más|esperaba otra cosa|esperaba mucho más|
    no es lo que parece|no se parece en nada|nada que ver con la|nada que ver con las|no se corresponde|
    no corresponde|no es para tanto|no fue para tanto|no muy limpio|no muy amable|poco limpio|
    poco limpia|poco amables|poca amabilidad|poca higiene|poca profesionalidad|poca seriedad|
    poco cuidado|nada limpio|nada fresco|nada de sabor|sin sabor|mal cocinado|poco hecho por dentro|
    crudo por dentro|quemado por fuera|medio crudo|llegó frío|llegó fría|vino frío|vino fría|estaba frío|
    estaba fría|estaban fríos|estaban frías|servido frío|casi frío|incomible|no se podía comer|
    no hay quien se lo|olía mal|huele mal|pelos en|un pelo en|lleno de pelos|llena de pelos|
    lleno de polvo|llena de polvo|lleno de moho|lleno de manchas|lleno de hormigas|nunca ha llegado|
    nunca me llegó|no me ha llegado|no nos llegó|sin llegar|no se presentó|no se presentaron|no vinieron|
    no ha venido|no ha venido nadie|no vino nadie|nadie ha venido|nadie apareció|me dejaron plantado|
    me dejaron plantada|nos dejaron plantados|se olvidaron de|se olvidó de|esperando para nada|
    esperar para nada|horas esperando|hora esperando|una hora de espera|dos horas de espera|
    tres horas de espera|esperas eternas|espera eterna|espera interminable|sigo esperando|
    seguimos esperando|siguen sin dar|tardaron una eternidad|una eternidad|tarda una eternidad|
    tarda muchísimo|tardan muchísimo|tardaron mucho|tarda demasiado|cada dos por tres|siempre lo mismo|
    siempre igual|es siempre igual|otra vez roto|otra vez estropeado|ya está roto|ya se ha roto|
    ya no funciona|ya no carga|roto al segundo|roto a los|se rompió a|se rompió al|se rompió en|
    se me rompió|se partió|se ha partido|se rasgó|se despega|se descose|se cae a trozos|se cae a pedazos|
    se desmonta|se soltó|se apaga sola|se apaga solo|se apaga a|se corta la|se desconecta|
    se queda pillada|se queda en blanco|se oxida|pierde agua|pierde aceite|no aguanta|no aguantó|
    no dura nada|no duró nada|no duró ni|no dura ni|solo duró|no sirve de nada|no hay manera|
    no hay forma|imposible contactar|imposible hablar|imposible dormir|imposible descansar|
    imposible cancelar|imposible localizar|da error|da fallo|da problemas|dando problemas|
    solo da problemas|todo son problemas|todo problemas|un problema tras|un quebradero de|no te escuchan|
    no escuchan|no me escuchó|no me escucharon|sin escuchar|sin mirarme|sin levantar la|sin saludar|
    sin dar los buenos|ni los buenos días|ni buenos días|ni gracias|ni por favor|ni una sonrisa|
    ni un gesto|me habló mal|nos habló mal|me trataron fatal|nos trataron fatal|me trató fatal|
    me trataron mal|nos trataron mal|trato pésimo|trato fatal|trato horrible|trato nefasto|pésimo trato|
    pésima atención|pésimo servicio|mal servicio|servicio pésimo|servicio nefasto|servicio lamentable|
    atención pésima|atención nula|me gritó|nos gritó|me gritaron|se rió de|se rieron de|se ríen de|
    se burlan|me tomó por|te toman por|nos tomaron por|por tonto|por tonta|por idiotas|como si nada|
    como si molestaras|como si estorbaras|como si les molestara|mirando por encima|por encima del hombro|
    con desprecio|con prepotencia|con desgana|con mala gana|cero profesionalidad|cero atención|
    cero empatía|cero estrellas|cero higiene|una estrella porque|ninguna estrella|menos cero|
    si pudiera poner|sin solucionar|sin resolver|sin reembolso|no me devuelven|no nos devuelven|
    no me devolvieron|no devuelven el|no devuelven nada|no me han devuelto|no quieren devolver|
    se niegan a|se negaron a|se negó a|no se hacen cargo|no se hace cargo|no se hacen responsables|
    no se responsabilizan|no asumen|no quieren saber nada|de mi bolsillo|a mi costa|gastos ocultos|
    costes ocultos|cargos ocultos|cobran por todo|te cobran por|cobran aparte|te clavan|nos clavaron|
    me clavaron|me sablearon|el doble de lo|el triple de lo|el doble del|el doble de caro|no vale lo que|
    no vale ese precio|no lo vale|no compensa|no sale a cuenta|trampa para turistas|mucho ruido|
    mucha fachada y|mucha palabrería|buenas palabras y|todo mentira|todo fachada|promesas incumplidas|
    prometieron y|no han cumplido|sin cumplir|a última hora sin|cancelado a última|cancelaron a última|
    cancelado sin|cancelaron sin|anulado sin|sin previo|ya está bien de|hasta las narices|hasta el gorro|
    hasta las mismísimas|harto de|harta de|hartos de|estoy harto|estoy harta|se acabó la paciencia|
    perdí la paciencia|sacan de quicio|me sacó de quicio|no es normal|no es de recibo|no hay derecho|
    qué poca vergüenza|poca vergüenza|vaya tela|vaya desastre|vaya timo|vaya robo|vaya chapuza|
    menuda estafa|menudo desastre|menuda chapuza|menuda tomadura|menudo timo|qué desastre|qué mal|
    qué horror|qué estafa|qué robo|qué timo|qué decepción|qué pena de|qué pena|una pena|da pena|dan pena|daba pena|pena de sitio|ya no es lo que|no es lo que era|
    antes estaba mejor|antes mejor|ha bajado mucho|ha bajado la calidad|han bajado la|ha empeorado|
    cada vez más caro|cada vez más pequeño|cada vez menos`.split('|'),
}
