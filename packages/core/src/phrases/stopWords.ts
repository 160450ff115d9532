import { deu, eng, fra, spa } from 'stopword'
import { foldAccents } from '../text/index.ts'

/** Parts that our own splitting at apostrophes leaves: "don't" is "don" and "t". */
const parts =
  's t d m ll ve re don doesn didn isn wasn weren couldn wouldn shouldn hasn haven won l qu j n c est quelqu jusqu lorsqu puisqu quoiqu aujourd hui'.split(
    ' ',
  )
/** Words the published list has not, and which say nothing by themselves. */
const more =
  'us she his its it my our their them were when where why some any all more most been being too am um also just even still really very much one two get got go goes went would could should http https www amp via rt'.split(
    ' ',
  )

/** Little words of one language that name things in another: a car, a son. */
const things = new Set('car son sons die pour ton hat war sale main face fin'.split(' '))

const stopWords = new Set(
  [...eng, ...fra, ...spa, ...deu, ...parts, ...more]
    .flatMap((word) => foldAccents(word).split(/['’]/))
    .filter((word) => !things.has(word)),
)

/** Whether a folded word only holds sentences together, in any of the languages that are read. */
export const isStopWord = (word: string) => stopWords.has(word)

/** Verbs of saying: they tell something only with what is said. */
const saying = new Set(
  'say says said saying tell tells telling told ask asks asked asking dit dire disent dice dicen decir sagt sagen'.split(
    ' ',
  ),
)

/** Whether a folded word that is no stop word says nothing when it stands alone. */
export const saysNothingAlone = (word: string) => saying.has(word)
