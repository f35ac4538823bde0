import { answered } from '../../base/answered'
import { andThen, known, mapKnown, unknown, type Known } from '../../base/known'
import { chainGears } from '../../vehicle/strength/chainGears'
import type { Build } from '../../file/build/build'
import {
  BOLT_CLASSES,
  FACE_STATES,
  THREAD_STATES,
  type BoltEntry,
  type BoltSlot,
} from '../../file/kinds/boltKinds'
import { blindBolt, throughBolt, type BlindLength, type ThroughLength } from '../../making/bolts/boltLength'
import { slot, type SlotHeld } from '../../making/bolts/slot'
import { threadOf, tightening, type Tightening } from '../../making/bolts/thread'

/** A bolt of a build: how long, how tight, and what its slot holds. */
export interface BoltAnswer {
  readonly through: ThroughLength | null
  readonly blind: BlindLength | null
  readonly tightening: Tightening
  /** Null for a bolt in a round hole. */
  readonly slot: Known<SlotHeld> | null
}

/** A bolt with a figure that cannot be, such as a length that nobody sells, says which. */
export function boltAnswer(build: Build, entry: BoltEntry): Known<BoltAnswer> {
  const { sizeMm, pitchMm, gripMm, headWasherMm = 0, nutWasherMm = 0, into } = entry
  const { isFullThread, slidesAtMm, depthMm } = entry
  return answered(() => {
    const thread = threadOf(sizeMm, pitchMm)
    const clamped = { thread, clampedMm: [gripMm], washersMm: [headWasherMm, nutWasherMm] }
    const planes = slidesAtMm === undefined ? [] : [slidesAtMm]
    const tight = tightening(thread, BOLT_CLASSES[entry.boltClass], THREAD_STATES[entry.thread])
    return {
      through: into === 'nut' ? throughBolt({ ...clamped, isFullThread, shearPlanesMm: planes }) : null,
      blind: into === 'nut' ? null : blindBolt({ ...clamped, washersMm: [headWasherMm], into, depthMm }),
      tightening: tight,
      slot: entry.slot ? slotAnswer(build, sizeMm, entry.slot, tight.preloadN) : null,
    }
  })
}

function slotAnswer(build: Build, boltMm: number, told: BoltSlot, preloadN: number): Known<SlotHeld> {
  const travel = travelOf(build, told)
  const load = loadOf(build, told)
  return andThen(travel, (travelMm) => {
    const size = { boltMm, travelMm, placeTolMm: told.placeMm, washerOuterMm: told.washerOuterMm }
    const held = (loadN: number | null) =>
      answered(() =>
        slot({
          ...size,
          ...(loadN !== null && {
            friction: { mu: FACE_STATES[told.state], preloadN, faces: told.faces, bolts: told.bolts, loadN },
          }),
        }),
      )
    return load === null ? held(null) : andThen(load, held)
  })
}

/** By the range of its lever, else as told. */
function travelOf(build: Build, { lever, travelMm }: BoltSlot): Known<number> {
  if (lever !== undefined) {
    const range = build.levers.find(({ id }) => id === lever)?.range
    return range ? known(range[1] - range[0]) : unknown('the lever that moves it along its slot', 'bolts')
  }
  return travelMm === undefined ? unknown('how far it moves along its slot', 'bolts') : known(travelMm)
}

/** The most that its chain pulls, with the shock; null where nothing was said to pull. */
function loadOf(build: Build, { chain: id, loadN }: BoltSlot): Known<number> | null {
  if (id === undefined) return loadN === undefined ? null : known(loadN)
  const chain = build.chains?.find((one) => one.id === id)
  if (!chain) return unknown('the chain that pulls along its slot', 'bolts')
  const { shock = 1 } = build.drivetrain
  return mapKnown(chainGears(build, chain), (gears) => shock * Math.max(...gears.map(({ pullN }) => pullN)))
}
