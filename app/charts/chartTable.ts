import Papa from 'papaparse'
import type { EChartsOption } from 'echarts'

interface Series {
  readonly name?: string
  readonly data?: readonly unknown[]
}

/** What a chart shows as a table: one row a point, with its series, x and y. */
export function chartTable(option: EChartsOption): string {
  const series = (Array.isArray(option.series) ? option.series : [option.series]) as readonly Series[]
  return Papa.unparse({
    fields: ['series', 'x', 'y'],
    data: series.flatMap(({ name = '', data = [] }) =>
      data.flatMap((point) => {
        const pair = Array.isArray(point) ? point : (point as { readonly value?: unknown }).value
        return Array.isArray(pair) ? [[name, pair[0], pair[1]]] : []
      }),
    ),
  })
}
