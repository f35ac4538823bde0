import { add, cross, scale, sub, type Vec3 } from '../base/linalg/vec3'
import type { Build } from '../file/build/build'
import { parseBuild } from '../file/open/parseBuild'
import { evaluateBuild } from '../model/evaluateBuild'
import type { CaseFound, MountsFound } from '../model/mountFound'
import { MOUNTS } from '../model/mountSubject'
import { foundOf } from '../model/subject'
import type { RawBuild } from './builds'

/** A body of a build on its mounts, the first when none is named. */
export function mountsOf(build: Build, body?: string): MountsFound {
  const all = foundOf(evaluateBuild(build, {}).subjects, MOUNTS)
  const one = all.find(({ mounted }) => body === undefined || mounted.body.id === body)
  if (!one?.found.known) throw new Error(JSON.stringify(one?.found))
  return one.found.value
}

export function caseOf({ cases }: MountsFound, key: string): CaseFound {
  const one = cases.find(({ at }) => at.key === key)
  if (!one) throw new Error(`no case ${key}`)
  return one
}

/** Three soft feet and a lump, in a build that had none. */
export function withMounts(demo: object, places: readonly Vec3[], centre: Vec3): Build {
  const raw = structuredClone(demo) as RawBuild
  places.forEach(([x, y, z], i) => {
    raw.points.push({ id: `foot-${i}`, name: `foot ${i}`, body: 'powertrain' })
    raw.readings.push({
      ...{ id: `foot-${i}-given`, setup: raw.setups[0].id, kind: 'given-point', point: `foot-${i}` },
      ...{ station: String(Math.abs(x)), stationWay: x > 0 ? 'forward' : 'rearward' },
      ...{ offset: String(Math.abs(y)), side: y < 0 ? 'right' : 'left' },
      ...{ height: String(Math.abs(z)), heightWay: z < 0 ? 'below' : 'above' },
    })
  })
  raw.mounts = places.map((_, i) => ({
    ...{ id: `m${i}`, name: `foot ${i}`, point: `foot-${i}`, kind: 'ways' },
    ...{ forwardNPerMm: 300, leftNPerMm: 300, upNPerMm: 300 },
  }))
  const at = { stationMm: -centre[0], leftMm: centre[1], upMm: centre[2] }
  const lump = { id: 'lump', name: 'engine', done: 'in', kg: 60, at, body: 'powertrain', hangs: true }
  raw.weight = { ...raw.weight, masses: [...(raw.weight?.masses ?? []), lump] }
  const parsed = parseBuild(raw)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}

/** What all mounts give in a case more than standing still, and its moment about the origin in N·m. */
export function given(found: MountsFound, key: string): { force: Vec3; momentNm: Vec3 } {
  const still = caseOf(found, 'standing')
  const more = caseOf(found, key).forces.map(({ force }, i) => sub(force, still.forces[i]?.force ?? NOWHERE))
  const moments = more.map((force, i) => cross(found.mounts[i]?.at ?? NOWHERE, force))
  const sum = (all: readonly Vec3[]) => all.reduce<Vec3>((together, one) => add(together, one), [0, 0, 0])
  return { force: sum(more), momentNm: scale(sum(moments), 1 / 1000) }
}

const NOWHERE: Vec3 = [NaN, NaN, NaN]
