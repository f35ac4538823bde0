import type { BodyKind } from '../../file/parts/body'
import type { PointRole } from '../../file/kinds/ask'
import type { VehicleTypes } from '../../file/kinds/vehicleReadings'
import type { TourStep } from '../../measure/tour/tour'
import { sentenceCase } from '../text/checkText'
import type { ReadingScene } from './scene'
import type { SubjectWords } from './subjectWords'

/** What an axis is read on, by the body it belongs to. */
const LEVEL_SCENES: Readonly<Record<BodyKind, ReadingScene>> = {
  chassis: 'shaft',
  powertrain: 'gearbox',
  'transfer-case': 'gearbox',
  axle: 'axle',
  'live-axle': 'shaft',
  hub: 'shaft',
  'bearing-bracket': 'shaft',
  item: 'shaft',
}
/** What a point is shown on, by what it is there for. */
const POINT_SCENES: Readonly<Record<PointRole, (body: BodyKind) => ReadingScene>> = {
  // A joint that hangs on the chassis is the one behind a centre bearing.
  joint: (body) => (body === 'chassis' ? 'middle' : body === 'axle' ? 'axle' : 'gearbox'),
  'on-axis': () => 'gearbox',
  'link-end': () => 'link',
  'axle-centre': () => 'axle',
  'front-mount': () => 'mount',
  'tail-mount': () => 'mount',
  'frame-hole': () => 'hole',
  'touch-point': () => 'touch',
  seat: () => 'touch',
  sprocket: () => 'sprocket',
  bearing: () => 'bearing',
}
const pointScene = ({ role, body }: TourStep): ReadingScene => (role ? POINT_SCENES[role](body) : 'gearbox')

/** What a tour asks of the chassis, of axes and of points. */
export const VEHICLE_STEPS: SubjectWords<VehicleTypes, never>['steps'] = {
  'chassis-fall': {
    asks: () => ({
      title: 'Chassis, fore and aft',
      hint: 'Level along a straight, clean stretch of frame rail, the surface that is your datum plane.',
      ways: [
        ['rear', 'rear is lower'],
        ['front', 'front is lower'],
      ],
    }),
    scene: () => 'rail',
  },
  'chassis-roll': {
    asks: () => ({
      title: 'Chassis, across',
      hint: 'Level across both frame rails, on a straight bar if they are far apart.',
      ways: [
        ['left', 'left is lower'],
        ['right', 'right is lower'],
      ],
    }),
    scene: () => 'across',
  },
  'axis-level': {
    asks: (step, name, method) =>
      method === 'face'
        ? {
            title: `${sentenceCase(name)}, across a face`,
            hint: 'Level upright on a machined face square to it: flange, yoke ears out of the way.',
            ways: step.isAcross
              ? [
                  ['left', 'top leans to the left'],
                  ['right', 'top leans to the right'],
                ]
              : [
                  ['rear', 'top leans to the rear'],
                  ['front', 'top leans to the front'],
                ],
          }
        : {
            title: `${sentenceCase(name)}, along`,
            hint: 'Level on a surface that runs true with it: a machined rib, the pan rail, a bar in the yoke.',
            ways: step.isAcross
              ? [
                  ['left', 'left end is lower'],
                  ['right', 'right end is lower'],
                ]
              : [
                  ['rear', 'rear end is lower'],
                  ['front', 'front end is lower'],
                ],
          },
    scene: ({ body }) => LEVEL_SCENES[body],
  },
  'point-station': {
    asks: (_, name) => ({
      title: `${sentenceCase(name)}, station`,
      hint: 'Tape along the chassis from the datum to the middle of it. Plumb both down to the floor if the tape cannot run straight.',
      ways: [
        ['rearward', 'behind the datum'],
        ['forward', 'ahead of the datum'],
      ],
    }),
    scene: pointScene,
  },
  'point-offset': {
    asks: (_, name) => ({
      title: `${sentenceCase(name)}, offset`,
      hint: 'From the string or laser on the chassis centreline to the middle of it.',
      ways: [
        ['left', 'left of centre'],
        ['right', 'right of centre'],
      ],
    }),
    scene: pointScene,
  },
  'point-height': {
    asks: (_, name) => ({
      title: `${sentenceCase(name)}, height`,
      hint: 'From the datum plane, square to it, to the middle of it. A straight-edge under both rails helps.',
      ways: [
        ['above', 'above the plane'],
        ['below', 'below the plane'],
      ],
    }),
    scene: pointScene,
  },
}
