import type { Build } from '~~/core/file/build/build'
import type { MeasuredReading, Reading, ReadingKind } from '~~/core/file/build/reading'
import { isGiven, READING_KINDS, readingFacts, wayOf, wordsOf } from '~~/core/file/build/readingKinds'
import type { ToolKind } from '~~/core/file/parts/tool'
import type { ZERO } from '~~/core/file/kinds/readingRow'
import { targetOf } from '~~/core/file/build/targets'
import type { TourStep } from '~~/core/measure/tour/tour'

/** A reading while it is typed: raw text, and the words that go with it. */
export interface ReadingDraft {
  readonly text: string
  /** Which end or side is lower, where it leans, on which side or in which way it lies; empty until it is said. */
  readonly way: string
  readonly method: 'along' | 'face'
  readonly from: 'level' | 'plumb'
  readonly zero: (typeof ZERO)[number]
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

/** The field of a draft for each field of a reading that is asked beside its figure. */
const DRAFT_FIELDS = {
  from: 'from',
  zero: 'zero',
  by: 'by',
  display: 'display',
  aboveCentreline: 'aboveText',
  aboveCentrelineWay: 'aboveWay',
  radius: 'radius',
} as const satisfies Readonly<Record<string, keyof ReadingDraft>>

const fieldsOf = (reading: object) => reading as Readonly<Record<string, string | undefined>>

/** A draft that starts out the way the step was read last time, with nothing typed yet. */
export function draftLike(reading: Reading | null): ReadingDraft {
  if (!reading || isGiven(reading)) return EMPTY_DRAFT
  const kept = fieldsOf(reading)
  const said = Object.entries(DRAFT_FIELDS).flatMap(([field, name]) => {
    const value = kept[field]
    return value === undefined ? [] : [[name, value] as const]
  })
  const tool = kept.tool ?? ''
  return {
    ...EMPTY_DRAFT,
    ...Object.fromEntries(said),
    method: reading.kind === 'axis-face' ? 'face' : 'along',
    way: wayOf(reading) ?? READING_KINDS[reading.kind].wayUnsaid ?? '',
    toolId: tool.startsWith('simulated-') ? '' : tool,
  }
}

/** The kind of reading that a step is answered with. */
export const kindOfStep = (step: TourStep, { method }: Pick<ReadingDraft, 'method'>): ReadingKind =>
  step.quantity === 'axis-level' && method === 'face' ? 'axis-face' : step.quantity

/** The reading a draft would make. */
export function draftReading(
  build: Build,
  setup: string,
  step: TourStep,
  draft: ReadingDraft,
  id: string,
): MeasuredReading {
  const kind = kindOfStep(step, draft)
  const { unit, way, wayUnsaid, isOfTrial, tools } = readingFacts(kind)
  const target = Object.fromEntries(targetOf(kind).keys.map((key) => [key, fieldsOf(step)[key]]))
  const ways = way === null ? [] : wordsOf(kind, way, step.isAcross)
  const reading = {
    id,
    setup,
    kind,
    values: [draft.text.trim()],
    tool: toolOf(build, draft.toolId, tools),
    ...target,
    ...(unit === 'mm' && { unit: build.units.length }),
    ...(way !== null && { [way]: ways.find((word) => word === draft.way) ?? wayUnsaid }),
    ...besideOf(kind, draft),
    ...(draft.provisional && { provisional: true }),
    ...(isOfTrial && build.trials.length > 0 && { trial: build.trials.at(-1)?.id }),
  }
  return reading as unknown as MeasuredReading
}

/** The tool that was picked where it can show such a figure, else the first that can. */
function toolOf(build: Build, picked: string, kinds: readonly ToolKind[]): string | undefined {
  if (picked.startsWith('simulated-')) return picked
  const able = build.tools.filter(({ kind }) => kinds.includes(kind))
  return (able.find(({ id }) => id === picked) ?? able.find(({ simulated }) => !simulated))?.id
}

/** What is asked beside the figure, as far as it belongs to the kind and was said. */
function besideOf(kind: ReadingKind, draft: ReadingDraft): Readonly<Record<string, string>> {
  const { words, texts = {} } = READING_KINDS[kind]
  const isPlumb = draft.by === 'plumb'
  const isAsked: Readonly<Record<keyof typeof DRAFT_FIELDS, boolean>> = {
    from: 'from' in words,
    zero: 'zero' in words,
    by: 'by' in words,
    display: 'display' in words,
    aboveCentreline: 'by' in words && isPlumb,
    aboveCentrelineWay: 'by' in words && isPlumb,
    radius: 'radius' in texts,
  }
  return Object.fromEntries(
    Object.entries(DRAFT_FIELDS).flatMap(([field, name]) => {
      const value = draft[name].trim()
      return isAsked[field as keyof typeof DRAFT_FIELDS] && value !== '' ? [[field, value]] : []
    }),
  )
}
