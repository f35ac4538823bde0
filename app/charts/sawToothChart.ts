import type { EChartsOption } from 'echarts'
import type { SawTooth } from '~~/core/answers/curves/sawTooth'
import { axisLook, FONT, type ChartColours } from './palette'

/** Engine speed over road speed: through the gears as a saw-tooth, each gear's whole line behind it. */
export function sawToothChart(
  ranges: readonly SawTooth[],
  colours: ChartColours,
  words: { readonly speed: string; readonly engine: string; readonly through: string },
): EChartsOption {
  const look = axisLook(colours)
  const fastest = Math.max(10, ...ranges.flatMap(({ teeth }) => teeth.map(({ toKmh }) => toKmh)))
  const nameOf = (range: string | null, gear: string) => (range ? `${range}, ${gear}` : gear)
  return {
    animation: false,
    textStyle: { fontFamily: FONT },
    tooltip: { trigger: 'item' },
    grid: { left: 66, right: 30, top: 30, bottom: 48 },
    xAxis: {
      ...look,
      type: 'value',
      min: 0,
      max: Math.ceil(fastest / 10) * 10,
      name: words.speed,
      nameGap: 28,
    },
    yAxis: { ...look, type: 'value', min: 0, name: words.engine, nameGap: 46 },
    series: ranges.flatMap(({ range, teeth }, i) => [
      ...teeth.map(({ gear, toKmh, toRpm }) => ({
        type: 'line' as const,
        name: nameOf(range, gear),
        data: [
          [0, 0],
          [toKmh, toRpm],
        ],
        symbol: 'none',
        lineStyle: { color: colours.hair, width: 1 },
        itemStyle: { color: colours.hair },
        silent: true,
      })),
      {
        type: 'line' as const,
        name: range ? `${words.through}, ${range}` : words.through,
        data: teeth.flatMap(({ gear, fromKmh, fromRpm, toKmh, toRpm }) => [
          { value: [fromKmh, fromRpm], label: { show: false } },
          {
            value: [toKmh, toRpm],
            label: {
              show: true,
              position: 'top' as const,
              formatter: nameOf(range, gear),
              color: colours.ink,
            },
          },
        ]),
        symbolSize: 5,
        lineStyle: {
          color: colours.accent,
          width: 2.6,
          type: i % 2 ? ('dashed' as const) : ('solid' as const),
        },
        itemStyle: { color: colours.accent },
      },
    ]),
  }
}
