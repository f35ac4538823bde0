import { mapKnown, type Known } from '../../base/known'
import type { MountsAnswer } from './unitAnswers'

/** Bumps count so many times the weight. */
const BUMPS = 3

/** The largest load of the tail's mount: its standing share at three times the weight, with what full torque adds to it, in N. */
export const tailLoad = (mounts: Known<MountsAnswer>): Known<number> =>
  mapKnown(mounts, ({ loads: { standingN, underTorqueN } }) => {
    const [, , standing = NaN] = standingN
    const [, , turned = NaN] = underTorqueN
    return Math.max(BUMPS * standing, BUMPS * standing + (turned - standing))
  })
