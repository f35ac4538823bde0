import type { Estimate, TaskSort } from '../../file/kinds/taskKinds'

/** What of a build makes tasks, in the order in which one works. */
export const MAKERS = [
  'measure',
  'again',
  'cure',
  'make',
  'cutout',
  'weld',
  'fit',
  'order',
  'install',
  'temporary',
] as const
export type Maker = (typeof MAKERS)[number]

interface MakerFacts {
  readonly sort: TaskSort
  /** What each of it usually takes, until the builder says better. */
  readonly usualH: Estimate
  readonly isHot: boolean
  /** Makers all of whose tasks are done before. */
  readonly after: readonly Maker[]
  /** Who tells that it is done: the build by itself, or the builder. */
  readonly isDoneBy: 'build' | 'builder'
}

const minutes = (low: number, likely: number, high: number): Estimate => ({
  low: low / 60,
  likely: likely / 60,
  high: high / 60,
})
const hours = (low: number, likely: number, high: number): Estimate => ({ low, likely, high })

/** Each maker of tasks, in one table. */
export const MAKER_FACTS: Readonly<Record<Maker, MakerFacts>> = {
  measure: { sort: 'fit', usualH: minutes(2, 4, 8), isHot: false, after: [], isDoneBy: 'build' },
  again: { sort: 'fit', usualH: minutes(3, 6, 12), isHot: false, after: [], isDoneBy: 'build' },
  cure: { sort: 'fit', usualH: hours(0.5, 1.5, 4), isHot: false, after: ['measure'], isDoneBy: 'build' },
  make: {
    sort: 'fabricate',
    usualH: hours(1, 2.5, 5),
    isHot: false,
    after: ['again', 'cure'],
    isDoneBy: 'builder',
  },
  cutout: { sort: 'fabricate', usualH: hours(0.5, 1, 2.5), isHot: true, after: [], isDoneBy: 'builder' },
  weld: {
    sort: 'fabricate',
    usualH: hours(0.5, 1, 2),
    isHot: true,
    after: ['again', 'cure'],
    isDoneBy: 'builder',
  },
  fit: { sort: 'fit', usualH: hours(0.3, 0.7, 1.5), isHot: false, after: [], isDoneBy: 'builder' },
  order: { sort: 'buy', usualH: minutes(5, 15, 45), isHot: false, after: [], isDoneBy: 'build' },
  install: { sort: 'fit', usualH: hours(0.3, 0.7, 2), isHot: false, after: [], isDoneBy: 'builder' },
  temporary: { sort: 'fit', usualH: hours(0.2, 0.5, 1.5), isHot: false, after: [], isDoneBy: 'builder' },
}
