import { boolean, object } from 'yup'
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

/** One chain in a file. */
export const CHAIN_SHAPE = object({
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
