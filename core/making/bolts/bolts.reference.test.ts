import bolts from '../../testdata/bolts.json'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import { boltCircle, secondRing, wallToHub } from './boltCircle'
import { blindBolt, throughBolt } from './boltLength'
import { plateEdges } from './plateEdges'
import { slot } from './slot'
import { threadOf, tightening } from './thread'

describe('bolts, slots and holes against independent cases', () => {
  const clampedOf = (input: any) => ({
    thread: threadOf(input.d_mm, input.pitch_mm),
    clampedMm: input.clamped_mm,
    washersMm: input.washers_mm,
    stockMm: input.stock_mm,
  })
  const WAYS: Record<string, (input: any) => Record<string, unknown>> = {
    through: (input) => {
      const found = throughBolt({
        ...clampedOf(input),
        nutHeightMm: input.nut_height_mm,
        isFullThread: input.full_thread,
        shearPlanesMm: input.shear_planes_mm,
      })
      return {
        grip_mm: found.gripMm,
        needed_mm: found.neededMm,
        length_mm: found.lengthMm,
        longer_by_mm: found.longerByMm,
        thread_mm: found.threadMm,
        shank_mm: found.shankMm,
        thread_reaches: found.isNutOnThread,
        washers_more_mm: found.washersMoreMm,
        thread_in_shear: found.isThreadInShear,
      }
    },
    blind: (input) => {
      const into = input.material.replace('_', '-')
      const found = blindBolt({
        ...clampedOf(input),
        into,
        extraPitches: input.extra_pitches,
        depthMm: input.depth_mm,
        drillMm: input.drill_mm,
      })
      return {
        grip_mm: found.gripMm,
        engagement_mm: found.engagementMm,
        needed_mm: found.neededMm,
        length_mm: found.lengthMm,
        engaged_mm: found.engagedMm,
        hole_mm: found.holeMm,
        tap_drill_mm: found.tapDrillMm,
        bottoms: found.bottoms,
        thread_percent: found.threadPercent,
      }
    },
    slot: (input) => {
      const friction =
        input.mu === undefined
          ? undefined
          : {
              mu: input.mu,
              preloadN: input.preload_N,
              faces: input.faces,
              bolts: input.bolts,
              loadN: input.load_N,
            }
      const found = slot({
        boltMm: input.d_mm,
        travelMm: input.travel_mm,
        placeTolMm: input.place_tol_mm,
        washerOuterMm: input.washer_od_mm,
        friction,
      })
      return { length_mm: found.lengthMm, holds_N: found.holdsN, factor: found.factor, ok: found.isHeld }
    },
    edge: (input) => {
      const holes = input.holes.map((hole: any) => ({ id: hole.id, at: hole.xy_mm, holeMm: hole.hole_mm }))
      const found = plateEdges(input.polygon_mm, holes)
      return {
        holes: found.holes.map((hole) => ({
          id: hole.id,
          edge_mm: hole.edgeMm,
          edge_ratio: hole.edgeRatio,
          verdict: hole.verdict,
        })),
        pitch_ratio: found.pitchRatio,
        pitch_mm: found.pitchMm,
        pitch_verdict: found.pitchVerdict,
      }
    },
    circle: (input) => {
      const by =
        input.bcd_mm !== undefined
          ? { circleMm: input.bcd_mm }
          : input.chord_mm !== undefined
            ? { chordMm: input.chord_mm }
            : { acrossMm: input.across_mm }
      const found = boltCircle({ holes: input.n, by })
      const first = { holes: input.n, circleMm: found.circleMm, holeMm: input.hole_mm }
      const second = input.other && {
        holes: input.other.n,
        circleMm: input.other.bcd_mm,
        holeMm: input.other.hole_mm,
      }
      const ring = second && secondRing(first, second)
      return {
        bcd_mm: found.circleMm,
        chord_mm: found.chordMm,
        across_mm: found.acrossMm,
        ...(ring && { turn_deg: ring.turnDeg, wall_mm: ring.wallMm, overlaps: ring.wallMm < 0 }),
        ...(input.hub_d_mm && { edge_in_mm: wallToHub(first, input.hub_d_mm) }),
      }
    },
    tightening: (input) => {
      const found = tightening(threadOf(input.d_mm, input.pitch_mm), input.class_proof_N_mm2, input.k)
      return { stress_area_mm2: found.stressAreaMm2, preload_N: found.preloadN, torque_Nm: found.torqueNm }
    },
  }
  it.each(casesOf(bolts))('%s', (_id, one) => expectCase(bolts, one, (input) => WAYS[input.op]!(input)))
})
