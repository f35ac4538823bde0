import { quarterOf } from '../parts/armWays'
import { SHIFT_ENDS, shiftShape, type Shift } from '../parts/shiftLinkage'
import type { Things } from './ask'
import type { EntryComplaint, ListFacts } from './listFacts'

/** What a build keeps of them. */
export const LIST_OF_SHIFTS = {
  shape: shiftShape,
  most: 6,
  names: ({ lever, box, knob, cable }) => [
    { at: 'cable', in: 'cables' as const, id: cable },
    ...(knob?.near ?? []).map(({ point }, k) => ({
      ...{ at: `knob.near[${k}].point`, in: 'points' as const, id: point },
    })),
    ...SHIFT_ENDS.flatMap((end) => {
      const { pivot, axis } = { lever, box }[end]
      return [
        { at: `${end}.pivot`, in: 'points' as const, id: pivot },
        { at: `${end}.axis`, in: 'axes' as const, id: axis },
      ]
    }),
  ],
  problems: shiftProblems,
} as const satisfies ListFacts<Shift>

function shiftProblems(_: Things, shift: Shift, complain: EntryComplaint): void {
  const { lever, box, gates, rodFromMm, rodToMm } = shift
  if (lever.pivot === box.pivot) complain('box.pivot', 'is the pivot of the lever too')
  for (const end of SHIFT_ENDS)
    if (quarterOf(shift[end].lies, shift[end].points) === null)
      complain(`${end}.points`, `is not a way in which an arm points whose axis lies ${shift[end].lies}`)
  const ids = gates.map(({ id }) => id)
  ids.forEach((id, k) => {
    if (ids.indexOf(id) !== k) complain(`gates[${k}].id`, `"${id}" is there twice`)
  })
  if (gates.filter(({ only }) => only === undefined).length < 2)
    complain('gates', 'two at least are gates of both ends')
  const set = gates.find(({ id }) => id === shift.setIn)
  if (shift.setIn !== undefined && (!set || set.only !== undefined))
    complain('setIn', `"${shift.setIn}" is no gate of both ends`)
  if (rodFromMm !== undefined && rodToMm !== undefined && rodFromMm >= rodToMm)
    complain('rodToMm', 'is not longer than the shortest')
}
