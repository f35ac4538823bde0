import { csvText } from '~~/core/measure/csv/csvText'
import type { EChartsOption } from 'echarts'

interface Series {
  readonly name?: string
  readonly data?: readonly unknown[]
}

/** What a chart shows as a table: one row a point, with its series, x and y. */
export function chartTable(option: EChartsOption): string {
  const series = (Array.isArray(option.series) ? option.series : [option.series]) as readonly Series[]
  return csvText({
    header: ['series', 'x', 'y'],
    rows: series.flatMap(({ name = '', data = [] }) =>
      data.flatMap((point): (string | number)[][] => {
        const pair = Array.isArray(point) ? point : (point as { readonly value?: unknown }).value
        return Array.isArray(pair) ? [[name, pair[0], pair[1]]] : []
      }),
    ),
  })
}
