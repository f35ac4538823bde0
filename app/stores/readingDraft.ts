import type { Build } from '~~/core/project/build'
import type { LevelZero, MeasuredReading, Reading } from '~~/core/project/reading'
import type { TourStep } from '~~/core/readings/tour'

/** A reading while it is typed: raw text, and the words that go with it. */
export interface ReadingDraft {
  readonly text: string
  /** Which end or side is lower, where it leans, on which side or in which way it lies; empty until it is said. */
  readonly way: string
  readonly method: 'along' | 'face'
  readonly from: 'level' | 'plumb'
  readonly zero: LevelZero
  readonly by: 'square' | 'plumb'
  readonly aboveText: string
  readonly aboveWay: 'above' | 'below'
  readonly provisional: boolean
  /** Which way the display of the level looked; empty when it was not said. */
  readonly display: '' | 'left' | 'right' | 'front' | 'rear'
  /** From the middle of the shaft to the place on a face, raw text; empty for the pitch circle. */
  readonly radius: string
  /** The tool by its id; empty for the first of its kind. */
  readonly toolId: string
}

export const EMPTY_DRAFT: ReadingDraft = {
  text: '',
  way: '',
  method: 'along',
  from: 'level',
  zero: 'gravity',
  by: 'square',
  aboveText: '',
  aboveWay: 'above',
  provisional: false,
  display: '',
  radius: '',
  toolId: '',
}

/** A draft that starts out the way the step was read last time, with nothing typed yet. */
export function draftLike(reading: Reading | null): ReadingDraft {
  if (!reading) return EMPTY_DRAFT
  const display = ('display' in reading && reading.display) || ''
  const tool = ('tool' in reading && reading.tool) || ''
  const toolId = tool.startsWith('simulated-') ? '' : tool
  return { ...wayLike(reading), display, toolId }
}

function wayLike(reading: Reading): ReadingDraft {
  switch (reading.kind) {
    case 'axis-face':
      return {
        ...EMPTY_DRAFT,
        method: 'face',
        from: reading.from,
        way: reading.lean ?? '',
        zero: reading.zero ?? 'gravity',
      }
    case 'axis-level':
      return { ...EMPTY_DRAFT, way: reading.low ?? '', zero: reading.zero ?? 'gravity' }
    case 'shaft-level':
      return { ...EMPTY_DRAFT, way: reading.low ?? '', zero: reading.zero ?? 'gravity' }
    case 'chassis-fall':
    case 'chassis-roll':
      return { ...EMPTY_DRAFT, way: reading.low ?? '' }
    case 'point-offset':
      return {
        ...EMPTY_DRAFT,
        way: reading.side ?? '',
        by: reading.by ?? 'square',
        aboveText: reading.aboveCentreline ?? '',
        aboveWay: reading.aboveCentrelineWay ?? 'above',
      }
    case 'point-station':
    case 'point-height':
      return { ...EMPTY_DRAFT, way: reading.way ?? '' }
    case 'gap':
      return { ...EMPTY_DRAFT, way: reading.way ?? 'free' }
    case 'sprocket-face':
      return { ...EMPTY_DRAFT, way: reading.stands ?? '', radius: reading.radius ?? '' }
    default:
      return EMPTY_DRAFT
  }
}

/** The reading a draft would make. */
export function draftReading(
  build: Build,
  setup: string,
  step: TourStep,
  draft: ReadingDraft,
  id: string,
): MeasuredReading {
  const tool = (...kinds: string[]) =>
    (draft.toolId.startsWith('simulated-') ? draft.toolId : undefined) ??
    build.tools.find((one) => one.id === draft.toolId && kinds.includes(one.kind))?.id ??
    build.tools.find((one) => kinds.includes(one.kind) && !one.simulated)?.id
  const provisional = draft.provisional ? { provisional: true } : {}
  const base = { id, setup, values: [draft.text.trim()], ...provisional }
  const level = { ...base, tool: tool('level'), ...(draft.display && { display: draft.display }) }
  const tape = {
    ...base,
    tool: tool('tape', 'laser', 'plumb', 'calliper', 'other'),
    unit: build.units.length,
  }
  const word = <T extends string>(words: readonly T[]): T | undefined =>
    words.find((one) => one === draft.way)
  const ends = step.isAcross ? (['left', 'right'] as const) : (['front', 'rear'] as const)
  switch (step.quantity) {
    case 'chassis-fall':
      return { ...level, kind: 'chassis-fall', low: word(['front', 'rear']) }
    case 'chassis-roll':
      return { ...level, kind: 'chassis-roll', low: word(['left', 'right']) }
    case 'axis-level':
      return draft.method === 'face'
        ? {
            ...level,
            kind: 'axis-face',
            axis: step.axis,
            lean: word(ends),
            from: draft.from,
            zero: draft.zero,
          }
        : { ...level, kind: 'axis-level', axis: step.axis, low: word(ends), zero: draft.zero }
    case 'shaft-level':
      return {
        ...level,
        kind: 'shaft-level',
        line: step.line,
        shaft: step.shaft,
        low: word(['front', 'rear']),
        zero: draft.zero,
      }
    case 'gap':
      return {
        ...base,
        tool: tool('feeler', 'step-wedge', 'clay', 'tape', 'calliper', 'other'),
        unit: build.units.length,
        kind: 'gap',
        gap: step.gap,
        way: word(['free', 'overlap']) ?? 'free',
        // A gap belongs to the lift-in that stands now.
        ...(build.trials.length > 0 && { trial: build.trials.at(-1)?.id }),
      }
    case 'sprocket-face':
      return {
        ...base,
        tool: tool('laser', 'calliper', 'tape', 'other'),
        unit: build.units.length,
        kind: 'sprocket-face',
        sprocket: step.sprocket,
        place: step.place,
        ...(draft.radius.trim() !== '' && { radius: draft.radius.trim() }),
        stands: word(['left', 'right']),
        ...(build.trials.length > 0 && { trial: build.trials.at(-1)?.id }),
      }
    case 'chain-slack':
      return {
        ...base,
        tool: tool('tape', 'calliper', 'other'),
        unit: build.units.length,
        kind: 'chain-slack',
        chain: step.chain,
        ...(build.trials.length > 0 && { trial: build.trials.at(-1)?.id }),
      }
    case 'point-station':
      return { ...tape, kind: 'point-station', point: step.point, way: word(['rearward', 'forward']) }
    case 'point-height':
      return { ...tape, kind: 'point-height', point: step.point, way: word(['above', 'below']) }
    case 'point-offset': {
      const plumb =
        draft.by === 'plumb' ? { aboveCentreline: draft.aboveText, aboveCentrelineWay: draft.aboveWay } : {}
      return {
        ...tape,
        kind: 'point-offset',
        point: step.point,
        side: word(['left', 'right']),
        by: draft.by,
        ...plumb,
      }
    }
  }
}
