import { boolean, object } from 'yup'
import { CUT_SCHOOLS, CUT_SIDE_FIGURES, type CutSideFigure } from '../parts/axleCut'
import { CHAIN_DUTIES, SPROCKET_SUPPORTS } from '../parts/chainLine'
import { figure, idField, list, nameField, requiredId, requiredName, wordField } from '../parts/fields'

/** Sprockets of one chain at the most. */
const MOST_SPROCKETS = 12

const sprocket = object({
  id: requiredId(),
  name: nameField(),
  teeth: figure(5, 500).integer().required(),
  point: requiredId(),
  axis: idField(),
  outside: boolean(),
  idler: boolean(),
  faceToTeethMm: figure(-500, 500),
  support: wordField(SPROCKET_SUPPORTS),
})

/** The Yup schema of one chain. */
export const chainSchema = object({
  id: requiredId(),
  name: requiredName(),
  duty: wordField(CHAIN_DUTIES).required(),
  pitchMm: figure(1, 200).required(),
  sprockets: list(sprocket, MOST_SPROCKETS).min(2).required(),
  links: figure(1, 5000).integer(),
  halfLink: boolean(),
  wearPercent: figure(0, 10),
  wornPercent: figure(0, 10),
  tensileN: figure(1, 1e7),
  massKgPerM: figure(0, 100),
  adjuster: idField(),
  turnsBackward: boolean(),
  wheelTurns: figure(0.1, 20),
})

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
