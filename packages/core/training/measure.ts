import { heads, outputs, sentiments, wishes, type Head } from '../src/meaning/model.ts'
import { answersOf, fit, logitsOf, type Example, type Sizes } from './fit.ts'
import type { Lesson } from './readTexts.ts'

const folds = 6

/** Which part a trade belongs to: by its name, so that a new trade moves no other. FNV-1a. */
function foldOf(trade: string): number {
  let hash = 0x811c9dc5
  for (let i = 0; i < trade.length; i++) hash = Math.imul(hash ^ trade.charCodeAt(i), 0x01000193)
  return (hash >>> 0) % folds
}

/** Texts that are judged by a model which has seen others; by their places. */
export interface Part {
  held: number[]
  /** None of a trade that is held, nor what says the same as a held text. */
  seen: number[]
}

/** @param copies by text, those that say the same */
export function partsOf(
  lessons: readonly Pick<Lesson, 'trade'>[],
  copies: ReadonlyMap<number, readonly number[]> = new Map(),
): Part[] {
  const folded = lessons.map(({ trade }) => foldOf(trade))
  const all = lessons.map((_, i) => i)
  return Array.from({ length: folds }, (_, fold) => {
    const isHeld = (i: number) => folded[i] === fold
    return {
      held: all.filter(isHeld),
      seen: all.filter((i) => !isHeld(i) && !copies.get(i)?.some(isHeld)),
    }
  })
}

/** Texts with what models said of them that have not seen them. */
export interface Held {
  lessons: Lesson[]
  /** By output. */
  logits: Float64Array[]
  weights: number[]
}

/**
 * @param weights the model of each part
 * @param counts how much each text counts; alike if left out
 */
export function judged(
  examples: readonly Example[],
  lessons: readonly Lesson[],
  {
    parts,
    weights,
    counts,
  }: { parts: readonly Part[]; weights: readonly Float64Array[]; counts?: readonly number[] },
): Held {
  const found: Held = { lessons: [], logits: [], weights: [] }
  parts.forEach(({ held }, n) => {
    for (const i of held) {
      found.lessons.push(lessons[i]!)
      found.logits.push(logitsOf(examples[i]!, weights[n]!))
      found.weights.push(counts?.[i] ?? 1)
    }
  })
  return found
}

/**
 * What a model says of a text that has not seen its trade in any language, nor a text that says the same.
 *
 * @param copies by text, those that say the same
 */
export function heldBack(
  examples: readonly Example[],
  lessons: readonly Lesson[],
  sizes: Sizes,
  copies: ReadonlyMap<number, readonly number[]> = new Map(),
): Held {
  const parts = partsOf(lessons, copies)
  const weights = parts.map(({ seen }) =>
    fit(
      seen.map((i) => examples[i]!),
      sizes,
    ),
  )
  return judged(examples, lessons, { parts, weights })
}

const target: Record<Head, (lesson: Lesson) => number> = {
  sentiment: ({ sentiment }) => sentiment,
  wish: ({ wish }) => wish,
  answer: ({ wantsAnswer }) => wantsAnswer,
}

function answered(logits: Float64Array, head: Head, temperature: number): number[] {
  const into = new Float64Array(outputs)
  answersOf(
    logits.map((x) => x / temperature),
    head,
    into,
  )
  return [...into.subarray(...heads[head])]
}

/** The temperature that makes held-back answers most likely (Guo et al. 2017). */
export function temperatureOf(
  logits: readonly Float64Array[],
  lessons: readonly Lesson[],
  head: Head,
  weights: readonly number[] = logits.map(() => 1),
): number {
  let best = { temperature: 1, loss: Infinity }
  for (let temperature = 0.5; temperature <= 4; temperature += 0.05) {
    let loss = 0
    logits.forEach((each, i) => {
      const parts = answered(each, head, temperature)
      const right = target[head](lessons[i]!)
      loss -=
        weights[i]! *
        (head === 'answer'
          ? right * Math.log(parts[0]! + 1e-9) + (1 - right) * Math.log(1 - parts[0]! + 1e-9)
          : Math.log(parts[right]! + 1e-9))
    })
    if (loss < best.loss) best = { temperature: Math.round(temperature * 100) / 100, loss }
  }
  return best.temperature
}

export interface HeadFigures {
  texts: number
  right: number
  /** Of the texts with a mood, those that were said the opposite; for sentiment. */
  opposite: number
  /** Expected calibration error: how far confidence lies from the share that is right, over ten steps of confidence. */
  calibration: number
  /** Rows: what it is; columns: what was said. */
  confusion: number[][]
}

/**
 * How well a head does on texts whose trade was held back.
 *
 * @param weights how much each text counts; alike if left out
 */
export function figuresOf(
  logits: readonly Float64Array[],
  lessons: readonly Lesson[],
  head: 'sentiment' | 'wish',
  temperature: number,
  weights: readonly number[] = logits.map(() => 1),
): HeadFigures {
  const labels: readonly string[] = head === 'sentiment' ? sentiments : wishes
  const confusion = labels.map(() => labels.map(() => 0))
  const steps = Array.from({ length: 10 }, () => ({ right: 0, confidence: 0 }))
  logits.forEach((each, i) => {
    const parts = answered(each, head, temperature)
    const confidence = Math.max(...parts)
    const said = parts.indexOf(confidence)
    const right = target[head](lessons[i]!)
    const weight = weights[i]!
    confusion[right]![said]! += weight
    const step = steps[Math.min(9, Math.floor(confidence * 10))]!
    step.confidence += weight * confidence
    if (said === right) step.right += weight
  })
  const n = weights.reduce((sum, weight) => sum + weight, 0)
  const right = labels.reduce((sum, _, k) => sum + confusion[k]![k]!, 0) / n
  const moody = confusion[0]!.concat(confusion.at(-1)!).reduce((a, b) => a + b)
  return {
    texts: lessons.length,
    right,
    opposite: (confusion[0]!.at(-1)! + confusion.at(-1)![0]!) / moody,
    calibration: steps.reduce((sum, { right: r, confidence }) => sum + Math.abs(r - confidence), 0) / n,
    confusion,
  }
}

/** Share of texts for which wanting an answer, or not, is told rightly; those that may want one are left out. */
export function answerRight(logits: readonly Float64Array[], lessons: readonly Lesson[]): number {
  const clear = lessons.flatMap(({ wantsAnswer }, i) => (wantsAnswer === 0.5 ? [] : [{ wantsAnswer, i }]))
  return (
    clear.filter(({ wantsAnswer, i }) => logits[i]![outputs - 1]! > 0 === (wantsAnswer === 1)).length /
    clear.length
  )
}
