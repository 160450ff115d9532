import { parentPort, workerData } from 'node:worker_threads'
import { fit, type Sizes } from './fit.ts'
import { unpackExamples, type FitQuestion, type PackedExamples } from './fitInThreads.ts'

/** Finds the model of a set of examples. */
const { packed, sizes } = workerData as { packed: PackedExamples; sizes: Sizes }
const examples = unpackExamples(packed)

parentPort!.on('message', ({ set }: FitQuestion) =>
  parentPort!.postMessage(
    fit(
      set.map((i) => examples[i]!),
      sizes,
    ),
  ),
)
