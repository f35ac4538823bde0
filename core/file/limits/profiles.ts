import type { LimitProfile } from '../build/limit'
import type { GapKind } from '../parts/gap'
import type { LimitEntry, LimitScope } from '../build/limit'

const INERTIA: LimitEntry = {
  id: 'inertia',
  quantity: 'shaft-inertia',
  unit: 'rad/s2',
  scope: 'max-speed',
  failAbove: 1000,
  basis: 'the shaft is swung faster and slower twice a turn; above this it shakes itself and its joints',
}
const ROLLERS: LimitEntry = {
  id: 'rollers',
  quantity: 'joint-angle',
  unit: 'deg',
  scope: 'ride',
  warnBelow: 0.5,
  basis: 'rollers that stand still wear one spot of the cross',
}
const TORSIONAL: LimitEntry = {
  id: 'torsional',
  quantity: 'torsional-acceleration',
  unit: 'rad/s2',
  scope: 'max-speed',
  warnAbove: 300,
  failAbove: 400,
  basis: 'felt and heard as a twice-per-turn shudder',
}
const PAIR: LimitEntry = {
  id: 'pair',
  quantity: 'pair-difference',
  unit: 'deg',
  scope: 'ride',
  warnAbove: 1,
  schools: ['parallel', 'intersecting', 'two-piece', 'low-pinion'],
  basis: 'rule of thumb; the torsional figure is the exact one',
}
const JOINT_LIMIT: LimitEntry = {
  id: 'joint-limit',
  quantity: 'joint-limit-margin',
  unit: 'deg',
  scope: 'travel',
  failBelow: 2,
  basis: "the yoke touches at the joint's own limit",
}
const CRITICAL: LimitEntry = {
  id: 'critical',
  quantity: 'critical-speed-ratio',
  unit: '1',
  scope: 'max-speed',
  warnAbove: 0.65,
  failAbove: 0.75,
  basis: 'near its critical speed a shaft whirls like a skipping rope',
}
const SET_IN: LimitEntry = {
  id: 'set-in',
  quantity: 'set-in',
  unit: 'mm',
  scope: 'ride',
  failBelow: 10,
  warnBelow: 19,
  warnAbove: 25,
  basis: 'room for the axle to come up, and spline enough for it to go down',
}
const DISC: LimitEntry = {
  id: 'disc',
  quantity: 'flex-disc-angle',
  unit: 'deg',
  scope: 'ride',
  warnAbove: 1,
  failAbove: 2,
  basis: 'rubber and cord tire; the part maker’s own figure wins',
}
const FIRST_SECTION: LimitEntry = {
  id: 'first-section',
  quantity: 'joint-angle',
  unit: 'deg',
  scope: 'ride',
  warnAbove: 1,
  schools: ['two-piece'],
  joints: 'first',
  basis: 'the first section runs nearly straight, so that it does not shake the centre bearing',
}
const POINTED: LimitEntry = {
  id: 'pointed',
  quantity: 'joint-angle',
  unit: 'deg',
  scope: 'ride',
  warnAbove: 1,
  schools: ['pointed'],
  joints: 'last',
  basis: 'nothing cancels a single joint at the pinion, so it is aimed along the shaft',
}

const TUBE: LimitEntry = {
  id: 'tube',
  quantity: 'tube-shear',
  unit: '1',
  scope: 'max-speed',
  warnAbove: 0.45,
  failAbove: 0.6,
  basis: 'a tube yields under torque at about 0.58 of its yield in tension',
}
const CROSS: LimitEntry = {
  id: 'cross',
  quantity: 'cross-shear',
  unit: '1',
  scope: 'travel',
  warnAbove: 0.8,
  failAbove: 1,
  basis: 'mean shear of the trunnions against what this size may bear; its maker’s own torque wins',
}
const SLIP: LimitEntry = {
  id: 'slip',
  quantity: 'slip-left',
  unit: 'mm',
  scope: 'travel',
  failBelow: 10,
  warnBelow: 19,
  basis: 'a spline that bottoms breaks the gearbox or the pinion bearing',
}
const SPLINE: LimitEntry = {
  id: 'spline',
  quantity: 'spline-engaged',
  unit: '1',
  scope: 'travel',
  failBelow: 1,
  warnBelow: 1.5,
  basis: 'with less than its own diameter engaged a spline works loose, strips or pulls out',
}
const PLUNGE: LimitEntry = {
  id: 'plunge',
  quantity: 'plunge-left',
  unit: 'mm',
  scope: 'travel',
  failBelow: 3,
  basis: 'a joint that plunges to its stop knocks itself apart or falls out of its bell',
}

