import { NO_MOVE } from '../base/linalg/mat3'
import { evaluateBuild } from '../model/evaluateBuild'
import { changedBay } from '../testdata/bay'
import { drawnUnread } from './drawnGaps'
import { thingsOf } from './things'

/** The tight bay without what was read of one gap. */
const without = (gap: string) =>
  changedBay((raw) => {
    raw.readings = raw.readings.filter((one: { gap?: string }) => one.gap !== gap)
  })
const drawn = (gap: string, settings: Record<string, number> = {}) => {
  const build = without(gap)
  const now = evaluateBuild(build, settings)
  const { things } = thingsOf(build, (body) => {
    const move = now.moves.get(body)
    return move?.known ? move.value : NO_MOVE
  })
  return drawnUnread(build, now, things)
}

describe('a gap that nobody has read', () => {
  it('is told by outlines, from its touch point to the first side of the obstacle', () => {
    // The touch point of the head stands 27 mm before the drawn firewall, as near as taping to a centimetre has it.
    const [head, ...rest] = drawn('head-firewall')
    expect(rest).toEqual([])
    expect(head).toMatchObject({ gap: 'head-firewall', view: 'side' })
    expect(head!.mm).toBeGreaterThan(15)
    expect(head!.mm).toBeLessThan(40)
    expect(head!.to[0] - head!.from[0]).toBeCloseTo(head!.mm, 9)
  })

  it('follows the levers', () => {
    const [before] = drawn('head-firewall')
    const [after] = drawn('head-firewall', { fore: 10 })
    expect(after!.mm - before!.mm).toBeGreaterThan(8)
    expect(after!.mm - before!.mm).toBeLessThan(12)
  })

  it('is not told once it is read: what was read wins', () => {
    const build = changedBay()
    const { things } = thingsOf(build, () => NO_MOVE)
    expect(drawnUnread(build, evaluateBuild(build, {}), things)).toEqual([])
  })

  it('is not told where nothing of the obstacle is drawn that way', () => {
    expect(drawn('manifold-frame')).toEqual([])
  })
})
