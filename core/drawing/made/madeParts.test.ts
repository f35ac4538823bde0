import { parseBuild } from '../../file/open/parseBuild'
import type { Outline } from '../../file/parts/outline'
import { COPED_TUBES } from '../../model/copedTubeSubject'
import { evaluateBuild } from '../../model/evaluateBuild'
import { PLATES } from '../../model/plateSubject'
import { foundOf } from '../../model/subject'
import { changedMakingBay } from '../../testdata/bay'
import { stoodPlate } from '../../testdata/stoodPlate'
import type { Known } from '../../base/known'
import type { ItemBody } from '../../file/parts/body'
import { plateBody } from './plateBody'
import { tubeBody } from './tubeBody'

const tubeIn = (change: (raw: any) => void = () => {}) => {
  const [found] = foundOf(evaluateBuild(changedMakingBay(change), {}).subjects, COPED_TUBES)
  return { found: found!, body: tubeBody(found!) }
}
const plateIn = (change: (raw: any) => void = () => {}, settings: Record<string, number> = {}) => {
  const build = changedMakingBay((raw) => {
    stoodPlate(raw)
    change(raw)
  })
  const [found] = foundOf(evaluateBuild(build, settings).subjects, PLATES)
  return { build, found: found!, body: plateBody(found!) }
}
const told = (body: Known<ItemBody>): ItemBody => {
  if (!body.known) throw new Error(JSON.stringify(body.missing))
  return body.value
}
const missing = (body: Known<ItemBody>) => (body.known ? [] : body.missing.map(({ what }) => what))
/** How far a view reaches, across and up. */
const reach = ({ outlines = [] }: ItemBody, view: Outline['view']) => {
  const { corners } = outlines.find((one) => one.view === view)!
  return [0, 1].map((axis) => {
    const all = corners.map((corner) => corner[axis]!)
    return [Math.min(...all), Math.max(...all)] as const
  })
}
const wide = (body: ItemBody, view: Outline['view']) => reach(body, view).map(([from, to]) => to - from)

describe('a tube as a body of the bay', () => {
  it('reaches from ear to ear of its copes, as thick as it is', () => {
    const { found, body } = tubeIn()
    const { figures, ends } = found.found.known ? found.found.value : { figures: {}, ends: [] }
    // From (1240, 70 left, 60 down) to (960, 326 left, 23 down), 38 mm thick: a way along each of the views, and the rings across it.
    const parts = [280, 256, 37].map((mm) => mm / Math.hypot(280, 256, 37))
    const ears = figures.axisMm! - ends.reduce((sum, one) => sum + one.figures.tipMm!, 0)
    const spans = parts.map((part) => ears * part + 38 * Math.sqrt(1 - part * part))
    const [along, left] = wide(told(body), 'top') as [number, number]
    expect([along, left]).toEqual([expect.closeTo(spans[0]!, -0.5), expect.closeTo(spans[1]!, -0.5)])
    expect(wide(told(body), 'front')[1]).toBeCloseTo(spans[2]!, -0.5)
    expect(told(body)).toMatchObject({ id: 'tube-strut', kind: 'item', provisional: true })
  })

  it('ends at its points where it is cut square, and is unknown without one', () => {
    const square = tubeIn((raw) => raw.copedTubes[0].ends.forEach((end: any) => delete end.main))
    const [stations] = reach(told(square.body), 'side')
    expect(stations![0]).toBeCloseTo(960 - 19 * Math.sqrt(1 - (280 / Math.hypot(280, 256, 37)) ** 2), 0)
    const lost = tubeIn((raw) => {
      raw.readings = raw.readings.filter(({ point }: any) => point !== 'strut-head')
    })
    expect(missing(lost.body).length).toBeGreaterThan(0)
    const nowhere = tubeIn((raw) => {
      const [head, foot] = ['strut-head', 'strut-foot'].map((id) =>
        raw.readings.find(({ point }: any) => point === id),
      )
      Object.assign(head, { ...foot, id: head.id, point: 'strut-head' })
      raw.copedTubes[0].ends.forEach((end: any) => delete end.main)
    })
    expect(missing(nowhere.body)).toEqual(['two ends that are apart'])
  })
})

describe('a plate as a body of the bay', () => {
  it('stands by three of its holes, its thickness before the face that it lies on', () => {
    const { build, found, body } = plateIn()
    expect(found.standing).toMatchObject({ known: true, value: { missMm: expect.closeTo(0, 6) } })
    const { thicknessMm, marginMm, holes } = found.plate
    // Square across the vehicle, looked at from the front.
    expect(reach(told(body), 'side')[0]).toEqual([
      expect.closeTo(500 - thicknessMm, 1),
      expect.closeTo(500, 1),
    ])
    const places = found.answer.plate.known ? [...found.answer.plate.value.places.values()] : []
    const xs = places.map(([x]) => x)
    const across = Math.max(...xs) - Math.min(...xs) + holes[0]!.holeMm + 2 * marginMm
    expect(wide(told(body), 'front')[0]).toBeCloseTo(across, 0)
    const parsed = parseBuild({ ...build, bodies: [...build.bodies, told(body)] })
    expect(parsed.ok || parsed.problems).toBe(true)
  })

  it('goes along with the body that its points are on', () => {
    const heights = (tail: number) => reach(told(plateIn(() => {}, { tail }).body), 'side')[1]!
    expect(Math.abs(heights(5)[1] - heights(0)[1])).toBeGreaterThan(0.3)
  })

  it('is somewhere once its holes are known and their points are read', () => {
    expect(missing(plateIn((raw) => delete raw.plates[0].stands).body)).toEqual([
      'three of its holes at points of the vehicle',
    ])
    expect(missing(plateIn((raw) => delete raw.plates[0].plate).body).length).toBeGreaterThan(0)
    const unread = plateIn((raw) => {
      raw.readings = raw.readings.filter(({ point }: any) => point !== 'plate-A')
    })
    expect(missing(unread.body)[0]).toContain('plate face at A')
  })

  it('is refused where it stands twice by one hole, or by a hole or a point that is not there', () => {
    const problems = (change: (stands: any[]) => void) => {
      const { build } = plateIn()
      const raw = structuredClone(build) as any
      change(raw.plates[0].stands)
      const parsed = parseBuild(raw)
      return parsed.ok ? [] : parsed.problems.map(({ path, message }) => `${path}: ${message}`)
    }
    expect(problems(() => {})).toEqual([])
    expect(problems((stands) => (stands[1].hole = 'A'))[0]).toContain(
      'plates[0].stands[1].hole: "A" is there twice',
    )
    expect(problems((stands) => (stands[2].hole = 'Z'))[0]).toContain('there is no hole "Z"')
    expect(problems((stands) => (stands[2].point = 'nowhere'))[0]).toContain('plates[0].stands[2].point')
    expect(problems((stands) => stands.pop())[0]).toContain('plates[0].stands')
  })
})
