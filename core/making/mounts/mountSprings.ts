import { known, unknown, type Known } from '../../base/known'
import { add, dot, norm, scale, turnAbout, type Vec3 } from '../../base/linalg/vec3'
import { radians } from '../../base/units/angle'
import { MOUNT_FIGURES, type ElasticMountEntry } from '../../file/kinds/mountKinds'
import { springParts, type MountSpring, type SpringParts } from './spring'

/** How mounts hold, in their order; unknown with what is not told of one. */
export function springsOf(mounts: readonly ElasticMountEntry[]): Known<readonly SpringParts[]> {
  if (mounts.length === 0) return unknown('what the powertrain stands on', 'mounts')
  const soft = mounts.find((entry) => MOUNT_FIGURES[entry.kind].some((figure) => entry[figure] === undefined))
  if (soft) return unknown(`how stiff ${soft.name} is`, 'mounts')
  return known(mounts.map((entry) => springParts(springOf(entry))))
}

const BOLTS: Readonly<Record<'along' | 'across' | 'up', Vec3>> = {
  along: [1, 0, 0],
  across: [0, 1, 0],
  up: [0, 0, 1],
}

const STOPS: Readonly<Record<NonNullable<ElasticMountEntry['way']>, Vec3>> = {
  up: [0, 0, 1],
  down: [0, 0, -1],
  left: [0, 1, 0],
  right: [0, -1, 0],
  forward: [1, 0, 0],
  back: [-1, 0, 0],
}

/** Of a bush its bolt, of a stop the way in which it pushes, of anything else upright to its face; a lean takes its top to the left. */
export function directionOf({ kind, bolt = 'along', way = 'up', leanDeg = 0 }: ElasticMountEntry): Vec3 {
  const told = kind === 'bush' ? BOLTS[bolt] : kind === 'stop' ? STOPS[way] : BOLTS.up
  return leanDeg === 0 ? told : turnAbout(told, BOLTS.along, -radians(leanDeg))
}

function springOf(entry: ElasticMountEntry): MountSpring {
  const { axialNPerMm = NaN, radialNPerMm = NaN, pressNPerMm = NaN, shearNPerMm = NaN } = entry
  const { forwardNPerMm = NaN, leftNPerMm = NaN, upNPerMm = NaN, gapMm = 0 } = entry
  const direction = directionOf(entry)
  switch (entry.kind) {
    case 'bush':
      return { kind: 'bush', axis: direction, axial: axialNPerMm, radial: radialNPerMm }
    case 'pad':
      return { kind: 'pad', normal: direction, press: pressNPerMm, shear: shearNPerMm }
    case 'stop':
      return { kind: 'stop', normal: direction, gapMm, press: pressNPerMm }
    case 'ways':
      return { kind: 'axes', perMm: [forwardNPerMm, leftNPerMm, upNPerMm] }
  }
}

/** What stays in a bolt that was pulled in over a hole that was off: stiffness times misfit, on the powertrain; null where nothing was off. */
export function strainOf(entry: ElasticMountEntry): Vec3 | null {
  const { forwardMm = 0, leftMm = 0, upMm = 0 } = entry.misfit ?? {}
  const off: Vec3 = [forwardMm, leftMm, upMm]
  if (norm(off) === 0 || MOUNT_FIGURES[entry.kind].some((figure) => entry[figure] === undefined)) return null
  const { always, contact } = springParts(springOf(entry))
  const held: Vec3 = [dot(always[0], off), dot(always[1], off), dot(always[2], off)]
  if (!contact) return held
  // Pressed against it, not drawn off it.
  return add(held, scale(contact.normal, contact.press * Math.max(0, dot(contact.normal, off))))
}
