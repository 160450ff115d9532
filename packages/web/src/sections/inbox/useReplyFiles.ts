import { computed, ref, watch, type Ref } from 'vue'
import { routes, type AttachmentAnswer, type ThreadAnswer } from '@murrabel/contract'
import { call, CallProblem, sendFile } from '../../api/call.ts'

/** Files that are to go with an answer: each is sent to the server at once, so that sending the answer is quick. */
export function useReplyFiles(thread: () => ThreadAnswer, problem: Ref<CallProblem | null>) {
  const reply = () => thread().reply
  const files = ref<AttachmentAnswer[]>([...thread().draftFiles])
  // What was put there on another machine, or comes back from a lead; what is gone there stays here until it is tried.
  watch(
    () => thread().draftFiles,
    (kept) => {
      const known = new Set(files.value.map(({ id }) => id))
      files.value.push(...kept.filter(({ id }) => !known.has(id) && !dropped.has(id)))
      // The server knows of it now: what it names from here on came back.
      for (const id of dropped) if (!kept.some((file) => file.id === id)) dropped.delete(id)
    },
  )
  /** Taken away here; the server may not know yet. */
  const dropped = new Set<number>()
  const coming = ref(0)
  /** Something was left out because only pictures go with an answer here. */
  const noPicture = ref(false)
  const bytes = computed(() => files.value.reduce((sum, file) => sum + file.bytes, 0))

  async function add(given: Iterable<File>): Promise<void> {
    problem.value = null
    const takes = reply().files
    const all = [...given]
    const wanted = takes?.pictures ? all.filter(({ type }) => type.startsWith('image/')) : all
    noPicture.value = wanted.length < all.length
    for (const file of wanted) {
      coming.value++
      try {
        files.value.push(
          await sendFile(routes.addAttachment, {
            file,
            query: [
              ['name', file.name],
              ['thread', String(thread().id)],
            ],
          }),
        )
      } catch (error) {
        if (!(error instanceof CallProblem)) throw error
        problem.value = error
      } finally {
        coming.value--
      }
    }
  }
  async function drop(id: number): Promise<void> {
    dropped.add(id)
    files.value = files.value.filter((file) => file.id !== id)
    await call(routes.dropAttachment, { params: { id } }).catch(() => {})
  }
  const tooMuch = computed(() => {
    const most = reply().files
    return most !== null && (files.value.length > most.most || bytes.value > most.bytes)
  })
  return {
    files,
    coming,
    bytes,
    tooMuch,
    noPicture,
    add,
    drop,
    ids: () => files.value.map(({ id }) => id),
    /** They went with the answer. */
    clear(): void {
      for (const { id } of files.value) dropped.add(id)
      files.value = []
    },
  }
}
