import { useEffect, useRef } from 'preact/hooks'
import type { ShownLine, View } from './conversation.ts'
import type { Texts } from './texts.ts'

interface LinesProps {
  view: View
  texts: Texts
  /** Tag of the visitor's language, with their country where it is known. */
  locale: string
  onAgain: (id: string) => void
}

/** What was said, the newest below. */
export function Lines({ view, texts, locale, onAgain }: LinesProps) {
  const end = useRef<HTMLDivElement>(null)
  const { lines, writing, site } = view
  useEffect(() => {
    const log = end.current?.parentElement
    if (log) log.scrollTop = log.scrollHeight
  }, [lines.length, writing])
  return (
    <div class="lines" role="log" aria-label={texts.log} aria-live="polite" tabIndex={0}>
      <p class="greeting">{site?.greeting || texts.greeting}</p>
      {lines.map((line) => (
        <Line key={line.id} line={line} texts={texts} locale={locale} onAgain={onAgain} />
      ))}
      {writing && <p class="writing">{texts.writing}</p>}
      <div ref={end} />
    </div>
  )
}

function Line({ line, texts, locale, onAgain }: Omit<LinesProps, 'view'> & { line: ShownLine }) {
  const own = line.from === 'visitor'
  const at = new Date(line.at)
  const today = at.toDateString() === new Date().toDateString()
  const time = new Intl.DateTimeFormat(locale, {
    hour: '2-digit',
    minute: '2-digit',
    ...(today ? {} : { day: 'numeric', month: 'short' }),
  }).format(at)
  return (
    <div class={own ? 'line own' : 'line'}>
      <small>
        {own ? texts.yours : line.name} <time dateTime={line.at}>{time}</time>
        {line.byMail && ` · ${texts.byMail}`}
        {line.state === 'sending' && ` · ${texts.sending}`}
      </small>
      <p>{withLinks(line.text)}</p>
      {line.state === 'failed' && (
        <p class="failed" role="alert">
          {line.code === 'chatTooFast' ? texts.tooFast : texts.failed}{' '}
          <button type="button" class="link" onClick={() => onAgain(line.id)}>
            {texts.again}
          </button>
        </p>
      )}
    </div>
  )
}

const address = /(https?:\/\/[^\s<>"]*[^\s<>".,;:!?)\]])/

/** Web addresses can be followed; everything else is text, whatever it looks like. */
export const withLinks = (text: string) =>
  text.split(address).map((part, i) =>
    i % 2 ? (
      <a key={i} href={part} target="_blank" rel="noopener noreferrer">
        {part}
      </a>
    ) : (
      part
    ),
  )
