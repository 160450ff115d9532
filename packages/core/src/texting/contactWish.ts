/** Nothing more is to be sent to them; or it may be again. */
export type ContactWish = 'stop' | 'start'

/** What people write who want no more texts, in English, French, Spanish, German and Italian. */
const stops = new Set(
  [
    ['stop', 'stopall', 'stop all', 'unsubscribe', 'cancel', 'end', 'quit', 'opt out', 'optout', 'remove me'],
    ['arret', 'arreter', 'desabonner', 'desabonnement', 'desinscrire', 'desinscription', 'annuler'],
    ['alto', 'parar', 'baja', 'cancelar', 'basta', 'no mas'],
    ['stopp', 'abmelden', 'abbestellen', 'ende', 'austragen'],
    ['ferma', 'annulla', 'cancella', 'disiscrivi', 'cancellami'],
  ].flat(),
)
const starts = new Set(
  [
    ['start', 'unstop', 'subscribe', 'resume', 'opt in', 'optin'],
    ['reprendre', 'abonner', 'debut', 'reabonner'],
    ['alta', 'empezar', 'iniciar', 'reanudar'],
    ['anmelden', 'beginn', 'weiter', 'starten'],
    ['inizia', 'riprendi', 'iscrivi', 'iscrivimi'],
  ].flat(),
)
/** Courtesies that change nothing. */
const courtesy =
  /\b(?:please|pls|thanks|thank you|s il vous plait|svp|merci|por favor|gracias|bitte|danke|per favore|grazie)\b/g
/** Longer than any wish with its courtesies. */
const longest = 60

/**
 * What a text says when it says nothing else: the word alone, however it is written, with or without a courtesy. Inside a
 * sentence the same word is a word ("Does it stop at Orrin?").
 *
 * @example contactWish('Stop!') // "stop"
 * @example contactWish('Bitte abmelden.') // "stop"
 * @example contactWish('Does the boat stop at Orrin?') // null
 */
export function contactWish(text: string): ContactWish | null {
  if (text.length > longest) return null
  const words = text
    .normalize('NFKD')
    .replace(/\p{M}+/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}?]+/gu, ' ')
    .replace(courtesy, ' ')
    .replace(/\s+/g, ' ')
    .trim()
  if (stops.has(words)) return 'stop'
  return starts.has(words) ? 'start' : null
}
