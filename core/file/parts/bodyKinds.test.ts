import { bodyOfPart } from '../../bay/shelf/placedPart'
import { MADE_UP_PARTS } from '../../bay/shelf/madeUpParts'
import { rawDemos } from '../../testdata/demos'
import { BODY_KIND_NAMES } from './body'
import { BODY_KINDS } from './bodyKinds'
import { parseBuild } from '../open/parseBuild'

describe('BODY_KINDS', () => {
  it('lets a build have one powertrain, and as many items as it likes', () => {
    const doubled = (id: string, kind: string) => {
      const { raw } = rawDemos().find((one) => one.id === id)!
      const body = raw.bodies.find((one: { kind: string }) => one.kind === kind)
      raw.bodies.push({ ...body, id: 'another' })
      const parsed = parseBuild(raw)
      return parsed.ok ? '' : parsed.problems.map(({ message }) => message).join()
    }
    expect(doubled('sedge-wagon', 'powertrain')).toContain('must hold no more than one powertrain')
    expect(doubled('sedge-wagon', 'item')).toBe('')
    expect(BODY_KIND_NAMES.filter((kind) => BODY_KINDS[kind].isOnly)).toEqual(['powertrain'])
  })

  it('gives a box and a place to stand to what comes from the shelf', () => {
    const placed = MADE_UP_PARTS.filter(({ sort }) => sort === 'item' || sort === 'transfer-case').map(
      (part) => bodyOfPart(part, { stationMm: 0, leftMm: 0, upMm: 0 }, 'new'),
    )
    expect(placed.length).toBeGreaterThan(3)
    for (const { kind, box } of placed) {
      expect(box).toBeDefined()
      expect([BODY_KINDS[kind].hasBox, BODY_KINDS[kind].mayStandOn]).toEqual([true, true])
    }
  })
})
