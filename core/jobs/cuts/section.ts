import { known, unknown, type Known } from '../../base/known'
import { SECTION_KINDS, type SectionKind } from '../../file/kinds/barKinds'
import { roundKgPerM, squareKgPerM } from '../../plan/cutting/tubeMass'

/** What a bar or a piece is across. */
export interface Section {
  readonly section: SectionKind
  readonly widthMm?: number | undefined
  readonly heightMm?: number | undefined
  readonly wallMm?: number | undefined
}

/** Steel, kg a metre of one square millimetre. */
const STEEL_KG = 0.00785
/** Sizes are told apart to so many decimals. */
const DECIMALS = 2

/** The same for sections that are one: its kind with its sizes; unknown while one of them is not told. */
export function sectionKey(one: Section): Known<string> {
  const sizes = SECTION_KINDS[one.section].map((size) => one[size])
  return sizes.every((size) => size !== undefined)
    ? known([one.section, ...sizes.map((size) => Number(size.toFixed(DECIMALS)))].join('/'))
    : unknown('all sizes of its section')
}

/** Steel of it, kg a metre; not a number while a size is not told. */
export function kgPerM({ section, widthMm = NaN, heightMm = NaN, wallMm = NaN }: Section): number {
  if (section === 'flat') return STEEL_KG * widthMm * heightMm
  if (section === 'round') return roundKgPerM(heightMm, wallMm)
  return squareKgPerM((widthMm + heightMm) / 2, wallMm)
}
