import type { Build } from '../../file/build/build'
import type { LogEntry } from '../../file/kinds/logKinds'
import { MADE_LISTS, MAKING_STATES, type MakingState } from '../../file/kinds/madePart'

/** Something that a change of the build was, as the log tells it. */
export type Happening = Pick<LogEntry, 'name' | 'sort' | 'of' | 'hours'>

interface Named {
  readonly id: string
  readonly name: string
}

interface MadePart extends Named {
  readonly state?: MakingState | undefined
}

/** What a change of a build did that its log has to know; nothing for what only is written down. */
export const happenings = (before: Build, after: Build): Happening[] => [
  ...MADE_LISTS.flatMap((list) =>
    changed<MadePart>(before[list], after[list]).flatMap(([was, is]) =>
      rank(is.state) > rank(was?.state) && was
        ? [{ name: `${is.name}: ${is.state ?? ''}`, sort: 'made' as const, of: `${list}/${is.id}` }]
        : [],
    ),
  ),
  ...chosen(before, after),
  ...changed(before.orders, after.orders).flatMap(([was, { id, name, sent, arrived }]): Happening[] => [
    ...(sent && sent.at !== was?.sent?.at
      ? [{ name: `ordered: ${name}`, sort: 'order' as const, of: `orders/${id}` }]
      : []),
    ...(arrived?.verdict && arrived.verdict !== was?.arrived?.verdict
      ? [
          {
            name: `${name} ${arrived.verdict}${arrived.reason ? `: ${arrived.reason}` : ''}`.slice(0, 200),
            sort: 'order' as const,
            of: `orders/${id}`,
          },
        ]
      : []),
  ]),
  ...changed(before.gates, after.gates).flatMap(([was, { id, name, passedAt }]): Happening[] =>
    was?.passedAt === passedAt ? [] : [{ name: `gate: ${name}`, sort: 'gate', of: `gates/${id}` }],
  ),
  ...changed(before.temporaries, after.temporaries).flatMap(([was, { id, name, closedAt }]): Happening[] => {
    const of = `temporaries/${id}`
    if (closedAt && !was?.closedAt) return [{ name: `made good: ${name}`, sort: 'temporary', of }]
    return was ? [] : [{ name: `temporary: ${name}`, sort: 'temporary', of }]
  }),
  ...changed(before.tasks, after.tasks).flatMap(
    ([was, { id, name, doneAt, orderedAt, tookH }]): Happening[] => [
      ...(orderedAt && !was?.orderedAt
        ? [{ name: `ordered: ${name}`, sort: 'order' as const, of: `tasks/${id}` }]
        : []),
      ...(doneAt && !was?.doneAt
        ? [
            {
              name: `done: ${name}`,
              sort: 'task' as const,
              of: `tasks/${id}`,
              ...(tookH !== undefined && { hours: tookH }),
            },
          ]
        : []),
    ],
  ),
]

const rank = (state: MakingState | undefined): number =>
  state === undefined ? -1 : MAKING_STATES.indexOf(state)

/** Things that are not what they were, each with what it was. */
function changed<T extends Named>(
  before: readonly T[] = [],
  after: readonly T[] = [],
): (readonly [was: T | undefined, is: T])[] {
  if (before === after) return []
  const was = new Map(before.map((one) => [one.id, one]))
  return after.flatMap((is) => (was.get(is.id) === is ? [] : [[was.get(is.id), is] as const]))
}

function chosen(before: Build, after: Build): Happening[] {
  if (before.chosen === after.chosen) return []
  const position = after.positions.find(({ id }) => id === after.chosen)
  return position
    ? [{ name: `position ${position.name} is chosen`, sort: 'place', of: `positions/${position.id}` }]
    : []
}
