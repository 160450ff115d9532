/** Words of answers, in the languages that are read; without accents, but for greetings. */
export const greetings =
  'Dear|Hi|Hello|Hey|Good morning|Good afternoon|Good evening|Thank you|Thanks|Bonjour|Bonsoir|Chère|Cher|Merci|Liebe|Lieber|Hallo|Guten Tag|Guten Morgen|Guten Abend|Sehr geehrte|Sehr geehrter|Danke|Hola|Estimada|Estimado|Querida|Querido|Buenos días|Buenas tardes|Gracias'.split(
    '|',
  )

/** Somebody is to get money, or need not pay. */
export const moneyBack =
  /refund|reimburs|compensat|credit|voucher|goodwill|pay (?:you|back)|give you|send you|offer you|off your next|free of charge|rembours|dedommag|indemni|avoir de|bon d'achat|geste commercial|vous (?:versons|verser|offrons|offrir)|erstatt|entschadig|gutschein|gutschrift|zuruckzahl|uberweisen|ersetzen|schenken|reembols|compensa|indemniz|vale de|devolver|abonar|abonaremos|regal/

const angry =
  'your own fault|your fault|calm down|shut up|grow up|get a life|stop (?:complaining|whining|lying)|how dare you|are you (?:stupid|blind|deaf)|stupid|idiots?|idiotic|moron|liar|you are lying|you lied|nonsense|ridiculous|pathetic|rubbish customer|waste (?:of )?(?:my|our) time|whatever\\.|as i (?:already )?(?:said|told you)|read (?:the|our) (?:terms|rules) (?:properly|first)|votre faute|calmez[- ]vous|taisez[- ]vous|menteu(?:r|se)|vous mentez|n.importe quoi|ridicule|stupide|c.est absurde|ihre eigene schuld|selbst schuld|beruhigen sie sich|unsinn|lacherlich|dumm|lugner|sie lugen|quatsch|es culpa suya|culpa suya|calmese|callese|mentiroso|mentirosa|miente usted|ridiculo|tonteria|estupido|estupida'
/** Words that hurt whoever reads them. */
export const angryWords = new RegExp(`(?<!\\p{L})(?:${angry})(?!\\p{L})`, 'gu')

/** Words that answer a question by themselves: yes and no, and how many. */
export const plainAnswers =
  'yes|no|not|indeed|certainly|of course|unfortunately|afraid|free|half|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|twenty|thirty|hundred|oui|non|malheureusement|bien sur|gratuit|gratuits|gratuitement|deux|trois|quatre|cinq|sept|huit|neuf|dix|onze|douze|vingt|trente|cent|ja|nein|nicht|kein|keine|leider|naturlich|kostenlos|zwei|drei|vier|funf|sechs|sieben|acht|neun|zehn|elf|zwolf|zwanzig|hundert|si|lamentablemente|claro|desafortunadamente|gratis|dos|tres|cuatro|cinco|seis|siete|ocho|nueve|diez|once|doce|veinte|cien'
