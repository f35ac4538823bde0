import two from '../testdata/chain-two.json'
import three from '../testdata/chain-three.json'
import { centreFor, chainLength, driveForces, driveLoop, hunting, huntingOfAll } from './chainDrive'
import { chainLoop, linksToOrder, slotPlaces, type LoopSprocket } from './chainLoop'
import { deflectionOf, excessOf, type SlackShape } from './slack'
import { outsideDiameter, speedSwing } from './sprocket'

const casesOf = (file: any) => (file.cases as any[]).map((one) => [one.id, one] as const)
const near = (value: any): any =>
  Array.isArray(value) ? value.map(near) : typeof value === 'number' ? expect.closeTo(value, 5) : value

/** What each refusal says here; a new kind of it has to be told first. */
const REFUSALS: Record<string, RegExp> = {
  chain_too_short: /^links: .*(do not reach|too few|short)/,
  out_of_range: /^pitch: the pitch must be above 0$/,
  not_a_number: /^centre: expected the way from shaft to shaft$/,
  no_contact: /not touched by the chain/,
  sprockets_overlap: /sprockets \d and \d overlap/,
}
function refusal(kind: string): RegExp {
  const said = REFUSALS[kind]
  if (!said) throw new Error(`what does "${kind}" say here?`)
  return said
}

describe('two sprockets against independent cases', () => {
  const good = casesOf(two).filter(([, { expect: want }]) => !want.error)

  it.each(good)('%s', (_id, { input, expect: want }) => {
    const { n1, n2, pitch_mm: pitchMm, centre_mm: centreMm, links } = input
    const drive = { teeth: [n1, n2], pitchMm, centreMm } as const
    const loop = driveLoop(drive)
    expect({
      pitch_diameter_mm: loop.contacts.map(({ radiusMm }) => 2 * radiusMm),
      outside_diameter_mm: [n1, n2].map((teeth) => outsideDiameter(teeth, pitchMm)),
      teeth_clash: loop.clashes,
      ratio: loop.ratio,
      tangent_mm: loop.tangentMm,
      tangent_slope_deg: loop.slopeDeg,
      wrap_deg: loop.contacts.map(({ wrapDeg }) => wrapDeg),
      teeth_in_mesh: loop.contacts.map(({ teethInMesh }) => teethInMesh),
      chordal: loop.lengthMm,
      pitch_circle: loop.arcLengthMm,
      needed: loop.linksNeeded,
      even: linksToOrder(loop.linksNeeded),
      of_mean: [n1, n2].map((teeth) => 100 * speedSwing(teeth).ofMean),
      of_max: [n1, n2].map((teeth) => 100 * speedSwing(teeth).ofMost),
    }).toEqual(
      near2({
        pitch_diameter_mm: want.pitch_diameter_mm,
        outside_diameter_mm: want.outside_diameter_mm,
        teeth_clash: want.teeth_clash,
        ratio: want.ratio,
        tangent_mm: want.tangent_mm,
        tangent_slope_deg: want.tangent_slope_deg,
        wrap_deg: want.wrap_deg,
        teeth_in_mesh: want.teeth_in_mesh,
        chordal: want.length_mm.chordal,
        pitch_circle: want.length_mm.pitch_circle,
        needed: want.links_needed.chordal,
        even: want.links_even_up.chordal,
        of_mean: want.speed_variation_pct_of_mean,
        of_max: want.speed_variation_pct_of_max,
      }),
    )
    if (links !== undefined) {
      const chain = { links, wear: (input.elongation_pct ?? 0) / 100 }
      const centre = centreFor(drive, chain)
      expect(chainLength(chain, pitchMm)).toBeCloseTo(want.chain_length_mm, 6)
      expect(centre).toBeCloseTo(want.centre_for_links_mm.chordal, 5)
      expect(centre - centreMm).toBeCloseTo(want.adjuster_travel_mm.chordal, 5)
      expect(chainLength(chain, pitchMm) - loop.lengthMm).toBeCloseTo(want.excess_at_centre_mm.chordal, 5)
      expect(links % 2 === 1).toBe(want.needs_offset_link)
      for (const [teeth, named] of [
        [n1, want.hunting.sprocket1],
        [n2, want.hunting.sprocket2],
      ])
        expect(hunting(teeth, links)).toEqual({
          sprocketTurns: named.sprocket_turns,
          chainLoops: named.chain_loops,
          isHunting: named.hunting,
        })
      const { turns, chainLoops, sameTeethTurns } = huntingOfAll([n1, n2], links)
      const all = want.hunting.all_three
      expect([...turns, chainLoops, sameTeethTurns]).toEqual([
        all.turns1,
        all.turns2,
        all.chain_loops,
        want.hunting.same_two_teeth_turns1,
      ])
    }
    if (input.drive) {
      const { rpm1: rpm, torque1_Nm: torqueNm, tensile_N: tensileN, mass_kg_per_m: massKgPerM } = input.drive
      const found = driveForces(drive, { rpm, torqueNm, tensileN, massKgPerM })
      expect(found.pullN).toEqual(
        near2({
          radius: want.drive.tension_N.pitch_radius,
          power: want.drive.tension_N.power,
          peak: want.drive.tension_N.peak,
        }),
      )
      expect([
        found.drivenRpm,
        found.drivenNm,
        found.speedMs,
        found.mostMs,
        found.leastMs,
        found.centrifugalN,
        found.staticSafety!.radius,
        found.staticSafety!.peak,
        found.movingSafety!.power,
      ]).toEqual(
        near([
          want.drive.rpm2,
          want.drive.torque2_Nm,
          want.drive.chain_speed_mps,
          want.drive.chain_speed_max_mps,
          want.drive.chain_speed_min_mps,
          want.drive.centrifugal_N,
          want.drive.static_safety.pitch_radius,
          want.drive.static_safety.peak,
          want.drive.safety_with_centrifugal.power,
        ]),
      )
    }
    if (input.sag) {
      const {
        span_mm: spanMm,
        excess_mm: excess,
        deflection_mm: deflection,
        incline_deg: inclineDeg = 0,
      } = input.sag
      for (const [shape, value] of Object.entries<number>(want.sag.deflection ?? {}))
        expect([shape, deflectionOf({ spanMm, inclineDeg }, shape as SlackShape, excess)]).toEqual([
          shape,
          near(value),
        ])
      for (const [shape, value] of Object.entries<number>(want.sag.excess ?? {}))
        expect([shape, excessOf({ spanMm, inclineDeg }, shape as SlackShape, deflection)]).toEqual([
          shape,
          near(value),
        ])
    }
  })

  it.each(casesOf(two).filter(([, { expect: want }]) => want.error))(
    '%s is refused',
    (_id, { input, expect: want }) => {
      const { n1, n2, pitch_mm: pitchMm, centre_mm: centreMm, links } = input
      const drive = { teeth: [n1, n2], pitchMm, centreMm } as const
      expect(() => {
        driveLoop(drive)
        centreFor(drive, { links })
      }).toThrow(refusal(want.error))
    },
  )
})

