import type { FieldProblem } from '../problems.ts'

/**
 * Why a field, a file or a row was refused: the sentence in English, with the places of its figures and names. The
 * interface has the same sentences in its other languages under the same names.
 */
export const fieldReasons = {
  // Files
  emptyFile: 'The file is empty.',
  ownEntities: 'The file declares entities of its own, which are not read. Export it again without them.',
  manyFeeds: 'The list has {n} feeds; at most {most} are taken. Split it.',
  manyWatchesInFile: 'The file has {n} watches; at most {most} are taken. Split it.',
  feedNeither: 'This is neither XML nor JSON.',
  feedEntities: 'This is a document type with declarations of its own, which are not read.',
  feedXml: 'This is not well-formed XML.',
  feedChannel: 'This is XML, but neither an RSS channel nor an Atom feed.',
  feedJson: 'This is not valid JSON.',
  feedNotJsonFeed: 'This is JSON, but not a JSON Feed.',
  fewColumns: 'The first line must name at least two columns, divided by commas, semicolons, tabs or bars.',
  manyColumns: 'The table has {n} columns; at most {most} can be taken. Is it the right file?',
  manyRows: 'The table has {n} rows; at most {most} can be taken at once. Split it.',
  noRows: 'There are no rows under the heading.',
  quoteOpen:
    'The quotation mark in line {line} is never closed: everything from there to the end was taken for its text. Close it, or take it out, and choose the file again.',
  lineUnreadable: 'Line {line} cannot be read: {said}.',
  noColumn: 'The table has no column "{name}".',
  noTextOrRating: 'Say which column holds the text or the rating.',
  noWhoColumn:
    'Say which column holds the customer number, the e-mail address, the phone number or the booking reference.',
  dateOrder: 'Dates such as {date} can be read in two ways. Say whether the day or the month comes first.',
  // Rows of a file
  rowSwallowed:
    'a quotation mark that opens here is closed only in line {to}: the rows between were read as its text',
  rowWidth: 'the row has another number of cells than the heading',
  rowRating: 'a rating is a number from 1 to 5',
  rowEmpty: 'there is neither text nor a rating',
  rowDate: 'the date cannot be read; write it as 2026-11-25 or 25.11.2026',
  rowUndated: 'the article has no date that can be; it counts from today',
  rowFuture: 'the date lies in the future',
  mailUnreadable: 'this is no mail that can be read: {said}',
  chatLineUnreadable: 'this is no line of a conversation: {said}',
  rowNobody:
    'nobody can be known again by it: there is neither a customer number, an e-mail address, a phone number nor a booking reference',
  rowEmail: 'this is no e-mail address',
  rowPhone: 'this is no phone number; write it with its country, such as +44 7700 900142',
  rowPhoneCountry:
    'the number has no country; say which country such numbers are in, or write it as +44 7700 900142',
  rowPhoneShortened:
    'a spreadsheet has shortened this number, and its last digits are lost; export the column as text',
  rowVisitDate: 'a visit lies between 30 years ago and 3 years ahead',
  rowNoDate: 'there is a visit, but no date',
  rowParty: 'a party is a whole number from 1 to 10,000',
  rowPrice: 'this is no price, such as 84.50',
  rowState: 'this says neither booked, done, failed nor cancelled',
  rowConsent: 'this says neither yes nor no',
  rowLanguage: 'this is no language code, such as fr',
  cardUnreadable: 'this is no card that can be read: {said}',
  rowPlace: 'there is no place of this name; there are {places}',
  // Addresses
  noAddress: 'This is not a web address.',
  lensOfNone: 'A lens on what no lens shows cannot be kept: it would ask about itself.',
  patternUnclosed: 'A slot is opened with {open} and never closed on its line.',
  patternSlot: 'There is no slot "{slot}"; there are {slots}.',
  patternFallback: 'Say what stands there when it is not known, such as {example}.',
  patternUnknown: 'There is no pattern "{name}".',
  patternLoop: 'The pattern would take itself in: {names}.',
  patternLong: 'With all that it takes in, the text has {n} characters; an answer has at most {most}.',
  patternTakenBy: 'It is taken in by {names}.',
  noColleague: 'This colleague is not on the team of this brand.',
  nameMissing: 'Enter your name.',
  passwordShort: 'A password has at least 10 characters.',
  hoursOrder: 'It closes before it opens. A night that ends after midnight closes on the next day.',
  hoursOverlap: 'It opens again before it has closed.',
  hoursRange: 'Opening times lie within the day, closing times before the end of the next.',
  noCurrency: 'Say in which currency.',
  noEmail: 'This is no e-mail address.',
  nobodyKnown:
    'Nobody can be known again by this: give a reference, an e-mail address, a phone number, or a visit.',
  noPhone: 'This is no telephone number with its country, such as +44 7700 900142.',
  notPublic: 'This address lies inside our own network; only public addresses are fetched.',
  feedLarge: 'The document is larger than 10 MB.',
  addressAnswered: 'The address answered: {said}.',
  addressElsewhere: 'This address belongs to another brand here.',
  mailSignIn: 'The server refused the user name or password: {said}.',
  mailAnswered: 'The server did not answer as a mail server: {said}.',
  otherNetwork: 'This is no address on {networks}, whose public profiles can be looked at.',
  lookFailed: 'Looking at it failed: {said}.',
  lookedAtAlready: 'This profile is looked at already.',
  // Watches, groups, alerts, aspects, tags, replies
  groupGone: 'The group it is to lie in is no more. Choose another.',
  groupTooDeep: 'Groups lie at most {most} deep. Choose one higher up.',
  manyWatches: 'A brand has at most {most} watches, and there are {n} already. Delete some first.',
  manyTags: 'A brand has at most {most} tags. Use one that is there.',
  tooOften: 'It would have told {n} times in {days} days, {aDay} a day; at most {most} a day are taken.',
  aspectTwice: '"{name}" stands twice in the list. Keep one.',
  aspectTerm: '"{term}" cannot be looked for in "{name}": write a word or phrase.',
  replyParts: 'It would be sent as {n} text messages; at most {most} are taken.',
  replyLong: 'At most {most} characters fit here; the reply has {n}.',
} as const

export type FieldReason = keyof typeof fieldReasons
export type ReasonValues = Record<string, string | number>

/** @example reasonText('noColumn', { name: 'stars' }) // 'The table has no column "stars".' */
export const reasonText = (reason: FieldReason, values: ReasonValues = {}): string =>
  fieldReasons[reason].replace(/\{(\w+)\}/g, (_, name: string) => String(values[name] ?? ''))

/** One field that is refused for a reason of the list. */
export const fieldProblem = (
  field: string,
  reason: FieldReason,
  { values = {}, value }: { values?: ReasonValues; value?: string } = {},
): FieldProblem => ({ field, code: reason, message: reasonText(reason, values), values, value })
