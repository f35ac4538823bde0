import cable from '../../testdata/cable.json'
import shifter from '../../testdata/shifter.json'
import { unit, type Vec3 } from '../../base/linalg/vec3'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import { holeBand, lengthThrough, type BulkheadCable } from './band'
import { meetingPoint, widestArc } from './oneArc'
import { cableLost, cableRoute, cornerSaves, passes } from './route'
import { cableSlack, mostSlackLength } from './slack'

const LEAST_MM = 200
const FRICTION = 0.15

const WORK: Record<string, (input: any) => Record<string, unknown>> = {
  corner: ({ turn_deg: turn, radius_mm: radius }) => ({ saved_mm: cornerSaves(turn, radius) }),
  route: ({
    points_mm: points,
    radius_mm: radius,
    min_radius_mm: least = LEAST_MM,
    mu = FRICTION,
    play_mm: play = 0,
  }) => {
    const radiiMm: number[] = Array.isArray(radius) ? radius : points.slice(2).map(() => radius)
    const route = cableRoute({ points, radiiMm })
    return {
      string_mm: route.stringMm,
      cable_mm: route.cableMm,
      saved_mm: route.stringMm - route.cableMm,
      corners: route.corners.map(({ turnDeg, arcMm, savedMm }, k) => ({
        turn_deg: turnDeg,
        arc_mm: arcMm,
        saved_mm: savedMm,
        radius_ok: radiiMm[k]! >= least,
      })),
      straights_mm: route.straightsMm,
      turn_total_deg: route.turnDeg,
      radius_ok: radiiMm.every((mm) => mm >= least),
      effort_factor: 1 / passes(route.turnDeg, mu),
      passes: passes(route.turnDeg, mu),
      lost_mm: cableLost(route.turnDeg, play),
    }
  },
  slack: ({ chord_mm: chord, length_mm: length, min_radius_mm: least = LEAST_MM }) => {
    const found = cableSlack(chord, length)
    return {
      half_angle_deg: found.halfAngleDeg,
      radius_mm: found.radiusMm,
      bow_mm: found.bowMm,
      bow_approx_mm: found.bowNearlyMm,
      radius_ok: found.radiusMm >= least,
      most_length_mm: mostSlackLength(chord, least),
    }
  },
  band: (input) => {
    const { point_mm: point, along, normal, stub_mm: stubMm } = input.bulkhead
    const told: BulkheadCable = {
      before: input.a_points_mm,
      behind: input.b_points_mm,
      bulkhead: { point, along: unit(along as Vec3), normal: unit(normal as Vec3), stubMm },
      radiusMm: input.radius_mm,
      lengthMm: input.length_mm,
      adjustMm: input.adjust_mm,
      hot: (input.heat ?? []).map(({ at_mm: at, gap_mm: gapMm }: any) => ({ at, gapMm })),
    }
    const found = holeBand(told, input.range_mm)
    return {
      intervals_mm: found.stretches,
      length_at_ends_mm: (input.range_mm as number[]).map((at) => lengthThrough(told, at)),
      best_s_mm: found.bestMm,
    }
  },
}

describe('cables in space, against independent cases', () => {
  it.each(casesOf(cable))('%s', (_id, one) => expectCase(cable, one, (input) => WORK[input.op]!(input)))
})

describe('a cable of one arc between two ends that point somewhere, against independent cases', () => {
  const arcs = casesOf(shifter).filter(([, { input }]) => input.op === 'cable')
  it.each(arcs)('%s', (_id, one) =>
    expectCase(shifter, one, (input) => {
      const inSpace = ([x, z]: number[]): Vec3 => [x!, 0, z!]
      const way = (deg: number): Vec3 => [Math.cos((deg * Math.PI) / 180), 0, Math.sin((deg * Math.PI) / 180)]
      const [from, to] = [
        { at: inSpace(input.a), way: way(input.a_dir_deg) },
        { at: inSpace(input.b), way: way(input.b_dir_deg) },
      ]
      const corner = meetingPoint(from, to)
      const { cableMm, turnDeg, straightsMm } = cableRoute({
        points: [from.at, corner, to.at],
        radiiMm: [input.radius_mm],
      })
      const most = widestArc(from.at, corner, to.at)
      return {
        length_mm: cableMm,
        turn_deg: turnDeg,
        max_radius_mm: most,
        radius_ok: input.radius_mm >= input.min_radius_mm,
        min_ok: most >= input.min_radius_mm,
        straights_mm: straightsMm,
      }
    }),
  )
})
