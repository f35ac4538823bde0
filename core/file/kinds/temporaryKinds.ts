import { object } from 'yup'
import { figure, idField, noteField, requiredId, requiredName, timeField, wordField } from '../parts/fields'
import type { Told } from '../parts/told'
import { ONLY_TOLD, type OnlyTold } from './onlyTold'
import type { SubjectKinds } from './subjectKinds'

/** What is not yet as it will be. */
export const TEMPORARY_KINDS = [
  ...(['bolts', 'gasket', 'block', 'strap', 'tack', 'dummy', 'stand-in'] as const),
  ...(['borrowed', 'left-long', 'other'] as const),
] as const
export type TemporaryKind = (typeof TEMPORARY_KINDS)[number]

const temporaryShape = object({
  id: requiredId(),
  name: requiredName(),
  kind: wordField(TEMPORARY_KINDS).required(),
  where: noteField(),
  /** What of the vehicle is other than it will be: thickness, weight, place. */
  changes: noteField(),
  /** The body that it stands for; a stand-in may be so much larger than the real one, on purpose. */
  body: idField(),
  largerMm: figure(0, 1000),
  since: timeField(),
  /** When it was taken away or made good; absent while it is open. */
  closedAt: timeField(),
})

/** Something temporary. */
export type Temporary = Told<typeof temporaryShape>

export interface TemporaryTypes extends OnlyTold {
  readonly lists: { readonly temporaries?: readonly Temporary[] }
}

/** Everything temporary. */
export const KINDS_OF_TEMPORARIES = {
  ...ONLY_TOLD,
  lists: {
    temporaries: {
      shape: temporaryShape,
      most: 200,
      names: ({ body }) => [{ at: 'body', in: 'bodies', id: body }],
    },
  },
} as const satisfies SubjectKinds<TemporaryTypes>
