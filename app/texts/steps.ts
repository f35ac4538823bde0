import type { HoleFind, StepSubject } from '~~/core/file/kinds/tickKinds'

/** Phrases of the work step by step. */
export const steps = {
  title: 'Step by step',
  open: 'Step by step, one a screen',
  none: 'Nothing is made step by step yet: a figure of it is missing, or there is no part.',
  of: (number: number, all: number) => `Step ${number} of ${all}`,
  back: 'Back',
  next: 'Next',
  done: 'Done, next',
  takeBack: 'Not done yet',
  photo: 'Done, with a photo',
  photoOf: (step: string) => `Photo: ${step}`,
  finds: { fits: 'Fits', tight: 'Tight', off: 'Off' } satisfies Record<HoleFind, string>,
  hours: 'Toward which hour, from where you look?',
  wasFound: { fits: 'it fits', tight: 'it is tight', off: 'it is off' } satisfies Record<HoleFind, string>,
  toward: (hour: string) => `, toward ${hour}`,
  isDone: (day: string) => `done ${day}`,
  all: 'All steps are done.',
  readAloud: 'Read aloud',
  typeIt: 'Type what you read',
  progress: (done: number, all: number) => `${done} of ${all} done`,
  kinds: { bar: 'crossmember', tube: 'tube', plate: 'plate', weld: 'weld' } satisfies Record<
    StepSubject,
    string
  >,
  cautions: {
    bar: 'Stands and chocks under the vehicle, never a jack alone. Nobody and no fingers under the gearbox while it is lowered.',
    tube: 'Edges of a fresh cut are knives: file them first. Eyes and sleeves at the saw, no gloves at the drill.',
    plate: 'No fingers between plate and bosses while it is pulled on.',
    weld: 'Battery off, earth clamp near the weld, everything that burns out of the way on both sides; somebody on the other side with water.',
  } satisfies Record<StepSubject, string>,
}
