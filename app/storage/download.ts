/** Hands a text, or bytes, to the keeper as a file. */
export function downloadText(name: string, text: string | Uint8Array<ArrayBuffer>, type = 'application/json'): void {
  const url = URL.createObjectURL(new Blob([text], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  document.body.append(link)
  link.click()
  link.remove()
  // The browser has taken the blob by the next turn; some take a little longer to start the save.
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}
