import { formatBothUnits } from '../../base/units/format'
import type { AxleCut } from '../../file/parts/axleCut'
import { axleCutAnswers, sleeveFit, type CutAnswer } from '../../sprockets/axleCutOf'
import { bar } from './barMarks'
import {
  askedRows,
  waitsFor,
  type ArrivalFigure,
  type BodyOf,
  type OrderBody,
  type OrderSite,
  type SheetSection,
} from './orderBody'
import type { SheetDrawing } from '../../drawing/paper/sheetDrawing'

const SHAFT_MM = 34
const HUB_MM = 130
const CASE_MM = 190

const SCHOOL_WORDS: Readonly<Record<AxleCut['school'], string>> = {
  'new-shaft': 'new one-piece shafts',
  sleeve: 'the old pieces, butted in a sleeve',
  lap: 'the old pieces, one slid into the other',
}

/** A live axle of another width: the shaft that each side needs, and how old pieces are cut and joined. */
export const axleSheet: BodyOf = (site, order): OrderBody => {
  const cut = site.build.axleCuts?.find(({ id }) => id === order.of)
  if (!cut) return waitsFor(['the axle that it is of'])
  const answers = axleCutAnswers(cut)
  const missing = answers.flatMap(({ needMm, cut: how }) => [
    ...(needMm.known ? [] : needMm.missing),
    ...(cut.school === 'new-shaft' || how.known ? [] : how.missing),
  ])
  if (missing.length > 0) return waitsFor([...new Set(missing.map(({ what }) => what))])
  return {
    missing: [],
    drawing: axleDrawing(site, cut, answers),
    sections: [
      {
        title: 'Width',
        rows: [
          { name: 'hub face to hub face', value: both(site, cut.widthMm ?? NaN), isMain: true },
          {
            name: 'differential’s middle, to the left of the vehicle’s',
            value: both(site, cut.offsetLeftMm ?? 0),
          },
          { name: 'hub face in to the shaft’s seat', value: both(site, cut.hubMm ?? NaN) },
          { name: 'differential’s middle out to its stop', value: both(site, cut.stopMm ?? NaN) },
          { name: 'end play', value: both(site, cut.endPlayMm ?? 0) },
        ],
      },
      ...answers.map((answer) => sideSection(site, cut, answer)),
      {
        title: 'How it is made',
        rows: [
          { name: 'school', value: SCHOOL_WORDS[cut.school] },
          ...sleeveRows(site, cut),
          ...askedRows(order),
        ],
      },
    ],
    cautions: [
      'A welded shaft that carries torque is the business of a qualified welder and of local rules: support both pieces, straighten after welding, read the run-out at three places.',
    ],
    checks: [],
    columns: [],
    arrival: answers.flatMap(({ side, needMm }): ArrivalFigure[] =>
      needMm.known
        ? [
            {
              key: `length/${side}`,
              name: `${side} shaft`,
              unit: 'mm',
              asked: needMm.value,
              becomes: 'its end play',
            },
          ]
        : [],
    ),
  }
}

const both = ({ build }: OrderSite, mm: number) => formatBothUnits(mm, build.units.inchFraction)

function sideSection(site: OrderSite, { school }: AxleCut, { side, needMm, cut }: CutAnswer): SheetSection {
  const rows = [
    {
      name: 'shaft, from its stop to the hub’s seat',
      value: both(site, needMm.known ? needMm.value : NaN),
      isMain: true,
    },
  ]
  const title = side === 'left' ? 'Left side' : 'Right side'
  if (school === 'new-shaft' || !cut.known) return { title, rows }
  const { keep, cut: off, bite, atMm, engagedMm } = cut.value
  return {
    title,
    rows: [
      ...rows,
      { name: 'inner piece keeps, is shortened by', value: `${both(site, keep[0])}, ${both(site, off[0])}` },
      { name: 'outer piece keeps, is shortened by', value: `${both(site, keep[1])}, ${both(site, off[1])}` },
      { name: 'joint, from the inner end', value: both(site, atMm) },
      { name: 'bite of each piece', value: `${both(site, bite[0])}, ${both(site, bite[1])}` },
      { name: 'spline engaged', value: both(site, engagedMm) },
    ],
  }
}

function sleeveRows(site: OrderSite, cut: AxleCut) {
  const fit = sleeveFit(cut)
  return [
    ...(cut.school === 'sleeve' && cut.sleeveMm !== undefined
      ? [{ name: 'sleeve', value: both(site, cut.sleeveMm) }]
      : []),
    ...(cut.school !== 'new-shaft' && fit
      ? [
          {
            name: fit.isPressed ? 'sleeve is pressed on, tighter by' : 'play of the sleeve',
            value: both(site, Math.abs(fit.playMm)),
          },
        ]
      : []),
  ]
}

/** From behind: the left side to the left. */
function axleDrawing(site: OrderSite, cut: AxleCut, answers: readonly CutAnswer[]): SheetDrawing {
  const { widthMm = NaN, hubMm = NaN, stopMm = NaN, offsetLeftMm = 0 } = cut
  const needs = answers.flatMap(({ side, needMm }) =>
    needMm.known ? [{ side, mm: needMm.value, out: side === 'left' ? -1 : 1 }] : [],
  )
  const face = widthMm / 2
  return {
    labels: [],
    marks: [
      bar(-offsetLeftMm - stopMm, -offsetLeftMm + stopMm, 0, CASE_MM),
      {
        stroke: 'centre',
        form: 'line',
        from: [-offsetLeftMm, -CASE_MM / 2 - 20],
        to: [-offsetLeftMm, CASE_MM / 2 + 20],
      },
      ...needs.flatMap(({ out, mm }) => [
        bar(out * (face - hubMm), out * (face - hubMm - mm), 0, SHAFT_MM),
        bar(out * face, out * (face - hubMm), 0, HUB_MM),
      ]),
    ],
    dimensions: [
      {
        from: [-face, -HUB_MM / 2],
        to: [face, -HUB_MM / 2],
        along: 'x',
        text: both(site, widthMm),
        isMain: true,
      },
      ...needs.map(({ side, out, mm }) => ({
        from: [out * (face - hubMm), -SHAFT_MM / 2] as const,
        to: [out * (face - hubMm - mm), -SHAFT_MM / 2] as const,
        along: 'x' as const,
        text: `${side} ${both(site, mm)}`,
      })),
    ],
  }
}
