import type { BodyBox, ItemBody, TransferCaseBody, Body } from '../../file/parts/body'
import type { Outline } from '../../file/parts/outline'
import type { Build } from '../../file/build/build'
import type { ShelfPart } from './shelfPart'

/** Where the middle of a part is put: station rearward, offset to the left, height, in mm. */
export interface PutPlace {
  readonly stationMm: number
  readonly leftMm: number
  readonly upMm: number
}

/** The box of a part about its middle. */
function partBox({ sizeMm: [long, wide, high] }: ShelfPart, { stationMm, leftMm, upMm }: PutPlace): BodyBox {
  const about = (middle: number, size: number) => [middle - size / 2, middle + size / 2] as const
  return { stations: about(stationMm, long), offsets: about(leftMm, wide), heights: about(upMm, high) }
}

/** The middle of a box. */
export const boxPlace = ({ stations, offsets, heights }: BodyBox): PutPlace => ({
  stationMm: (stations[0] + stations[1]) / 2,
  leftMm: (offsets[0] + offsets[1]) / 2,
  upMm: (heights[0] + heights[1]) / 2,
})

/** An outline about one place as an outline about another; the photograph it was traced over stays with its build. */
function shiftedOutline(
  { view, corners, open, name }: Outline,
  { stationMm, leftMm, upMm }: PutPlace,
): Outline {
  const [right, up] =
    view === 'side' ? [stationMm, upMm] : view === 'top' ? [stationMm, leftMm] : [leftMm, upMm]
  const moved = corners.map(([x, y]) => [x + right, y + up] as const)
  return { view, corners: moved, ...(open && { open }), ...(name && { name }) }
}

/**
 * A part of the shelf as a body of a build, its middle at a place.
 *
 * @returns a transfer case or an item; it stands on the chassis until something else is said
 */
export function bodyOfPart(part: ShelfPart, place: PutPlace, id: string): ItemBody | TransferCaseBody {
  return {
    id,
    name: part.name,
    kind: part.sort === 'transfer-case' ? 'transfer-case' : 'item',
    box: partBox(part, place),
    ...(part.outlines && { outlines: part.outlines.map((outline) => shiftedOutline(outline, place)) }),
  }
}

/** A body with a box as a part for the shelf; null without a box to take its sizes from. */
export function partOfBody({ name, box, outlines }: Body, id: string): ShelfPart | null {
  if (!box) return null
  const { stationMm, leftMm, upMm } = boxPlace(box)
  const back = { stationMm: -stationMm, leftMm: -leftMm, upMm: -upMm }
  const size = ([from, to]: readonly [number, number]) => to - from
  return {
    id,
    name,
    sort: 'item',
    sizeMm: [size(box.stations), size(box.offsets), size(box.heights)],
    ...(outlines && { outlines: outlines.map((outline) => shiftedOutline(outline, back)) }),
  }
}

/** A size of the powertrain that is not told counts as this, in mm, as it does where it is drawn. */
const USUAL_ENGINE_MM = 630
const USUAL_GEARBOX_MM = 620

/**
 * The bodies of a build after an engine, a gearbox or an axle was taken from the shelf: the sizes that it is drawn by.
 *
 * @returns null where the build has nothing that it would go into
 */
export function bodiesWithPart({ bodies }: Pick<Build, 'bodies'>, part: ShelfPart): Body[] | null {
  const [long, wide, high] = part.sizeMm
  const kind = part.sort === 'axle' ? 'axle' : 'powertrain'
  const at = bodies.findIndex((body) => body.kind === kind)
  const there = bodies[at]
  if (!there) return null
  const changed = ((): Body => {
    if (there.kind === 'axle')
      return { ...there, sizes: { ...there.sizes, housingDiameterMm: high, trackMm: wide } }
    if (there.kind !== 'powertrain') return there
    const sizes = there.sizes ?? {}
    const gearbox = sizes.gearboxLengthMm ?? USUAL_GEARBOX_MM
    const engine = Math.max(1, (sizes.lengthMm ?? gearbox + USUAL_ENGINE_MM) - gearbox)
    if (part.sort === 'gearbox')
      return { ...there, sizes: { ...sizes, gearboxLengthMm: long, lengthMm: engine + long } }
    const above = part.aboveAxisMm ?? high / 2
    return {
      ...there,
      sizes: {
        ...sizes,
        gearboxLengthMm: gearbox,
        lengthMm: long + gearbox,
        aboveAxisMm: above,
        belowAxisMm: high - above,
        widthMm: wide,
      },
    }
  })()
  return bodies.map((body, i) => (i === at ? changed : body))
}
