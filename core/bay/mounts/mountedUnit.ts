import { allKnown, known, mapKnown, unknown, type Known, type Missing } from '../../base/known'
import { movePoint } from '../../base/linalg/mat3'
import type { Vec3 } from '../../base/linalg/vec3'
import type { Build } from '../../file/build/build'
import { MOUNT_FIGURES, type ElasticMountEntry } from '../../file/kinds/mountKinds'
import { outputOf } from '../../file/open/output'
import { powertrainOf } from '../../file/parts/bodies'
import type { ElasticMount } from '../../making/mounts/settle'
import type { MountSpring } from '../../making/mounts/spring'
import { pointOf } from '../../measure/geometry/geometry'
import type { Evaluation } from '../../model/evaluateBuild'
import { centreOfMass } from '../../vehicle/weight/masses'
import { hangingMasses } from '../../vehicle/weight/weightOf'
import type { MountedUnit } from './mountCases'

/** Taken for a clutch that is let go, where nobody said how hard. */
const USUAL_SHOCK = 2

/** The mounts of a build where the levers put them; unknown with what is not told of one. */
export function mountsOf(build: Build, { placed }: Evaluation): Known<ElasticMount[]> {
  const entries = build.mounts ?? []
  if (entries.length === 0) return unknown('what the powertrain stands on', 'mounts')
  const all = entries.map((entry) => {
    const lacks = MOUNT_FIGURES[entry.kind].find((figure) => entry[figure] === undefined)
    if (lacks) return unknown(`how stiff ${entry.name} is`, 'mounts')
    return mapKnown(pointOf(placed, entry.point), (at): ElasticMount => ({
      id: entry.id,
      at,
      spring: springOf(entry),
    }))
  })
  return allKnown(all) as Known<ElasticMount[]>
}

const BOLTS: Readonly<Record<'along' | 'across' | 'up', Vec3>> = {
  along: [1, 0, 0],
  across: [0, 1, 0],
  up: [0, 0, 1],
}

function springOf(entry: ElasticMountEntry): MountSpring {
  const { axialNPerMm = NaN, radialNPerMm = NaN, pressNPerMm = NaN, shearNPerMm = NaN } = entry
  const { forwardNPerMm = NaN, leftNPerMm = NaN, upNPerMm = NaN } = entry
  switch (entry.kind) {
    case 'bush':
      return { kind: 'bush', axis: BOLTS[entry.bolt ?? 'along'], axial: axialNPerMm, radial: radialNPerMm }
    case 'pad':
      return { kind: 'pad', normal: [0, 0, 1], press: pressNPerMm, shear: shearNPerMm }
    case 'ways':
      return { kind: 'axes', perMm: [forwardNPerMm, leftNPerMm, upNPerMm] }
  }
}

/** What hangs on the hoist stands on the mounts; it goes along with the powertrain. */
export function unitOf(build: Build, { moves }: Evaluation): Known<MountedUnit> {
  const hanging = hangingMasses(build.weight ?? { masses: [] })
  const { peakTorqueNm, converterRatio = 1, gears = [], ranges = [], turns } = build.drivetrain
  const missing: Missing[] = [
    ...(hanging.known ? [] : hanging.missing),
    ...(peakTorqueNm === undefined
      ? [{ what: 'the engine’s highest torque', path: 'drivetrain.peakTorqueNm' }]
      : []),
    ...(gears.length > 0 ? [] : [{ what: 'the gears', path: 'drivetrain.gears' }]),
  ]
  if (missing.length > 0 || !hanging.known || peakTorqueNm === undefined) return { known: false, missing }
  const { kg, station, offset, height } = centreOfMass(hanging.value)
  const move = moves.get(powertrainOf(build)?.id ?? '')
  const asMeasured: Vec3 = [-station, offset, height]
  const isApart = build.bodies.some(({ kind }) => kind === 'transfer-case')
  const shock = build.weight?.shock
  const unit: MountedUnit = {
    massKg: kg,
    centre: move?.known ? movePoint(move.value, asMeasured) : asMeasured,
    torque: {
      engineNm: peakTorqueNm,
      gearRatio: Math.max(...gears.map(({ ratio }) => ratio)),
      range: isApart ? 1 : Math.max(1, ...ranges.map(({ ratio }) => ratio)),
      converter: converterRatio,
      shock: shock ?? USUAL_SHOCK,
      turns: turns ?? 'anticlockwise',
    },
  }
  return known(unit, [
    ...(shock === undefined ? [`a shock of ${USUAL_SHOCK}, as nobody said another`] : []),
    ...(turns === undefined ? ['the shaft turns anticlockwise in first gear, seen from behind'] : []),
  ])
}

/** The first joint that the powertrain turns: where it goes, the shaft follows. */
export function outputPlace(build: Build, { placed }: Evaluation): Known<Vec3> {
  const output = outputOf(build)
  return output ? pointOf(placed, output.point) : unknown('the first joint behind the powertrain', 'lines')
}
