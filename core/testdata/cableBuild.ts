import { changedDemo, type RawBuild } from './builds'

type Place = readonly [forward: number, left: number, up: number]

/** A cable told by places. */
export interface ToldCable {
  readonly points: readonly Place[]
  /** Behind its bulkhead. */
  readonly behind?: readonly Place[]
  readonly bulkhead?: {
    readonly mark: Place
    readonly faces: string
    readonly leanDeg?: number
    readonly leftMm: number
    readonly upMm: number
    readonly stubMm: number
    readonly room?: object
    readonly keepOff?: readonly object[]
  }
  readonly radiiMm?: readonly number[]
  readonly radiusMm: number
  readonly hot?: readonly { readonly at: Place; readonly gapMm: number }[]
  /** Everything else of the cable. */
  readonly more?: object
}

/** A raw build with a cable over points of the chassis, or of the powertrain from a point on. */
export function withCable(raw: RawBuild, told: ToldCable, onPowertrain: readonly number[] = []): void {
  const setup = raw.setups[0].id
  let count = 0
  const point = ([forward, left, up]: Place): string => {
    const id = `cable-${count}`
    const body = onPowertrain.includes(count) ? 'powertrain' : 'chassis'
    count += 1
    raw.points.push({ id, name: `cable point ${count}`, body })
    raw.readings.push({
      ...{ id: `${id}-given`, setup, kind: 'given-point', point: id },
      ...{ station: String(Math.abs(forward)), stationWay: forward > 0 ? 'forward' : 'rearward' },
      ...{ offset: String(Math.abs(left)), side: left < 0 ? 'right' : 'left' },
      ...{ height: String(Math.abs(up)), heightWay: up < 0 ? 'below' : 'above' },
    })
    return id
  }
  const { points, behind = [], bulkhead, radiusMm, radiiMm = [], hot = [], more } = told
  const all = [...points, ...behind].map(point)
  const corner = (id: string, k: number) => ({ point: id, radiusMm: radiiMm[k] })
  const inside = all.slice(1, bulkhead ? points.length : -1)
  raw.cables = [
    {
      ...{ id: 'cable', name: 'shift cable', from: { point: all[0] }, to: { point: all.at(-1) }, radiusMm },
      corners: inside.map(corner),
      cornersBehind: bulkhead ? all.slice(points.length, -1).map((id) => ({ point: id })) : undefined,
      hot: hot.map(({ at, gapMm }) => ({ point: point(at), gapMm })),
      ...(bulkhead && {
        hole: {
          ...{ bulkhead: 'sheet', leftMm: bulkhead.leftMm, upMm: bulkhead.upMm, stubMm: bulkhead.stubMm },
        },
      }),
      ...more,
    },
  ]
  if (!bulkhead) return
  const { mark, faces, leanDeg, room = {}, keepOff } = bulkhead
  raw.bulkheads = [
    {
      ...{ id: 'sheet', name: 'bulkhead', mark: point(mark), faces, leanDeg, keepOff },
      room: { leftMm: 400, rightMm: 400, upMm: 300, downMm: 300, ...room },
    },
  ]
}

export const cableBuild = (told: ToldCable, onPowertrain?: readonly number[]) =>
  changedDemo((raw) => withCable(raw, told, onPowertrain))
