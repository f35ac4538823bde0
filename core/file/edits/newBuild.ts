import { PROFILES } from '../limits/profiles'
import type { UnitSettings } from '../../base/units/unitSettings'
import { FORMAT_NAME, FORMAT_VERSION, type Build } from '../build/build'

/** What a builder says to begin a build. */
export interface NewBuild {
  readonly id: string
  readonly name: string
  readonly units: UnitSettings
  readonly profile: keyof typeof PROFILES
  /** ISO date of the first setup. */
  readonly date: string
}

/** A build with a chassis and a powertrain on its mounts, and no line yet. */
export function bareBuild({ id, name, units, profile, date }: NewBuild): Build {
  return {
    format: FORMAT_NAME,
    version: FORMAT_VERSION,
    id,
    name,
    units,
    tools: [
      { id: 'level', name: 'digital level', kind: 'level', resolution: 0.1, accuracy: 0.1 },
      { id: 'tape', name: 'steel tape', kind: 'tape', resolution: 1, accuracy: 1 },
    ],
    setups: [
      {
        id: 'setup-1',
        name: 'First setup',
        date,
        standsOn: 'floor',
        loaded: true,
        settled: true,
        datum: 'read',
      },
    ],
    trials: [],
    bodies: [
      { id: 'chassis', kind: 'chassis', name: 'chassis' },
      {
        id: 'powertrain',
        kind: 'powertrain',
        name: 'powertrain',
        mounts: { frontLeft: 'mount-left', frontRight: 'mount-right', tail: 'mount-tail' },
      },
    ],
    points: [
      { id: 'mount-left', name: 'left engine mount', body: 'powertrain' },
      { id: 'mount-right', name: 'right engine mount', body: 'powertrain' },
      { id: 'mount-tail', name: 'tail mount', body: 'powertrain' },
    ],
    axes: [],
    readings: [],
    drivetrain: {},
    states: [],
    lines: [],
    levers: [
      {
        id: 'tail',
        kind: 'tail-up',
        body: 'powertrain',
        range: [-40, 60],
        step: 1,
        stock: [3, 5, 6, 10, 12.7],
      },
    ],
    gaps: [],
    positions: [{ id: 'a', name: 'A', settings: {} }],
    chosen: 'a',
    limits: PROFILES[profile],
  }
}

/**
 * A build with nothing read yet: a live rear axle, one gearbox, one shaft with a slip yoke and two cross joints, and the two levers
 * every such vehicle has. Lengths of the levers are in mm whatever the build shows.
 */
export function newBuild(wanted: NewBuild): Build {
  const bare = bareBuild(wanted)
  return {
    ...bare,
    bodies: [
      ...bare.bodies,
      {
        id: 'rear-axle',
        kind: 'axle',
        name: 'rear axle',
        centre: 'axle-centre',
        noseFaces: 'forward',
        suspension: 'leaf',
        spring: 'above',
      },
    ],
    points: [
      { id: 'pinion-joint', name: 'pinion end', body: 'rear-axle' },
      { id: 'output-joint', name: 'gearbox end', body: 'powertrain' },
      { id: 'crank-nose', name: 'crankshaft nose', body: 'powertrain' },
      { id: 'axle-centre', name: 'rear wheel axis', body: 'rear-axle' },
      ...bare.points,
    ],
    axes: [
      { id: 'pinion', name: 'pinion', body: 'rear-axle' },
      { id: 'output', name: 'gearbox output', body: 'powertrain', through: ['crank-nose', 'output-joint'] },
    ],
    lines: [
      {
        id: 'rear',
        name: 'rear shaft',
        school: 'parallel',
        driving: 'output',
        driven: 'pinion',
        joints: [
          { id: 'front', kind: 'cross', point: 'output-joint' },
          { id: 'rear', kind: 'cross', point: 'pinion-joint' },
        ],
        shafts: [{ id: 'shaft', drivingEnd: { kind: 'slip-yoke' }, drivenEnd: { kind: 'flange' } }],
      },
    ],
    levers: [...bare.levers, { id: 'wedge', kind: 'wedge', body: 'rear-axle', range: [-6, 6], step: 0.5 }],
  }
}
