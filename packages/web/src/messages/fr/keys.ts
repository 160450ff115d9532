import type { keysAndHooks as english } from '../en/keys.ts'

/** Texts of keys and hooks, French. */
export const keysAndHooks: typeof english = {
  title: 'Clés et messages',
  intro:
    'Comment d’autres programmes joignent Murrabel : en votre nom avec une clé, ou par des messages signés sur les clients.',
  own: 'Vos clés',
  ownText:
    'Un programme qui a une clé agit en votre nom, peut ce que vous choisissez ici et rien d’autre, et ne voit pas plus que vous.',
  name: 'Nom',
  nameHint: 'par exemple : la caisse de Dunmarrow',
  doorHint: 'par exemple : le système de réservation',
  mayDo: 'Elle permet de',
  right: {
    look: 'voir les messages, les personnes et les chiffres',
    answer: 'répondre, changer les fils et les personnes',
    watch: 'changer les veilles et les alertes',
    import: 'faire entrer des fichiers et des clients',
    setUp: 'régler les profils et les messages',
    data: 'remettre et effacer les données des personnes',
  },
  lasts: 'Elle dure',
  days: '{n} jour | {n} jours',
  makeKey: 'Créer une clé',
  ends: 'jusqu’au {date}',
  ended: 'échue le {date}',
  used: 'utilisée le {date}',
  unused: 'pas encore utilisée',
  remove: 'Retirer',
  once: 's’affiche cette seule fois. Gardez-la là où seul le programme la lit.',
  copy: 'Copier',
  copied: 'Copié',
  useKey:
    'Le programme l’envoie avec chaque demande, dans l’en-tête « Authorization: Bearer » suivi de la clé.',
  doors: 'Clients d’autres systèmes',
  doorsText:
    'Une caisse, un système de réservation ou un formulaire envoie un message signé à chaque changement d’un client ou d’une visite (Standard Webhooks). Le même message deux fois ne change rien, et ce qui vient tard ne défait rien.',
  makeDoor: 'Créer une adresse',
  lastMessage: 'dernier message {t}',
  noMessage: 'aucun message encore',
  taken: '{n} client pris | {n} clients pris',
  refused: '{n} message refusé | {n} messages refusés',
  renew: 'Nouveau secret',
  useDoor: 'Les messages vont à {address} et sont signés avec ce secret. Un tel message dit :',
}
