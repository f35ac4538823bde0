import Papa from 'papaparse'
import { MAP_STATES, type LeverMap } from '../solver/leverMap'

/**
 * A map of two levers as a table: one row a cell.
 *
 * @param names - of the two levers, with their units
 */
export const leverMapCsv = (map: LeverMap, names: readonly [string, string]): string =>
  Papa.unparse({
    fields: [...names, 'state', 'room to the worst limit, share of it', 'worst check'],
    data: [...map.states].map((state, row) => [
      map.x[row % map.x.length],
      map.y[Math.floor(row / map.x.length)],
      MAP_STATES[state],
      map.room[row]?.toFixed(4),
      map.checks[map.worst[row] ?? -1] ?? '',
    ]),
  })
