/** Hands bytes or text to the browser as a file. */
export function download(name: string, content: string | Uint8Array, type: string): void {
  const url = URL.createObjectURL(new Blob([content as BlobPart], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  // The download has its own hold on the data by the next turn of the loop.
  setTimeout(() => URL.revokeObjectURL(url), 1000)
}
