/** What the box says, in the languages of the visitors. */
const en = {
  open: 'Write to us',
  unread: (n: number) => (n === 1 ? '1 new answer' : `${n} new answers`),
  shut: 'Close the chat',
  title: (brand: string) => `Chat with ${brand}`,
  here: 'We are here now',
  away: (when: string) => `We are back ${when}`,
  greeting: 'What can we do for you?',
  yours: 'You',
  log: 'Conversation',
  write: 'Your message',
  send: 'Send',
  sending: 'on its way',
  failed: 'Not sent.',
  again: 'Try again',
  tooFast: 'That was too much at once. Wait a minute.',
  tooLong: (n: number) => `${n} characters too long`,
  writing: 'Somebody is writing …',
  lost: 'The connection is lost. What you write is sent when it is back.',
  noServer: 'The chat does not answer. Try again later.',
  askClosed: 'Nobody is here right now. Leave your e-mail address, and we answer there.',
  askWaiting: 'We need a little longer. Leave your e-mail address, and you need not wait here.',
  email: 'E-mail address',
  name: 'Your name, if you like',
  leave: 'Answer by e-mail',
  wrongEmail: 'This is not an e-mail address.',
  left: (email: string) => `When you leave this page, answers go to ${email}.`,
  byMail: 'by e-mail',
}
export type Texts = typeof en

const fr: Texts = {
  open: 'Écrivez-nous',
  unread: (n) => (n === 1 ? '1 nouvelle réponse' : `${n} nouvelles réponses`),
  shut: 'Fermer le chat',
  title: (brand) => `Chat avec ${brand}`,
  here: 'Nous sommes là',
  away: (when) => `De retour ${when}`,
  greeting: 'Que pouvons-nous faire pour vous ?',
  yours: 'Vous',
  log: 'Conversation',
  write: 'Votre message',
  send: 'Envoyer',
  sending: 'en route',
  failed: 'Non envoyé.',
  again: 'Réessayer',
  tooFast: 'C’était trop à la fois. Attendez une minute.',
  tooLong: (n) => `${n} caractères de trop`,
  writing: 'Quelqu’un écrit …',
  lost: 'La connexion est perdue. Ce que vous écrivez partira à son retour.',
  noServer: 'Le chat ne répond pas. Réessayez plus tard.',
  askClosed: 'Personne n’est là pour le moment. Laissez votre adresse e-mail, nous y répondrons.',
  askWaiting: 'Il nous faut un peu plus de temps. Laissez votre adresse e-mail, sans avoir à attendre ici.',
  email: 'Adresse e-mail',
  name: 'Votre nom, si vous voulez',
  leave: 'Réponse par e-mail',
  wrongEmail: 'Ce n’est pas une adresse e-mail.',
  left: (email) => `Quand vous quitterez cette page, les réponses iront à ${email}.`,
  byMail: 'par e-mail',
}

const de: Texts = {
  open: 'Schreiben Sie uns',
  unread: (n) => (n === 1 ? '1 neue Antwort' : `${n} neue Antworten`),
  shut: 'Chat schließen',
  title: (brand) => `Chat mit ${brand}`,
  here: 'Wir sind gerade da',
  away: (when) => `Wieder da ${when}`,
  greeting: 'Was können wir für Sie tun?',
  yours: 'Sie',
  log: 'Unterhaltung',
  write: 'Ihre Nachricht',
  send: 'Senden',
  sending: 'unterwegs',
  failed: 'Nicht gesendet.',
  again: 'Noch einmal versuchen',
  tooFast: 'Das war zu viel auf einmal. Warten Sie eine Minute.',
  tooLong: (n) => `${n} Zeichen zu lang`,
  writing: 'Jemand schreibt …',
  lost: 'Die Verbindung ist weg. Was Sie schreiben, geht hinaus, sobald sie wieder da ist.',
  noServer: 'Der Chat antwortet nicht. Versuchen Sie es später noch einmal.',
  askClosed: 'Gerade ist niemand da. Hinterlassen Sie Ihre E-Mail-Adresse, dann antworten wir dort.',
  askWaiting:
    'Wir brauchen etwas länger. Hinterlassen Sie Ihre E-Mail-Adresse, dann müssen Sie hier nicht warten.',
  email: 'E-Mail-Adresse',
  name: 'Ihr Name, wenn Sie mögen',
  leave: 'Antwort per E-Mail',
  wrongEmail: 'Das ist keine E-Mail-Adresse.',
  left: (email) => `Wenn Sie diese Seite verlassen, gehen Antworten an ${email}.`,
  byMail: 'per E-Mail',
}

const es: Texts = {
  open: 'Escríbanos',
  unread: (n) => (n === 1 ? '1 respuesta nueva' : `${n} respuestas nuevas`),
  shut: 'Cerrar el chat',
  title: (brand) => `Chat con ${brand}`,
  here: 'Estamos aquí ahora',
  away: (when) => `Volvemos ${when}`,
  greeting: '¿En qué podemos ayudarle?',
  yours: 'Usted',
  log: 'Conversación',
  write: 'Su mensaje',
  send: 'Enviar',
  sending: 'en camino',
  failed: 'No enviado.',
  again: 'Intentar de nuevo',
  tooFast: 'Ha sido demasiado a la vez. Espere un minuto.',
  tooLong: (n) => `${n} caracteres de más`,
  writing: 'Alguien escribe …',
  lost: 'Se ha perdido la conexión. Lo que escriba se enviará cuando vuelva.',
  noServer: 'El chat no responde. Inténtelo más tarde.',
  askClosed: 'Ahora no hay nadie. Deje su dirección de correo y le responderemos allí.',
  askWaiting: 'Necesitamos un poco más de tiempo. Deje su dirección de correo y no tendrá que esperar aquí.',
  email: 'Dirección de correo',
  name: 'Su nombre, si quiere',
  leave: 'Respuesta por correo',
  wrongEmail: 'No es una dirección de correo.',
  left: (email) => `Cuando deje esta página, las respuestas irán a ${email}.`,
  byMail: 'por correo',
}

export const languages = { en, fr, de, es } satisfies Record<string, Texts>
export type Language = keyof typeof languages

/** The visitor's own tag of a language, for clocks and dates: British times are not American ones. */
export const localeOf = (language: Language, wanted: readonly string[]): string =>
  wanted.find((tag) => tag.toLowerCase().split('-')[0] === language) ?? language

/** The first that the visitor reads and the box speaks; the page's own where there is none. */
export function languageOf(wanted: readonly string[], page: string): Language {
  for (const tag of [...wanted, page]) {
    const language = tag.toLowerCase().split('-')[0] ?? ''
    if (Object.hasOwn(languages, language)) return language as Language
  }
  return 'en'
}
