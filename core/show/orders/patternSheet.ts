import { formatBothUnits } from '../../base/units/format'
import { patternOf } from '../../vehicle/halfshaft/donorPattern'
import { ball, bar } from './barMarks'
import { askedRows, waitsFor, type BodyOf, type OrderBody } from './orderBody'

const JOINT_MM = 45
const PIECE_MM = 30
const HOLLOW_MM = 40

/** A halfshaft by two donor pieces that go to the machinist clamped: a pattern, never a part. */
export const patternSheet: BodyOf = (site, order): OrderBody => {
  const read = site.build.patterns?.find(({ id }) => id === order.of)
  if (!read) return waitsFor(['the pattern that it is of'])
  const found = patternOf(read)
  if (!found.known) return waitsFor(found.missing.map(({ what }) => what))
  const { shaftMm, overlapMm, strokeMm, toBottomMm, toPulledMm, cutOffMm } = found.value
  const { innerPieceMm: inner = NaN, outerPieceMm: outer = NaN } = read
  const both = (mm: number) => formatBothUnits(mm, site.build.units.inchFraction)
  const becomes = order.other === undefined ? null : 'the length at mid plunge of its line'
  return {
    missing: [],
    stamp: 'pattern only, not to be driven',
    drawing: {
      labels: [],
      marks: [
        ...ball(0, 0, JOINT_MM + 10),
        ...ball(shaftMm, 0, JOINT_MM),
        bar(JOINT_MM + 10, inner, 0, PIECE_MM),
        bar(shaftMm - outer, shaftMm - JOINT_MM, 0, HOLLOW_MM, 'hidden'),
      ],
      dimensions: [
        {
          from: [0, -PIECE_MM / 2],
          to: [shaftMm, -PIECE_MM / 2],
          along: 'x',
          text: both(shaftMm),
          isMain: true,
        },
        {
          from: [shaftMm - outer, -PIECE_MM / 2],
          to: [inner, -PIECE_MM / 2],
          along: 'x',
          text: `overlap ${both(overlapMm)}`,
        },
      ],
    },
    sections: [
      {
        title: 'Length',
        rows: [
          {
            name: 'joint centre to joint centre, inner joint at mid plunge',
            value: both(shaftMm),
            isMain: true,
          },
          { name: 'overlap of the pieces as clamped', value: both(overlapMm) },
          { name: 'from there to bottomed', value: both(toBottomMm) },
          { name: 'from there to pulled out', value: both(toPulledMm) },
          { name: 'stroke of the inner joint', value: both(strokeMm) },
          { name: 'as a check: inner piece', value: both(inner) },
          { name: 'as a check: outer piece', value: both(outer) },
          ...(cutOffMm > 0 ? [{ name: 'most that may be cut off a piece', value: both(cutOffMm) }] : []),
        ],
      },
      {
        title: 'How it is made',
        rows: [
          {
            name: 'made of',
            value:
              'one piece, by the machinist’s own material and hardness; splines and joints by the samples that go with it',
          },
          ...askedRows(order),
        ],
      },
    ],
    cautions: [
      'The clamped pieces are for measuring alone. A shaft that carries torque is made by who is qualified for it; local rules come first.',
    ],
    checks: [],
    columns: [],
    arrival: [
      {
        key: 'length',
        name: 'joint centre to joint centre at mid plunge',
        unit: 'mm',
        asked: shaftMm,
        becomes,
      },
    ],
  }
}
