import { isUneven } from '../file/parts/joints'
import type { LimitEntry } from '../file/build/limit'
import { factsOf } from '../file/build/quantities'
import type { Build } from '../file/build/build'
import type { Check } from '../check/check'
import type { Evaluation } from './evaluateBuild'
import { appliesIn } from '../check/judgedState'

/** A gap is judged by the limits of its kind, unless the very pair was said to need something else. */
function isGapOf({ gaps }: Build, { subject }: Check, limit: LimitEntry): boolean {
  const gap = subject.of === 'gap' ? gaps.find(({ id }) => id === subject.id) : undefined
  if (!gap || gap.failBelow !== undefined || gap.warnBelow !== undefined) return false
  return limit.gaps?.includes(gap.kind) ?? true
}

/**
 * The limit that decides a check: the one whose reason it gives, else the first that has a say in it.
 *
 * @returns null for a check that rests on no limit
 */
export function limitOfCheck(build: Build, evaluation: Evaluation, check: Check): LimitEntry | null {
  const having = build.limits.entries.filter((limit) =>
    checksOfLimit(build, evaluation, limit).some(({ id }) => id === check.id),
  )
  return having.find(({ basis }) => basis === check.basis) ?? having[0] ?? null
}

/**
 * The checks of an evaluation that a limit has a say in.
 *
 * @returns empty when nothing in this build is judged by it
 */
export function checksOfLimit(build: Build, { checks }: Evaluation, limit: LimitEntry): Check[] {
  return checks.filter((check) => {
    if (limit.quantity === 'gap') return isGapOf(build, check, limit)
    if (check.lineId === null) return check.quantity === limit.quantity && appliesIn(limit, check)
    const line = build.lines.find((one) => one.id === check.lineId)
    if (!line || (limit.schools && !limit.schools.includes(line.school))) return false
    if (!factsOf(limit.quantity).isOfJointAngle) return check.quantity === limit.quantity
    if (!appliesIn(limit, check)) return false
    if (check.subject.of !== 'joint' || check.quantity !== 'joint-angle') return false
    const joint = line.joints[check.subject.index]
    if (limit.quantity === 'joint-limit-margin') return joint?.limitDeg !== undefined
    const last = line.joints.length - 1
    const isMeant =
      limit.joints === 'first'
        ? check.subject.index === 0
        : limit.joints === 'last'
          ? check.subject.index === last
          : true
    return isUneven(joint) && isMeant
  })
}
