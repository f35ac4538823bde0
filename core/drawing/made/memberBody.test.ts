import { parseBuild } from '../../file/open/parseBuild'
import { evaluateBuild } from '../../model/evaluateBuild'
import { MEMBERS } from '../../model/memberSubject'
import { foundOf } from '../../model/subject'
import { thingsOf } from '../../bay/things'
import { changedBay } from '../../testdata/bay'
import { isOtherwise, madeBodyId } from './madeBody'
import { memberBody } from './memberBody'

/** The crossmember of the tight bay at a setting, as a body. */
function bodyAt(settings: Record<string, number>, change: Parameters<typeof changedBay>[0] = () => {}) {
  const build = changedBay(change)
  const [found] = foundOf(evaluateBuild(build, settings).subjects, MEMBERS)
  const way = found!.ways.find(({ way: { id } }) => id === found!.member.chosen)!
  const body = memberBody(found!, way)
  if (!body.known) throw new Error(body.missing[0]!.what)
  return { build, found: found!, way, body: body.value, figures: way.figures.known ? way.figures.value : {} }
}
const view = (body: ReturnType<typeof bodyAt>['body'], name: string) =>
  body.outlines!.find((one) => one.view === name)!.corners

describe('a crossmember as a body of the bay', () => {
  it('lies where its rails and the gearbox are, as low as its lowest line', () => {
    const { body, found, way, figures } = bodyAt({})
    if (!found.seats.known) throw new Error('the seats were read')
    const { left, right } = found.seats.value
    const heights = view(body, 'side').map(([, height]) => height)
    const stations = view(body, 'side').map(([station]) => station)
    // The lowest line counts the heads of its bolts too; the bar itself ends above it by no more than those.
    expect(Math.min(...heights)).toBeGreaterThan(figures.lowestMm! - 0.1)
    expect(Math.min(...heights)).toBeLessThan(figures.lowestMm! + found.member.boltHeadMm! + 0.1)
    // As wide along the vehicle as its stock, about the line between its rails.
    const ends = [-left[0], -right[0]]
    expect(Math.max(...stations) - Math.min(...stations)).toBeGreaterThan(way.way.widthMm! - 0.2)
    expect((Math.min(...stations) + Math.max(...stations)) / 2).toBeCloseTo((ends[0]! + ends[1]!) / 2, 0)
    // From behind it reaches past both rails by half of an end.
    const offsets = view(body, 'front').map(([offset]) => offset)
    expect(Math.max(...offsets)).toBeCloseTo(left[1] + found.member.endMm / 2, 0)
    expect(Math.min(...offsets)).toBeCloseTo(right[1] - found.member.endMm / 2, 0)
    expect(body).toMatchObject({
      id: madeBodyId('bar', found.member.id),
      kind: 'item',
      name: found.member.name,
    })
  })

  it('is a body that the file lets in and the bay draws in all three views', () => {
    const { build, body } = bodyAt({})
    const parsed = parseBuild({ ...build, bodies: [...build.bodies, body] })
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
    const { things, unusable } = thingsOf(parsed.value, () => null)
    expect(unusable).not.toContain(body.name)
    expect(Object.keys(things.find((one) => one.body === body.id)!.views).sort()).toEqual([
      'front',
      'side',
      'top',
    ])
  })

  it('hangs otherwise once the gearbox is packed, and only then', () => {
    const { body } = bodyAt({})
    expect(isOtherwise(body, bodyAt({}).body)).toBe(false)
    const packed = bodyAt({ tail: 5 }).body
    expect(isOtherwise(body, packed)).toBe(true)
    expect(isOtherwise({}, body)).toBe(true)
    const tops = [body, packed].map((one) => Math.max(...view(one, 'front').map(([, height]) => height)))
    expect(tops[1]! - tops[0]!).toBeCloseTo(5, 0)
  })

  it('is a place kept free until its bar is cut, and unknown without its seats', () => {
    const stated = (state: string) =>
      bodyAt({}, (raw) => (raw.crossmembers[0].state = state)).body.provisional
    expect([stated('idea'), stated('template'), stated('cut'), stated('fitted')]).toEqual([
      true,
      true,
      undefined,
      undefined,
    ])
    const { found, way } = bodyAt({})
    const lost = memberBody(found, {
      ...way,
      figures: { known: false, missing: [{ path: '', what: 'its seats' }] },
    })
    expect(lost).toMatchObject({ known: false, missing: [{ what: 'its seats' }] })
  })
})
