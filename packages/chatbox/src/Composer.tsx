import { useEffect, useRef, useState } from 'preact/hooks'
import type { Conversation } from './conversation.ts'
import type { Texts } from './texts.ts'

/** As many characters as the server takes at once. */
export const longest = 2000

/** Where the visitor writes: Enter sends, Shift and Enter begins a new line. */
export function Composer({ conversation, texts }: { conversation: Conversation; texts: Texts }) {
  const [text, setText] = useState('')
  const field = useRef<HTMLTextAreaElement>(null)
  useEffect(() => field.current?.focus(), [])
  const over = text.trim().length - longest
  const send = () => {
    if (over > 0 || !text.trim()) return
    conversation.say(text)
    setText('')
    field.current?.focus()
  }
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        send()
      }}
    >
      <label>
        <span class="unseen">{texts.write}</span>
        <textarea
          ref={field}
          rows={2}
          placeholder={texts.write}
          value={text}
          aria-invalid={over > 0}
          aria-describedby={over > 0 ? 'over' : undefined}
          onInput={(event) => {
            setText(event.currentTarget.value)
            if (event.currentTarget.value.trim()) conversation.typing()
          }}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || event.shiftKey || event.isComposing) return
            event.preventDefault()
            send()
          }}
        />
      </label>
      <button type="submit" class="send" disabled={over > 0 || !text.trim()}>
        {texts.send}
      </button>
      {over > 0 && (
        <p id="over" class="failed" role="alert">
          {texts.tooLong(over)}
        </p>
      )}
    </form>
  )
}
