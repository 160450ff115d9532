import { expect, test } from 'vitest'
import { englishMessages, englishQuestions } from '../src/sentences/englishTalk.ts'
import { fittingAnswers } from '../src/sentences/fittingAnswers.ts'
import { french, german, spanish } from '../src/sentences/otherLanguages.ts'

const asked = [
  ...englishQuestions,
  ...englishMessages.request,
  ...french.questions,
  ...spanish.questions,
  ...german.questions,
]

test.each(asked)('"%s" has an answer that fits, in its own language', (question) => {
  const answer = fittingAnswers.find(([words]) => words.test(question))?.[1]
  expect(answer).toBeDefined()
  const language = question.includes('¿')
    ? /Hola/
    : [...french.questions].includes(question)
      ? /Bonjour|Oui/
      : german.questions.includes(question)
        ? /Guten Tag/
        : /^(?!Bonjour|Hola|Guten)/
  expect(answer).toMatch(language)
})

test('every answer is given to something', () => {
  for (const [words, answer] of fittingAnswers)
    expect(
      asked.some((question) => fittingAnswers.find(([each]) => each.test(question))?.[1] === answer),
      String(words),
    ).toBe(true)
})
