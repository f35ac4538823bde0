/** Colours of the page a chart is drawn on, as read from its style. */
export interface ChartColours {
  readonly ink: string
  readonly soft: string
  readonly hair: string
  readonly accent: string
  readonly holds: string
  readonly tight: string
  readonly out: string
  readonly unknown: string
}

export const FONT = 'Barlow Semi Condensed, Barlow, Arial, sans-serif'

/** Axis lines, names and grid shared by all charts. */
export const axisLook = ({ soft, hair }: ChartColours) => ({
  nameLocation: 'middle' as const,
  nameTextStyle: { color: soft, fontFamily: FONT, fontSize: 13 },
  axisLabel: { color: soft, fontFamily: FONT, fontSize: 12 },
  axisLine: { lineStyle: { color: hair } },
  splitLine: { lineStyle: { color: hair, opacity: 0.6 } },
})
