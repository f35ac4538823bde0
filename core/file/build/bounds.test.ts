import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { dimensionsOf } from '../../show/parts/dimensions'
import { figurePlace } from '../../show/parts/figurePlace'
import { unknown } from '../../base/known'
import { changedDemo } from '../../testdata/builds'
import { demoBuild, rawDemos } from '../../testdata/demos'
import { boundsAt } from './bounds'
import { parseBuild } from '../open/parseBuild'

const COMPONENTS = join(__dirname, '../../../app/components')

/** Every field of a figure in the interface, by its file, with what it says of its place and its bounds. */
const fields = readdirSync(COMPONENTS, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.vue') && !file.startsWith('forms'))
  .flatMap((file) => {
    const text = readFileSync(join(COMPONENTS, file), 'utf8')
    return [...text.matchAll(/<Figure(?:Field|Input)\b[^]*?\/>/g)].map(([tag]) => ({
      file,
      tag,
      of: /\sof="([^"]+)"/.exec(tag)?.[1],
      isPlaced: /\s:?of="/.test(tag),
    }))
  })

describe('boundsAt', () => {
  it('says what the file lets in, through lists and kinds of things', () => {
    expect(boundsAt('gaps.warnBelow')).toEqual({ least: -1000, most: 1000 })
    expect(boundsAt('mating.stacks.parts.plusMm')).toEqual({ least: 0, most: 1000 })
    expect(boundsAt('lines.shafts.drivingEnd.slip-yoke.splineDiameterMm')).toEqual({ least: 1, most: 500 })
    expect(boundsAt('bodies.powertrain.rockDeg')).toEqual({ least: 0, most: 30 })
    expect(boundsAt('wayIn.liftMm')).toEqual({ least: 0, most: 10_000 })
  })

  it('refuses a place that the file does not have, and one that holds no figure', () => {
    expect(() => boundsAt('gaps.warnUnder')).toThrow('the file has no "warnUnder" there')
    expect(() => boundsAt('gaps.name')).toThrow('what stands there is no figure')
  })

  it('is what the door lets in: just at each bound, and no further', () => {
    const at = (warnBelow: number) => {
      const { raw } = rawDemos().find(({ id }) => id === 'sedge-wagon')!
      raw.gaps[0] = { ...raw.gaps[0], failBelow: undefined, warnBelow }
      return parseBuild(raw).ok
    }
    const { least, most } = boundsAt('gaps.warnBelow')
    expect([at(least), at(most), at(least - 0.1), at(most + 0.1)]).toEqual([true, true, false, false])
  })
})

describe('the fields of the interface', () => {
  it('take their bounds from the file, at places it has', () => {
    expect(fields.length).toBeGreaterThan(120)
    const placed = fields.filter(({ isPlaced }) => isPlaced)
    // What is only looked for, such as a gearing or how far wheels come up, is in no file.
    expect(fields.length - placed.length).toBeLessThanOrEqual(5)
    for (const { file, of } of placed)
      if (of !== undefined) expect([file, of, boundsAt(of).most > 0]).toEqual([file, of, true])
  })

  it('of a line’s parts name their places too', () => {
    const lines = [
      ...rawDemos().flatMap(({ id }) => demoBuild(id as 'osier-van').lines),
      ...changedDemo((raw) => {
        raw.lines[0].shafts[0].drivenEnd = { kind: 'flange', faceToJointMm: 40 }
      }).lines,
    ]
    const places = lines.flatMap((line) =>
      dimensionsOf(line, unknown('not asked')).flatMap(({ path }) => (path ? figurePlace(line, path) : [])),
    )
    expect(new Set(places).size).toBeGreaterThan(6)
    for (const place of places) expect(Number.isFinite(boundsAt(place).most)).toBe(true)
  })
})
