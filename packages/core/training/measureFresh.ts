import { readMeaning, type MeaningReading } from '../src/meaning/index.ts'
import { sentiments, wishes } from '../src/meaning/model.ts'
import { readTexts, trainedLanguages, type Lesson } from './readTexts.ts'

export interface FreshFigures {
  /** What was written at a time. */
  set: string
  texts: number
  right: number
  /** Of the texts with a mood, those that were said the opposite. */
  opposite: number
  wishRight: number
}

/** How the models read texts that no model was trained on and no list was written for, by set. */
export function freshFigures(language: string): FreshFigures[] {
  const lessons = readTexts(language, 'fresh')
  return [...new Set(lessons.map(({ trade }) => trade))].map((file) => {
    const read = lessons
      .filter(({ trade }) => trade === file)
      .map((lesson) => ({ lesson, meaning: readMeaning(lesson.text, { language, kind: lesson.kind }) }))
    const share = (of: typeof read, holds: (lesson: Lesson, meaning: MeaningReading) => boolean) =>
      of.filter(({ lesson, meaning }) => holds(lesson, meaning)).length / of.length
    const said = ({ sentiment }: MeaningReading) =>
      sentiments.indexOf(sentiment.label as (typeof sentiments)[number])
    return {
      set: file.replace('.txt', ''),
      texts: read.length,
      right: share(read, (lesson, meaning) => said(meaning) === lesson.sentiment),
      opposite: share(
        read.filter(({ lesson }) => lesson.sentiment !== sentiments.indexOf('neutral')),
        (lesson, meaning) => said(meaning) === sentiments.length - 1 - lesson.sentiment,
      ),
      wishRight: share(read, (lesson, meaning) => meaning.wish.label === wishes[lesson.wish]),
    }
  })
}

export function tellFresh(): void {
  for (const language of trainedLanguages)
    for (const { set, texts, right, opposite, wishRight } of freshFigures(language))
      console.log(
        `${language}, fresh, ${set}: ${texts} texts, right ${right.toFixed(3)}, said the opposite ${opposite.toFixed(3)}, wish right ${wishRight.toFixed(3)}`,
      )
}
