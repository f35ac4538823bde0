import { isSameState } from '../../check/check'
import { allKnown, known, mapKnown, unknown, type Known } from '../../base/known'
import type { LineEvaluation } from '../../model/lineEvaluation'
import type { Build } from '../../file/build/build'
import type { Quantity } from '../../file/build/limit'
import { tubesOf, type TubeEntry } from '../../file/parts/stock'
import type { Tube } from '../../file/parts/lineSpec'
import { metalOf } from '../../vehicle/strength/metal'
import {
  oneForAll,
  tubeRows,
  type StockTube,
  type TubeDuty,
  type TubeRow,
} from '../../vehicle/strength/tubeChoice'
import type { LineTorque } from '../../vehicle/strength/lineTorque'
import type { ShaftSpeed } from '../../vehicle/strength/shaftSpeed'
import { tubeText } from '../text/tubeText'
import type { Verdict } from '../../file/build/limit'

/** A tube of the stock, and how it would stand in a shaft. */
export interface TubeChoice extends TubeRow {
  readonly entry: TubeEntry
  readonly name: string
  readonly verdict: Verdict
  readonly isTaken: boolean
}

/** The tubes of the stock for one shaft, lightest first, with what it has to bear. */
export interface TubeChoices {
  readonly duty: TubeDuty
  readonly rows: readonly TubeChoice[]
  /** The one with the smallest worst share, where none will do; null where some do. */
  readonly nearest: string | null
}

/** Of the build's limits, else the starting figures of the handbook. */
const USUAL = {
  'tube-shear': { warn: 0.45, fail: 0.6 },
  'critical-speed-ratio': { warn: 0.65, fail: 0.75 },
} as const

/**
 * What a shaft of a line has to bear, at the length at which its critical speed is judged: where that is worst, else at ride height.
 */
export function dutyOf(of: LineEvaluation, shaft: number): Known<TubeDuty> {
  const { line, speed, torque } = of
  const { endMasses } = line.shafts[shaft] ?? {}
  return mapKnown(
    allKnown<[ShaftSpeed, LineTorque, number]>([speed, torque, judgedLength(of, shaft)]),
    ([{ speedRpm }, { designNm }, lengthMm]) => ({
      lengthMm,
      torqueNm: designNm,
      speedRpm,
      ...(endMasses && { endMasses }),
    }),
  )
}

function judgedLength({ line, ride, states, checks }: LineEvaluation, shaft: number): Known<number> {
  const check = checks.find(
    ({ quantity, subject }) =>
      quantity === 'critical-speed-ratio' && subject.of === 'shaft' && subject.index === shaft,
  )
  const there = check && states.find((state) => isSameState(state, check))?.figures
  const figures = there?.known ? there : ride
  return figures.known
    ? known(figures.value.shafts()[shaft]?.lengths.all[0]?.length ?? NaN)
    : unknown(`length of ${line.name}`)
}

/** A tube of the stock as the strength of tubes is reckoned with. */
interface Stocked extends StockTube {
  readonly entry: TubeEntry
}
const stockOf = (build: Build): Stocked[] =>
  tubesOf(build).map((entry) => ({ ...entry, entry, name: nameOf(entry), metal: metalOf(entry) }))

/** The one tube of which all shafts of a build could be made. */
export interface TubeForAll {
  /** The lightest that does for all; null for none. */
  readonly best: { readonly entry: TubeEntry; readonly name: string; readonly massKg: number } | null
  readonly shafts: number
  /** Every shaft has it. */
  readonly isTaken: boolean
}

/** One tube for every shaft of all lines, within the least room that any of them has. */
export function tubeForAll(build: Build, lines: readonly LineEvaluation[]): Known<TubeForAll> {
  const shafts = lines.flatMap((one) => one.line.shafts.map((shaft, index) => ({ one, shaft, index })))
  const duties = allKnown<TubeDuty[]>(shafts.map(({ one, index }) => dutyOf(one, index)))
  return mapKnown(duties, (all) => {
    const rooms = shafts.flatMap(({ shaft }) => shaft.mostOuterMm ?? [])
    const found = oneForAll(stockOf(build), all, {
      shearShare: edgesOf(build, 'tube-shear').warn,
      speedShare: edgesOf(build, 'critical-speed-ratio').warn,
      outerMm: rooms.length > 0 ? Math.min(...rooms) : undefined,
    })
    const entry = found && (found.tube as Stocked).entry
    return {
      best: entry && { entry, name: nameOf(entry), massKg: found.massKg },
      shafts: shafts.length,
      isTaken: entry !== null && shafts.every(({ shaft }) => isSameTube(entry, shaft.tube)),
    }
  })
}

/** Every tube of the stock against what a shaft has to bear, within the room that it has. */
export function tubesThatDo(build: Build, of: LineEvaluation, shaft: number): Known<TubeChoices> {
  const all = dutyOf(of, shaft)
  if (!all.known) return all
  const duty = all.value
  const edges = (quantity: keyof typeof USUAL) => edgesOf(build, quantity)
  const [shear, whirl] = [edges('tube-shear'), edges('critical-speed-ratio')]
  const stock = stockOf(build)
  const rows = tubeRows(stock, duty, {
    shearShare: shear.warn,
    speedShare: whirl.warn,
    outerMm: of.line.shafts[shaft]?.mostOuterMm,
  }).map((row): TubeChoice => {
    const entry = (row.tube as Stocked).entry
    const isOut = row.shearShare > shear.fail || row.speedShare > whirl.fail || !row.isRoomy
    return {
      ...row,
      entry,
      name: nameOf(entry),
      verdict: isOut ? 'out' : row.willDo ? 'holds' : 'tight',
      isTaken: isSameTube(entry, of.line.shafts[shaft]?.tube),
    }
  })
  const roomy = rows.filter(({ isRoomy }) => isRoomy)
  const [first] = roomy
  const nearest =
    rows.some(({ willDo }) => willDo) || !first
      ? null
      : roomy.reduce((a, b) => (b.worst < a.worst ? b : a), first)
  return known({ duty, rows, nearest: nearest?.entry.id ?? null }, all.assumptions)
}

function edgesOf(build: Build, quantity: Quantity & keyof typeof USUAL): { warn: number; fail: number } {
  const limits = build.limits.entries.filter((entry) => entry.quantity === quantity)
  const least = (key: 'warnAbove' | 'failAbove') => Math.min(...limits.flatMap((entry) => entry[key] ?? []))
  const usual = USUAL[quantity]
  const fail = least('failAbove')
  const warn = least('warnAbove')
  const to = Number.isFinite(fail) ? fail : usual.fail
  return { warn: Math.min(Number.isFinite(warn) ? warn : usual.warn, to), fail: to }
}

const nameOf = (entry: TubeEntry): string =>
  entry.name ?? `${tubeText(entry)}${entry.material === 'steel' ? '' : `, ${entry.material}`}`

const isSameTube = (entry: TubeEntry, tube: Tube | undefined): boolean =>
  tube !== undefined &&
  entry.outerMm === tube.outerMm &&
  entry.wallMm === tube.wallMm &&
  entry.material === tube.material
