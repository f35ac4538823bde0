import { boolean, object } from 'yup'
import { figure, idField, nameField, requiredId, requiredName, timeField, wordField } from '../parts/fields'
import type { Told } from '../parts/told'

export const DATUM_SCHOOLS = ['read', 'levelled', 'face-plumb'] as const

/** One measuring occasion: the vehicle stands in one attitude and all its readings share it. */
export const setupShape = object({
  id: requiredId(),
  name: requiredName(),
  date: timeField(),
  standsOn: wordField(['floor', 'lift-wheels', 'lift-frame', 'stands']).required(),
  /** On its wheels at ride height with its weight on. */
  loaded: boolean().required(),
  /** Rolled forth and back after lowering. */
  settled: boolean().required(),
  /** Who measures. */
  by: nameField(),
  /**
   * `read`: chassis fall and roll are readings; `levelled`: the chassis was made level; `face-plumb`: the vehicle was
   * pitched until the face of `plumbAxis` stood plumb.
   */
  datum: wordField(DATUM_SCHOOLS).required(),
  plumbAxis: idField(),
  /** `pairs`: offsets of this setup were taken from a string, and the true centreline is that of the frame-hole pairs. */
  centreline: wordField(['string', 'pairs']),
  /** Fall of the chassis surface a re-zeroed level was zeroed on, in the chassis frame; 0 when it lies along the datum plane. */
  zeroSurfaceFallDeg: figure(-45, 45),
})
export type Setup = Told<typeof setupShape>
