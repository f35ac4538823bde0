import { answered } from '../../base/answered'
import { known, mapKnown, unknown, type Known } from '../../base/known'
import { PUSHED, type ElasticMountEntry } from '../../file/kinds/mountKinds'
import { padStiffness, RUBBER_SPREAD, sleeveStiffness } from './rubber'

/** A figure of a mount, from how far to how far it may be. */
export interface ToldStiffness {
  readonly figure: 'axialNPerMm' | 'radialNPerMm' | 'pressNPerMm' | 'shearNPerMm' | 'upNPerMm'
  readonly perMm: number
  readonly range: readonly [number, number]
}

const about = (figure: ToldStiffness['figure'], least: number, most: number): ToldStiffness => ({
  figure,
  perMm: Math.sqrt(least * most),
  range: [least * (1 - RUBBER_SPREAD), most * (1 + RUBBER_SPREAD)],
})

/** What the sizes of its rubber say, ± 40 %; across a bush between a short and a long one. Unknown with what is still to be measured. */
export function fromRubber({ kind, rubber = {} }: ElasticMountEntry): Known<readonly ToldStiffness[]> {
  const { shoreA, outerMm, innerMm, longMm, wideMm, highMm } = rubber
  if (kind === 'bush') {
    if (shoreA === undefined || outerMm === undefined || innerMm === undefined || longMm === undefined)
      return unknown('hardness, diameters and length of its rubber')
    const radii = { outerRadiusMm: outerMm / 2, innerRadiusMm: innerMm / 2 }
    const sleeve = answered(() => sleeveStiffness({ shoreA, longMm, ...radii }))
    return mapKnown(sleeve, ({ axial, radialShort, radialLong }) => [
      about('axialNPerMm', axial, axial),
      about('radialNPerMm', radialShort, radialLong),
    ])
  }
  if (kind !== 'pad') return unknown('a bush or a pad')
  if (shoreA === undefined || longMm === undefined || wideMm === undefined || highMm === undefined)
    return unknown('hardness, length, width and height of its rubber')
  const pad = answered(() => padStiffness({ shoreA, longMm, wideMm, highMm }))
  return mapKnown(pad, ({ press, shear }) => [
    about('pressNPerMm', press, press),
    about('shearNPerMm', shear, shear),
  ])
}

/** What a push at it says, which counts more than its sizes. */
export function fromPush({ kind, push = {} }: ElasticMountEntry): Known<ToldStiffness> {
  const { loadN, moveMm } = push
  if (loadN === undefined || moveMm === undefined) return unknown('a load, and how far it gave')
  const perMm = loadN / moveMm
  return known({ figure: PUSHED[kind], perMm, range: [perMm, perMm] })
}
