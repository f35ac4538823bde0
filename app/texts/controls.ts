import type { Limb } from '~~/core/file/parts/control'

/** Controls that a plan begins with, by which hand or foot works each; the builder's to change. */
const USUAL_CONTROLS = {
  wheel: { name: 'steering wheel', limbs: ['leftHand', 'rightHand'] },
  shift: { name: 'shift lever', limbs: ['rightHand'] },
  clutch: { name: 'clutch', limbs: ['leftFoot'] },
  brake: { name: 'brake', limbs: ['rightFoot'] },
  throttle: { name: 'throttle', limbs: ['rightFoot'] },
  parking: { name: 'parking brake', limbs: ['rightHand'] },
} satisfies Readonly<Record<string, { readonly name: string; readonly limbs: readonly Limb[] }>>

/** Phrases of who has which hand free. */
export const controls = {
  title: 'Hands and feet',
  lead: 'Before a lever or a pedal gets its bracket: what is worked at one moment, by which hand and which foot. Two jobs for one of them at once is out.',
  none: 'No plan yet. Begin with the usual controls and manoeuvres, then change what this vehicle has otherwise.',
  begin: 'Begin with the usual ones',
  usual: {
    controls: USUAL_CONTROLS,
    manoeuvres: [
      { name: 'Start on a slope', at: ['wheel', 'clutch', 'throttle', 'parking'] },
      { name: 'Shift in a turn', at: ['wheel', 'shift', 'clutch'] },
      { name: 'Brake and steer', at: ['wheel', 'brake'] },
      { name: 'Brake and shift down', at: ['wheel', 'shift', 'clutch', 'brake'] },
      { name: 'Reverse with a trailer', at: ['wheel', 'clutch', 'throttle'] },
    ] satisfies readonly { readonly name: string; readonly at: readonly (keyof typeof USUAL_CONTROLS)[] }[],
  },
  table: 'Who does what',
  manoeuvre: 'Manoeuvre',
  limbs: {
    leftHand: 'Left hand',
    rightHand: 'Right hand',
    leftFoot: 'Left foot',
    rightFoot: 'Right foot',
  } satisfies Record<Limb, string>,
  free: 'free',
  worked: (name: string) => `Worked in “${name}”`,
  workedHelp: 'All that is worked at the same moment; a manoeuvre of several moments is a row for each.',
  name: 'Name',
  addManoeuvre: 'Another manoeuvre',
  newManoeuvre: 'another moment',
  removeManoeuvre: (name: string) => `Delete ${name}`,
  controlsTitle: 'What is worked, and by which hand or foot',
  controlsHelp: 'Where several reach it, any of them may do it.',
  addControl: 'Another control',
  newControl: 'hand lever',
  removeControl: (name: string) => `Delete ${name}`,
  caution:
    'Try it with the engine off, belted in the seat as it will be, wheel at full lock. A vehicle that wants three hands is not driven: where a hand control stands in for a pedal, local rules may ask for an inspection.',
}
