import type { en } from './en.ts'

/** Keys of the texts below one, as they are asked for. */
type KeysOf<Texts, Before extends string = ''> = {
  [Key in keyof Texts & (string | number)]: Texts[Key] extends string | readonly string[]
    ? `${Before}${Key}`
    : KeysOf<Texts[Key], `${Before}${Key}.`>
}[keyof Texts & (string | number)]

/** Every group of texts, such as "lens.channel". */
type GroupsOf<Texts, Before extends string = ''> = {
  [Key in keyof Texts & (string | number)]: Texts[Key] extends string | readonly string[]
    ? never
    : `${Before}${Key}` | GroupsOf<Texts[Key], `${Before}${Key}.`>
}[keyof Texts & (string | number)]

export type MessageGroup = GroupsOf<typeof en>

/** Every text there is: what is asked for under another name does not compile. */
export type MessageKey = KeysOf<typeof en>
