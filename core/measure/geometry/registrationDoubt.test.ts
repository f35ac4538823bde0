import { resultJson } from '../../show/result/resultJson'
import { changedDemo } from '../../testdata/builds'
import { runMonteCarlo } from '../../answers/uncertainty/monteCarlo'
import { sampleModel } from '../../answers/uncertainty/sampleModel'

type Raw = Record<string, any>
/** Five studs of the frame, one of them well below the plane of the others. */
const STUDS = [
  ['d1', 200, 410, 0],
  ['d2', 2400, -405, 0],
  ['d3', 2600, 400, 10],
  ['d4', 300, -400, -10],
  ['d5', 1300, 390, -160],
] as const

/** The demo with its frame measured from a line on the floor, and its gearbox end told from there. */
const registered = (
  edit: (raw: Raw) => void = () => undefined,
  studs: readonly (typeof STUDS)[number][] = STUDS,
) =>
  changedDemo((raw) => {
    for (const [id, along, across, up] of studs) {
      const side = across > 0 ? 'left' : 'right'
      const texts = [String(along), String(Math.abs(across)), String(Math.abs(up))]
      const [station, offset, height] = texts
      const way = up < 0 ? 'below' : 'above'
      raw.points.push({ id, name: `stud ${id}`, body: 'chassis', datum: true })
      raw.readings.push(
        { id: `${id}g`, kind: 'given-point', point: id, station, offset, side, height, heightWay: way },
        {
          id: `${id}s`,
          kind: 'setup-point',
          point: id,
          setup: 'setup-1',
          tool: 'tape',
          values: texts,
          acrossSide: side,
          upWay: way,
        },
      )
    }
    raw.readings.push({
      id: 'shot',
      kind: 'setup-point',
      point: 'output-joint',
      setup: 'setup-1',
      tool: 'tape',
      values: ['1178', '4', '56'],
      acrossSide: 'right',
    })
    edit(raw)
  })
const shot = (raw: Raw, id: string) => raw.readings.find((one: any) => one.id === `${id}s`)
const plusMinus = (build: ReturnType<typeof registered>) =>
  runMonteCarlo(sampleModel(build, {}), { samples: 600, seed: 3 }).figures['point/output-joint/stationMm']!
    .plusMinus

describe('what a registration says of itself', () => {
  it('is quiet while all fits', () => {
    const [report] = resultJson(registered()).registrations
    expect(report).toMatchObject({ setup: 'setup-1', known: true, suspect: null, faults: [] })
    expect(report!.rmsMm).toBeCloseTo(0, 6)
  })

  it('names a datum 40 mm out, and grows the ± of all that rests on it', () => {
    const off = registered((raw) => (shot(raw, 'd2').values[0] = '2440'))
    const [report] = resultJson(off).registrations
    expect(report!.suspect).toBe('d2')
    expect(report!.faults).toEqual([
      'On the floor, loaded: stud d2 does not fit the other datum points; look at it again',
    ])
    expect(plusMinus(off)).toBeGreaterThan(4 * plusMinus(registered()))
    expect(resultJson(off).assumptions.join()).toContain('stud d2 does not fit the other datum points')
  })

  it('tells of a datum whose text cannot be read, and goes on with the others', () => {
    const [report] = resultJson(registered((raw) => (shot(raw, 'd5').values[2] = '16O'))).registrations
    expect(report).toMatchObject({ known: true, faults: [expect.stringContaining('stud d5')] })
    expect(report!.misses).toHaveLength(4)
  })

  it('refuses flat datums whose sides were swapped: they fit upside down', () => {
    const flat = STUDS.slice(0, 4).map(
      ([id, along, across]) => [id, along, across, 0] as unknown as (typeof STUDS)[number],
    )
    const swapped = registered((raw) => {
      for (const [id] of flat)
        shot(raw, id).acrossSide = shot(raw, id).acrossSide === 'left' ? 'right' : 'left'
    }, flat)
    const [report] = resultJson(swapped).registrations
    expect(report).toMatchObject({ known: false, rmsMm: null })
    expect(report!.faults[0]).toContain('fit only upside down')
  })
})
