import type { RouteName } from '@murrabel/contract'
import type { Things } from './twoBrands.ts'

/** A body that each route takes, about these things. */
export function bodyOf(name: RouteName, of: Things): unknown {
  const query = { anyOf: [{ text: 'boat' }] }
  const condition = { kind: 'reach', above: 1000 }
  const bodies: Partial<Record<RouteName, unknown>> = {
    signIn: { email: 'wynn@skerrivane.example', password: 'x' },
    correct: { sentiment: 'positive' },
    correctMany: { ids: [of.entry], sentiment: 'positive' },
    keepEntries: { ids: [of.entry], kept: true },
    reply: { text: 'Sorry', key: crypto.randomUUID(), edition: 1, anyway: true },
    threadEvent: { kind: 'finish' },
    tagThreads: { threads: [of.thread], add: ['galley'] },
    give: { to: of.colleague },
    handOff: { profileId: of.profile, address: 'x@customers.example' },
    cancelAction: {},
    changeReply: { text: 'Sorry again', key: crypto.randomUUID() },
    reportEntry: { reason: 'fake', key: crypto.randomUUID() },
    takeBackReply: { key: crypto.randomUUID() },
    createWatch: { name: 'A watch', query },
    updateWatch: { name: 'A watch', query },
    tuneWatch: { query },
    markHits: { marks: [{ entryId: of.entry, onTopic: true }] },
    pauseWatch: { paused: true },
    proposeWatches: { nicknames: ['Skerries'] },
    importWatches: { file: '{"format":"murrabel-watches","version":1,"watches":[]}' },
    createGroup: { name: `A group ${crypto.randomUUID().slice(0, 8)}` },
    updateGroup: { name: `A group ${crypto.randomUUID().slice(0, 8)}` },
    addPublicProfile: { address: 'https://nowhere.example/x', watchId: of.watch },
    changeVoice: { note: 'Writes often' },
    changePerson: { note: 'Writes often' },
    addFollowUp: { kind: 'followUp', what: 'Call', dueAt: '2026-12-01T09:00:00Z' },
    changeFollowUp: { kind: 'followUp', what: 'Call', dueAt: '2026-12-01T09:00:00Z' },
    finishFollowUp: { outcome: 'called' },
    joinPeople: { one: of.person, other: of.person },
    keepApart: { one: of.person, other: of.person },
    addWay: { kind: 'phone', value: '+44 7700 900142' },
    changeWay: { kind: 'email', value: 'new@customers.example', consent: true },
    saveWords: { words: [{ term: 'breezy', valence: 1 }] },
    saveAspects: { aspects: [{ name: 'Crew', terms: [{ text: 'crew' }] }] },
    wantLearning: { wanted: true },
    saveDoubt: { below: 0.6 },
    tryReading: { text: 'A breezy crossing' },
    tryAlert: { lens: '', condition, quietMinutes: 60 },
    createAlert: { name: 'An alert', lens: '', condition, quietMinutes: 60 },
    updateAlert: { name: 'An alert', lens: '', condition, quietMinutes: 60 },
    bellSeen: { upTo: 0 },
    connect: { network: 'lanternpage' },
    addChat: { name: 'Chat', origins: ['https://ferry.example'] },
    changeChat: { name: 'Chat', origins: ['https://ferry.example'] },
    connectEmail: {
      address: `x${crypto.randomUUID().slice(0, 8)}@skerrivane.example`,
      smtp: { host: 'mail.nowhere.example', port: 465 },
    },
    connectFeed: { address: 'http://127.0.0.1:1/feed' },
    importFeeds: { file: '<opml><body/></opml>' },
    connectSearch: { network: 'skimmer' },
    importDocument: 'no feed',
    startImport: {},
  }
  return bodies[name]
}
