import type { ClosePair } from '../../bay/closePairs'
import type { ServiceAnswer } from '../../bay/serviceWay'
import type { View } from '../../drawing/shape'
import type { Known } from '../../base/known'
import { bodyById } from '../../file/parts/bodies'
import type { Body } from '../../file/parts/body'
import type { Build } from '../../file/build/build'
import type { Verdict } from '../../file/build/limit'
import type { ServiceCheck } from '../../file/parts/serviceCheck'
import { formatLength } from '../../base/units/format'
import { figureText } from '../../base/units/parseFigure'
import type { UnitSettings } from '../../base/units/unitSettings'

/** Two things that stand close, for a row. */
export interface PairRow {
  readonly key: string
  readonly a: string
  readonly b: string
  readonly bodies: readonly [string, string]
  /** How far apart, or how deep in each other, as text. */
  readonly size: string
  readonly isInside: boolean
  readonly view: View
  readonly isOneView: boolean
}

export const pairRows = (pairs: readonly ClosePair[], units: UnitSettings): PairRow[] =>
  pairs.map(({ a, b, gapMm, view, views }) => ({
    key: `${a.key}|${b.key}`,
    a: a.name,
    b: b.name,
    bodies: [a.body, b.body],
    size: formatLength(Math.abs(gapMm), units),
    isInside: gapMm < 0,
    view,
    isOneView: views === 1,
  }))

/** What comes out or does not, for a row. */
export interface ServiceRow {
  readonly check: ServiceCheck
  readonly verdict: Verdict
  /** What it meets on its way, the first first, and after how far; null for what it lies against. */
  readonly meets: readonly {
    readonly name: string
    readonly after: string | null
    readonly isOneView: boolean
  }[]
  /** How far it is clear; null when nothing lies in the way. */
  readonly clear: string | null
  readonly boltedTo: readonly string[]
  readonly missing: readonly string[]
}

export function serviceRow(build: Build, check: ServiceCheck, answer: Known<ServiceAnswer>): ServiceRow {
  if (!answer.known)
    return {
      check,
      verdict: 'unknown',
      meets: [],
      clear: null,
      boltedTo: [],
      missing: answer.missing.map(({ what }) => what),
    }
  const { inWay, clearMm, boltedTo } = answer.value
  return {
    check,
    verdict: inWay.length === 0 ? 'holds' : 'out',
    meets: inWay.map(({ name, afterMm, views }) => ({
      name,
      after: afterMm === 0 ? null : formatLength(afterMm, build.units),
      isOneView: views === 1,
    })),
    clear: clearMm === null ? null : formatLength(clearMm, build.units),
    boltedTo: boltedTo.map((id) => bodyById(build, id)?.name ?? id),
    missing: [],
  }
}

/** Sizes with the unit once: "260 × 180 × 210 mm". */
export const sizesText = (sizesMm: readonly number[], units: UnitSettings): string =>
  `${sizesMm.map((mm) => figureText(mm, 'length', units)).join(' × ')} ${units.length}`

/** Sizes of a body's box along, across and up: "260 × 180 × 210 mm"; null without a box. */
export function boxText({ box }: Body, units: UnitSettings): string | null {
  if (!box) return null
  return sizesText(
    [box.stations, box.offsets, box.heights].map(([from, to]) => to - from),
    units,
  )
}
