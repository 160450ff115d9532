import { availableParallelism } from 'node:os'
import { Worker } from 'node:worker_threads'
import type { Example, Sizes } from './fit.ts'

/** Examples end to end, in memory that threads share. */
export interface PackedExamples {
  /** Where the features of each begin; one more than there are examples. */
  starts: Int32Array
  ids: Int32Array
  values: Float32Array
  targets: Float64Array
  weights: Float64Array
}

/** What a thread is asked: the model of some of the examples, by their places. */
export interface FitQuestion {
  set: readonly number[]
}

const shared = (bytes: number) => new SharedArrayBuffer(bytes)

export function packExamples(examples: readonly Example[]): PackedExamples {
  const outputs = examples[0]?.targets.length ?? 0
  const size = examples.reduce((sum, { ids }) => sum + ids.length, 0)
  const packed: PackedExamples = {
    starts: new Int32Array(shared(4 * (examples.length + 1))),
    ids: new Int32Array(shared(4 * size)),
    values: new Float32Array(shared(4 * size)),
    targets: new Float64Array(shared(8 * outputs * examples.length)),
    weights: new Float64Array(shared(8 * examples.length)),
  }
  examples.forEach(({ ids, values, targets, weight = 1 }, i) => {
    const start = packed.starts[i]!
    packed.starts[i + 1] = start + ids.length
    packed.ids.set(ids, start)
    packed.values.set(values, start)
    packed.targets.set(targets, i * outputs)
    packed.weights[i] = weight
  })
  return packed
}

export function unpackExamples({ starts, ids, values, targets, weights }: PackedExamples): Example[] {
  const outputs = targets.length / Math.max(1, weights.length)
  return [...weights].map((weight, i) => ({
    ids: ids.subarray(starts[i], starts[i + 1]),
    values: values.subarray(starts[i], starts[i + 1]),
    targets: targets.subarray(i * outputs, (i + 1) * outputs),
    weight,
  }))
}

/**
 * The models of several sets of the same examples, as `fit` finds them, a thread a core.
 *
 * @param sets places of examples
 * @throws when a thread fails
 */
export async function fitInThreads(
  examples: readonly Example[],
  { features, dense, little }: Sizes,
  sets: readonly (readonly number[])[],
): Promise<Float64Array[]> {
  const packed = packExamples(examples)
  const fitted: Float64Array[] = []
  let next = 0
  const work = async (): Promise<void> => {
    const thread = new Worker(new URL('fitThread.mjs', import.meta.url), {
      workerData: { packed, sizes: { features, dense, little } },
      execArgv: [],
    })
    try {
      while (next < sets.length) {
        const at = next++
        const answer = new Promise<Float64Array>((resolve, reject) => {
          thread.once('message', resolve)
          thread.once('error', reject)
        })
        thread.postMessage({ set: sets[at]! } satisfies FitQuestion)
        fitted[at] = await answer
        thread.removeAllListeners('error')
      }
    } finally {
      await thread.terminate()
    }
  }
  await Promise.all(Array.from({ length: Math.min(availableParallelism(), sets.length) }, work))
  return fitted
}
