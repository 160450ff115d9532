import createDOMPurify from 'dompurify'

export interface MailMarkup {
  /** A whole document for a frame. */
  document: string
  /** Pictures from elsewhere that were left out. */
  pictures: number
}

const policy = "default-src 'none'; img-src 'self' data:; style-src 'unsafe-inline'"
const base = `<meta charset="utf-8"><meta http-equiv="Content-Security-Policy" content="${policy}"><style>
html{background:#fff;color:#1b1f24}body{margin:12px;font:15px/1.5 sans-serif;overflow-wrap:anywhere}img{max-width:100%;height:auto}table{max-width:100%}
</style>`

/**
 * A mail's HTML as it may be shown: nothing that runs, asks, or fetches; pictures of the mail itself in their places,
 * those from elsewhere only by way of our server, when they are wanted.
 *
 * @param options.inline address of a picture by the Content-ID it is named by
 * @param options.remote address on our server of a picture from elsewhere; null leaves them out
 */
export function mailMarkup(
  html: string,
  {
    inline,
    remote,
  }: { inline: (cid: string) => string | null; remote: ((address: string) => string) | null },
): MailMarkup {
  const purify = createDOMPurify(window)
  let pictures = 0
  purify.addHook('afterSanitizeAttributes', (node) => {
    if (node.tagName === 'A') {
      node.setAttribute('target', '_blank')
      node.setAttribute('rel', 'noopener noreferrer nofollow')
    }
    if (node.tagName !== 'IMG') return
    // The sanitiser takes addresses away that it does not know, such as those of the mail's own pictures.
    const given = node.getAttribute('data-source') ?? ''
    node.removeAttribute('data-source')
    node.removeAttribute('src')
    const isRemote = /^https?:/i.test(given)
    const address = isRemote ? (remote?.(given) ?? null) : inline(given.replace(/^cid:/i, ''))
    if (address) node.setAttribute('src', address)
    else if (isRemote) pictures++
    if (!address && !node.getAttribute('alt')) node.remove()
  })
  purify.addHook('uponSanitizeElement', (node) => {
    if (node instanceof Element && node.tagName === 'IMG' && !node.hasAttribute('data-source'))
      node.setAttribute('data-source', node.getAttribute('src') ?? '')
  })
  const clean = purify.sanitize(html, {
    FORBID_TAGS: [
      'form',
      'input',
      'button',
      'select',
      'textarea',
      'option',
      'audio',
      'video',
      'source',
      'link',
      'base',
    ],
    FORBID_ATTR: ['srcset', 'background', 'ping', 'autofocus', 'poster'],
    ALLOW_DATA_ATTR: true,
    USE_PROFILES: { html: true },
  })
  return { document: `<!doctype html>${base}${clean}`, pictures }
}
