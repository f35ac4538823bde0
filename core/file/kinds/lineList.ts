import { isSetByBearing, lineShape, type Line } from '../parts/lineSpec'
import type { Things } from './ask'
import type { EntryComplaint, ListFacts } from './listFacts'

/** What a build keeps of them. */
export const LIST_OF_LINES = {
  shape: lineShape,
  most: 20,
  holds: 'runs to it',
  names: ({ driving, driven, joints, shafts }) => [
    { at: 'driving', in: 'axes', id: driving },
    { at: 'driven', in: 'axes', id: driven },
    ...joints.map(({ point }, k) => ({ at: `joints[${k}].point`, in: 'points' as const, id: point })),
    ...shafts.flatMap(({ bearing }, k) => [
      { at: `shafts[${k}].bearing.point`, in: 'points' as const, id: bearing?.point },
      { at: `shafts[${k}].bearing.axis`, in: 'axes' as const, id: bearing?.axis },
    ]),
  ],
  problems: lineProblems,
} as const satisfies ListFacts<Line>

function lineProblems(_: Things, line: Line, complain: EntryComplaint): void {
  line.joints.forEach((joint, k) => {
    if (joint.point === undefined && !isSetByBearing(line, k))
      complain(
        `joints[${k}].point`,
        'is missing: neither a point nor the bearing of the shaft in front says where it is',
      )
    const inner = k > 0 && k < line.joints.length - 1
    if (inner && (joint.pointIs ?? 'centre') !== 'centre')
      complain(`joints[${k}].pointIs`, 'a joint between two shafts is told by its centre')
    if (line.joints.findIndex((other) => other.id === joint.id) < k)
      complain(`joints[${k}].id`, `"${joint.id}" is already used in this line`)
  })
  if (line.shafts.length !== line.joints.length - 1)
    complain('shafts', `must hold ${line.joints.length - 1}: one shaft between each two joints`)
}
