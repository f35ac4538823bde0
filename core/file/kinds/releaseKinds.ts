import { boolean, object } from 'yup'
import { direction, list, requiredId, requiredName } from '../parts/fields'
import type { Told } from '../parts/told'
import type { Things } from './ask'
import type { EntryComplaint } from './listFacts'
import { ONLY_TOLD, type OnlyTold } from './onlyTold'
import type { SubjectKinds } from './subjectKinds'

/** What touches a part: the way in which it pushes the part away, forward, left and up. */
const contactShape = object({ id: requiredId(), name: requiredName(), pushes: direction() })

const pinShape = object({
  id: requiredId(),
  name: requiredName(),
  /** Along it: forward, left and up; where it lets go one way only, that way. */
  along: direction(),
  canBeDrawn: boolean(),
  isOneWay: boolean(),
})

export const MOST_CONTACTS = 24
export const MOST_PINS = 12

const releaseShape = object({
  id: requiredId(),
  name: requiredName(),
  contacts: list(contactShape, MOST_CONTACTS).required(),
  pins: list(pinShape, MOST_PINS).required(),
})

/** A part that is to come out of where it sits: what touches it, and what goes through it. */
export type HeldEntry = Told<typeof releaseShape>
export type HeldContact = HeldEntry['contacts'][number]
export type HeldPin = HeldEntry['pins'][number]

export interface ReleaseTypes extends OnlyTold {
  readonly lists: { readonly releases?: readonly HeldEntry[] }
}

/** Parts that are to come out again. */
export const KINDS_OF_RELEASES = {
  ...ONLY_TOLD,
  lists: { releases: { shape: releaseShape, most: 40, names: () => [], problems: releaseProblems } },
} as const satisfies SubjectKinds<ReleaseTypes>

function releaseProblems(_: Things, { contacts, pins }: HeldEntry, complain: EntryComplaint): void {
  const isNought = (way: readonly number[]) => way.every((part) => part === 0)
  contacts.forEach(({ pushes }, k) => {
    if (isNought(pushes)) complain(`contacts[${k}].pushes`, 'has no direction')
  })
  pins.forEach(({ along }, k) => {
    if (isNought(along)) complain(`pins[${k}].along`, 'has no direction')
  })
  const ids = [
    ...contacts.map(({ id }, k) => [id, `contacts[${k}].id`]),
    ...pins.map(({ id }, k) => [id, `pins[${k}].id`]),
  ]
  ids.forEach(([id, at], k) => {
    if (ids.slice(0, k).some(([other]) => other === id)) complain(at ?? '', `"${id ?? ''}" is there twice`)
  })
}
