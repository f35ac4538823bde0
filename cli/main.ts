import { readFile, stat } from 'node:fs/promises'
import { resultJson } from '../core/show/result/resultJson'
import { MAX_FILE_CHARACTERS, parseBuildText } from '../core/file/open/parseBuild'
import { problemText } from '../core/file/parts/problem'
import { LEAST_SAMPLES } from '../core/answers/uncertainty/monteCarlo'
import type { LeverSettings } from '../core/vehicle/moves/settings'
import type { Build } from '../core/file/build/build'
import { originLines, originTree } from '../core/show/told/originText'
import { whyFigure } from '../core/answers/why/why'
import { isDay } from '../core/base/days'
import { planJson } from '../core/show/result/planJson'
import { settingsJson } from '../core/show/result/settingsJson'
import { differentSettings } from '../core/answers/solver/differentSettings'
import { provingWith } from '../core/answers/uncertainty/provenCure'
import { grouped } from '../core/base/units/format'
import { checkTable } from './checkTable'
import { planTable } from './planTable'
import { settingsTable } from './settingsTable'

/** Exit codes, as `lurvan --help` lists them. */
export const EXIT = { holds: 0, out: 1, unreadable: 2, unsettled: 3, fault: 70 } as const

const HELP = `lurvan check FILE [--json] [--position ID] [--samples N]
lurvan why FILE FIGURE [--json] [--position ID]
lurvan settings FILE [--json] [--position ID] [--seconds N]
lurvan plan FILE [--json] [--today DAY]

check  checks a build file (*.lurvan.json) and prints each check with its verdict
why    tells where a figure comes from: readings, corrections, what is taken for granted,
       formulas, and each reading's share of its ±. FIGURE is the id of a check (rear/pair)
       or a place in the result (lines[0].ride.joints[1].angleDeg)
settings
       looks for settings of the free levers in which every check holds with its ±: each moves other
       levers than those before it, the least effort first, proved to be the least there is

plan   plans all that is still to be done for the hands that the file tells of: days, last days to order,
       what decides when it drives, how likely that is

  --json           the full result as JSON (docs/format.md), every figure with its unit
  --position ID    check this position instead of the chosen one
  --samples N      samples for the ± of every figure, 0 to 200000; 20000 unless said, 0 leaves it out
  --seconds N      look for settings so long at the most, 1 to 3600; 10 unless said
  --today DAY      plan from this day on, such as 2026-11-29; from today unless said
  --help           this text

Exit code: 0 holds (or tight, or a setting was found), 1 out (or no setting holds), 2 the file or the command cannot be read,
           3 not settled: nothing is out, but a reading or figure is missing, or there is no plan yet,
           70 the program itself failed; please report it with the file
`

/** A search that takes longer ends with the best so far and its bound. */
const USUAL_SECONDS = 10
const MOST_SECONDS = 3600
const TELL_EVERY_MS = 1000

/** More samples than this only take time. */
const MOST_SAMPLES = 200_000

/** Where the program writes; the tests listen in. */
export interface Streams {
  readonly out: (text: string) => void
  readonly err: (text: string) => void
}

const CONSOLE: Streams = {
  out: (text) => void process.stdout.write(text),
  err: (text) => void process.stderr.write(text),
}

/** Runs one command and returns its exit code; a fault of the program has a code of its own, so that it is no verdict. */
export async function main(args: readonly string[], streams: Streams = CONSOLE): Promise<number> {
  try {
    return await run(args, streams)
  } catch (error) {
    streams.err(`lurvan: the program failed: ${error instanceof Error ? error.message : String(error)}\n`)
    return EXIT.fault
  }
}

async function run(args: readonly string[], streams: Streams): Promise<number> {
  if (args.includes('--help') || args.includes('-h')) {
    streams.out(HELP)
    return EXIT.holds
  }
  const command = parseCommand(args)
  if (typeof command === 'string') {
    streams.err(`lurvan: ${command}\n\n${HELP}`)
    return EXIT.unreadable
  }
  const refuse = (reason: string): number => {
    streams.err(`lurvan: ${command.file}: ${reason}\n`)
    return EXIT.unreadable
  }
  const text = await fileText(command.file)
  if (!text.ok) return refuse(text.reason)
  const parsed = parseBuildText(text.value)
  if (!parsed.ok) {
    parsed.problems.forEach((problem) => refuse(problemText(problem)))
    return EXIT.unreadable
  }
  const build = parsed.value
  if (command.name === 'plan') return plan(build, command, streams)
  const wanted = command.position ?? build.chosen
  const position = build.positions.find((one) => one.id === wanted)
  if (command.position !== undefined && !position) return refuse(`there is no position "${wanted}"`)
  if (command.name === 'why') return why(build, position?.settings ?? {}, command, streams, refuse)
  if (command.name === 'settings') return settings(build, position?.settings ?? {}, command, streams)
  const result = resultJson(build, command.position, command.samples ?? LEAST_SAMPLES)
  streams.out(command.json ? `${JSON.stringify(result, null, 2)}\n` : checkTable(result))
  if (result.verdict === 'out') return EXIT.out
  return result.verdict === 'unknown' ? EXIT.unsettled : EXIT.holds
}

