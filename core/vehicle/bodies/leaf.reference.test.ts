import { newGraph, type VectorColumns } from '../../base/columns/graph'
import { axisDirection, fallPlan } from '../../base/frame/axis'
import { known } from '../../base/known'
import { dot, norm, sub, unit, type Vec3 } from '../../base/linalg/vec3'
import type { AxleBody } from '../../file/parts/body'
import type { Build } from '../../file/build/build'
import leaf from '../../testdata/leaf.json'
import { degrees, radians } from '../../base/units/angle'
import { axleMoves } from './axleMoves'
import type { BodyMove } from '../moves/bodyMove'

const AXLE = { id: 'axle', kind: 'axle', name: 'axle', noseFaces: 'forward', suspension: 'leaf' } as const
const direction = ({ fall, plan }: any) => axisDirection({ fall: radians(fall), plan: radians(plan) })
const angle = (a: Vec3, b: Vec3) => degrees(Math.acos(Math.min(1, dot(unit(a), unit(b)))))

/** The pinion of an axle with its wheels up and its nose turned by torque; null where it does not go. */
function pinionAt(axle: AxleBody, points: Record<string, Vec3>, lie: Vec3, up: number, rise: number) {
  const graph = newGraph()
  const sources = (place: Vec3): VectorColumns => place.map(graph.source) as unknown as VectorColumns
  const at = graph.source(up)
  const moves = axleMoves(
    {
      graph,
      build: { levers: [] } as unknown as Build,
      levers: new Map(),
      point: (id) => known(sources(points[id]!)),
      heights: ({ mean }) => graph.source(mean),
      rise: () => (rise === 0 ? null : graph.source(rise)),
      gives: () => null,
      wheels: () => ({ leftUp: at, rightUp: at }),
      when: '',
      place: '',
    },
    axle,
  ).filter((move): move is BodyMove => move !== null)
  const place = moves.reduce((there, move) => move.point(there), sources(points.pinion!))
  const axis = moves.reduce((there, move) => move.direction(there), sources(lie))
  const read = (columns: VectorColumns) => columns.map(graph.at) as unknown as Vec3
  return Number.isNaN(graph.at(place[0])) ? null : { p: read(place), axis: read(axis) }
}

function pinions(input: any) {
  if (input.mode === 'arc') {
    const { pinion, seat, centre, rotation_deg_per_mm: turn, windup_deg_per_Nm: windup } = input
    const axle: AxleBody = {
      ...AXLE,
      centre: 'seat',
      motion: { kind: 'arc', seat: 'seat', eye: 'eye', radiusShare: 1, noseUpDegPerMm: turn },
    }
    const points = { pinion: pinion.p, seat: [seat[0], 0, seat[1]], eye: [centre[0], 0, centre[1]] } as any
    const of = ({ travel, torque }: any) => pinionAt(axle, points, direction(pinion), travel, windup * torque)
    return { ride: of({ travel: 0, torque: 0 }), all: input.query.map(of) }
  }
  const rows = [...input.rows].sort((a: any, b: any) => a.height - b.height)
  // Rows are told from where the pinion was measured: here from the lowest, so that none is left out.
  const [first] = rows
  const axle: AxleBody = {
    ...AXLE,
    centre: 'pinion',
    motion: {
      kind: 'table',
      rows: rows.map(({ height, fall, station }: any) => ({
        wheelUpMm: height - first.height,
        forwardMm: station - first.station,
        noseUpDeg: fall - first.fall,
      })),
    },
  }
  const from = { p: [first.station, input.pinion_y, first.height] as Vec3, fall: first.fall }
  // Turning about the cross axis keeps the fall in side view, so the plan is put on afterwards.
  const of = (height: number) => {
    const found = pinionAt(
      axle,
      { pinion: from.p },
      direction({ fall: from.fall, plan: 0 }),
      height - first.height,
      0,
    )
    if (!found) return null
    const fall = degrees(fallPlan(found.axis).fall)
    return { p: found.p, axis: direction({ fall, plan: input.pinion_plan }) }
  }
  return { ride: of(input.design_height), all: input.query.map(of) }
}

describe('an axle on leaf springs against independent cases', () => {
  it.each((leaf.cases as any[]).map((one) => [one.id, one] as const))('%s', (_id, { input, expected }) => {
    const { ride, all } = pinions(input)
    const output = direction(input.gearbox)
    const length = (place: Vec3) => norm(sub(place, input.gearbox.p))
    all.forEach((found: any, i: number) => {
      const want = expected.results[i]
      if (want === null) {
        expect(found).toBeNull()
        return
      }
      const shaft = sub(found.p, input.gearbox.p)
      const got = {
        pinion_point: found.p,
        pinion_fall_deg: degrees(fallPlan(found.axis).fall),
        shaft_length_mm: norm(shaft),
        slip_change_mm: norm(shaft) - length(ride!.p),
        angle_gearbox_deg: angle(output, shaft),
        angle_pinion_deg: angle(shaft, found.axis),
      }
      for (const [key, value] of Object.entries(got))
        expect([key, value]).toEqual([
          key,
          Array.isArray(want[key])
            ? want[key].map((one: number) => expect.closeTo(one, 5))
            : expect.closeTo(want[key], 5),
        ])
    })
  })
})
