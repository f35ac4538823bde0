import { axlesOf, hubsOf, powertrainOf } from '../../file/parts/bodies'
import type { Build } from '../../file/build/build'
import { sprocketsOf } from '../../file/parts/chainLine'
import type { Id } from '../../file/parts/id'
import { askPlace, type Ask, type PointQuantity, type PointRole } from '../../file/kinds/ask'
import { linePoints } from '../../file/parts/lineSpec'
import { motionPoints, pointsMovedBy } from '../../file/parts/motionPoints'
import type { Asked } from '../../file/build/reading'
import { isGiven } from '../../file/build/readingKinds'

/** What a tour asks of the vehicle itself: how it stands, and its axes and points by what they are there for. */
export function vehicleAsks(build: Build): Ask<Asked>[] {
  const joints = [...new Set(build.lines.flatMap(linePoints).reverse())]
  const onAxes = build.axes.flatMap((axis) => axis.through ?? []).filter((id) => !joints.includes(id))
  const holes = (build.centrePairs ?? []).flatMap((pair) => [pair.left, pair.right])
  const ends = [
    ...axlesOf(build).flatMap(({ motion }) => motionPoints(motion)),
    ...hubsOf(build).flatMap(pointsMovedBy),
  ].filter((id) => !joints.includes(id))
  const centres = axlesOf(build).flatMap((axle) => (axle.centre === undefined ? [] : [axle.centre]))
  const checked = (id: Id) =>
    askPlace({ group: 'checks', role: 'frame-hole', optional: true }, id, ['point-station', 'point-offset'])
  return [
    { group: 'attitude', asked: { quantity: 'chassis-fall' }, role: null, optional: false },
    { group: 'attitude', asked: { quantity: 'chassis-roll' }, role: null, optional: true },
    ...levelAxes(build).map(askLevel),
    ...joints.flatMap((id) => askPlace({ group: 'joints', role: 'joint', optional: false }, id)),
    ...[...new Set(onAxes)].flatMap((id) =>
      askPlace({ group: 'joints', role: 'on-axis', optional: true }, id, ['point-station', 'point-offset']),
    ),
    ...holes.flatMap(checked),
    ...centres.flatMap((id) => askForLever(id, 'axle-centre', ['point-station', 'point-height'])),
    ...[...new Set(ends)].flatMap((id) => askForLever(id, 'link-end')),
    ...mountAsks(build),
  ]
}

const askLevel = (axis: Id): Ask<Asked> => ({
  group: 'levels',
  asked: { quantity: 'axis-level', axis },
  role: null,
  optional: false,
})

/** A point that a lever turns about. */
const askForLever = (id: Id, role: PointRole, quantities?: readonly PointQuantity[]) =>
  askPlace({ group: 'levers', role, optional: true }, id, quantities)

/** Axes that a level is laid on: of the ends of lines, of sprockets that no drawing tells, of bearings. */
function levelAxes(build: Build): readonly Id[] {
  const ofLines = build.lines.flatMap((line) => [line.driven, line.driving])
  const ofSprockets = sprocketsOf(build).flatMap(({ axis }) =>
    axis === undefined || isAxisGiven(build, axis) ? [] : [axis],
  )
  const seats = build.lines.flatMap(({ shafts }) => shafts.flatMap(({ bearing }) => bearing?.axis ?? []))
  return [...new Set([...ofLines, ...ofSprockets]), ...seats]
}

/** True for an axis that a drawing tells. */
const isAxisGiven = ({ readings }: Build, axis: Id): boolean =>
  readings.some((one) => isGiven(one) && 'axis' in one && one.axis === axis)

function mountAsks(build: Build) {
  const mounts = powertrainOf(build)?.mounts
  return mounts
    ? [
        ...askForLever(mounts.frontLeft, 'front-mount'),
        ...askForLever(mounts.frontRight, 'front-mount'),
        ...askForLever(mounts.tail, 'tail-mount'),
      ]
    : []
}
