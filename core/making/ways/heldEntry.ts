import { answered } from '../../base/answered'
import type { Known } from '../../base/known'
import type { HeldEntry } from '../../file/kinds/releaseKinds'
import { release, type Release } from './release'

/** Whether a part of a build comes out of where it sits, and which way. */
export const releaseOf = ({ contacts, pins }: HeldEntry): Known<Release> =>
  answered(() =>
    release({
      dimensions: 3,
      contacts: contacts.map(({ id, pushes }) => ({ id, normal: pushes })),
      pins: pins.map(({ id, along, canBeDrawn = false, isOneWay = false }) => ({
        id,
        axis: along,
        isDrawable: canBeDrawn,
        isOneWay,
      })),
    }),
  )