/** Usual limits of chains; the maker of the chain has the last word. */
export const CHAIN_LIMITS: readonly LimitEntry[] = [
  {
    id: 'chain-wrap',
    quantity: 'chain-wrap',
    unit: 'deg',
    scope: 'ride',
    failBelow: 120,
    basis: 'with less of it wrapped round, too few teeth carry the chain and it jumps',
  },
  {
    id: 'chain-teeth',
    quantity: 'chain-teeth',
    unit: '1',
    scope: 'ride',
    warnBelow: 15,
    basis: 'few teeth bend the chain sharply, shake it and wear it',
  },
  {
    id: 'chain-ratio',
    quantity: 'chain-ratio',
    unit: '1',
    scope: 'ride',
    failAbove: 7,
    basis: 'more than this takes two stages: the small sprocket is wrapped too little',
  },
  {
    id: 'chain-centre',
    quantity: 'chain-centre',
    unit: '1',
    scope: 'ride',
    failBelow: 20,
    warnBelow: 30,
    warnAbove: 50,
    failAbove: 80,
    basis: 'nearer, the same few links always work; further apart, the chain whips',
  },
  {
    id: 'chain-slack',
    quantity: 'chain-slack',
    unit: '%',
    scope: 'ride',
    failBelow: 0.5,
    warnBelow: 2,
    warnAbove: 3,
    failAbove: 6,
    basis: 'too tight it eats bearings and itself, too slack it jumps teeth',
  },
  {
    id: 'chain-slack-upright',
    quantity: 'chain-slack-upright',
    unit: '%',
    scope: 'ride',
    failBelow: 0.3,
    warnBelow: 1,
    warnAbove: 2,
    failAbove: 4,
    basis: 'a run that stands upright hangs away from its lower sprocket, so it is set tighter',
  },
  {
    id: 'chain-slack-travel',
    quantity: 'chain-slack',
    unit: '%',
    scope: 'travel',
    failBelow: 0.5,
    basis: 'taut at the tightest place of the travel it pulls on bearings and breaks',
  },
  {
    id: 'chain-slack-upright-travel',
    quantity: 'chain-slack-upright',
    unit: '%',
    scope: 'travel',
    failBelow: 0.3,
    basis: 'taut at the tightest place of the travel it pulls on bearings and breaks',
  },
  {
    id: 'chain-offset',
    quantity: 'chain-offset',
    unit: '%',
    scope: 'ride',
    warnAbove: 0.15,
    failAbove: 0.2,
    basis: 'out of line the side plates grind on the teeth and the chain climbs off',
  },
  {
    id: 'chain-angle',
    quantity: 'chain-angle',
    unit: 'deg',
    scope: 'ride',
    warnAbove: 0.2,
    failAbove: 0.3,
    basis: 'sprockets turned against each other twist the chain at every turn',
  },
  {
    id: 'chain-safety',
    quantity: 'chain-safety',
    unit: '1',
    scope: 'max-speed',
    failBelow: 4,
    warnBelow: 7,
    basis: 'rule of thumb against shocks and wear; the figure of the chain’s maker wins',
  },
  {
    id: 'chain-backlash',
    quantity: 'chain-backlash',
    unit: 'deg',
    scope: 'ride',
    warnAbove: 3,
    failAbove: 8,
    basis: 'play felt by hand at the first sprocket; for a steering, local rules for the road win',
  },
  {
    id: 'adjuster-left',
    quantity: 'adjuster-left',
    unit: 'mm',
    scope: 'ride',
    failBelow: 0,
    warnBelow: 2,
    basis: 'at the end of its slots the chain can be tightened no further',
  },
  {
    id: 'sprocket-room',
    quantity: 'sprocket-room',
    unit: 'mm',
    scope: 'ride',
    failBelow: 0,
    warnBelow: 3,
    basis: 'teeth that meet jam, and a chain has no room to run out between them',
  },
  {
    id: 'sprocket-ground',
    quantity: 'sprocket-ground',
    unit: 'mm',
    scope: 'ride',
    failBelow: 40,
    warnBelow: 60,
    basis: 'a sprocket or its chain that strikes a stone bends, or throws the chain',
  },
]

