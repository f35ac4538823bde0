import type { Build } from '../file/build/build'
import type { ChainLine } from '../file/parts/chainLine'
import { parseBuild } from '../file/open/parseBuild'
import { PROFILES } from '../file/limits/profiles'

/** A sprocket as a test tells it: its place seen from the right, in mm forward and up, and to the left. */
export interface ToldSprocket {
  readonly x: number
  readonly z: number
  readonly left?: number
  readonly teeth: number
  readonly outside?: boolean
  readonly idler?: boolean
  /** The body it is on; the chassis when absent. */
  readonly body?: string
  /** Rise and sweep of its axis by a drawing, in degrees; without an axis when absent. */
  readonly lies?: readonly [number, number]
  readonly faceToTeethMm?: number
}

/** What a test adds to a build of one chain. */
export interface MoreOfChain {
  readonly chain?: Partial<ChainLine>
  readonly bodies?: readonly object[]
  readonly points?: readonly (readonly [id: string, body: string, place: readonly number[]])[]
  readonly readings?: readonly object[]
  readonly levers?: readonly object[]
  readonly rest?: object
}

const given = (id: string, point: string, [x = 0, y = 0, z = 0]: readonly number[]) => ({
  id,
  kind: 'given-point',
  point,
  station: String(Math.abs(x)),
  stationWay: x > 0 ? 'forward' : 'rearward',
  offset: String(Math.abs(y)),
  side: y < 0 ? 'right' : 'left',
  height: String(Math.abs(z)),
  heightWay: z < 0 ? 'below' : 'above',
})

/** A file of one chain before it is parsed, so that a test can spoil it. */
export function chainFile(
  pitchMm: number,
  sprockets: readonly ToldSprocket[],
  more: MoreOfChain = {},
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
): any {
  const own = sprockets.map((one, i) => ({ ...one, id: `s${i + 1}`, body: one.body ?? 'chassis' }))
  return {
    format: 'lurvan-build',
    version: 2,
    id: 'chain',
    name: 'Chain',
    setups: [
      { id: 'one', name: 'One', standsOn: 'floor', loaded: true, settled: true, datum: 'levelled' },
    ],
    tools: [],
    bodies: [{ id: 'chassis', kind: 'chassis', name: 'chassis' }, ...(more.bodies ?? [])],
    points: [
      ...own.map(({ id, body }) => ({ id: `p-${id}`, name: `middle of ${id}`, body })),
      ...(more.points ?? []).map(([id, body]) => ({ id, name: id, body })),
    ],
    axes: own.flatMap(({ id, body, lies }) =>
      lies ? [{ id: `a-${id}`, name: `shaft of ${id}`, body, lies: 'across' }] : [],
    ),
    readings: [
      ...own.map(({ id, x, z, left = 0 }) => given(`r-${id}`, `p-${id}`, [x, left, z])),
      ...own.flatMap(({ id, lies }) =>
        lies
          ? [
              {
                id: `l-${id}`,
                kind: 'given-cross-axis',
                axis: `a-${id}`,
                rise: String(Math.abs(lies[0])),
                high: lies[0] < 0 ? 'right' : 'left',
                sweep: String(Math.abs(lies[1])),
                leftPoints: lies[1] < 0 ? 'rearward' : 'forward',
              },
            ]
          : [],
      ),
      ...(more.points ?? []).map(([id, , place]) => given(`r-${id}`, id, place)),
      ...(more.readings ?? []),
    ],
    levers: more.levers ?? [],
    limits: PROFILES.road,
    lines: [],
    chains: [
      {
        id: 'chain',
        name: 'chain',
        duty: 'drive',
        pitchMm,
        sprockets: own.map(({ id, teeth, outside, idler, lies, faceToTeethMm }) => ({
          id,
          teeth,
          point: `p-${id}`,
          ...(lies && { axis: `a-${id}` }),
          ...(outside && { outside }),
          ...(idler && { idler }),
          ...(faceToTeethMm !== undefined && { faceToTeethMm }),
        })),
        ...more.chain,
      },
    ],
    ...more.rest,
  }
}

/** A build of one chain. */
export function chainBuild(...of: Parameters<typeof chainFile>): Build {
  return parsedChain(chainFile(...of))
}

/** A file as a build; says what is wrong with it. */
export function parsedChain(file: unknown): Build {
  const parsed = parseBuild(file)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}
