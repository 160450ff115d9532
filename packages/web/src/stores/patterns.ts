import { defineStore } from 'pinia'
import { ref } from 'vue'
import { patternKey, textIn } from '@murrabel/core/replies'
import { routes, type PatternAnswer, type SignOffAnswer } from '@murrabel/contract'
import { call } from '../api/call.ts'

/** What answers begin and end with, as the team keeps it. */
export const usePatterns = defineStore('patterns', () => {
  const patterns = ref<PatternAnswer[] | null>(null)
  const signOffs = ref<SignOffAnswer[] | null>(null)
  async function load(): Promise<void> {
    ;[patterns.value, signOffs.value] = await Promise.all([call(routes.patterns), call(routes.signOffs)])
  }
  async function loadSignOffs(): Promise<void> {
    signOffs.value = await call(routes.signOffs)
  }
  /** Finds the text of a pattern by its name, in a language. */
  const texts = (language: string) => (name: string) => {
    const found = patterns.value?.find((each) => patternKey(each.name) === patternKey(name))
    return found && textIn(found.texts, language)?.text
  }
  return { patterns, signOffs, load, loadSignOffs, texts }
})
