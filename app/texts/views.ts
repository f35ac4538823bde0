import { cuts } from './cuts'
import { texts } from './en'
import { halfshaftTexts } from './halfshafts'
import { making } from './making'
import { partsOfLine } from './parts'
import { steps } from './steps'
import { tasks } from './tasks'

type StageKey = keyof typeof texts.stages

/** A view of the bench: the stage it belongs to, its name, and whether the stage's own tabs lead to it. */
export interface ViewOfBench {
  readonly key: string
  readonly stage: StageKey
  readonly name: string
  readonly isTab: boolean
}

const viewsOf = (stage: StageKey, names: Readonly<Record<string, string>>): ViewOfBench[] =>
  Object.entries(names).flatMap(([key, name]) => (key === 'label' ? [] : [{ key, stage, name, isTab: true }]))

/** Every view of a build, in the order of the work; tabs, rail and palette read it. */
export const VIEWS: readonly ViewOfBench[] = [
  ...viewsOf('readings', texts.measuring.nav),
  ...viewsOf('place', texts.place.nav),
  { key: 'trace', stage: 'place', name: 'Photograph', isTab: false },
  ...viewsOf('line', partsOfLine.nav),
  ...viewsOf('travel', halfshaftTexts.nav),
  ...viewsOf('make', making.nav),
  { key: 'steps', stage: 'make', name: steps.title, isTab: false },
  ...viewsOf('order', cuts.nav),
  ...viewsOf('sheet', tasks.nav),
]

/** The tabs of a stage. */
export const tabsOf = (stage: StageKey): readonly ViewOfBench[] =>
  VIEWS.filter((view) => view.stage === stage && view.isTab)

/** The stage a view belongs to. */
export const stageOf = (key: string): StageKey | null => VIEWS.find((view) => view.key === key)?.stage ?? null
