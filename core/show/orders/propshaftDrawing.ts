import type { Place2 } from '../../base/outline/polygon'
import { formatBothUnits } from '../../base/units/format'
import type { Dimension, SheetDrawing, SheetMark } from '../../drawing/paper/sheetDrawing'
import type { Line, ShaftEnd } from '../../file/parts/lineSpec'
import type { LengthMark } from '../../file/parts/lengthMarks'
import { hardwareLength } from '../../line/hardware'
import { tubeText } from '../text/tubeText'

/** Sizes in the drawing of what no build tells, in mm: they carry no figure. */
const DRAWN = { jointMm: 26, yokeMm: 70, tubeMm: 76, flangeMm: 90, shaftMm: 36, seatMm: 12 }

export interface ShaftDrawing {
  readonly line: Line
  readonly shaft: number
  /** Joint centre to joint centre. */
  readonly lengthMm: number
  /** How the shop measures it, straight on the bench. */
  readonly main: { readonly from: LengthMark; readonly to: LengthMark; readonly mm: number }
  readonly inchFraction: 16 | 32
}

const beyondOf = (end: ShaftEnd | undefined, mark: LengthMark): number =>
  mark === 'joint-centre' ? 0 : (hardwareLength(end, mark) ?? 0)

/** A shaft straight on the bench, its driving end to the left, with the length that is ordered and the sizes it hangs on. */
export function propshaftDrawing({ line, shaft, lengthMm, main, inchFraction }: ShaftDrawing): SheetDrawing {
  const { tube, drivingEnd, drivenEnd, slip, bearing } = line.shafts[shaft] ?? {}
  const outer = tube?.outerMm ?? DRAWN.tubeMm
  const yoke = Math.min(DRAWN.yokeMm, lengthMm / 4)
  const both = (mm: number) => formatBothUnits(mm, inchFraction)
  const size = (from: Place2, to: Place2, text: string, isMain = false): Dimension => ({
    from,
    to,
    along: 'x',
    text,
    isMain,
  })
  const marks: SheetMark[] = [
    box(yoke, -outer / 2, lengthMm - yoke, outer / 2),
    ...yokeMarks(0, yoke, outer),
    ...yokeMarks(lengthMm, lengthMm - yoke, outer),
    { stroke: 'centre', form: 'line', from: [-DRAWN.jointMm, 0], to: [lengthMm + DRAWN.jointMm, 0] },
    ...endMarks(drivingEnd, 0, -1),
    ...endMarks(drivenEnd, lengthMm, 1),
  ]
  if (slip) marks.push(box(yoke, -outer / 2 - 6, yoke + (slip.engagedMm ?? yoke), outer / 2 + 6, 'hidden'))
  const overhang = bearing?.overhangMm
  if (overhang !== undefined) {
    const at = lengthMm - overhang
    marks.push(box(at - DRAWN.seatMm, -outer / 2 - 20, at + DRAWN.seatMm, outer / 2 + 20))
  }
  const low = -outer / 2
  const [start, end] = [-beyondOf(drivingEnd, main.from), lengthMm + beyondOf(drivenEnd, main.to)]
  return {
    marks,
    labels: [],
    dimensions: [
      size([start, low], [end, low], both(main.mm), true),
      ...ownSizes(drivingEnd, 0, -1, both).map(([from, to, text]) => size([from, low], [to, low], text)),
      ...ownSizes(drivenEnd, lengthMm, 1, both).map(([from, to, text]) => size([from, low], [to, low], text)),
      ...(overhang === undefined ? [] : [size([lengthMm - overhang, low], [lengthMm, low], both(overhang))]),
      ...(tube
        ? [
            {
              from: [lengthMm - yoke, -outer / 2] as Place2,
              to: [lengthMm - yoke, outer / 2] as Place2,
              along: 'y' as const,
              text: tubeText(tube),
            },
          ]
        : []),
    ],
  }
}

const box = (
  x0: number,
  y0: number,
  x1: number,
  y1: number,
  stroke: SheetMark['stroke'] = 'edge',
): SheetMark => ({
  stroke,
  form: 'outline',
  points: [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ],
})

const yokeMarks = (joint: number, weld: number, outer: number): SheetMark[] => [
  { stroke: 'edge', form: 'circle', at: [joint, 0], radius: DRAWN.jointMm },
  { stroke: 'edge', form: 'circle', at: [joint, 0], radius: DRAWN.jointMm / 3 },
  ...([-1, 1] as const).map((side): SheetMark => ({
    stroke: 'edge',
    form: 'line',
    from: [joint + Math.sign(weld - joint) * DRAWN.jointMm, (side * DRAWN.jointMm) / 1.4],
    to: [weld, (side * outer) / 2],
  })),
]

/** What an end is bolted to or slides on; `out` is the way away from the shaft. */
function endMarks(end: ShaftEnd | undefined, joint: number, out: 1 | -1): SheetMark[] {
  const at = (mm: number) => joint + out * mm
  if (end?.kind === 'flange') {
    const face = at(end.faceToJointMm ?? DRAWN.jointMm + 8)
    return [
      box(
        Math.min(face, face - out * 10),
        -DRAWN.flangeMm / 2,
        Math.max(face, face - out * 10),
        DRAWN.flangeMm / 2,
      ),
    ]
  }
  if (end?.kind !== 'slip-yoke') return []
  const bottom = end.boreBottomToJointMm ?? DRAWN.jointMm + 10
  const shaftEnd = bottom + (end.setInMm ?? 0)
  const seal = shaftEnd + (end.sealToShaftEndMm ?? 90)
  const [low, high] = [Math.min(at(DRAWN.jointMm), at(seal - 8)), Math.max(at(DRAWN.jointMm), at(seal - 8))]
  return [
    box(low, -DRAWN.shaftMm / 2 - 8, high, DRAWN.shaftMm / 2 + 8),
    {
      stroke: 'hidden',
      form: 'line',
      from: [at(bottom), -DRAWN.shaftMm / 2],
      to: [at(bottom), DRAWN.shaftMm / 2],
    },
    box(
      Math.min(at(shaftEnd), at(seal + 30)),
      -DRAWN.shaftMm / 2,
      Math.max(at(shaftEnd), at(seal + 30)),
      DRAWN.shaftMm / 2,
      'hidden',
    ),
    {
      stroke: 'edge',
      form: 'line',
      from: [at(seal), -DRAWN.flangeMm / 2],
      to: [at(seal), DRAWN.flangeMm / 2],
    },
  ]
}

/** The sizes of an end itself: from, to, what they are. */
function ownSizes(
  end: ShaftEnd | undefined,
  joint: number,
  out: 1 | -1,
  both: (mm: number) => string,
): (readonly [number, number, string])[] {
  const at = (mm: number) => joint + out * mm
  if (end?.kind === 'flange' && end.faceToJointMm !== undefined)
    return [[at(0), at(end.faceToJointMm), both(end.faceToJointMm)]]
  if (end?.kind !== 'slip-yoke' || end.boreBottomToJointMm === undefined) return []
  const { boreBottomToJointMm: bore, setInMm } = end
  return [
    [at(0), at(bore), both(bore)],
    ...(setInMm === undefined ? [] : [[at(bore), at(bore + setInMm), `set-in ${both(setInMm)}`] as const]),
  ]
}
