export { post, sendLetter, type Letter } from './letters.ts'
export { isRefusedForGood, smtpTransport } from './transport.ts'
