import { fixed } from '../../base/units/format'
import { radians } from '../../base/units/angle'
import { MEMBER_KINDS, type Crossmember, type MemberWay } from '../../file/kinds/memberKinds'
import type { Place2 } from '../../base/outline/polygon'
import { cornerOf } from '../crossmembers/member'
import { stockOf } from '../crossmembers/memberWay'
import type { Template, TemplateMark } from './template'

/** A corner of a blank: its middle from the left end, and its turn going right, up positive. */
export interface BlankCorner {
  readonly atMm: number
  readonly turnDeg: number
}

/** The blank of a crossmember, its left end at the left: a flat from above, a tube from behind; of an old bar one of its two plates. */
export function memberTemplate(
  { name, endMm }: Pick<Crossmember, 'name' | 'endMm'>,
  way: MemberWay,
  blankMm: number,
  corners: readonly BlankCorner[],
): Template {
  const isBox = MEMBER_KINDS[way.kind].of === 'box'
  const height = way.kind === 'old' ? endMm : broadMm(way)
  const outline: TemplateMark = { layer: 'cut', form: 'outline', points: rectangle(blankMm, height) }
  const marks = corners.flatMap((corner) => (isBox ? notch(way, corner) : bend(way, corner)))
  return { name, size: [blankMm, height + TEXT_ROOM_MM], marks: [outline, ...marks] }
}

/** How broad its blank lies on the paper: a flat from above, a tube from behind. */
const broadMm = ({ kind, widthMm = NaN, heightMm }: MemberWay): number =>
  MEMBER_KINDS[kind].of === 'flat' ? widthMm : heightMm

const TEXT_ROOM_MM = 8
const TEXT_MM = 4

const rectangle = (width: number, height: number): Place2[] => [
  [0, 0],
  [width, 0],
  [width, height],
  [0, height],
]

/** What a corner is called on the metal: where, which way, by how much. */
export const cornerWords = ({ atMm, turnDeg }: BlankCorner): string =>
  `${fixed(atMm, 1)} ${turnDeg > 0 ? 'up' : 'down'} ${fixed(Math.abs(turnDeg), 1)}°`

const written = (corner: BlankCorner, height: number): TemplateMark => ({
  layer: 'scribe',
  form: 'text',
  at: [corner.atMm - 14, height + 2],
  text: cornerWords(corner),
  size: TEXT_MM,
})

/** The middle of a bend, and where it begins and ends. */
function bend(way: MemberWay, corner: BlankCorner): TemplateMark[] {
  const stock = stockOf(way)
  const metal = stock ? cornerOf(stock)[1] : 0
  const half = (metal * Math.abs(radians(corner.turnDeg))) / 2
  const across = (x: number, layer: 'bend' | 'scribe'): TemplateMark => ({
    layer,
    form: 'line',
    from: [x, 0],
    to: [x, broadMm(way)],
  })
  return [
    across(corner.atMm - half, 'scribe'),
    across(corner.atMm, 'bend'),
    across(corner.atMm + half, 'scribe'),
    written(corner, broadMm(way)),
  ]
}

/** A V that closes against the face left whole: below where the tube turns up, above where it turns down. */
function notch(way: MemberWay, corner: BlankCorner): TemplateMark[] {
  const { heightMm, wallMm = 0 } = way
  const turnsUp = corner.turnDeg > 0
  const half = mouthMm(way, corner.turnDeg) / 2
  const [tip, mouth] = turnsUp ? [wallMm, heightMm] : [heightMm - wallMm, 0]
  return [
    {
      layer: 'cut',
      form: 'outline',
      points: [
        [corner.atMm, tip],
        [corner.atMm - half, mouth],
        [corner.atMm + half, mouth],
      ],
    },
    { layer: 'bend', form: 'line', from: [corner.atMm, tip], to: [corner.atMm, turnsUp ? 0 : heightMm] },
    written(corner, heightMm),
  ]
}

/** Width of a V at the face that is cut: it turns about the inside of the other. */
export const mouthMm = ({ heightMm, wallMm = 0 }: MemberWay, turnDeg: number): number =>
  2 * (heightMm - wallMm) * Math.tan(Math.abs(radians(turnDeg)) / 2)
