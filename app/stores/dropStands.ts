import type { Draft } from 'immer'
import type { Build } from '~~/core/file/build/build'
import type { Plate } from '~~/core/file/kinds/plateKinds'
import { dropPoints } from './dropPoints'

/** Points by which a plate stands. */
export const pointsOf = ({ stands = [] }: Pick<Plate, 'stands'>): string[] => stands.map(({ point }) => point)

/** Nobody says any more where it stands: its points go, but for those that something else needs. */
export function dropStands(plate: Draft<Plate>, draft: Draft<Build>): void {
  const gone = pointsOf(plate)
  delete plate.stands
  dropPoints(draft, gone)
}
