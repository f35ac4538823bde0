import { Readable } from 'node:stream'
import { limitedBody } from './limitedBody'

/** A request as the server sees it: a stream with headers. */
const request = (chunks: readonly string[], headers: Record<string, string> = {}) => {
  const req = Object.assign(Readable.from(chunks.map((chunk) => Buffer.from(chunk))), { headers })
  return { node: { req, res: { setHeader: () => undefined } } } as never
}

describe('limitedBody', () => {
  it('puts the pieces of a body together, whole letters across them', async () => {
    const bytes = Buffer.from('grün')
    const event = {
      node: { req: Object.assign(Readable.from([bytes.subarray(0, 3), bytes.subarray(3)]), { headers: {} }) },
    }
    expect(await limitedBody(event as never, 100)).toBe('grün')
    expect(await limitedBody(request([]), 100)).toBe('')
  })

  it('reads no more than its limit, whatever the sender announced', async () => {
    expect(await limitedBody(request(['x'.repeat(101)]), 100)).toBeNull()
    expect(await limitedBody(request(['short'], { 'content-length': '101' }), 100)).toBeNull()
    expect(await limitedBody(request(['x'.repeat(60), 'x'.repeat(40)]), 100)).toHaveLength(100)
  })

  it('answers a body that breaks off', async () => {
    const broken = new Readable({
      read() {
        this.destroy(new Error('ECONNRESET'))
      },
    })
    const event = { node: { req: Object.assign(broken, { headers: {} }) } }
    expect(await limitedBody(event as never, 100)).toBeNull()
  })

  it('gives up draining a body without end', async () => {
    let sent = 0
    const endless = Readable.from(
      (function* () {
        for (;;) {
          sent++
          yield Buffer.alloc(50)
        }
      })(),
    )
    const told: string[] = []
    const res = { setHeader: (name: string, value: string) => void told.push(`${name}: ${value}`) }
    const event = { node: { req: Object.assign(endless, { headers: {} }), res } }
    expect(await limitedBody(event as never, 100)).toBeNull()
    expect(sent).toBeLessThan(60)
    // The connection must live until the answer is out: the server's own book-keeping stumbles over one that is gone.
    expect([endless.destroyed, told]).toEqual([false, ['connection: close']])
  })
})
