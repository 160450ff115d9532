export { escapeMarkup, htmlOf, plainOf, readMarkup } from './markup.ts'
