import type { Limb } from '../../file/parts/control'

/** A job at one moment, and the limbs that can do it, the one used by choice first. */
export interface Job {
  readonly id: string
  readonly limbs: readonly Limb[]
}

/** Jobs that want more limbs than there are for them. */
export interface Clash {
  readonly jobs: readonly string[]
  readonly limbs: readonly Limb[]
}

/** How the jobs of one moment are shared out. */
export interface Share {
  /** The limb that does each job; where they clash, the one it is wanted by. */
  readonly by: ReadonlyMap<string, Limb>
  /** Jobs of the limb that has most, in the best sharing. */
  readonly most: number
  /** The fewest jobs that cannot be done at once; null where all can. */
  readonly clash: Clash | null
}

/**
 * The best sharing of jobs among limbs: the busiest limb has the fewest (assignment by trying every way; Hall's condition names those that clash).
 *
 * Of sharings alike, the first in the order of the jobs and of their own limbs.
 */
export function shareJobs(jobs: readonly Job[]): Share {
  let best: Share['by'] = new Map()
  let most = Infinity
  const tried = (k: number, by: ReadonlyMap<string, Limb>, busiest: number): void => {
    if (busiest >= most) return
    const job = jobs[k]
    if (!job) {
      ;[best, most] = [by, busiest]
      return
    }
    for (const limb of job.limbs) {
      const count = [...by.values()].filter((one) => one === limb).length + 1
      tried(k + 1, new Map([...by, [job.id, limb]]), Math.max(busiest, count))
    }
  }
  tried(0, best, 0)
  return { by: best, most, clash: most > 1 ? clashOf(jobs) : null }
}

/** The smallest set of jobs that together have fewer limbs than there are of them. */
function clashOf(jobs: readonly Job[]): Clash | null {
  const sets = Array.from({ length: 2 ** jobs.length }, (_, bits) =>
    jobs.filter((_job, k) => (bits >> k) % 2 === 1),
  )
  const found = sets
    .map((some) => ({ some, limbs: [...new Set(some.flatMap(({ limbs }) => limbs))] }))
    .filter(({ some, limbs }) => limbs.length < some.length)
    .sort((a, b) => a.some.length - b.some.length)[0]
  return found ? { jobs: found.some.map(({ id }) => id), limbs: found.limbs } : null
}
