import fc from 'fast-check'
import { changedBay } from '../../testdata/bay'
import { parseBuild } from '../../file/open/parseBuild'
import { MADE_UP_PARTS } from './madeUpParts'
import { parsePartText, partText } from './partFile'
import { bodiesWithPart, bodyOfPart, boxPlace, partOfBody } from './placedPart'
import { SHELF_SORTS } from './shelfPart'

const place = { stationMm: 300, leftMm: -120, upMm: 250 }

describe('parts of the shelf', () => {
  it('are of every sort, and each comes back from its file as it was', () => {
    expect(new Set(MADE_UP_PARTS.map(({ sort }) => sort))).toEqual(new Set(SHELF_SORTS))
    expect(new Set(MADE_UP_PARTS.map(({ id }) => id)).size).toBe(MADE_UP_PARTS.length)
    for (const part of MADE_UP_PARTS) expect(parsePartText(partText(part))).toEqual({ ok: true, value: part })
  })

  it('stand with their middle where they are put, and make a sound build', () => {
    for (const part of MADE_UP_PARTS.filter(({ sort }) => sort === 'item' || sort === 'transfer-case')) {
      const body = bodyOfPart(part, place, 'new-part')
      expect(boxPlace(body.box!)).toEqual(place)
      const build = changedBay((raw) => raw.bodies.push(JSON.parse(JSON.stringify(body))))
      expect(parseBuild(build).ok).toBe(true)
    }
  })

  it('taken from a body and put elsewhere have the same shape', () => {
    const outlines = [
      {
        view: 'side' as const,
        corners: [
          [0, 0],
          [40, 0],
          [20, 30],
        ] as [number, number][],
      },
    ]
    const body = { ...bodyOfPart({ ...MADE_UP_PARTS[9]!, outlines }, place, 'b') }
    const again = bodyOfPart(partOfBody(body, 'p')!, { stationMm: 0, leftMm: 0, upMm: 0 }, 'c')
    expect(again.outlines).toEqual(outlines)
    expect(partOfBody({ id: 'x', kind: 'item', name: 'x' }, 'p')).toBeNull()
  })

  it('an engine, a gearbox and an axle change the sizes that they are drawn by, and nothing else', () => {
    const build = changedBay()
    const sizesWith = (id: string) => {
      const bodies = bodiesWithPart(
        build,
        MADE_UP_PARTS.find((part) => part.id === id)!,
      )!
      expect(bodies.filter((body, i) => body !== build.bodies[i])).toHaveLength(1)
      const changed = bodies.find((body, i) => body !== build.bodies[i])!
      return 'sizes' in changed ? changed.sizes : null
    }
    // 600 of engine before, 560 of gearbox.
    expect(sizesWith('gearbox-long')).toMatchObject({ gearboxLengthMm: 640, lengthMm: 1240 })
    expect(sizesWith('engine-six')).toMatchObject({
      lengthMm: 1350,
      gearboxLengthMm: 560,
      aboveAxisMm: 480,
      belowAxisMm: 210,
    })
    expect(sizesWith('axle-heavy')).toMatchObject({
      trackMm: 1560,
      housingDiameterMm: 290,
      tyreDiameterMm: 680,
    })
    expect(bodiesWithPart({ bodies: [] }, MADE_UP_PARTS[0]!)).toBeNull()
  })
})

describe('a part file from anywhere', () => {
  const refusals: readonly (readonly [string, string])[] = [
    ['{', 'the file is no JSON'],
    ['[]', 'must be an object, got a list'],
    ['{"format":"lurvan-build","version":1,"part":{}}', 'must be one of: lurvan-part'],
    [partText({ ...MADE_UP_PARTS[0]!, sizeMm: [1, 2] as never }), 'must hold exactly 3 entries'],
    [partText({ ...MADE_UP_PARTS[0]!, sizeMm: [1, 2, -3] }), 'must be at least 1'],
    [partText({ ...MADE_UP_PARTS[0]!, sort: 'hovercraft' as never }), 'must be one of: engine'],
    [partText({ ...MADE_UP_PARTS[0]!, name: '' }), 'must not be empty'],
  ]
  it.each(refusals)('is refused with its place: %.60s', (text, reason) => {
    const read = parsePartText(text)
    if (read.ok) throw new Error('taken')
    expect(read.problems.map(({ message }) => message).join('; ')).toContain(reason)
  })

  it('never breaks the program, whatever it holds', () =>
    fc.assert(
      fc.property(fc.json(), (text) => {
        const read = parsePartText(text)
        expect(read.ok || read.problems.length > 0).toBe(true)
      }),
      { seed: 20261129 },
    ))
})
