import { changedBay } from '../../testdata/bay'
import { plateScene } from '../../drawing/plateScene'
import { plateNotes } from '../../show/text/plateNotes'
import { resultJson } from '../../show/result/resultJson'
import type { Plate } from '../../file/kinds/plateKinds'
import { plateAnswer } from './plateAnswer'

const hole = (id: string, xMm: number, yMm: number) => ({ id, holeMm: 10, boltMm: 9, at: { xMm, yMm } })
/** Three holes, 15 of metal about their middles; the first line runs upward. */
const PLATE: Plate = {
  ...{ id: 'p', name: 'plate', thicknessMm: 8, marginMm: 10, seenFrom: 'front' },
  holes: [hole('A', 0, 0), hole('B', 0, 100), hole('C', 80, 50)],
}
const zone = (changed: object) => ({
  ...PLATE,
  zones: [
    { id: 'z', name: 'alternator', alongMm: 50, asideMm: 40, longMm: 40, wideMm: 30, gapMm: 5, ...changed },
  ],
})

describe('what lies on a plate', () => {
  it('is laid from the first hole along the first line; its room is what is left beyond its gap', () => {
    // Left of the line is -x: its near side stands at -25, the metal ends at -15, 5 of gap.
    const { zones } = plateAnswer(zone({}))
    expect(zones.known && zones.value[0]).toMatchObject({ roomMm: expect.closeTo(5, 6), hides: [] })
    const near = plateAnswer(zone({ asideMm: 25 }))
    expect(plateNotes(near)).toEqual([
      { text: 'alternator: cut the plate back by 10.0 mm there.', verdict: 'out' },
    ])
    expect(plateNotes(plateAnswer(zone({ asideMm: 60 })))).toEqual([
      { text: 'alternator: 25.0 mm more than its gap are free.', verdict: 'holds' },
    ])
    const scene = plateScene(zone({ asideMm: 25 }), near, 500)!
    expect(scene.zones).toEqual([{ id: 'z', points: expect.any(Array), isHit: true }])
  })

  it('that hides a bolt wants an access tube', () => {
    const over = plateAnswer(zone({ alongMm: 95, asideMm: 0 }))
    expect(over.zones.known && over.zones.value[0]!.hides).toEqual(['B'])
    expect(plateNotes(over)[1]!.text).toBe(
      'alternator hides the bolt of hole B: an access tube through it, and a longer bolt.',
    )
  })

  it('stands in the published result', () => {
    const build = changedBay((raw) => {
      raw.plates[0].zones = [{ id: 'z', name: 'pump', alongMm: 900, asideMm: 0, longMm: 10, wideMm: 10 }]
    })
    const { plates } = resultJson(build) as any
    expect(plates[0].zones).toEqual([{ zone: 'z', roomMm: expect.any(Number), hides: [] }])
    expect(plates[0].zones[0].roomMm).toBeGreaterThan(300)
  })
})
