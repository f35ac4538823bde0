import type { PlanJson } from '../core/show/result/planJson'

/** A plan, one piece of work a line, for a terminal. */
export function planTable({ build, plan }: PlanJson): string {
  const { value, missing } = plan
  if (!value)
    return `${[`${build.name}: no plan yet`, ...missing.map(({ what }) => `missing: ${what}`)].join('\n')}\n`
  const { finish, bound, isProven, planned } = value
  const proof = isProven ? 'no order of it ends sooner' : `no order of it ends before ${bound}`
  const lines = planned.map(
    ({ begins, ends, name, orderBy }) =>
      `${begins}  ${ends}  ${name}${orderBy === null ? '' : `, by ${orderBy} at the latest`}`,
  )
  return `${[`${build.name}: drives on ${finish}; ${proof}`, ...lines].join('\n')}\n`
}
