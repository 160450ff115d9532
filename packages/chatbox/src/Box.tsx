import { useEffect, useMemo, useRef, useState } from 'preact/hooks'
import type { Conversation, View } from './conversation.ts'
import { Composer } from './Composer.tsx'
import { Lines } from './Lines.tsx'
import { MailForm } from './MailForm.tsx'
import { paintOf } from './paint.ts'
import type { Texts } from './texts.ts'

export interface BoxProps {
  conversation: Conversation
  texts: Texts
  /** Tag of the visitor's language, with their country where it is known. */
  locale: string
  /** As the script tag names it, until the server is asked. */
  colour?: string
}

function useView(conversation: Conversation): View {
  const [view, setView] = useState(conversation.view)
  useEffect(() => conversation.onChange(() => setView(conversation.view)), [conversation])
  return view
}

/** "tomorrow at 08:00", "Monday at 08:00": when somebody is there again. */
export function whenOpen(opensAt: string, locale: string, now: number): string {
  const at = new Date(opensAt)
  const time = new Intl.DateTimeFormat(locale, { hour: '2-digit', minute: '2-digit' }).format(at)
  const start = (ms: number) => new Date(ms).setHours(0, 0, 0, 0)
  const days = Math.round((start(at.getTime()) - start(now)) / 86_400_000)
  if (days === 0) return time
  const day =
    days === 1
      ? new Intl.RelativeTimeFormat(locale, { numeric: 'auto' }).format(1, 'day')
      : new Intl.DateTimeFormat(locale, { weekday: 'long' }).format(at)
  return `${day}, ${time}`
}

/** The button in the corner of the page, and the box it opens. */
export function Box({ conversation, texts, locale, colour }: BoxProps) {
  const view = useView(conversation)
  const [shown, setShown] = useState(false)
  const opener = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    conversation.show(shown)
    if (!shown) return
    const timer = setInterval(() => conversation.tick(), 5000)
    return () => clearInterval(timer)
  }, [conversation, shown])
  const shut = () => {
    setShown(false)
    opener.current?.focus()
  }
  const { site, unread } = view
  const paint = useMemo(() => paintOf(site ? site.colour : colour), [site, colour])
  const title = texts.title(site?.brand ?? '').trim()
  return (
    <>
      {shown && (
        <section
          id="box"
          class="box"
          style={paint}
          role="dialog"
          aria-label={title}
          onKeyDown={(event) => {
            if (event.key === 'Escape') shut()
          }}
        >
          <div class="head">
            {site?.logo && <img class="logo" src={site.logo} alt="" />}
            <div class="who">
              <b>{site?.brand ?? ''}</b>
              <small>
                {site && (site.open ? texts.here : texts.away(whenOpen(site.opensAt!, locale, Date.now())))}
              </small>
            </div>
            <button type="button" class="shut" aria-label={texts.shut} onClick={shut}>
              <svg viewBox="0 0 16 16" aria-hidden="true">
                <path d="M3 3l10 10M13 3L3 13" />
              </svg>
            </button>
          </div>
          <Lines view={view} texts={texts} locale={locale} onAgain={(id) => conversation.again(id)} />
          {view.away && (
            <p class="note" role="alert">
              {texts.noServer}{' '}
              <button type="button" class="link" onClick={() => void conversation.loadSite()}>
                {texts.again}
              </button>
            </p>
          )}
          {view.line === 'lost' && (
            <p class="note" role="status">
              {texts.lost}
            </p>
          )}
          {view.ask && <MailForm why={view.ask} conversation={conversation} texts={texts} />}
          {view.email && (
            <p class="note" role="status">
              {texts.left(view.email)}
            </p>
          )}
          <Composer conversation={conversation} texts={texts} />
        </section>
      )}
      <button
        ref={opener}
        type="button"
        class="opener"
        style={paint}
        aria-expanded={shown}
        aria-controls="box"
        onClick={() => (shown ? shut() : setShown(true))}
      >
        {shown ? texts.shut : texts.open}
        {unread > 0 && (
          <span class="unread" role="status">
            <span aria-hidden="true">{unread}</span>
            <span class="unseen">{texts.unread(unread)}</span>
          </span>
        )}
      </button>
    </>
  )
}
