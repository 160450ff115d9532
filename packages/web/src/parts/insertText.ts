/**
 * Puts a text where the cursor of a field is, in the place of what is selected; the browser can undo it.
 *
 * @param changed told of the whole text where the browser does not tell it by itself
 */
export function insertText(field: HTMLTextAreaElement, text: string, changed: (whole: string) => void): void {
  field.focus()
  // There is no other way that keeps the browser's own undo.
  if (document.execCommand('insertText', false, text)) return
  field.setRangeText(text, field.selectionStart, field.selectionEnd, 'end')
  changed(field.value)
}
