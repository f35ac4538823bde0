import type { TourStep } from '../measure/tour/tour'

/** Ids of the axes and points that a tour asks for. */
export const askedIds = (steps: readonly TourStep[]): ReadonlySet<string> =>
  new Set(steps.flatMap((step) => ('axis' in step ? [step.axis] : 'point' in step ? [step.point] : [])))
