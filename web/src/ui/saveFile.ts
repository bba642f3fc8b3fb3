/** Hands a file to the browser to be saved. */
export function saveFile(content: Blob, name: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(content)
  link.download = name
  link.click()
  // The download has begun by then; the address is no longer needed.
  setTimeout(() => URL.revokeObjectURL(link.href), 2000)
}
