import { SECTION_KINDS, type SectionKind } from '../../file/kinds/barKinds'
import type { Section } from '../../jobs/cuts/section'

const NAMES: Readonly<Record<SectionKind, string>> = { flat: 'flat', box: 'tube', round: 'round tube' }

/** A section by its sizes: "60 × 8 flat", "38 × 3 round tube". */
export function sectionName(one: Section): string {
  const sizes = SECTION_KINDS[one.section].map((size) => String(Number((one[size] ?? NaN).toFixed(2))))
  return `${sizes.join(' × ')} ${NAMES[one.section]}`
}
