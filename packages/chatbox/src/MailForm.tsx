import { useState } from 'preact/hooks'
import type { Conversation } from './conversation.ts'
import type { Texts } from './texts.ts'

interface MailFormProps {
  why: 'closed' | 'waiting'
  conversation: Conversation
  texts: Texts
}

/** Asks for an address at which the conversation goes on. */
export function MailForm({ why, conversation, texts }: MailFormProps) {
  const [email, setEmail] = useState('')
  const [name, setName] = useState('')
  const [problem, setProblem] = useState('')
  const [busy, setBusy] = useState(false)
  const leave = async () => {
    if (!/^[^\s@<>"]+@[^\s@<>"]+$/.test(email.trim())) return setProblem(texts.wrongEmail)
    setBusy(true)
    const code = await conversation.leaveMail(email.trim(), name.trim())
    setBusy(false)
    setProblem(code === null ? '' : code === 'invalid' ? texts.wrongEmail : texts.noServer)
  }
  return (
    <form
      class="mail"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void leave()
      }}
    >
      <p role="status">{why === 'closed' ? texts.askClosed : texts.askWaiting}</p>
      <label>
        {texts.email}
        <input
          type="email"
          autocomplete="email"
          maxLength={254}
          value={email}
          aria-invalid={problem !== ''}
          aria-describedby={problem ? 'wrong' : undefined}
          onInput={(event) => setEmail(event.currentTarget.value)}
        />
      </label>
      <label>
        {texts.name}
        <input
          autocomplete="name"
          maxLength={80}
          value={name}
          onInput={(event) => setName(event.currentTarget.value)}
        />
      </label>
      {problem && (
        <p id="wrong" class="failed" role="alert">
          {problem}
        </p>
      )}
      <button type="submit" class="send" disabled={busy || !email.trim()}>
        {texts.leave}
      </button>
    </form>
  )
}
