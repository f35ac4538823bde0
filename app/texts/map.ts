/** Phrases of the map of two levers. */
export const mapPage = {
  title: 'Where two levers may stand',
  lead: 'Every setting of two levers, the others as they stand: where all checks hold is outlined, darker is more room or further out. As computed: the ± is told once a setting is taken. A click takes a setting; so do arrow keys and Enter.',
  across: 'Across',
  up: 'Upward',
  none: 'This build needs two levers for a map.',
  waiting: 'Working out the map.',
  failed: (reason: string) => `The map could not be worked out: ${reason}.`,
  label: (across: string, up: string) => `Map of ${across} and ${up}`,
  states: { holds: 'holds as computed', tight: 'tight', out: 'out', unknown: 'cannot be told' },
  cell: (words: string, state: string, worst: string) =>
    `${words}: ${state}${worst ? `, nearest ${worst}` : ''}`,
  present: 'as the levers stand',
  found: 'found settings',
  outline: 'all checks hold inside',
  png: 'Save as a picture',
  csv: 'Save as a table',
} as const