/** Tells where one figure comes from, as a tree or as JSON. */
function why(
  build: Build,
  settings: LeverSettings,
  { figure = '', json }: Command,
  { out }: Streams,
  refuse: (reason: string) => number,
): number {
  const found = whyFigure(build, settings, figure)
  if (!found.ok)
    return refuse(
      `there is no figure "${figure}"; there are\n${found.names.map((name) => `  ${name}`).join('\n')}`,
    )
  const { origin } = found
  out(
    json
      ? `${JSON.stringify({ name: figure, ...origin }, null, 2)}\n`
      : `${figure}: ${origin.figure.toPrecision(6)} ± ${origin.plusMinus.toPrecision(2)}\n${originTree(originLines(build, origin.parts))}`,
  )
  return EXIT.holds
}

/** Looks for settings in which every check holds, and tells them as instructions or as JSON. */
function settings(
  build: Build,
  stands: LeverSettings,
  { json, seconds = USUAL_SECONDS }: Command,
  { out, err }: Streams,
): number {
  const began = performance.now()
  const search = differentSettings(
    build,
    stands,
    provingWith(build, true),
    undefined,
    () => performance.now() - began > 1000 * seconds,
  )
  let told = began
  let step = search.next()
  for (; !step.done; step = search.next()) {
    if (performance.now() - told < TELL_EVERY_MS) continue
    told = performance.now()
    err(`looking: ${grouped(step.value)} settings looked at or ruled out\n`)
  }
  const found = settingsJson(build, stands, step.value)
  out(json ? `${JSON.stringify(found, null, 2)}\n` : settingsTable(found))
  return found.settings.length > 0 ? EXIT.holds : EXIT.out
}

/** Plans what is still to be done, as days or as JSON. */
function plan(build: Build, { json, today = dayNow() }: Command, { out }: Streams): number {
  const found = planJson(build, today)
  out(json ? `${JSON.stringify(found, null, 2)}\n` : planTable(found))
  return found.plan.value ? EXIT.holds : EXIT.unsettled
}
/** The day in the time zone of who asks. */
const dayNow = (): string => new Intl.DateTimeFormat('sv-SE').format(new Date())

const COMMANDS = ['check', 'why', 'settings', 'plan'] as const

interface Command {
  readonly name: (typeof COMMANDS)[number]
  readonly file: string
  /** Of `why`. */
  readonly figure?: string
  readonly json: boolean
  readonly position?: string
  readonly samples?: number
  /** Of `settings`. */
  readonly seconds?: number
  /** Of `plan`. */
  readonly today?: string
}

function parseCommand(args: readonly string[]): Command | string {
  const [said, ...rest] = args
  const name = COMMANDS.find((one) => one === said)
  if (name === undefined) return said === undefined ? 'say what to do' : `there is no command "${said}"`
  let json = false
  let position: string | undefined
  let samples: number | undefined
  let seconds: number | undefined
  let today: string | undefined
  const words: string[] = []
  for (let i = 0; i < rest.length; i++) {
    const arg = rest[i] as string
    if (arg === '--json') json = true
    else if (arg === '--position' && name !== 'plan') {
      position = rest[++i]
      if (position === undefined || position.startsWith('--')) return '--position wants the id of a position'
    } else if (arg === '--samples' && name === 'check') {
      samples = wholeNumber(rest[++i], 0, MOST_SAMPLES)
      if (Number.isNaN(samples)) return `--samples wants a whole number from 0 to ${MOST_SAMPLES}`
    } else if (arg === '--seconds' && name === 'settings') {
      seconds = wholeNumber(rest[++i], 1, MOST_SECONDS)
      if (Number.isNaN(seconds)) return `--seconds wants a whole number from 1 to ${MOST_SECONDS}`
    } else if (arg === '--today' && name === 'plan') {
      today = rest[++i]
      if (today === undefined || !isDay(today)) return '--today wants a day, such as 2026-11-29'
    } else if (arg.startsWith('--')) return `there is no option "${arg}"`
    else words.push(arg)
  }
  const [file, figure, ...more] = words
  if (name === 'why' && (file === undefined || figure === undefined || more.length > 0))
    return 'name one file and one figure'
  if (file === undefined || (name !== 'why' && figure !== undefined)) return 'name one file'
  return { name, file, figure, json, position, samples, seconds, today }
}

/** A whole number within bounds; NaN for any other text. */
function wholeNumber(text: string | undefined, least: number, most: number): number {
  const number = text === undefined || text.trim() === '' ? NaN : Number(text)
  return Number.isInteger(number) && number >= least && number <= most ? number : NaN
}

type FileText =
  { readonly ok: true; readonly value: string } | { readonly ok: false; readonly reason: string }

async function fileText(file: string): Promise<FileText> {
  try {
    if ((await stat(file)).size > 4 * MAX_FILE_CHARACTERS)
      return { ok: false, reason: 'the file is larger than 5 MB' }
    return { ok: true, value: await readFile(file, 'utf8') }
  } catch (error) {
    return { ok: false, reason: String((error as { message?: unknown }).message ?? 'cannot be read') }
  }
}
