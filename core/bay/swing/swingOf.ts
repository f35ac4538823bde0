import { boxOutline } from '../../drawing/outlines'
import { CoreError } from '../../base/errors'
import { known, unknown, type Known, type Missing } from '../../base/known'
import { bodyById, chassisOf, powertrainOf } from '../../file/parts/bodies'
import type { Body } from '../../file/parts/body'
import type { Outline } from '../../file/parts/outline'
import type { Build } from '../../file/build/build'
import type { WayInPlan } from '../../file/parts/wayInPlan'
import type { Place2, Polygon } from '../../base/outline/polygon'
import { drawnBack, halvesOf, straightDraw, type StraightDraw } from './gearboxAlone'
import { INSTALLED, SwingScene, type Floor, type Obstacle, type SwingSetup } from './scene'

/** A plan to begin with: let down from above, lids off, and what the unit covers in this view taken as beside it or off. */
export function newWayInPlan(build: Build): WayInPlan {
  const parts = wayParts(build)
  const top = Math.max(0, ...heightsOf(parts.flatMap(({ outline }) => outline)))
  const low = Math.min(0, ...heightsOf(unitPieces(build, []).flat()))
  const plan: WayInPlan = {
    off: parts.filter(({ isLid }) => isLid).map(({ key }) => key),
    lifted: 'rear',
    liftMm: [0, 600],
    keepMm: 10,
    start: { forwardMm: 0, upMm: Math.ceil((top - low + 80) / 10) * 10, tailDownDeg: 0 },
    tiltDeg: [-10, 60],
  }
  // The floor does not matter for what stands beside the unit.
  const setup = swingSetup(build, { ...plan, lifted: 'whole' })
  if (!setup.known) return plan
  const touched = new Set(
    new SwingScene(setup.value)
      .rooms(INSTALLED)
      .filter(({ mm }) => mm === 0)
      .map(({ obstacle }) => obstacle),
  )
  return {
    ...plan,
    off: parts.filter(({ isLid, name }) => isLid || touched.has(name)).map(({ key }) => key),
  }
}

const heightsOf = (outline: readonly Place2[]): number[] => outline.map(([, height]) => height)

/** Something that may stand in the way, as it is drawn from the side. */
export interface WayPart {
  /** As in `WayInPlan.off`. */
  readonly key: string
  readonly name: string
  readonly outline: Polygon
  readonly isOpen: boolean
  /** A bonnet: off before anything else. */
  readonly isLid: boolean
  /** It goes along with the powertrain unless it is taken off. */
  readonly goesAlong: boolean
}

/** Everything that is drawn from the side and is no part of the powertrain itself. */
export function wayParts(build: Build): WayPart[] {
  const unit = powertrainOf(build)?.id
  return build.bodies.flatMap((body) => {
    if (body.id === unit || body.kind === 'axle') return []
    return sideOutlines(body).map(({ corners, open, name }): WayPart => {
      const isWhole = name === undefined
      return {
        key: isWhole ? body.id : `${body.id}/${name}`,
        name: isWhole ? body.name : name,
        outline: corners.map(([station, height]): Place2 => [-station, height]),
        isOpen: open === true,
        isLid: name === 'bonnet',
        goesAlong: unit !== undefined && standsOn(build, body, unit),
      }
    })
  })
}

const sideOutlines = ({ box, outlines }: Body): Outline[] => {
  const own = (outlines ?? []).filter(({ view }) => view === 'side')
  return own.length > 0 ? own : box ? [boxOutline(box, 'side')] : []
}

function standsOn(build: Build, body: Body, unit: string): boolean {
  let [under, steps] = [body.standsOn, 0]
  while (under !== undefined && under !== unit && steps++ < build.bodies.length)
    under = bodyById(build, under)?.standsOn
  return under === unit
}

/** Outlines of the powertrain itself. */
function ownPieces(build: Build): Polygon[] {
  const powertrain = powertrainOf(build)
  const own = powertrain ? sideOutlines(powertrain).filter(({ open }) => open !== true) : []
  return own.map(({ corners }): Polygon => corners.map(([station, height]): Place2 => [-station, height]))
}

/** Outlines of the powertrain and of what goes along with it. */
function unitPieces(build: Build, off: readonly string[]): Polygon[] {
  return [
    ...ownPieces(build),
    ...wayParts(build)
      .filter(({ key, goesAlong, isOpen }) => goesAlong && !isOpen && !off.includes(key))
      .map(({ outline }) => outline),
  ]
}

/** What is in the way besides the powertrain itself. */
const othersOf = (build: Build, plan: WayInPlan): Obstacle[] =>
  wayParts(build)
    .filter(({ key, goesAlong }) => !goesAlong && !plan.off.includes(key))
    .map(({ name, outline, isOpen }): Obstacle => ({ name, outline, isOpen }))

