import type { H3Event } from 'h3'

/**
 * The body of a request as text, read no further than a limit.
 *
 * @returns null when it is larger
 */
export async function limitedBody(event: H3Event, limit: number): Promise<string | null> {
  const announced = Number(event.node.req.headers['content-length'] ?? 0)
  const chunks: Uint8Array[] = []
  let size = 0
  for await (const chunk of event.node.req) {
    const bytes = chunk as Uint8Array
    size += bytes.length
    // The rest is drained unseen: a closed socket would hide the answer from the sender.
    if (size <= limit) chunks.push(bytes)
    else if (size > DRAINED * limit) break
  }
  if (size > limit || announced > limit) return null
  return new TextDecoder().decode(Buffer.concat(chunks))
}

/** More than this many limits' worth is not even drained. */
const DRAINED = 4
