import type { EChartsOption } from 'echarts'
import type { TurnCurves } from '~~/core/answers/curves/curves'
import { axisLook, FONT, type ChartColours } from './palette'

/** Speed ratio, angle error and acceleration of every member over one turn of the driving axis. */
export function turnChart(curves: TurnCurves, colours: ChartColours): EChartsOption {
  const look = axisLook(colours)
  const pairs = (values: readonly number[]) => curves.turnDeg.map((turn, i) => [turn, values[i] ?? 0])
  const last = curves.ratios.length - 1
  const member = (index: number) => (index === last ? 'driven axis' : `shaft ${index + 1}`)
  const style = (index: number) => ({
    width: index === last ? 2.5 : 1.5,
    type: index === last ? ('solid' as const) : ('dashed' as const),
  })
  return {
    animation: false,
    textStyle: { fontFamily: FONT },
    legend: { type: 'scroll', top: 0, textStyle: { color: colours.soft } },
    tooltip: {
      trigger: 'axis',
      valueFormatter: (value) => (typeof value === 'number' ? value.toPrecision(5) : ''),
    },
    grid: [
      { left: 70, right: 24, top: 40, height: '22%' },
      { left: 70, right: 24, top: '40%', height: '22%' },
      { left: 70, right: 24, bottom: 44, height: '22%' },
    ],
    xAxis: [0, 1, 2].map((gridIndex) => ({
      ...look,
      type: 'value',
      gridIndex,
      min: 0,
      max: 360,
      interval: 45,
      name: gridIndex === 2 ? 'turn of the driving axis, degrees' : '',
      nameGap: 26,
      axisLabel: { ...look.axisLabel, show: gridIndex === 2 },
    })),
    yAxis: [
      {
        ...look,
        type: 'value',
        gridIndex: 0,
        scale: true,
        name: 'speed ratio',
        nameGap: 50,
        axisLabel: { ...look.axisLabel, formatter: (value: number) => value.toFixed(4) },
      },
      { ...look, type: 'value', gridIndex: 1, name: 'ahead, degrees', nameGap: 50 },
      { ...look, type: 'value', gridIndex: 2, name: 'rad/s²', nameGap: 50 },
    ],
    series: [
      ...curves.ratios.map((values, index) => ({
        type: 'line' as const,
        name: `${member(index)}, speed ratio`,
        data: pairs(values),
        showSymbol: false,
        color: index === last ? colours.accent : colours.soft,
        lineStyle: style(index),
      })),
      ...curves.errorsDeg.map((values, index) => ({
        type: 'line' as const,
        name: `${member(index)}, angle error`,
        xAxisIndex: 1,
        yAxisIndex: 1,
        data: pairs(values),
        showSymbol: false,
        color: index === last ? colours.accent : colours.soft,
        lineStyle: style(index),
      })),
      ...(curves.accelerations ?? []).map((values, index) => ({
        type: 'line' as const,
        name: `${member(index)}, acceleration`,
        xAxisIndex: 2,
        yAxisIndex: 2,
        data: pairs(values),
        showSymbol: false,
        color: index === last ? colours.accent : colours.soft,
        lineStyle: style(index),
      })),
    ],
  }
}
