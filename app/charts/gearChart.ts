import type { EChartsOption } from 'echarts'
import type { GearCurves } from '~~/core/answers/curves/gearCurves'
import { axisLook, FONT, type ChartColours } from './palette'

/** Torsional acceleration of the driven axis against road speed, one line a gear, with the limits across. */
export function gearChart(
  { gears, warn, fail }: GearCurves,
  colours: ChartColours,
  words: {
    readonly speed: string
    readonly acceleration: string
    readonly warn: string
    readonly fail: string
  },
): EChartsOption {
  const look = axisLook(colours)
  const fastest = Math.max(10, ...gears.flatMap(({ points }) => points.map(([kmh]) => kmh)))
  const across = (name: string, at: number | null, color: string) =>
    at === null
      ? []
      : [
          {
            type: 'line' as const,
            name,
            data: [
              [0, at],
              [fastest, at],
            ],
            symbol: 'none',
            lineStyle: { color, width: 2, type: 'dashed' as const },
            itemStyle: { color },
          },
        ]
  return {
    animation: false,
    textStyle: { fontFamily: FONT },
    tooltip: { trigger: 'item' },
    legend: { type: 'scroll', bottom: 0, textStyle: { color: colours.soft } },
    grid: { left: 66, right: 30, top: 18, bottom: 78 },
    xAxis: {
      ...look,
      type: 'value',
      min: 0,
      max: Math.ceil(fastest / 10) * 10,
      name: words.speed,
      nameGap: 28,
    },
    yAxis: { ...look, type: 'value', min: 0, name: words.acceleration, nameGap: 46 },
    series: [
      ...gears.map(({ gear, points }, i) => ({
        type: 'line' as const,
        name: gear,
        data: points.map(([kmh, acceleration]) => [kmh, acceleration]),
        symbol: 'none',
        lineStyle: {
          width: 2.4,
          opacity: 0.55 + (0.45 * (i % 4)) / 3,
          type: i % 2 ? ('dashed' as const) : ('solid' as const),
        },
        itemStyle: { color: colours.accent },
      })),
      ...across(words.warn, warn, colours.tight),
      ...across(words.fail, fail, colours.out),
    ],
  }
}