/** Usual limits of what is made. */
export const MADE_LIMITS: readonly LimitEntry[] = [
  {
    id: 'member-stress',
    quantity: 'member-stress',
    unit: '%',
    scope: 'ride',
    warnAbove: 45,
    failAbove: 60,
    basis: 'a mount is pulled to and fro for years; metal near its yield cracks beside a hole or a weld',
  },
  {
    id: 'member-sag',
    quantity: 'member-sag',
    unit: 'mm',
    scope: 'ride',
    warnAbove: 1,
    failAbove: 1.5,
    basis: 'what the bar sags the tail of the gearbox sags, and the first joint with it',
  },
  {
    id: 'member-ground',
    quantity: 'member-ground',
    unit: 'mm',
    scope: 'ride',
    failBelow: 90,
    warnBelow: 120,
    basis: 'speed humps, ruts and kerbs; other springs and loads bring it lower',
  },
]

/** Usual limits of gaps by their kind; a service gap has none but its own. */
export const GAP_LIMITS: readonly LimitEntry[] = [
  gapLimit('static', 8, 15, 'ride', 'the engine rocks on its mounts and the frame bends under it'),
  gapLimit('hot', 25, 40, 'ride', 'what is near a hot exhaust scorches, melts or burns'),
  gapLimit(
    'moving',
    15,
    25,
    'travel',
    'a turning or moving part must clear what stands still, rocked and bent',
  ),
  gapLimit('lines', 25, 40, 'ride', 'brake and fuel lines must neither chafe nor get hot'),
  gapLimit(
    'ground',
    90,
    120,
    'travel',
    'speed humps, ruts and kerbs; other springs and loads bring it lower',
  ),
]

function gapLimit(
  kind: GapKind,
  failBelow: number,
  warnBelow: number,
  scope: LimitScope,
  basis: string,
): LimitEntry {
  return { id: `gap-${kind}`, quantity: 'gap', unit: 'mm', scope, gaps: [kind], failBelow, warnBelow, basis }
}

const COMMON = [
  ROLLERS,
  PAIR,
  JOINT_LIMIT,
  SET_IN,
  DISC,
  FIRST_SECTION,
  POINTED,
  TUBE,
  CROSS,
  SLIP,
  SPLINE,
  PLUNGE,
  ...GAP_LIMITS,
  ...CHAIN_LIMITS,
  ...MADE_LIMITS,
]

/** The limits a new build copies, by profile. Starting figures: a part maker's own figure always wins. */
export const PROFILES: Readonly<Record<'road' | 'heavy' | 'trail' | 'track', LimitProfile>> = {
  road: { profile: 'road', name: 'Road', entries: [INERTIA, TORSIONAL, CRITICAL, ...COMMON] },
  heavy: {
    profile: 'heavy',
    name: 'Heavy work',
    entries: [INERTIA, TORSIONAL, { ...CRITICAL, warnAbove: 0.6, failAbove: 0.7 }, ...COMMON],
  },
  trail: {
    profile: 'trail',
    name: 'Trail',
    entries: [INERTIA, { ...TORSIONAL, warnAbove: 500, failAbove: 700 }, CRITICAL, ...COMMON],
  },
  track: { profile: 'track', name: 'Track', entries: [INERTIA, TORSIONAL, CRITICAL, ...COMMON] },
}
