import two from '../testdata/chain-two.json'
import three from '../testdata/chain-three.json'
import arms from '../testdata/chain-swingarm.json'
import faces from '../testdata/sprocket-alignment.json'
import { chainBuild } from '../testdata/chainBuild'
import type { ChainEvaluation } from './chainEvaluation'
import { evaluateBuild } from '../model/evaluateBuild'

const casesOf = (file: any) => (file.cases as any[]).map((one) => [one.id, one] as const)
const only = (...of: Parameters<typeof chainBuild>): ChainEvaluation =>
  evaluateBuild(chainBuild(...of), {}).chains[0] as ChainEvaluation
const value = <T>(figure: { known: true; value: T } | { known: false }): T => {
  if (!figure.known) throw new Error(JSON.stringify(figure))
  return figure.value
}

describe('two sprockets as the file of a build', () => {
  const real = casesOf(two).filter(([, { expect: want }]) => !want.error)
  it.each(real)('%s', (_id, { input, expect: want }) => {
    const { n1, n2, pitch_mm: pitch, centre_mm: centre } = input
    const found = only(pitch, [
      { x: 0, z: 0, teeth: n1 },
      { x: -centre, z: 0, teeth: n2 },
    ])
    expect(value(found.neededMm)).toBeCloseTo(want.length_mm.chordal, 5)
    expect(value(found.centreMm)).toBeCloseTo(centre, 6)
    expect(value(found.linksToOrder)).toBe(want.links_even_up.chordal)
    expect(value(found.loop).contacts.map(({ wrapDeg }) => wrapDeg)).toEqual(
      want.wrap_deg.map((one: number) => expect.closeTo(one, 5)),
    )
  })
})

describe('several sprockets as the file of a build', () => {
  const told = ({ x_mm: x, z_mm: z, teeth, side }: any) => ({ x, z, teeth, outside: side === 'outside' })

  it.each(casesOf(three).filter(([, { expect: want }]) => !want.error))(
    '%s',
    (_id, { input, expect: want }) => {
      const found = only(input.pitch_mm, input.sprockets.map(told))
      expect(value(found.neededMm)).toBeCloseTo(want.length_mm.chordal, 5)
      expect(value(found.loop).spans.map(({ lengthMm }) => lengthMm)).toEqual(
        want.span_mm.map((one: number) => expect.closeTo(one, 5)),
      )
    },
  )

  // Told the other way round it is the same chain, but for one that is pressed from outside.
  const round = casesOf(three).filter(
    ([, { input, expect: want }]) =>
      !want.error && input.sprockets.every(({ side }: any) => side !== 'outside'),
  )
  it('has chains that close either way round', () => expect(round.length).toBeGreaterThan(2))
  it.each(round)('%s, told the other way round', (_id, { input }) => {
    const found = only(input.pitch_mm, input.sprockets.map(told))
    const [first, ...rest] = input.sprockets.map(told)
    const turned = only(input.pitch_mm, [first, ...rest.toReversed()])
    expect(value(turned.neededMm)).toBeCloseTo(value(found.neededMm), 9)
    expect(value(turned.loop).isClockwise).toBe(true)
    expect(value(turned.loop).spans.map(({ lengthMm }) => lengthMm)).toEqual(
      value(found.loop)
        .spans.map(({ lengthMm }) => expect.closeTo(lengthMm, 9))
        .toReversed(),
    )
  })

  it('says why sprockets that overlap hold no chain', () => {
    const { loop, slack } = only(15.875, [
      { x: 0, z: 0, teeth: 30 },
      { x: -100, z: 0, teeth: 30 },
      { x: -600, z: 0, teeth: 30 },
    ])
    expect(loop).toEqual({
      known: false,
      missing: [{ what: expect.stringContaining('sprockets 1 and 2 overlap'), path: '' }],
    })
    expect(slack.known).toBe(false)
  })

  it('says that an idler is not touched', () => {
    const { loop } = only(15.875, [
      { x: 0, z: 0, teeth: 15 },
      { x: -620, z: 0, teeth: 45 },
      { x: -300, z: -300, teeth: 12, outside: true, idler: true },
    ])
    expect(loop.known ? [] : loop.missing[0]?.what).toContain('a sprocket is not touched by the chain')
  })
})

describe('the slots of a chain as the lever of a build', () => {
  // Only straight up can be a lever of a body that is shifted; leaning slots are the core's own.
  const slotted = casesOf(three).filter(
    ([, { input, expect: want }]) => input.slot && !want.error && input.slot.dir[0] === 0,
  )
  it('has slots that stand upright', () => expect(slotted.length).toBeGreaterThan(0))

  it.each(slotted)('%s', (_id, { input, expect: want }) => {
    const { index, dir, range_mm: range } = input.slot
    const long = Math.hypot(dir[0], dir[1])
    const found = only(
      input.pitch_mm,
      input.sprockets.map((one: any, i: number) => ({
        x: one.x_mm,
        z: one.z_mm,
        teeth: one.teeth,
        outside: one.side === 'outside',
        ...(i === index && { body: 'slide', idler: i > 0 }),
      })),
      {
        bodies: [{ id: 'slide', kind: 'item', name: 'slide' }],
        levers: [{ id: 'slot', kind: 'up', body: 'slide', range, step: 0.5 }],
        chain: { links: input.links, adjuster: 'slot' },
      },
    )
    const { taut } = value(found.adjuster!)
    const places: number[] = want.slot_mm ?? want.slot?.places_mm ?? want.slot_positions_mm ?? []
    expect(places.length).toBeGreaterThan(0)
    const nearest = places.reduce((a, b) => (Math.abs(b) < Math.abs(a) ? b : a))
    expect(taut).toEqual({ at: expect.closeTo(nearest * long, 2) })
  })
})

