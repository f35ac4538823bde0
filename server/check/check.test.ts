import { demoBuild, rawDemo } from '../../core/testdata/builds'
import { contentSecurityPolicy } from '../contentSecurityPolicy'
import { checkedText, MOST_WORK, type CheckAnswer } from './checkedText'
import { checkQueue, type CheckThread } from './checkQueue'

describe('checkedText', () => {
  it('gives the result of a build, with and without its ±', () => {
    const text = JSON.stringify(demoBuild())
    const plain = checkedText(text, 0)
    if (!plain.ok) throw new Error('refused')
    expect(JSON.parse(plain.json)).toMatchObject({ verdict: 'out', uncertainty: null })
    const sampled = checkedText(text, 200)
    if (!sampled.ok) throw new Error('refused')
    expect(JSON.parse(sampled.json).uncertainty).toMatchObject({ samples: 200 })
  })

  it('refuses what asks for too much sampling, and checks it without', () => {
    const raw = rawDemo()
    const [line] = raw.lines
    raw.lines = Array.from({ length: 20 }, (_, i) => ({ ...line, id: `l${i}` }))
    raw.points.push(
      ...Array.from({ length: 150 }, (_, i) => ({ id: `p${i}`, name: `p${i}`, body: 'chassis' })),
    )
    for (let i = 0; i < 150; i++)
      for (const kind of ['point-station', 'point-height'])
        raw.readings.push({ id: `${kind}${i}`, kind, point: `p${i}`, setup: 'setup-1', values: ['10'] })
    const refused = checkedText(JSON.stringify(raw), 20_000)
    expect(refused).toMatchObject({ ok: false, status: 422 })
    expect(!refused.ok && refused.problems[0]!.message).toContain(
      `more than the server samples (${MOST_WORK})`,
    )
    expect(checkedText(JSON.stringify(raw), 0).ok).toBe(true)
  })

  it('answers any text with a reason', () => {
    for (const text of ['', '[]', '{', 'null', '"x"', '{"format":"lurvan-build","version":99,"name":"x"}']) {
      const answer = checkedText(text, 100)
      expect([text, answer]).toEqual([text, expect.objectContaining({ ok: false, status: 400 })])
      expect(!answer.ok && answer.problems.every(({ message }) => message.length > 10)).toBe(true)
    }
    // Nothing to judge is no fault.
    const empty = checkedText('{"format":"lurvan-build","version":1,"name":"x"}', 100)
    expect(empty.ok && (JSON.parse(empty.json) as { verdict: string }).verdict).toBe('unknown')
  })
})

/** A thread that answers when it is told to. */
function fakeThread() {
  let answer: (answer: CheckAnswer) => void = () => undefined
  let broken: () => void = () => undefined
  const asked: string[] = []
  const thread: CheckThread & { isEnded: boolean } = {
    isEnded: false,
    postMessage: ({ text }) => void asked.push(text),
    onAnswer: (listener) => void (answer = listener),
    onBroken: (listener) => void (broken = listener),
    end: () => void (thread.isEnded = true),
  }
  return { thread, asked, answer: (json: string) => answer({ ok: true, json }), break: () => broken() }
}
const tick = () => new Promise((resolve) => setTimeout(resolve))

describe('checkQueue', () => {
  it('checks one after the other in one thread', async () => {
    const fake = fakeThread()
    const queue = checkQueue(() => fake.thread)
    const answers = [1, 2, 3].map((i) => queue.check(`${i}`, 0))
    await tick()
    expect(fake.asked).toEqual(['1'])
    for (const i of [1, 2, 3]) {
      fake.answer(`${i}`)
      await tick()
    }
    expect((await Promise.all(answers)).map((one) => one.ok && one.json)).toEqual(['1', '2', '3'])
  })

  it('ends what takes too long, and goes on with a new thread', async () => {
    const started: ReturnType<typeof fakeThread>[] = []
    const queue = checkQueue(
      () => {
        started.push(fakeThread())
        return started.at(-1)!.thread
      },
      { longestMs: 30, mostWaiting: 5 },
    )
    expect(await queue.check('slow', 0)).toMatchObject({ ok: false, status: 422 })
    expect(started[0]!.thread.isEnded).toBe(true)
    const next = queue.check('quick', 0)
    await tick()
    started[1]!.answer('done')
    expect(await next).toEqual({ ok: true, json: 'done' })
  })

  it('says so when the thread breaks, and when too many wait', async () => {
    const fake = fakeThread()
    const queue = checkQueue(() => fake.thread, { longestMs: 1000, mostWaiting: 2 })
    const [first, second, third] = ['a', 'b', 'c'].map((text) => queue.check(text, 0))
    expect(await third).toMatchObject({ ok: false, status: 503 })
    await tick()
    fake.break()
    expect(await first).toMatchObject({ ok: false, status: 422 })
    await tick()
    fake.answer('b')
    expect(await second).toEqual({ ok: true, json: 'b' })
  })
})

describe('the content security policy', () => {
  const html =
    '<script>alert(1)</script><script src="/x.js"></script><script type="application/json">{}</script>'

  it('names the scripts that stand in the page by their hash, and lets no other run', () => {
    const policy = contentSecurityPolicy(html)
    // Base64 of the SHA-256 of "alert(1)".
    expect(policy).toContain("script-src 'self' 'sha256-bhHHL3z2vDgxUt0W3dWQOrprscmda2Y5pLsLg4GF+pI='")
    expect(policy.match(/sha256-/g)).toHaveLength(1)
    expect(policy).toContain("frame-ancestors 'none'")
    expect(policy).not.toMatch(/script-src[^;]*unsafe/)
  })
})
