export const escapeHtml = (text: string) =>
  text.replace(
    /[&<>"']/g,
    (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' })[c] ?? c,
  )

/** A plain public page of a stand-in network. */
export function page(network: string, body: string): string {
  return `<!doctype html><html lang="en"><meta charset="utf-8"><title>${escapeHtml(network)}</title>
<style>body{font:16px/1.5 Georgia,serif;max-width:44rem;margin:2rem auto;padding:0 1rem;color:#222}article{border-top:1px solid #bbb;padding:.6rem 0}
article article{margin-left:2rem}small{color:#666}form{margin:1rem 0}input,textarea,select,button{font:inherit}textarea{width:100%}</style>
<p><strong>${escapeHtml(network)}</strong> <small>a simulated network</small></p>${body}</html>`
}
