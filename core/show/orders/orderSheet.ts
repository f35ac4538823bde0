import { markOf } from '../../base/mark'
import type { Day } from '../../base/days'
import { readingsUnder } from '../../answers/why/readingsUnder'
import { lengthRisk, type LengthRisk } from '../../answers/uncertainty/lengthRisk'
import type { Reading } from '../../file/build/reading'
import { MOST_ROWS, type OrderEntry } from '../../file/kinds/orderKinds'
import { earlyBy } from '../../jobs/orders/orderWhen'
import { chosenPosition } from '../../model/evaluateBuild'
import { checkLabel, checkValueText, sentenceCase } from '../text/checkText'
import { setupsUsed, type UsedSetup } from '../text/setupsUsed'
import type { OrderBody, OrderSite } from './orderBody'
import { ORDER_KIND_FACTS } from './orderKindFacts'

/** Why a sheet is not to be taken as it stands. */
export interface SheetWarning {
  readonly kind: 'out' | 'provisional' | 'changed' | 'early' | 'not-ride'
  readonly text: string
}

/** An order as it is printed: what, by which figures, measured how, and what speaks against it. */
export interface OrderSheet extends OrderBody {
  readonly title: string
  /** Build, vehicle, position, lift-in. */
  readonly about: readonly string[]
  readonly warnings: readonly SheetWarning[]
  readonly measured: readonly UsedSetup[]
  readonly orderedAt: Day | null
  readonly supplier: string
  /** Ids of the readings that it rests on. */
  readonly readings: readonly string[]
}

/** The sheet of an order as the build stands. */
export function orderSheet(site: OrderSite, order: OrderEntry): OrderSheet {
  const { build, compiled } = site
  const facts = ORDER_KIND_FACTS[order.kind]
  const body = facts.body(site, order)
  const ids = new Set(readingsUnder(compiled, body.columns))
  const under = build.readings.filter(({ id }) => ids.has(id))
  const position = chosenPosition(build)?.name
  const trial = build.trials.find(({ id }) => id === build.countedFrom) ?? build.trials[0]
  return {
    ...body,
    title: `${facts.title}: ${order.name}`,
    about: [
      build.name,
      ...(build.vehicle ? [build.vehicle] : []),
      ...(position ? [`position: ${position}`] : []),
      ...(trial ? [`lift-in: ${trial.name}`] : []),
    ],
    warnings: [
      ...outOf(site, body),
      ...provisionalIn(site, under),
      ...notAtRide(site, under),
      ...early(site, order),
      ...changed(site, order, body, under),
    ],
    measured: setupsUsed(build, under),
    orderedAt: order.sent?.at ?? null,
    supplier: order.supplier ?? '',
    readings: [...ids],
  }
}

/** So many checks that are out are named. */
const MOST_NAMED = 3

function outOf({ build }: OrderSite, { checks, alerts = [] }: OrderBody): SheetWarning[] {
  const out = checks.filter(({ verdict }) => verdict === 'out')
  const named = out
    .slice(0, MOST_NAMED)
    .map((check) => `${checkLabel(check)} ${checkValueText(check, check.value, build.units)}`)
  const more = out.length > MOST_NAMED ? [`${out.length - MOST_NAMED} more`] : []
  return [
    ...alerts.map((text): SheetWarning => ({ kind: 'out', text: sentenceCase(text) })),
    ...(named.length > 0
      ? [{ kind: 'out' as const, text: `Out as it stands: ${[...named, ...more].join('; ')}` }]
      : []),
  ]
}

function provisionalIn({ compiled }: OrderSite, under: readonly Reading[]): SheetWarning[] {
  const ids = new Set(under.filter(({ provisional }) => provisional === true).map(({ id }) => id))
  if (ids.size === 0) return []
  const { inputs } = compiled.measured.list
  const labels = [...new Set(inputs.flatMap(({ readingId, label }) => (ids.has(readingId) ? [label] : [])))]
  return [
    { kind: 'provisional', text: `Provisional: it rests on ${labels.join('; ')}, which was not read yet` },
  ]
}

