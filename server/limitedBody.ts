import { Buffer } from 'node:buffer'
import { setResponseHeader, type H3Event } from 'h3'

/** More than this many limits' worth is not even drained. */
const DRAINED = 4

/**
 * The body of a request as text, read no further than a limit.
 *
 * @returns null when it is larger, or broke off
 */
export function limitedBody(event: H3Event, limit: number): Promise<string | null> {
  const { req } = event.node
  const announced = Number(req.headers['content-length'] ?? 0)
  const chunks: Uint8Array[] = []
  let size = 0
  return new Promise((resolve) => {
    const isOver = () => size > limit || announced > limit
    const tooLarge = () => {
      // The rest is left in the pipe: the connection ends with the answer. Destroying it here would take the answer along.
      req.pause()
      setResponseHeader(event, 'connection', 'close')
      resolve(null)
    }
    req.on('data', (chunk: Uint8Array) => {
      size += chunk.length
      // The rest is drained unseen: a closed socket would hide the answer from the sender.
      if (!isOver()) chunks.push(chunk)
      else if (size > DRAINED * limit) tooLarge()
    })
    req.on('end', () => resolve(isOver() ? null : new TextDecoder().decode(Buffer.concat(chunks))))
    req.on('error', () => resolve(null))
    req.on('close', () => resolve(null))
  })
}
