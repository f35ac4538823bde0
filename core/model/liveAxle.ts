import { axleBending, type AxleBending } from '../sprockets/liveAxle'
import { allKnown, known, mapKnown, unknown, type Known } from '../base/known'
import type { Vec3 } from '../base/linalg/vec3'
import type { LiveAxleBody } from '../file/parts/body'
import type { Build } from '../file/build/build'
import { drivenIndex, sprocketName } from '../file/parts/chainLine'
import type { Id } from '../file/parts/id'
import { pointOf } from '../measure/geometry/geometry'
import { whirlingShaft, whirlRpm } from '../vehicle/strength/criticalSpeed'
import { degrees } from '../base/units/angle'
import type { Evaluation } from './evaluateBuild'

/** Something that sits on a live axle, by how far to the left of the vehicle's middle. */
export interface AxleStation {
  readonly what: 'bearing' | 'hub' | 'sprocket' | 'brake'
  readonly name: string
  readonly leftMm: number
  /** From the shaft's left end; null while its ends are not known. */
  readonly fromEndMm: number | null
}

/** How its two bearings stand to each other. */
export interface BearingLine {
  readonly apartMm: number
  /** How much higher, and further forward, the left one stands. */
  readonly leftUpMm: number
  readonly leftForeMm: number
  readonly riseDeg: number
  readonly sweepDeg: number
}

/** A live axle at one setting of the levers. */
export interface LiveAxleFigures {
  readonly body: LiveAxleBody
  readonly stations: readonly AxleStation[]
  /** What of its places is missing. */
  readonly missing: readonly string[]
  /** From end to end, to be ordered. */
  readonly lengthMm: Known<number>
  readonly bearings: Known<BearingLine>
  /** Under the most pull of the chain that drives it. */
  readonly bending: Known<AxleBending>
  /** Speed at which a straight shaft of its section would whirl between its bearings, and the most it turns. */
  readonly criticalRpm: Known<number>
  readonly mostRpm: Known<number>
}

/**
 * Places, length and loads of a live axle.
 *
 * @see docs/methods/chains.md
 */
export function liveAxleFigures(build: Build, now: Evaluation, body: LiveAxleBody): LiveAxleFigures {
  const place = (id: Id | undefined, what: string): Known<Vec3> =>
    id === undefined ? unknown(`${body.name}: ${what} not told`) : pointOf(now.placed, id)
  const bearings = allKnown([
    place(body.bearings?.left, 'left bearing'),
    place(body.bearings?.right, 'right bearing'),
  ] as const)
  const hubs = allKnown([place(body.hubs?.left, 'left hub'), place(body.hubs?.right, 'right hub')] as const)
  const beyond = body.beyondMm ?? 0
  const leftEnd = hubs.known ? hubs.value[0][1] + beyond : null
  const sprockets = now.chains.flatMap(({ chain, sprockets: stands }) =>
    stands.known
      ? stands.value.flatMap((stand) =>
          build.points.some(({ id, body: on }) => id === stand.sprocket.point && on === body.id)
            ? [{ chain, stand }]
            : [],
        )
      : [],
  )
  const at = (what: AxleStation['what'], name: string, leftMm: number): AxleStation => ({
    what,
    name,
    leftMm,
    fromEndMm: leftEnd === null ? null : leftEnd - leftMm,
  })
  const brake = body.brake === undefined ? null : place(body.brake, 'brake')
  const stations = [
    ...(bearings.known
      ? [
          at('bearing', 'left bearing', bearings.value[0][1]),
          at('bearing', 'right bearing', bearings.value[1][1]),
        ]
      : []),
    ...(hubs.known
      ? [at('hub', 'left hub face', hubs.value[0][1]), at('hub', 'right hub face', hubs.value[1][1])]
      : []),
    ...sprockets.map(({ stand }) => at('sprocket', sprocketName(stand.sprocket), stand.place[1])),
    ...(brake?.known ? [at('brake', 'brake disc', brake.value[1])] : []),
  ].sort((a, b) => b.leftMm - a.leftMm)
  const driving = sprockets.find(({ chain, stand }) => chain.sprockets[drivenIndex(chain)] === stand.sprocket)
  const evaluated = now.chains.find(({ chain }) => chain === driving?.chain)
  const pull = evaluated
    ? mapKnown(evaluated.forces, ({ pullN }) => pullN.peak)
    : unknown(`${body.name}: no chain drives it`)
  const shaft = body.shaft ? known(body.shaft) : unknown(`${body.name}: its diameter not entered`)
  const stand = driving ? known(driving.stand.place[1]) : unknown(`${body.name}: no chain drives it`)
  return {
    body,
    stations,
    missing: [bearings, hubs].flatMap((one) => (one.known ? [] : one.missing.map(({ what }) => what))),
    lengthMm: mapKnown(hubs, ([left, right]) => left[1] - right[1] + 2 * beyond),
    bearings: mapKnown(bearings, ([left, right]) => lineOf(left, right)),
    bending: mapKnown(
      allKnown([bearings, shaft, stand, pull] as const),
      ([[left, right], section, sprocketMm, pullN]) =>
        axleBending({ ...section, bearings: [left[1], right[1]], sprocketMm }, pullN),
    ),
    criticalRpm: mapKnown(
      allKnown([bearings, shaft] as const),
      ([[left, right], { outerMm, boreMm = 0 }]) => {
        const tube = { outerMm, wallMm: (outerMm - boreMm) / 2, material: 'steel' as const }
        return whirlRpm(whirlingShaft(tube), Math.abs(left[1] - right[1]))
      },
    ),
    mostRpm: evaluated
      ? mapKnown(evaluated.forces, ({ drivenRpm }) => drivenRpm)
      : unknown(`${body.name}: no chain drives it`),
  }
}

function lineOf(left: Vec3, right: Vec3): BearingLine {
  const [fore, across, up] = [left[0] - right[0], left[1] - right[1], left[2] - right[2]]
  return {
    apartMm: Math.hypot(fore, across, up),
    leftUpMm: up,
    leftForeMm: fore,
    riseDeg: degrees(Math.atan2(up, across)),
    sweepDeg: degrees(Math.atan2(fore, across)),
  }
}