describe('a swing arm as the file of a build', () => {
  const real = casesOf(arms).filter(([, { expect: want }]) => !want.error)

  it.each(real)('%s', (_id, { input, expect: want }) => {
    const [px, pz] = input.pivot
    const angle = (input.arm_rest_deg * Math.PI) / 180
    const axle = [px - input.arm_mm * Math.cos(angle), pz - input.arm_mm * Math.sin(angle)] as const
    const heightAt = (deg: number) => pz - input.arm_mm * Math.sin((deg * Math.PI) / 180) - axle[1]
    const [bumpMm, droopMm] = [heightAt(input.arm_bump_deg), -heightAt(input.arm_droop_deg)]
    const { travel, slack } = only(
      input.pitch_mm,
      [
        { x: input.countershaft[0], z: input.countershaft[1], teeth: input.n1 },
        { x: axle[0], z: axle[1], teeth: input.n2, body: 'axle' },
      ],
      {
        bodies: [
          {
            id: 'axle',
            kind: 'axle',
            name: 'axle',
            noseFaces: 'forward',
            suspension: 'rigid-links',
            centre: 'middle',
            sizes: { trackMm: 1000 },
            travel: { bumpMm, droopMm, crossMm: 0 },
            motion: {
              kind: 'links',
              holdings: [{ id: 'arms', kind: 'hinge', axle: 'left', axle2: 'right' }],
            },
          },
        ],
        points: [
          ['middle', 'axle', [axle[0], 0, axle[1]]],
          ['left', 'axle', [px, 300, pz]],
          ['right', 'axle', [px, -300, pz]],
        ],
        chain: { links: input.links },
      },
    )
    if (!travel) throw new Error('no travel')
    expect(value(slack).excessMm).toBeCloseTo(want.rest.slack_mm, 3)
    const { lengthMm } = value(slack)
    expect(Math.abs(lengthMm - travel.tightest.neededMm - want.tightest.slack_mm)).toBeLessThan(0.01)
    expect(Math.abs(travel.tightest.neededMm - travel.slackest.neededMm - want.slack_swing_mm)).toBeLessThan(
      0.02,
    )
    const tightUp = heightAt(want.tightest.arm_deg)
    expect(Math.abs(travel.tightest.upMm - tightUp)).toBeLessThan(1)
  })
})

describe('faces read from one line as readings of a build', () => {
  const PLACES: Readonly<Record<string, string>> = {
    '1,0': 'front',
    '-1,0': 'rear',
    '0,1': 'top',
    '0,-1': 'bottom',
  }
  const placed = ({ points, centre }: any) =>
    points.map(({ x_mm: x, z_mm: z, reading_mm: mm }: any) => {
      const [dx, dz] = [x - centre[0], z - centre[1]]
      return { place: PLACES[`${Math.sign(dx)},${Math.sign(dz)}`], radius: Math.hypot(dx, dz), mm }
    })
  const fits = ({ input }: any) =>
    [input.a, input.b].every((face) => placed(face).every(({ place }: any) => place !== undefined)) &&
    [input.a, input.b].every(
      (face) => new Set(placed(face).map(({ place }: any) => place)).size === face.points.length,
    )
  const readable = casesOf(faces).filter(([, one]) => !one.expect.error && fits(one))

  it('has cases to look at', () => expect(readable.length).toBeGreaterThan(3))

  it.each(readable)('%s', (_id, { input, expect: want }) => {
    const side = input.laser_side ?? 'right'
    const readings = [input.a, input.b].flatMap((face, i) =>
      placed(face).map(({ place, radius, mm }: any, k: number) => ({
        id: `f${i}-${k}`,
        kind: 'sprocket-face',
        setup: 'one',
        sprocket: `s${i + 1}`,
        place,
        radius: String(radius),
        stands: side,
        values: [String(mm)],
      })),
    )
    const { aligned } = only(
      15.875,
      [input.a, input.b].map((face, i) => ({
        x: face.centre[0],
        z: face.centre[1],
        // The plane of the larger one is the line.
        teeth: i === 0 ? 45 : 15,
        ...(face.tooth_centre_mm !== undefined && { faceToTeethMm: face.tooth_centre_mm }),
      })),
      { readings },
    )
    const [found] = aligned
    if (!found) throw new Error('not aligned')
    expect(found.offsetMm).toBeCloseTo(want.offset_from_a_plane_mm, 5)
    expect([found.read.yaw, found.read.tilt]).toEqual([
      want.yaw_between_deg !== null,
      want.tilt_between_deg !== null,
    ])
    if (want.yaw_between_deg !== null) expect(found.yawDeg).toBeCloseTo(want.yaw_between_deg, 6)
    if (want.tilt_between_deg !== null) expect(found.tiltDeg).toBeCloseTo(want.tilt_between_deg, 6)
    const isWhole = want.yaw_between_deg !== null && want.tilt_between_deg !== null
    expect(found.read.both.known).toBe(isWhole)
  })
})
