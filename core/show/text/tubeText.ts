import type { Tube } from '../../file/parts/lineSpec'
import { fixed } from '../../base/units/format'

const plain = (figure: number, decimals: number): string =>
  fixed(figure, decimals)
    .replace(/(\.\d*?)0+$/, '$1')
    .replace(/\.$/, '')

/** A tube by its sizes in mm, "ø76 × 2"; with question marks where they are not told. */
export const tubeText = (tube: Pick<Tube, 'outerMm' | 'wallMm'> | undefined): string =>
  tube ? `ø${plain(tube.outerMm, 1)} × ${plain(tube.wallMm, 2)}` : 'ø? × ?'
