import { clutchShape, type Clutch } from '../parts/clutch'
import { controlShape, manoeuvreShape, type Control, type Manoeuvre } from '../parts/control'
import type { Things } from './ask'
import type { EntryComplaint } from './listFacts'
import { ONLY_TOLD, type OnlyTold } from './onlyTold'
import { length, plainFigure } from './quantityRow'
import type { SubjectKinds } from './subjectKinds'

export interface ControlTypes extends OnlyTold {
  readonly lists: {
    readonly controls?: readonly Control[]
    readonly manoeuvres?: readonly Manoeuvre[]
    readonly clutches?: readonly Clutch[]
  }
}

/** What a driver works, and with which hand or foot. */
export const KINDS_OF_CONTROLS = {
  ...ONLY_TOLD,
  quantities: {
    'limb-jobs': {
      unit: '1',
      shown: plainFigure(0, ''),
      label: 'jobs for one hand or foot',
      name: 'Jobs for one hand or foot at one moment',
      usualRoom: 1,
    },
    'clutch-left': {
      unit: 'mm',
      shown: length,
      label: 'travel left when the clutch is free',
      name: 'Travel of the release bearing left',
      usualRoom: 2,
    },
    'cylinder-left': {
      unit: 'mm',
      shown: length,
      label: 'stroke left of a cylinder',
      name: 'Stroke of a clutch cylinder left',
      usualRoom: 5,
    },
  },
  lists: {
    controls: { shape: controlShape, most: 24, names: () => [], problems: limbsTwice },
    manoeuvres: {
      shape: manoeuvreShape,
      most: 40,
      names: ({ at }) =>
        at.map(({ control }, k) => ({ at: `at[${k}].control`, in: 'controls' as const, id: control })),
      problems: controlsTwice,
    },
    clutches: {
      shape: clutchShape,
      most: 4,
      names: ({ control }) => [{ at: 'control', in: 'controls', id: control }],
    },
  },
} as const satisfies SubjectKinds<ControlTypes>

function limbsTwice(_: Things, { limbs }: Control, complain: EntryComplaint): void {
  limbs.forEach((limb, k) => {
    if (limbs.indexOf(limb) !== k) complain(`limbs[${k}]`, `"${limb}" is there twice`)
  })
}

function controlsTwice(_: Things, { at }: Manoeuvre, complain: EntryComplaint): void {
  at.forEach(({ control }, k) => {
    if (at.findIndex((one) => one.control === control) !== k)
      complain(`at[${k}].control`, `"${control}" is there twice`)
  })
}
