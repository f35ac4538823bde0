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
  /** What its limit is called. */
  readonly name: string
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

export const length = { as: 'length' } as const
export const angle = { as: 'angle', decimals: 2 } as const
export const plainFigure = (decimals: number, behind: string): Shown => ({ as: 'figure', decimals, behind })

/** Room between two things that is neither much nor little, in mm. */
export const USUAL_GAP_MM = 20

type MoreOfQuantity = Omit<QuantityFacts, 'unit' | 'shown' | 'label' | 'name'>
/** A row of a subject's quantities: its unit, how it is shown, its words as a check and as a limit, and what else is true. */
export type QuantityRow = (
  unit: QuantityFacts['unit'],
  shown: Shown,
  words: readonly [label: string, name: string],
  more?: MoreOfQuantity,
) => QuantityFacts
