import { judge } from '../check/judge'
import type { Check } from '../check/check'
import type { PlannedCheck } from '../check/plannedCheck'
import { DIFFERENCE, PLUS_TIMES } from '../base/columns/arithmetic'
import { scalarStep, type Column } from '../base/columns/graph'
import { allKnown, mapKnown, unknown, type Known } from '../base/known'
import { combinedWindow } from '../file/limits/verdict'
import type { Roof } from '../file/kinds/roofKinds'
import { measuredFigure } from '../measure/figures/figure'
import { lengthParser } from '../measure/points/pointReading'
import type { Ground, Subject } from './subject'

interface CompiledRoof {
  readonly plan: PlannedCheck
  readonly room: Known<Column>
}

/** Room between a line's first joint and the roof that was read over it. */
export const ROOFS: Subject<CompiledRoof, Check> = {
  key: 'roofs',
  compile: (ground) => {
    const things = (ground.build.roofs ?? []).map((roof) => compileRoof(ground, roof))
    const columns = things.flatMap(({ room }) => (room.known ? [room.value] : []))
    return {
      key: 'roofs',
      things,
      plans: things.map(({ plan }) => plan),
      mustKeep: [],
      wants: columns,
      swept: { plans: [], wants: [] },
      spares: [],
      figures: columns.map((column, i) => ({
        id: `roof/${i}/room`,
        place: `roofs[${i}].roomMm`,
        column,
        stands: (found) => found[i]?.value !== null,
      })),
      look: () => ({
        set: [],
        found: ({ figure }) =>
          things.map(({ plan, room }) => judge(plan.head, mapKnown(room, figure), plan.bounds)),
      }),
    }
  },
  checksOf: (found) => found,
  json: (found) => found.map(({ value }) => ({ roomMm: value })),
  rejudged: (found, change) => found.map(change),
}

function compileRoof({ build, graph, measured, places, levers }: Ground, roof: Roof): CompiledRoof {
  const line = build.lines.find(({ id }) => id === roof.line)
  const point = line?.joints[0]?.point
  const joint = point === undefined ? undefined : places.placed(null, null).point(point)
  const lever = build.levers.find(({ kind }) => kind === 'roof-up')
  const raised = lever ? levers.get(lever.id) : undefined
  const room = mapKnown(
    allKnown([heightOf(measured.context, roof), joint ?? unknown('its first joint')] as const),
    ([height, [, , up]]) => {
      const top = raised === undefined ? height : scalarStep(graph, PLUS_TIMES, [height, raised], [1])
      return scalarStep(graph, DIFFERENCE, [top, up])
    },
  )
  const bounds = build.limits.entries.filter(({ quantity }) => quantity === 'roof-room')
  const plan: PlannedCheck = {
    head: {
      id: `roof/${roof.id}`,
      lineId: null,
      lineName: null,
      quantity: 'roof-room',
      subject: { of: 'thing', id: roof.id, name: roof.name },
      state: 'ride',
      at: null,
      speedRpm: null,
    },
    bounds,
    window: combinedWindow(bounds),
    unknownBounds: [],
    needs: mapKnown(room, () => null),
    value: room.known ? { column: room.value } : null,
  }
  return { plan, room }
}

function heightOf(context: Ground['measured']['context'], roof: Roof): Known<Column> {
  const { build } = context
  const index = build.readings.findLastIndex((one) => one.kind === 'roof-height' && one.roof === roof.id)
  const reading = build.readings[index]
  if (reading?.kind !== 'roof-height') return unknown(`${roof.name}: not read`)
  const path = `readings[${index}]`
  return measuredFigure(
    context,
    { reading, path },
    {
      field: 'value',
      label: roof.name,
      unit: 'mm',
      texts: reading.values,
      textPath: `${path}.values`,
      parse: lengthParser(build, reading.unit),
      direction: { word: reading.way, positive: 'above', fallback: 'above', question: '', path },
    },
  )
}
