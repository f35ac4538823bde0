import type { Line } from '../../file/parts/lineSpec'
import type { FigurePath } from './dimensions'

/** Where a typed figure of a line stands in the file, as `boundsAt` asks for it: `lines.shafts.drivingEnd.slip-yoke.setInMm`. */
export const figurePlace = ({ shafts }: Line, path: FigurePath): string =>
  [
    'lines',
    ...path.flatMap((key) => {
      if (typeof key === 'number') return []
      if (key !== 'drivingEnd' && key !== 'drivenEnd') return [key]
      const shaft = shafts[Number(path[path.indexOf(key) - 1])]
      return [key, shaft?.[key]?.kind ?? '']
    }),
  ].join('.')