/** What is moved, and what of the powertrain stays: with the gearbox alone that is drawn back, and the engine stays. */
function movedUnit(
  build: Build,
  plan: WayInPlan,
): Known<{ readonly pieces: readonly Polygon[]; readonly stays: readonly Obstacle[] }> {
  if (!plan.alone) return known({ pieces: unitPieces(build, plan.off), stays: [] })
  const halves = halvesOf(build, ownPieces(build))
  if (!halves.known) return halves
  const { engine, gearbox, faceX } = halves.value
  const along = wayParts(build).filter(
    ({ key, goesAlong, isOpen }) => goesAlong && !isOpen && !plan.off.includes(key),
  )
  const isBehind = ({ outline }: WayPart) => middleOf(outline)[0] < faceX
  return known({
    pieces: drawnBack([...gearbox, ...along.filter(isBehind).map(({ outline }) => outline)], plan.alone),
    stays: [
      ...engine.map((outline): Obstacle => ({ name: 'engine', outline })),
      ...along.filter((part) => !isBehind(part)).map(({ name, outline }): Obstacle => ({ name, outline })),
    ],
  })
}

/**
 * Whether the gearbox alone comes straight back off the block; null where engine and gearbox go as one.
 */
export function gearboxDraw(build: Build, plan: WayInPlan): Known<StraightDraw> | null {
  if (!plan.alone) return null
  const halves = halvesOf(build, ownPieces(build))
  if (!halves.known) return halves
  return known(straightDraw(halves.value.gearbox, othersOf(build, plan), plan.alone))
}

/** Room beyond start and installed place within which the unit may be moved, in mm. */
const BEYOND = 600

/**
 * What the powertrain has to be brought through.
 *
 * @returns unknown with the outlines and sizes that are missing
 */
export function swingSetup(build: Build, plan: WayInPlan): Known<SwingSetup> {
  const unit = movedUnit(build, plan)
  if (!unit.known) return unit
  const { pieces } = unit.value
  const missing: Missing[] = []
  if (pieces.length === 0)
    missing.push({ what: 'the powertrain’s outline from the side, or its box', path: '' })
  const obstacles = [...othersOf(build, plan), ...unit.value.stays]
  if (obstacles.length === 0) missing.push({ what: 'outlines or boxes of what it has to pass', path: '' })
  const ground = groundOf(build, plan)
  if (!ground.known) missing.push(...ground.missing)
  if (missing.length > 0 || !ground.known) return { known: false, missing }
  const { forwardMm, upMm, tailDownDeg } = plan.start
  return checked({
    pieces,
    pivot: middleOf(pieces.flat()),
    obstacles,
    ground: ground.value,
    keepMm: plan.keepMm,
    start: { x: forwardMm, z: upMm, tiltDeg: tailDownDeg },
    bounds: [
      Math.min(0, forwardMm) - BEYOND,
      Math.max(0, forwardMm) + BEYOND,
      Math.min(0, upMm) - BEYOND,
      Math.max(0, upMm) + BEYOND,
    ],
    tiltRangeDeg: [
      Math.min(plan.tiltDeg[0], tailDownDeg, 0) - TILT_ROOM,
      Math.max(plan.tiltDeg[1], tailDownDeg, 0) + TILT_ROOM,
    ],
  })
}

/** What an outline or a bound has wrong with it is said before anybody looks for a way. */
function checked(setup: SwingSetup): Known<SwingSetup> {
  try {
    new SwingScene(setup)
    return known(setup)
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    return unknown(error.message)
  }
}

/** So that both ends of the tilt can be reached, in degrees. */
const TILT_ROOM = 0.5

function groundOf(build: Build, plan: WayInPlan): Known<Floor> {
  const below = chassisOf(build)?.sizes?.groundBelowMm
  const { lifted, frontContactMm, wheelbaseMm } = plan
  const missing: Missing[] = []
  if (below === undefined) missing.push({ what: 'how far the ground lies below the datum plane', path: '' })
  if (lifted === 'rear' && frontContactMm === undefined)
    missing.push({ what: 'the station where the front tyres stand', path: '' })
  if (lifted === 'rear' && wheelbaseMm === undefined) missing.push({ what: 'the wheelbase', path: '' })
  if (below === undefined || missing.length > 0) return { known: false, missing }
  return known({
    frontContactX: -(frontContactMm ?? 0),
    z: -below,
    wheelbaseMm: wheelbaseMm ?? 1000,
    lifted,
  })
}

function middleOf(corners: readonly Place2[]): Place2 {
  const [xs, zs] = [corners.map(([x]) => x), corners.map(([, z]) => z)]
  return [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...zs) + Math.max(...zs)) / 2]
}
