import type { KINDS_OF_VEHICLE } from '../../file/kinds/vehicleKinds'
import type { VehicleTypes } from '../../file/kinds/vehicleReadings'
import { wedgeInstruction } from '../text/wedgeText'
import { bodyMoved, linkName, moved, packed } from './leverTold'
import type { SubjectWords } from './subjectWords'
import { VEHICLE_ECHOES } from './vehicleEchoes'
import { VEHICLE_STEPS } from './vehicleSteps'

/** Words for the chassis, the bodies on it, their axes and points. */
export const VEHICLE_WORDS: SubjectWords<VehicleTypes, keyof typeof KINDS_OF_VEHICLE.levers> = {
  steps: VEHICLE_STEPS,
  echoes: VEHICLE_ECHOES,
  levers: {
    'tail-up': { name: 'tail at the crossmember', ways: ['up', 'down'], told: packed('the tail') },
    'front-up': { name: 'front mounts, both', ways: ['up', 'down'], told: packed('both front mounts') },
    'front-left-up': { name: 'front left mount', ways: ['up', 'down'], told: packed('the front left mount') },
    'front-right-up': {
      name: 'front right mount',
      ways: ['up', 'down'],
      told: packed('the front right mount'),
    },
    fore: { name: 'fore and aft', ways: ['forward', 'rearward'], told: bodyMoved },
    sideways: { name: 'sideways', ways: ['left', 'right'], told: bodyMoved },
    'tail-sideways': { name: 'tail sideways', ways: ['left', 'right'], told: moved('the tail') },
    up: { name: 'up and down', ways: ['up', 'down'], told: bodyMoved },
    adapter: {
      name: 'adapter, or a longer gearbox',
      ways: ['longer', 'shorter'],
      told: ({ size, way }) => `Make the adapter or the gearbox ${size} ${way}`,
    },
    wedge: {
      name: 'wedge at the spring seat',
      ways: ['nose up', 'nose down'],
      told: ({ build, lever, change }) => wedgeInstruction(build, lever, change),
    },
    lift: {
      name: 'ride height by its springs',
      ways: ['higher', 'lower'],
      told: ({ axle, size, way }) => `Springs at the ${axle} that stand ${size} ${way}`,
    },
    block: {
      name: 'lowering block',
      ways: ['lower', 'higher'],
      told: ({ axle, size, isMore }) =>
        isMore ? `${size} lowering block at the ${axle}` : `Take ${size} of block out at the ${axle}`,
    },
    strap: {
      name: 'limit strap',
      ways: ['less droop', 'more droop'],
      told: ({ axle, size, isMore }) =>
        isMore
          ? `Limit strap at the ${axle}, ${size} less droop`
          : `Let the strap at the ${axle} out ${size}`,
    },
    shackle: {
      name: 'shackles of its springs',
      ways: ['longer', 'shorter'],
      told: ({ axle, size, way }) => `Shackles at the ${axle} ${size} ${way}`,
    },
    'link-length': {
      name: 'link',
      ways: ['longer', 'shorter'],
      told: ({ build, lever, size, way }) => `Make the ${linkName(build, lever)} ${size} ${way}`,
    },
    'left-fore': {
      name: 'left bearing fore and aft',
      ways: ['forward', 'rearward'],
      told: moved('the left bearing'),
    },
    'right-fore': {
      name: 'right bearing fore and aft',
      ways: ['forward', 'rearward'],
      told: moved('the right bearing'),
    },
    'left-up': { name: 'left bearing up and down', ways: ['up', 'down'], told: packed('the left bearing') },
    'right-up': {
      name: 'right bearing up and down',
      ways: ['up', 'down'],
      told: packed('the right bearing'),
    },
  },
}
