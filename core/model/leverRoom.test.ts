import { changedBay } from '../testdata/bay'
import { compile } from './compile'
import { evaluateBuild } from './evaluateBuild'
import { leverRoom } from './leverRoom'

const bay = changedBay()
const roomAt = (settings: Record<string, number>) =>
  Math.min(
    ...evaluateBuild(bay, settings).gaps.flatMap(({ check }) =>
      check.value === null || check.window.failLow === null ? [] : [check.value - check.window.failLow],
    ),
  )

describe('what one lever of the tight bay may do', () => {
  const others = { tail: 4, 'radiator-fore': 4 }

  it('has its most room where no other setting has more', () => {
    const found = leverRoom(compile(bay), others, 'sideways')!
    expect(found.margin).toBeCloseTo(roomAt({ ...others, sideways: found.best }), 6)
    for (let at = -12; at <= 12; at += 0.5)
      expect(roomAt({ ...others, sideways: at })).toBeLessThanOrEqual(found.margin + 1e-6)
  })

  it('keeps every gap inside its window and loses one just outside', () => {
    const found = leverRoom(compile(bay), { 'radiator-fore': 4 }, 'fronts')!
    const [from, to] = found.window!
    expect(roomAt({ 'radiator-fore': 4, fronts: from + 1e-3 })).toBeGreaterThanOrEqual(0)
    expect(roomAt({ 'radiator-fore': 4, fronts: to - 1e-3 })).toBeGreaterThanOrEqual(0)
    if (to < 20) expect(roomAt({ 'radiator-fore': 4, fronts: to + 0.05 })).toBeLessThan(0)
    expect(found.stepped!.at % 1).toBe(0)
  })

  it('is nothing for a lever that is not there or a build without gaps', () => {
    expect(leverRoom(compile(bay), {}, 'nobody')).toBeNull()
    expect(leverRoom(compile({ ...bay, gaps: [] }), {}, 'fronts')).toBeNull()
  })
})
