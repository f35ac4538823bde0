import type { EChartsOption } from 'echarts'
import type { PermittedCurve } from '~~/core/answers/curves/permittedCurve'
import { axisLook, FONT, type ChartColours } from './palette'

const SYMBOLS = { holds: 'circle', tight: 'diamond', out: 'rect', unknown: 'emptyCircle' } as const

/** The permitted joint angle against rev/min, with this line's joints on it. */
export function permittedChart(curve: PermittedCurve, colours: ChartColours): EChartsOption {
  const look = axisLook(colours)
  const most = Math.max(8, ...curve.joints.map((joint) => joint.angleDeg * 1.2))
  return {
    animation: false,
    textStyle: { fontFamily: FONT },
    tooltip: { trigger: 'item' },
    grid: { left: 56, right: 30, top: 18, bottom: 46 },
    xAxis: {
      ...look,
      type: 'value',
      min: 500,
      max: curve.limit.at(-1)?.[0],
      name: 'shaft speed, rev/min',
      nameGap: 28,
    },
    yAxis: {
      ...look,
      type: 'value',
      min: 0,
      max: Math.ceil(most),
      name: 'joint angle, degrees',
      nameGap: 34,
    },
    series: [
      {
        type: 'line',
        name: `${curve.accelerationLimit} rad/s²`,
        data: curve.limit.map(([rpm, angle]) => [rpm, angle]),
        showSymbol: false,
        color: colours.accent,
        lineStyle: { width: 2.5 },
        areaStyle: { color: colours.holds, opacity: 0.12 },
        tooltip: { show: false },
      },
      {
        type: 'scatter',
        name: 'joints',
        data: curve.joints.map((joint) => ({
          value: [joint.speedRpm, joint.angleDeg],
          name: `joint ${joint.number}: ${joint.angleDeg.toFixed(2)}° at ${joint.speedRpm.toFixed(0)} rev/min`,
          symbol: SYMBOLS[joint.verdict],
          symbolSize: 15,
          itemStyle: { color: colours[joint.verdict] },
          label: {
            show: true,
            // Two joints of nearly the same angle would print over each other on one side.
            position: joint.number % 2 === 1 ? ('left' as const) : ('right' as const),
            color: colours.ink,
            fontSize: 13,
            formatter: `joint ${joint.number}  ${joint.angleDeg.toFixed(2)}°`,
          },
        })),
        tooltip: { formatter: '{b}' },
      },
    ],
  }
}
