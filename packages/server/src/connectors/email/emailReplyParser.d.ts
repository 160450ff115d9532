declare module 'email-reply-parser' {
  interface Fragment {
    isHidden(): boolean
    isQuoted(): boolean
    isSignature(): boolean
    getContent(): string
  }
  export default class EmailReplyParser {
    read(text: string): { getFragments(): Fragment[] }
  }
}