function notAtRide({ build }: OrderSite, under: readonly Reading[]): SheetWarning[] {
  const used = new Set(under.flatMap((reading) => ('setup' in reading ? [reading.setup] : [])))
  const wrong = build.setups.filter(({ id, loaded, settled }) => used.has(id) && !(loaded && settled))
  if (wrong.length === 0) return []
  const names = wrong.map(({ name, loaded }) => `“${name}” was ${loaded ? 'not settled' : 'not loaded'}`)
  return [{ kind: 'not-ride', text: `Not at ride height: ${names.join(', ')}` }]
}

const EARLY_WORDS = {
  mounts: 'Early: nothing says yet that the mounts are tacked, so the powertrain may still end up elsewhere',
  ride: 'Early: the vehicle was last measured off its settled ride height',
} as const

function early({ build }: OrderSite, order: OrderEntry): SheetWarning[] {
  const by = order.arrived?.verdict === 'accepted' ? null : earlyBy(build, order)
  return by === null ? [] : [{ kind: 'early', text: EARLY_WORDS[by] }]
}

/** The rows of a sheet as they are kept when it goes out. */
export const rowsOf = ({
  sections,
}: Pick<OrderBody, 'sections'>): { readonly name: string; readonly value: string }[] =>
  sections
    .flatMap(({ title, rows }) =>
      rows.map(({ name, value }) => ({
        name: `${title}: ${name}`.slice(0, 300),
        value: value.slice(0, 300),
      })),
    )
    .slice(0, MOST_ROWS)

const readingMark = (reading: Reading): string => `${reading.id}/${markOf(reading)}`

/** What is kept of a sheet when it goes out. */
export const sentNow = (sheet: OrderSheet, site: OrderSite, at: Day): NonNullable<OrderEntry['sent']> => {
  const ids = new Set(sheet.readings)
  return {
    at,
    rows: rowsOf(sheet),
    under: site.build.readings.filter(({ id }) => ids.has(id)).map(readingMark),
  }
}

/** What is otherwise since it went out: its rows, and the readings under them. */
function changed(
  site: OrderSite,
  { sent, arrived }: OrderEntry,
  body: OrderBody,
  under: readonly Reading[],
): SheetWarning[] {
  if (!sent || arrived?.verdict === 'accepted') return []
  const now = new Map(rowsOf(body).map(({ name, value }) => [name, value]))
  const rows = sent.rows.flatMap(({ name, value }) => {
    const is = now.get(name)
    return is === value ? [] : [`${name} was ${value}${is === undefined ? '' : `, is ${is}`}`]
  })
  const then = new Set(sent.under)
  const other = under.filter((reading) => !then.has(readingMark(reading)))
  const there = new Set(under.map(({ id }) => id))
  const gone = sent.under.filter((mark) => !there.has(mark.split('/')[0] ?? ''))
  const labels = labelsOf(site, other)
  if (rows.length === 0 && labels.length === 0 && gone.length === 0) return []
  const words = [
    ...rows,
    ...(labels.length > 0 ? [`read otherwise: ${labels.join('; ')}`] : []),
    ...(gone.length > 0 ? [`${gone.length} of its readings no longer count`] : []),
  ]
  return [{ kind: 'changed', text: `Changed since it was ordered on ${sent.at}: ${words.join('; ')}` }]
}

function labelsOf({ compiled }: OrderSite, readings: readonly Reading[]): string[] {
  const ids = new Set(readings.map(({ id }) => id))
  const { inputs } = compiled.measured.list
  return [...new Set(inputs.flatMap(({ readingId, label }) => (ids.has(readingId) ? [label] : [])))]
}

/**
 * How likely what slips in it does not fit if it is ordered now: of a pair of halfshafts the likelier one. Null for what holds nothing that slips, or
 * while its lengths are not known.
 */
export function orderRisk({ compiled, evaluation }: OrderSite, order: OrderEntry): LengthRisk | null {
  if (order.kind === 'propshaft') return lengthRisk(compiled, evaluation, order.of, order.shaft ?? 0)
  if (order.kind !== 'halfshafts') return null
  const both = [order.of, ...(order.other === undefined ? [] : [order.other])].flatMap((id) => {
    const shaft = evaluation.lines
      .find(({ line }) => line.id === id)
      ?.line.shafts.findIndex(({ plunge }) => plunge !== undefined)
    return (shaft === undefined ? null : lengthRisk(compiled, evaluation, id, shaft)) ?? []
  })
  return both.reduce<LengthRisk | null>(
    (worst, one) => (worst && worst.bottoms >= one.bottoms ? worst : one),
    null,
  )
}
