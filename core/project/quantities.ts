/** How a figure of a quantity is told: as lengths or angles are in the builder's units, or with so many digits and what stands behind them. */
export type Shown =
  | { readonly as: 'length' }
  | { readonly as: 'angle'; readonly decimals: number }
  | {
      readonly as: 'figure'
      readonly decimals: number
      /** " N", " rad/s²"; empty for a plain share. */
      readonly behind: string
      /** Said again behind a ± or a margin. */
      readonly isSaidAgain?: true
    }

/** All that is known of a quantity that can be limited. */
export interface QuantityFacts {
  /** Of its figures in files. */
  readonly unit: 'deg' | 'rad/s2' | '1' | 'mm' | 'N' | '%'
  readonly shown: Shown
  /** What is checked, in few words; # stands for the number of the joint or shaft. */
  readonly label: string
  /** What is judged by it: a joint, shaft or pair of a line, a gap, or a chain and its sprockets. */
  readonly of: 'line' | 'gap' | 'chain'
  /** Looked at under torque and with the wheels elsewhere too, and told so. */
  readonly isInStates?: true
  /** Said where it is looked at as the vehicle stands. */
  readonly atRest?: string
  /** Under which figure of a line it is sampled in each state; # stands for the number of the joint or shaft from 0. Without: by its check alone. */
  readonly sampledAs?: string
  /** Felt or read when it is set, so that the sheet says it beside the chain. */
  readonly isSetByHand?: true
  /** Its limit bounds the angle of a joint, which is the check that is made. */
  readonly isOfJointAngle?: true
  /** What its room is measured by, in its unit, so that it can be told apart from others; its limit where nothing stands here. */
  readonly usualRoom?: number
  /** Judged from when it is told how far the wheels go. */
  readonly isOfTravel?: true
}

const length = { as: 'length' } as const
const angle = { as: 'angle', decimals: 2 } as const
const figure = (decimals: number, behind: string): Shown => ({ as: 'figure', decimals, behind })
const share = figure(2, '')
const acceleration = figure(0, ' rad/s²')
const percent = { as: 'figure', decimals: 2, behind: ' %', isSaidAgain: true } as const
/** Room between two things that is neither much nor little, in mm. */
const USUAL_GAP_MM = 20

type More = Omit<QuantityFacts, 'of' | 'unit' | 'shown' | 'label'>
type Row = (unit: QuantityFacts['unit'], shown: Shown, label: string, more?: More) => QuantityFacts
const ofLine: Row = (unit, shown, label, more) => ({ of: 'line', unit, shown, label, ...more })
/** A chain is looked at wherever its wheels go. */
const ofChain: Row = (unit, shown, label, more) => ({
  of: 'chain',
  unit,
  shown,
  label,
  isInStates: true,
  ...more,
})

/** Every quantity that can be limited: one row each, and whoever needs to know reads it here. */
export const QUANTITIES = {
  'joint-angle': ofLine('deg', angle, 'joint#', {
    isInStates: true,
    atRest: ' at ride',
    isOfJointAngle: true,
    sampledAs: 'joints[#].angleDeg',
  }),
  'shaft-inertia': ofLine('rad/s2', acceleration, 'inertia at joint#', {
    isInStates: true,
    isOfJointAngle: true,
  }),
  'torsional-acceleration': ofLine('rad/s2', acceleration, 'torsional', {
    isInStates: true,
    sampledAs: 'outputPeakAccelerationRadS2',
  }),
  'pair-difference': ofLine('deg', angle, 'pair difference', { isInStates: true }),
  'joint-limit-margin': ofLine('deg', angle, 'room of joint#', {
    isInStates: true,
    isOfJointAngle: true,
    isOfTravel: true,
  }),
  'critical-speed-ratio': ofLine('1', share, 'shaft# speed to critical'),
  'set-in': ofLine('mm', length, 'slip yoke set-in'),
  'flex-disc-angle': ofLine('deg', angle, 'disc at joint#', { sampledAs: 'joints[#].angleDeg' }),
  'tube-shear': ofLine('1', share, 'tube# shear to yield'),
  'cross-shear': ofLine('1', share, 'cross of joint#', {
    isInStates: true,
    sampledAs: 'joints[#].crossShare',
  }),
  'bearing-force': ofLine('N', figure(0, ' N'), 'centre bearing# force', {
    isInStates: true,
    sampledAs: 'shafts[#].bearing.maxN',
  }),
  'bearing-misalignment': ofLine('deg', angle, 'shaft# in its bearing', {
    isInStates: true,
    sampledAs: 'shafts[#].bearingMisalignmentDeg',
  }),
  'slip-left': ofLine('mm', length, 'slip left in shaft#', {
    isInStates: true,
    isOfTravel: true,
    sampledAs: 'shafts[#].slipLeftMm',
  }),
  'spline-engaged': ofLine('1', figure(2, ' diameters'), 'spline engaged in shaft#', {
    isInStates: true,
    isOfTravel: true,
    sampledAs: 'shafts[#].splineEngaged',
  }),
  'plunge-left': ofLine('mm', length, 'plunge left of shaft#', {
    isInStates: true,
    isOfTravel: true,
    sampledAs: 'shafts[#].plungeLeftMm',
  }),
  gap: { of: 'gap', unit: 'mm', shown: length, label: 'gap', isInStates: true, usualRoom: USUAL_GAP_MM },
  'chain-wrap': ofChain('deg', { as: 'angle', decimals: 0 }, 'wrap'),
  'chain-centre': ofChain('1', figure(1, ' pitches'), 'shaft to shaft'),
  'chain-slack': ofChain('%', percent, 'slack', { isSetByHand: true }),
  'chain-slack-upright': ofChain('%', percent, 'slack', { isSetByHand: true }),
  'chain-offset': ofChain('%', percent, 'offset', { isSetByHand: true }),
  'chain-angle': ofChain('deg', angle, 'angle', { isSetByHand: true }),
  'chain-teeth': ofChain('1', figure(0, ' teeth'), 'teeth'),
  'chain-ratio': ofChain('1', figure(2, ' : 1'), 'ratio'),
  'chain-safety': ofChain('1', figure(1, ' times'), 'strength to pull'),
  'chain-backlash': ofChain('deg', angle, 'play felt by hand', { isSetByHand: true }),
  'adjuster-left': ofChain('mm', length, 'room left in its adjuster', {
    isSetByHand: true,
    usualRoom: USUAL_GAP_MM,
  }),
  'sprocket-room': ofChain('mm', length, 'room between its teeth and those', { usualRoom: USUAL_GAP_MM }),
  'sprocket-ground': ofChain('mm', length, 'ground clearance'),
} as const satisfies Readonly<Record<string, QuantityFacts>>

/** A quantity that can be limited. */
export type Quantity = keyof typeof QUANTITIES

/** What is known of a quantity. */
export const factsOf = (quantity: Quantity): QuantityFacts => QUANTITIES[quantity]

/** Quantities of which something is true, in the order of the table. */
export const quantitiesThat = (is: (facts: QuantityFacts) => boolean): Quantity[] =>
  (Object.keys(QUANTITIES) as Quantity[]).filter((quantity) => is(QUANTITIES[quantity]))
