import fontUrl from 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf?url'

/** The letters as they came with the application. */
export async function loadFont(): Promise<ArrayBuffer> {
  const answer = await fetch(fontUrl)
  if (!answer.ok) throw new Error(`the letters for printing could not be loaded (${answer.status})`)
  return answer.arrayBuffer()
}
