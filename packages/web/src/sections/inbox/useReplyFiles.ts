import { computed, ref, type Ref } from 'vue'
import { routes, type AttachmentAnswer, type ThreadAnswer } from '@murrabel/contract'
import { call, CallProblem, sendFile } from '../../api/call.ts'

/** Files that are to go with an answer: each is sent to the server at once, so that sending the answer is quick. */
export function useReplyFiles(reply: () => ThreadAnswer['reply'], problem: Ref<CallProblem | null>) {
  const files = ref<AttachmentAnswer[]>([])
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
        files.value.push(await sendFile(routes.addAttachment, { file, query: [['name', file.name]] }))
      } catch (error) {
        if (!(error instanceof CallProblem)) throw error
        problem.value = error
      } finally {
        coming.value--
      }
    }
  }
  async function drop(id: number): Promise<void> {
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
    clear: () => (files.value = []),
  }
}
