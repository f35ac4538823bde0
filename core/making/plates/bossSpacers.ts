import { CoreError, requireFinite } from '../../base/errors'
import { sum } from '../../base/numbers'
import { degrees } from '../../base/units/angle'
import { turnAt } from '../../base/outline/hull'
import type { Place2 } from '../../base/outline/polygon'

/** A boss, how far it lies below one straight edge laid over all: more is further from the plate. */
export interface Boss {
  readonly id: string
  readonly at: Place2
  readonly depthMm: number
}

export interface PlateOnSpacers {
  readonly bosses: readonly Boss[]
  readonly leastMm: number
  /** Spacers that are really there. */
  readonly fitted?: ReadonlyMap<string, number>
  /** Where the plate is pressed down; the middle of the bosses when absent. */
  readonly press?: Place2
}

/** How a plate lies on its spacers. */
export interface PlateRests {
  readonly touching: readonly string[]
  readonly gapsMm: ReadonlyMap<string, number>
  readonly rockMm: number
  /** Of the plate against the straight edge. */
  readonly tiltDeg: number
  readonly isFlat: boolean
  /** With four bosses: what to take off each alone so that all sit; negative is to be added. */
  readonly changesMm: ReadonlyMap<string, number> | null
  /** The spacer to grind: the least that is taken off, any of those named. */
  readonly grind: readonly string[]
}

export interface BossSpacers {
  readonly spacersMm: ReadonlyMap<string, number>
  readonly rests: PlateRests | null
}

/** As flat as feelers tell. */
const FLAT_MM = 0.02
const NEAR_MM = 1e-9

/**
 * Spacers for bosses at unlike heights, and how a plate lies on those that are there.
 *
 * @throws CoreError `degenerate` for fewer than three bosses, one named twice, all in one line, or a press beside them, `not-finite` for a depth that is
 * no number, `unknown` for a spacer that is missing
 */
export function bossSpacers({ bosses, leastMm, fitted, press }: PlateOnSpacers): BossSpacers {
  if (bosses.length < 3) throw new CoreError('degenerate', 'bosses', 'three or more hold a plate')
  if (new Set(bosses.map(({ id }) => id)).size < bosses.length)
    throw new CoreError('degenerate', 'bosses', 'one is named twice')
  for (const { id, at, depthMm } of bosses)
    for (const one of [...at, depthMm]) requireFinite(one, `boss ${id}`)
  if (triples(bosses).length === 0)
    throw new CoreError('degenerate', 'bosses', 'lie in one line: the plate can turn about it')
  const least = Math.min(...bosses.map(({ depthMm }) => depthMm))
  const spacersMm = new Map(bosses.map(({ id, depthMm }) => [id, depthMm - least + leastMm]))
  return { spacersMm, rests: fitted ? restsOn(topsOf(bosses, fitted), press) : null }
}

/** The top of a spacer. */
interface Top {
  readonly id: string
  readonly at: Place2
  readonly height: number
}

const topsOf = (bosses: readonly Boss[], fitted: ReadonlyMap<string, number>): Top[] =>
  bosses.map(({ id, at, depthMm }) => {
    const spacer = fitted.get(id)
    if (spacer === undefined) throw new CoreError('unknown', `spacer ${id}`, 'is missing')
    requireFinite(spacer, `spacer ${id}`)
    return { id, at, height: spacer - depthMm }
  })

/** A plane `c + x·slope + y·slope`. */
type Plane = readonly [c: number, x: number, y: number]
const heightAt = ([c, sx, sy]: Plane, [x, y]: Place2): number => c + sx * x + sy * y

/** It lies on the three whose plane is lowest under the press with no other standing through it. */
function restsOn(tops: readonly Top[], press: Place2 | undefined): PlateRests {
  const mean = (k: 0 | 1) => sum(tops.map(({ at }) => at[k])) / tops.length
  const pressed: Place2 = press ?? [mean(0), mean(1)]
  const lies = triples(tops).find(
    (three) =>
      standsOver(three, pressed) &&
      tops.every(({ at, height }) => heightAt(planeOf(three), at) >= height - NEAR_MM),
  )
  if (!lies) throw new CoreError('degenerate', 'press', 'lies beside the bosses: the plate would tip')
  const plane = planeOf(lies)
  const gaps = tops.map(({ id, at, height }) => [id, Math.max(0, heightAt(plane, at) - height)] as const)
  const rockMm = Math.max(...gaps.map(([, gap]) => gap))
  const isFlat = rockMm <= FLAT_MM
  const changesMm = tops.length === 4 ? changesOf(tops) : null
  return {
    touching: gaps.filter(([, gap]) => gap <= NEAR_MM).map(([id]) => id),
    gapsMm: new Map(gaps),
    rockMm,
    tiltDeg: degrees(Math.atan(Math.hypot(plane[1], plane[2]))),
    isFlat,
    changesMm,
    grind: isFlat || !changesMm ? [] : leastTaken(changesMm),
  }
}

type Three<T> = readonly [T, T, T]

const twiceArea = ([a, b, c]: Three<{ readonly at: Place2 }>): number => turnAt(a.at, b.at, c.at)

/** Any three that are not in one line. */
function triples<T extends { readonly at: Place2 }>(all: readonly T[]): Three<T>[] {
  const found: Three<T>[] = []
  all.forEach((a, i) =>
    all.slice(i + 1).forEach((b, k) =>
      all.slice(i + k + 2).forEach((c) => {
        const longest = Math.max(...[b, c].map(({ at }) => Math.hypot(at[0] - a.at[0], at[1] - a.at[1])))
        if (Math.abs(twiceArea([a, b, c])) > 1e-6 * longest * longest) found.push([a, b, c])
      }),
    ),
  )
  return found
}

function standsOver(three: Three<Top>, at: Place2): boolean {
  const [a, b, c] = three
  const sense = Math.sign(twiceArea(three))
  return [
    [a, b],
    [b, c],
    [c, a],
  ].every(([from, to]) => sense * twiceArea([from as Top, to as Top, { at } as Top]) >= -NEAR_MM)
}

function planeOf(three: Three<Top>): Plane {
  const [a, b, c] = three
  const area = twiceArea(three)
  const [hb, hc] = [b.height - a.height, c.height - a.height]
  const [bx, by, cx, cy] = [b.at[0] - a.at[0], b.at[1] - a.at[1], c.at[0] - a.at[0], c.at[1] - a.at[1]]
  const [sx, sy] = [(hb * cy - hc * by) / area, (bx * hc - cx * hb) / area]
  return [a.height - sx * a.at[0] - sy * a.at[1], sx, sy]
}

/** How far each top stands over the plane of the other three. */
function changesOf(tops: readonly Top[]): ReadonlyMap<string, number> | null {
  const changes = tops.map(({ id, at, height }) => {
    const others = triples(tops.filter((other) => other.id !== id))[0]
    return [id, others ? height - heightAt(planeOf(others), at) : NaN] as const
  })
  return changes.every(([, change]) => Number.isFinite(change)) ? new Map(changes) : null
}

function leastTaken(changes: ReadonlyMap<string, number>): string[] {
  const taken = [...changes].filter(([, change]) => change > NEAR_MM)
  const least = Math.min(...taken.map(([, change]) => change))
  return taken.filter(([, change]) => change <= least + NEAR_MM).map(([id]) => id)
}
