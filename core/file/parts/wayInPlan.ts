/** The gearbox alone: drawn straight back off the block first. */
export interface GearboxAlone {
  /** As far as its input shaft is long. */
  readonly drawMm: number
  /** Fall of the crankshaft to the rear, along which it is drawn. */
  readonly fallDeg: number
}

/** How engine and gearbox are to be brought in. */
export interface WayInPlan {
  /** What is taken out of the way: ids of bodies, or body and outline as `chassis/bonnet`. */
  readonly off: readonly string[]
  /** Absent for engine and gearbox as one. */
  readonly alone?: GearboxAlone
  /** `rear`: the rear wheels go up; `whole`: the vehicle goes up level. */
  readonly lifted: 'rear' | 'whole'
  /** Station where the front tyres stand, and the wheelbase. */
  readonly frontContactMm?: number
  readonly wheelbaseMm?: number
  /** Lifts that are looked at, least and most. */
  readonly liftMm: readonly [number, number]
  /** Room kept all round. */
  readonly keepMm: number
  /** Where it hangs first, from where it is installed. */
  readonly start: { readonly forwardMm: number; readonly upMm: number; readonly tailDownDeg: number }
  /** Furthest it is tilted, nose down negative. */
  readonly tiltDeg: readonly [number, number]
}
