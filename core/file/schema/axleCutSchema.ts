import { object } from 'yup'
import { CUT_SCHOOLS, CUT_SIDE_FIGURES, type CutSideFigure } from '../parts/axleCut'
import { figure, requiredId, requiredName, wordField } from '../parts/fields'

const length = () => figure(0, 10_000)

const side = object({
  ...(Object.fromEntries(CUT_SIDE_FIGURES.map((key) => [key, length()])) as Record<
    CutSideFigure,
    ReturnType<typeof length>
  >),
  atMm: length(),
}).default(undefined)

/** The Yup schema of a live axle that is made to another width. */
export const axleCutSchema = object({
  id: requiredId(),
  name: requiredName(),
  school: wordField(CUT_SCHOOLS).required(),
  widthMm: length(),
  offsetLeftMm: figure(-5000, 5000),
  hubMm: length(),
  stopMm: length(),
  endPlayMm: length(),
  gapMm: length(),
  sleeveMm: length(),
  overlapMm: length(),
  shaftMm: length(),
  sleeveBoreMm: length(),
  left: side,
  right: side,
})
