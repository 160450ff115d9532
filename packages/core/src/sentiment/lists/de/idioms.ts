/** Further German set phrases. "_" is one or two words. */
export const furtherGermanIdioms: Record<string, string[]> = {
  '2.5':
    `großes lob|ein großes lob|dickes lob|ein dickes lob|ein lob an|lob an|riesiges kompliment|kompliment an|hut ab|chapeau|alle achtung|respekt dafür|großer respekt|tausend dank|herzlichen dank|ganz lieben dank|danke an|danke für die schnelle|danke für alles|zum glück gibt es|
    ein gedicht|ein traum|eine wucht|eine wonne|eine freude|eine augenweide|eine offenbarung|ein erlebnis|ein glücksgriff|erste sahne|eins a|note eins|wie im film|wie im siebten himmel|wie im paradies|wie bei oma|wie zu hause|wie neu|wie am ersten tag|wie angegossen|wie versprochen|wie geschmiert|wie am schnürchen|
    jeden cent wert|jeden euro wert|sein geld wert|das geld wert|die reise wert|einen besuch wert|einen umweg wert|lohnt sich|es lohnt sich|lohnt der weg|gut angelegt|gut investiert|gut beraten|gut aufgehoben|bestens aufgehoben|bestens beraten|in guten händen|in besten händen|
    kann ich nur empfehlen|können wir nur empfehlen|kann man nur empfehlen|nur weiterempfehlen|wärmstens empfehlen|klare empfehlung|absolute empfehlung|uneingeschränkt empfehlen|immer wieder|jederzeit wieder|gern wieder|gerne wieder|sofort wieder|würde wieder|würden wieder|kommen wieder|komme wieder|wir kommen _ wieder|ich komme _ wieder|bis zum nächsten mal|wird nicht der letzte|nicht unser letzter|
    keine wünsche offen|lässt keine wünsche|ließ keine wünsche|nichts auszusetzen|nichts zu beanstanden|nichts zu meckern|kann nicht meckern|nicht meckern|keine beanstandung|keine klagen|kein grund zur klage|kein haken|ohne haken|ohne murren|ohne zu murren|ohne diskussion|ohne wenn und aber|ohne probleme|ohne umstände|ohne aufpreis|ganz ohne stress|
    mit liebe|mit herz|mit viel herz|viel liebe|liebe zum detail|nimmt sich zeit|nahm sich zeit|nehmen sich zeit|zeit genommen|hört zu|hören zu|hat zugehört|mit rat und tat|zur seite|auf augenhöhe|ein offenes ohr|über den tellerrand|mehr als erwartet|besser als erwartet|übertrifft _ erwartungen|übertroffen|überrascht worden|positiv überrascht|angenehm überrascht|
    alles geklappt|hat geklappt|super geklappt|alles top|alles bestens|alles gut|alles richtig gemacht|besser geht nicht|besser geht es nicht|geht nicht besser|was will man mehr|was braucht man mehr|mehr geht nicht|rundum gelungen|voll zufrieden|mehr als zufrieden|hoch zufrieden|sehr zufrieden|bin begeistert|
    auf die sekunde|auf die minute|im handumdrehen|im nu|in windeseile|am nächsten tag da|schnell da|sofort da|prompt da|gleich geholfen|sofort geholfen|schnell geholfen|weitergeholfen|gut erklärt|bestens erklärt|verständlich erklärt|freut mich|freue mich|freut uns|freuen uns|macht spaß|macht freude|macht lust|tränen gelacht|gut gelaunt|gute laune|ins herz|ans herz|herz erwärmt`.split(
      '|',
    ),
  '-2.5':
    `nie wieder|nie mehr|niemals wieder|einmal und nie|finger weg|hände weg|lieber nicht|rate _ ab|raten _ ab|nur abraten|kann nicht empfehlen|nicht zu empfehlen|nicht empfehlenswert|nicht weiterempfehlen|machen sie einen bogen|großen bogen|einen bogen um|
    zum verzweifeln|zum davonlaufen|zum kotzen|zum schämen|zum fürchten|unter aller sau|unter aller kanone|unter jeder kritik|das allerletzte|das hinterletzte|das ist das letzte|ein witz|schlechter witz|schlechter scherz|ein hohn|ein unding|eine zumutung|eine frechheit|eine unverschämtheit|eine schande|eine katastrophe|eine qual|ein graus|ein trauerspiel|ein armutszeugnis|
    lässt zu wünschen|ließ zu wünschen|zu wünschen übrig|lässt nach|lassen nach|hat nachgelassen|haben nachgelassen|geht bergab|ging bergab|den bach runter|mies gelaunt|schlecht gelaunt|schlechte laune|keine lust|keinen bock|null bock|kein verständnis|kein wort|keine antwort|keine reaktion|keine rückmeldung|keine entschuldigung|keine erklärung|keine auskunft|kein bescheid|kein rückruf|
    niemand da|keiner da|niemand zu sehen|keiner zu sehen|niemand zuständig|keiner zuständig|niemand meldet|keiner meldet|niemand erreichbar|nicht erreichbar|nie erreichbar|nicht zu erreichen|kommt nicht durch|geht keiner ran|geht niemand ran|hebt keiner ab|nimmt keiner ab|nicht reagiert|nie gemeldet|nicht gemeldet|nicht zurückgerufen|einfach aufgelegt|hängen gelassen|hängen lassen|im stich|im regen stehen|stehen gelassen|stehen lassen|sitzen lassen|
    aus der leitung|in der warteschleife|endlose warteschleife|von pontius zu pilatus|hin und hergeschickt|abgewimmelt|über den tisch gezogen|für dumm verkauft|auf den arm|an der nase|hinters licht|geld weg|geld verbrannt|geld zum fenster|rausgeschmissenes geld|rausgeworfenes geld|geldverschwendung|zeitverschwendung|verschwendete zeit|verschenkte zeit|für die katz|für die tonne|für den müll|in die tonne|in den müll|reif für den müll|
    zu teuer|zu laut|zu spät|zu langsam|zu salzig|zu süß|zu eng|immer noch nicht|noch immer nicht|noch immer kein|immer noch kein|immer noch keine|noch immer keine|bis heute nicht|bis heute kein|bis heute keine|zum dritten mal|zum vierten mal|zum x ten|
    geht nicht|geht nicht mehr|geht gar nicht|tut nicht|tut es nicht|läuft nicht|funktioniert nicht|klappt nicht|hält nicht|hielt nicht|hilft nicht|stimmt nicht|stimmt hinten|taugt nicht|taugt nichts|nichts wert|nichts gelernt|nichts passiert|nichts gebracht|bringt nichts|kaputt gegangen|ging kaputt|geht kaputt|auseinander gefallen|fällt auseinander|fiel auseinander|abgefallen|fällt ab|gibt den geist|den geist aufgegeben|
    nicht wie beschrieben|anders als beschrieben|nicht wie versprochen|nicht wie abgebildet|nicht gehalten|leere versprechen|leere versprechungen|außer spesen|mehr schein|außen hui|man merkt _ egal|ist denen egal|ist ihnen egal|interessiert keinen|interessiert niemanden|kümmert keinen|kümmert sich niemand|kümmert sich keiner|fühlt sich keiner|fühlt sich niemand|hat es nicht nötig|nicht nötig zu|mit füßen getreten|von oben herab|mit den schultern|die augen verdreht|augen verdreht|wie luft behandelt|wie dreck behandelt|wie ein bittsteller|menschen zweiter klasse|schlecht geworden|übel geworden|krank geworden|magen verdorben|doppelt abgebucht|doppelt berechnet|falsch berechnet|zu viel berechnet|zu viel abgebucht`.split(
      '|',
    ),
  '1.8': `nicht bereut|keine sekunde bereut|keinen tag bereut|nicht enttäuscht|wurde nicht enttäuscht|
    wurden nicht enttäuscht|enttäuscht nie|hat mich nie enttäuscht|nie im stich gelassen|
    lässt einen nicht im stich|nie probleme|nie ein problem|noch nie ein problem|noch nie probleme|
    keinerlei probleme|macht keine probleme|ohne jedes problem|bis jetzt keine probleme|
    bisher keine probleme|erfüllt seinen zweck|erfüllt ihren zweck|tut was es soll|tut was er soll|
    macht was es soll|macht was sie soll|hält was es verspricht|hält was er verspricht|
    hält was sie verspricht|genau was ich gesucht|genau das was ich|genau das richtige|genau richtig|
    wie beschrieben und|wie gewünscht|wie erhofft|wie abgesprochen|wie vereinbart|alles wie beschrieben|
    alles wie versprochen|alles dabei|funktioniert einwandfrei|funktioniert super|funktioniert tadellos|
    funktioniert prima|funktioniert bestens|läuft einwandfrei|läuft super|läuft rund|läuft stabil|
    läuft tadellos|passt perfekt|passt super|passt genau|passt wie|sitzt perfekt|sitzt super|
    sieht toll aus|sieht super aus|sieht gut aus|sehen toll aus|fühlt sich gut|riecht gut|riecht toll|
    schmeckt super|schmeckt toll|schmeckt hervorragend|schmeckt uns|hält dicht|hält warm|bleibt warm|
    bleibt scharf|schnell geliefert|schnelle lieferung|schneller versand|gut verpackt|sicher verpackt|
    super verpackt|sorgfältig verpackt|einfach zu bedienen|leicht zu bedienen|einfache bedienung|
    leicht zu reinigen|leicht aufzubauen|schnell aufgebaut|gut verständlich|gute preise|guter preis|
    fairer preis|faire preise|top preis|preis leistung stimmt|preis leistung top|gutes preis|super preis|
    bestes preis|stimmt einfach alles|stimmt alles|rundum sorglos|wie aus einem guss|ein herz für|
    ein händchen für|ein auge für|mit einem lächeln|mit lächeln|immer ein lächeln|immer freundlich|
    stets freundlich|stets bemüht um|bemüht sich|geben sich mühe|gibt sich mühe|gaben sich mühe|
    viel mühe|steckt viel arbeit|geht auf _ ein|gehen auf _ ein|auf unsere wünsche|auf alle wünsche|
    auf meine wünsche|an alles gedacht|alles gedacht|fehlt an nichts|fehlte an nichts|mangelte an nichts|
    fühlt sich wohl|fühlten uns wohl|wohl gefühlt|fühlte mich wohl|willkommen gefühlt|ernst genommen|
    nimmt einen ernst|man nimmt sich zeit|viel zeit genommen|zeit für mich|die angst genommen|
    angst genommen|beruhigt hat|mut gemacht|neue kraft|wie neugeboren|endlich schmerzfrei|
    endlich wieder schlafen|endlich jemand|endlich mal jemand|hat mir geholfen|haben mir geholfen|
    hat uns geholfen|haben uns geholfen|sehr geholfen|gut geholfen|wirklich geholfen|den tag gerettet|
    den urlaub gerettet|das leben gerettet|hat mich gerettet|tag versüßt|kann nicht klagen|
    können nicht klagen|ruhig mal gelobt|muss man loben|muss ich loben|ein lob verdient|verdient ein lob|
    verdienen ein lob|fünf sterne|5 sterne|volle punktzahl|zehn von zehn|10 von 10|daumen nach oben|
    beste entscheidung|gute entscheidung|richtige entscheidung|guter kauf|guter griff|bester kauf|
    würde ich wieder kaufen|wieder kaufen|wieder bestellen|wieder buchen|wieder hingehen|gehe wieder hin|
    gehen wieder hin|wieder besuchen|wieder hierher|freunden empfohlen|weiter zu empfehlen|
    spricht für sich|sucht seinesgleichen|seinesgleichen|von der besten seite|weiß was er tut|
    wissen was sie tun|versteht sein handwerk|verstehen ihr handwerk|meister seines fachs|vom fach|
    mit leib und seele|herz und seele|ein ort zum|zum verlieben|zum niederknien|zum reinlegen|
    zum wohlfühlen|zum entspannen|zum dahinschmelzen|zergeht auf der zunge|auf der zunge|
    zum fingerlecken|das wasser im mund`.split('|'),
  '-1.8': `bereue es|bereue ich|habe es bereut|haben es bereut|hätte ich mal|hätte ich bloß|hätte ich nur|
    hätten wir mal|hätten wir bloß|wäre ich bloß|bloß nicht|auf keinen fall|unter keinen umständen|
    einmal und nicht|kein zweites mal|nicht noch einmal|nicht noch mal|komme nicht wieder|
    kommen nicht wieder|gehe nicht mehr|gehen nicht mehr|kaufe nicht mehr|bestelle nicht mehr|
    buche nicht mehr|sehen uns nicht|verzichte dankend|dankend verzichtet|woanders hin|gehe ich woanders|
    andere anbieter|anbieter gewechselt|wechsle den anbieter|wechsle ich|habe gewechselt|
    überlege zu kündigen|werde kündigen|mehr erwartet|hatte mehr erwartet|hätte mehr erwartet|
    besseres erwartet|etwas anderes erwartet|anders vorgestellt|nicht das was|nicht wie erwartet|
    nicht wie gewohnt|nicht so toll|nicht so gut|nicht besonders|nichts besonderes für|
    nicht sehr freundlich|nicht gerade freundlich|nicht gerade billig|nicht gerade sauber|
    alles andere als|war nichts|war wohl nichts|das war nichts|nicht zufrieden|nicht begeistert|
    nicht überzeugt|überzeugt mich nicht|nicht angekommen|nie angekommen|kam nie an|kam nicht an|
    nicht geliefert|nie geliefert|nicht erschienen|nicht aufgetaucht|kam niemand|kam keiner|
    niemand gekommen|keiner gekommen|niemand kam|keiner kam|versetzt worden|wurde versetzt|
    wurden versetzt|lange gewartet|ewig gewartet|stundenlang gewartet|umsonst gewartet|
    vergeblich gewartet|warte noch immer|warte immer noch|warten immer noch|wartet man ewig|
    wartet man vergeblich|dauert ewig|dauerte ewig|hat ewig gedauert|dauert viel zu|eine ewigkeit|
    gefühlte ewigkeit|halbe ewigkeit|jedes mal das gleiche|jedes mal das selbe|immer das gleiche|
    immer dasselbe|immer noch kaputt|wieder kaputt|schon kaputt|nach zwei tagen kaputt|
    nach einem tag kaputt|beim ersten mal kaputt|gleich kaputt|sofort kaputt|hält nicht lange|
    hielt nicht lange|hält nichts aus|reißt sofort|reißt schnell|bricht ab|brach ab|bricht sofort|
    ging ab|löste sich|löst sich ab|blättert ab|platzt ab|färbt ab|verliert farbe|läuft ein|läuft aus|
    lief aus|tropft noch|ließ sich nicht|schließt nicht|öffnet sich nicht|geht nicht auf|geht nicht zu|
    geht nicht an|geht immer aus|geht ständig aus|hängt sich auf|stürzt ab|stürzt ständig|stürzt dauernd|
    bricht ständig|fällt ständig aus|ständig ausfälle|ständig probleme|dauernd probleme|nur probleme|
    nur ärger|nichts als ärger|viel ärger|viel lärm um|riecht unangenehm|schmeckt nicht|
    schmeckt nach nichts|schmeckte nicht|schmeckte nach|nicht genießbar|nicht essbar|kaum genießbar|
    kaum essbar|nicht durch|innen roh|halb roh|außen verbrannt|kalt serviert|kam kalt|schon kalt|
    nur lauwarm|nicht sauber|nicht geputzt|nicht gereinigt|nicht gewechselt|nicht gemacht|nicht gelüftet|
    haare im|haare in der|haar in der suppe|voller haare|voller schimmel|voller staub|voller flecken|
    nicht ernst genommen|nicht für voll|für blöd|wie ein kind behandelt|wie ein idiot|wie bittsteller|
    wie vieh|wie eine nummer|abgefertigt wie|nur abgefertigt|durchgeschleust|am fließband|
    massenabfertigung|keine zeit für|keine zeit genommen|hört nicht zu|nicht zugehört|nicht mal gegrüßt|
    nicht einmal gegrüßt|nicht mal angesehen|keines blickes|kein lächeln|kein gruß|kein danke|kein bitte|
    ohne entschuldigung|ohne ein wort der|ohne erklärung|ohne begründung|ohne rückmeldung|
    ohne ankündigung|ohne bescheid|ohne zu fragen|ohne rückfrage|ohne rücksprache|einfach abgesagt|
    kurzfristig abgesagt|einfach gestrichen|einfach abgebucht|einfach weg|nicht zurückbekommen|
    nicht erstattet|geld nicht zurück|kein geld zurück|geld zurück verlangt|auf den kosten|
    auf dem schaden|selber zahlen|versteckte kosten|draufzahlen|drauf zahlen|doppelt so teuer|
    doppelt so hoch|doppelt bezahlt|viel geld für nichts|zu viel geld|sein geld nicht wert|
    das geld nicht wert|den preis nicht wert|nicht den preis|steht in keinem verhältnis|
    in keinem verhältnis|null service|null kulanz|null verständnis|null interesse|null sterne|
    keinen stern|einen stern|kein stern|minus fünf|würde null|service ist ein fremdwort|fremdwort|
    kundenservice ist ein|lässt sich verleugnen|die schuld beim kunden|schuld sind immer|
    schiebt die schuld|schieben die schuld|redet sich raus|reden sich raus|faule ausreden|nur ausreden|
    ausrede nach|am ende ohne|am ende nichts|blut und nerven|zeit und nerven|nerven gekostet|
    gekostet hat es nerven|kostet nerven|nerven verloren|macht krank|macht mich krank|macht mich wütend|
    platzt der kragen|platzt mir der|reicht es mir|mir reicht es|uns reicht es|reicht jetzt|
    fass zum überlaufen|so nicht|so geht das nicht|so kann man nicht|geht so nicht|kann nicht sein|
    kann ja nicht wahr|nicht wahr sein|darf nicht sein|darf nicht passieren|hätte nicht passieren|
    verstehe nicht warum|versteht kein mensch|kein mensch versteht|sucht man vergeblich|
    vergeblich gesucht|wurde nichts|wird nichts|wurde nie|wird immer schlechter|immer schlechter|
    immer teurer|immer kleiner|war einmal gut|war mal gut|war früher besser|früher besser|nicht mehr das|
    nicht mehr was es|nicht mehr wie früher`.split('|'),
}
