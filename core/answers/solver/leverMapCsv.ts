import { MAP_STATES, type LeverMap } from './leverMap'
import { csvText } from '../../measure/csv/csvText'

/** Digits kept of the room to a limit. */
const DIGITS = 4

/**
 * A map of two levers as a table: one row a cell.
 *
 * @param names - of the two levers, with their units
 */
export const leverMapCsv = (map: LeverMap, names: readonly [string, string]): string =>
  csvText({
    header: [...names, 'state', 'room to the worst limit, share of it', 'worst check'],
    rows: [...map.states].map((state, row) => [
      map.x[row % map.x.length] ?? '',
      map.y[Math.floor(row / map.x.length)] ?? '',
      MAP_STATES[state] ?? '',
      roomOf(map.room[row]),
      map.checks[map.worst[row] ?? -1] ?? '',
    ]),
  })

const roomOf = (room: number | undefined): number | string =>
  room === undefined || Number.isNaN(room) ? '' : Number(room.toFixed(DIGITS))
