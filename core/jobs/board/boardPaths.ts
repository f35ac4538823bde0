import type { WorkScene, WorkRow } from './workScene'

/** How large the picture of a plan is drawn. */
export interface BoardSize {
  readonly widthPx: number
  readonly rowPx: number
}

/** How a bar is drawn: work at a bench, work that fits parts, parts on their way, a change of the vehicle. */
export const BAR_LOOKS = ['work', 'fit', 'way', 'move'] as const
export type BarLook = (typeof BAR_LOOKS)[number]

/** All bars of one look as one way of a pen: hundreds of them move in one frame. */
export interface BarPath {
  readonly look: BarLook
  readonly isDeciding: boolean
  readonly d: string
}

/** What is drawn over the rows of a plan. */
export interface BoardPaths {
  readonly bars: readonly BarPath[]
  /** From the end of what is waited for down to the beginning of what waits; those that decide apart. */
  readonly links: string
  readonly decidingLinks: string
  readonly wanted: string | null
}

/** A bar of minutes is still seen, by this much. */
const LEAST_PX = 5
/** Free above and below a bar. */
const ROOM_PX = 7

const lookOf = ({ planned }: WorkRow, kind: 'work' | 'way' | 'move'): BarLook =>
  kind === 'work' && planned.at(-1)?.node.task?.sort === 'fit' ? 'fit' : kind

/** The pen's ways of a picture of a plan, in px from its upper left corner. */
export function boardPaths(scene: WorkScene, { widthPx, rowPx }: BoardSize): BoardPaths {
  const px = (days: number) => Math.round((days / scene.days) * widthPx * 10) / 10
  const ways = new Map<string, string>()
  scene.rows.forEach((row, at) => {
    const top = at * rowPx + ROOM_PX
    for (const { kind, from, to } of row.bars) {
      const key = `${lookOf(row, kind)} ${row.isDeciding}`
      const left = px(from)
      const right = Math.max(px(to), left + LEAST_PX)
      ways.set(key, `${ways.get(key) ?? ''}M${left} ${top}H${right}v${rowPx - 2 * ROOM_PX}H${left}z`)
    }
  })
  const linked = (isDeciding: boolean) =>
    scene.links
      .filter((link) => link.isDeciding === isDeciding)
      .map(({ from, to }) => {
        const end = px(scene.rows[from]?.bars.at(-1)?.to ?? 0)
        const start = px(scene.rows[to]?.bars[0]?.from ?? 0)
        return `M${end} ${(from + 0.5) * rowPx}H${Math.max(end, start)}V${(to + 0.5) * rowPx}`
      })
      .join('')
  return {
    bars: [false, true].flatMap((isDeciding) =>
      BAR_LOOKS.flatMap((look) => {
        const d = ways.get(`${look} ${isDeciding}`)
        return d === undefined ? [] : [{ look, isDeciding, d }]
      }),
    ),
    links: linked(false),
    decidingLinks: linked(true),
    wanted: scene.wantedAt === null ? null : `M${px(scene.wantedAt)} 0V${scene.rows.length * rowPx}`,
  }
}