function near2(want: Record<string, any>): Record<string, any> {
  return Object.fromEntries(Object.entries(want).map(([key, value]) => [key, near(value)]))
}

describe('three sprockets and idlers against independent cases', () => {
  const sprocketsOf = (input: any): LoopSprocket[] =>
    input.sprockets.map(({ x_mm: x, z_mm: z, teeth, side }: any) => ({ x, z, teeth, side }))

  it.each(casesOf(three))('%s', (_id, { input, expect: want }) => {
    const { pitch_mm: pitchMm, links, slot } = input
    if (want.error) {
      expect(() => chainLoop(sprocketsOf(input), pitchMm)).toThrow(refusal(want.error))
      return
    }
    const loop = chainLoop(sprocketsOf(input), pitchMm)
    expect({
      span_mm: loop.spans.map(({ lengthMm }) => lengthMm),
      wrap_deg: loop.contacts.map(({ wrapDeg }) => wrapDeg),
      teeth_in_mesh: loop.contacts.map(({ teethInMesh }) => teethInMesh),
      chordal: loop.lengthMm,
      pitch_circle: loop.arcLengthMm,
      even: linksToOrder(loop.linksNeeded),
      rotation: loop.contacts.map(({ rotation }) => rotation),
      speed_ratio: loop.contacts.map(({ speedRatio }) => speedRatio),
    }).toEqual(
      near2({
        span_mm: want.span_mm,
        wrap_deg: want.wrap_deg,
        teeth_in_mesh: want.teeth_in_mesh,
        chordal: want.length_mm.chordal,
        pitch_circle: want.length_mm.pitch_circle,
        even: want.links_even_up.chordal,
        rotation: want.rotation,
        speed_ratio: want.speed_ratio,
      }),
    )
    if (want.slot_positions_mm) {
      const found = slotPlaces(sprocketsOf(input), pitchMm, links * pitchMm, {
        index: slot.index,
        direction: slot.dir,
        range: slot.range_mm,
      })
      expect(found).toEqual(near(want.slot_positions_mm))
    }
  })
})
