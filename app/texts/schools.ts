import type { Habit } from '~~/core/line/schoolAims'
import type { SchoolPart } from '~~/core/answers/solver/schools'

/** Phrases of what each school would ask. */
export const schoolsPage = {
  title: 'What each school would ask here',
  lead: 'For every school the least work that meets its aim within a degree and breaks no limit; where the levers do not reach, how near they come. A line is judged by its own school.',
  ask: 'Work it out',
  looking: (count: number) => `Working it out: ${count} of 8`,
  stop: 'Stop',
  failed: (reason: string) => `It could not be worked out: ${reason}.`,
  school: 'School',
  asks: 'Asks for',
  angles: 'Angles then',
  leaves: 'Leaves',
  yours: 'yours',
  nothing: 'nothing: it stands so',
  notMet: 'not reached; nearest',
  take: 'Take it',
  takeSchool: (name: string) => `Take it: ${name}`,
  parts: {
    'double-cardan': 'a double-cardan joint at the driving end, then',
    'centre-bearing': 'a centre bearing and a second shaft',
    rise: 'the nose set lower by its usual rise under drive',
  } satisfies Record<SchoolPart, string>,
  habits: 'Habits, answered',
  habitsLead:
    'Habits are no schools: a level gearbox or a tail three degrees down says nothing of the angles. What they would do here:',
  habitNames: {
    level: '“The gearbox should sit level”',
    'three-degrees': '“Always three degrees tail down”',
  } satisfies Record<Habit, string>,
} as const
