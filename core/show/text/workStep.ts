/** One step under the vehicle or at the bench: a screen of its own. */
export interface WorkStep {
  /** What it is ticked by, the same as long as it is the same work; its name where that is enough. */
  readonly key?: string
  readonly name: string
  /** As large as it goes; absent where there is none. */
  readonly figure?: string
  /** Said below. */
  readonly note?: string
  /** A bolt is put in a hole: how it goes in is asked. */
  readonly isHole?: boolean
  /** A figure is read, and typed where its part has its own page. */
  readonly isRead?: boolean
}

/** What a step is ticked by. */
export const stepKey = ({ key, name }: WorkStep): string => key ?? name
