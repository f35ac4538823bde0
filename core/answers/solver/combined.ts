import TinyQueue from 'tinyqueue'
import type { IndependentPart } from './independentParts'
import { SAME_EFFORT, type SearchedSetting, type SearchProblem, type SearchReport } from './problem'

/** The settings of one part by rising effort, as far as anybody has asked for them. */
interface Stream {
  readonly part: IndependentPart
  readonly settings: SearchedSetting[]
  readonly search: Generator<SearchReport, void>
  /** Lists of its own levers that are left out, by their places in it; longer with each that the whole search leaves out. */
  readonly leftOut: number[][]
  readonly count: number
  looked: number
  isOver: boolean
}

/** One setting of each part, by its number in its stream; the last number may not be found yet. */
interface Together {
  readonly numbers: readonly number[]
  /** Of what is known of it: no setting that begins so is cheaper. */
  readonly effort: number
}

/**
 * Settings of several independent parts together by rising effort: the parts' own settings are asked for one by one, and only as
 * far as the cheapest ones together need them.
 *
 * @param searchOf - the search of one part
 * @param leftOut - levers by their places in the whole problem: what moves all of one of these lists is not told
 */
export function* combined(
  { levers, fixed }: SearchProblem,
  parts: readonly IndependentPart[],
  searchOf: (part: SearchProblem, leftOut: readonly (readonly number[])[]) => Generator<SearchReport, void>,
  leftOut: readonly (readonly number[])[],
): Generator<SearchReport, void> {
  const streams = parts.map((part): Stream => {
    const own: number[][] = []
    return {
      part,
      settings: [],
      search: searchOf(part.problem, own),
      leftOut: own,
      count: part.problem.levers.reduce((product, { steps }) => product * steps.length, 1),
      looked: 0,
      isOver: false,
    }
  })
  let passedOn = 0
  const total = streams.reduce((product, { count }) => product * count, 1)
  const looked = (): number =>
    streams.some((stream) => stream.isOver && stream.settings.length === 0)
      ? total
      : total - streams.reduce((left, stream) => left * (stream.count - stream.looked), 1)
  const open = new TinyQueue<Together>([], (one, other) => one.effort - other.effort)
  open.push({ numbers: streams.map(() => 0), effort: 0 })
  const seen = new Set<string>()
  /** Of one effort, to be told together. */
  let ready: SearchedSetting[] = []
  const toTell = (): SearchedSetting[] => {
    const told = ready.filter(({ amounts }) => {
      const moved = levers.flatMap(({ column }, i) => (amounts[i] === fixed.get(column) ? [] : [i]))
      return !leftOut.some((list) => list.every((lever) => moved.includes(lever)))
    })
    ready = []
    return told.sort((a, b) => b.room - a.room)
  }
  for (let next = open.pop(); next; next = open.pop()) {
    const [first] = ready
    if (first && next.effort > first.effort + SAME_EFFORT) {
      const found = toTell()
      if (found.length > 0) yield { looked: looked(), found, lookedTo: next.effort }
    }
    const missing = streams.find((stream, i) => !(stream.settings.length > (next?.numbers[i] ?? 0)))
    if (missing) {
      for (; passedOn < leftOut.length; passedOn++) passOn(streams, leftOut[passedOn] ?? [])
      if (pulled(missing)) open.push({ numbers: next.numbers, effort: boundOf(streams, next.numbers) })
      if (missing.isOver && missing.settings.length === 0)
        return yield { looked: total, found: [], lookedTo: Infinity }
      yield { looked: looked(), found: [], lookedTo: next.effort }
      continue
    }
    const effort = boundOf(streams, next.numbers)
    if (effort > next.effort) {
      open.push({ numbers: next.numbers, effort })
      continue
    }
    ready.push(joined(levers.length, streams, next.numbers))
    for (const [i] of streams.entries()) {
      const numbers = next.numbers.map((number, k) => (k === i ? number + 1 : number))
      const key = numbers.join()
      if (seen.has(key)) continue
      seen.add(key)
      open.push({ numbers, effort })
    }
    yield { looked: looked(), found: [], lookedTo: effort }
  }
  yield { looked: total, found: toTell(), lookedTo: Infinity }
}

/** Leaves out what moves all of some levers in the part that holds them all. */
function passOn(streams: readonly Stream[], list: readonly number[]): void {
  for (const { part, leftOut } of streams) {
    const own = list.map((lever) => part.places.indexOf(lever))
    if (own.every((place) => place >= 0)) leftOut.push(own)
  }
}

/** Asks a part for more; false when it has no more. */
function pulled(stream: Stream): boolean {
  const step = stream.search.next()
  if (step.done) {
    stream.isOver = true
    return false
  }
  stream.looked = step.value.looked
  stream.settings.push(...step.value.found)
  return true
}

/** Effort of settings together; of one that is not found yet, at least that of the last one before it. */
const boundOf = (streams: readonly Stream[], numbers: readonly number[]): number =>
  streams.reduce((sum, { settings }, i) => {
    const number = numbers[i] ?? 0
    return sum + (settings[number]?.effort ?? settings.at(-1)?.effort ?? 0)
  }, 0)

/** The parts' settings as one of the whole problem. */
function joined(many: number, streams: readonly Stream[], numbers: readonly number[]): SearchedSetting {
  const amounts = new Array<number>(many).fill(NaN)
  let [effort, room] = [0, Infinity]
  streams.forEach(({ part, settings }, i) => {
    const setting = settings[numbers[i] ?? 0]
    part.places.forEach((place, k) => (amounts[place] = setting?.amounts[k] ?? NaN))
    effort += setting?.effort ?? 0
    room = Math.min(room, setting?.room ?? Infinity)
  })
  return { amounts, effort, room }
}
