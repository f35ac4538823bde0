import type { Build } from '../../file/build/build'
import type { OrderEntry } from '../../file/kinds/orderKinds'
import type { Shaft } from '../../file/parts/lineSpec'

/** A figure as it was ordered, and as it came. */
export interface Arrived {
  readonly key: string
  readonly asked: number
  readonly value: number
}

type Taking = (build: Build, order: OrderEntry, arrived: readonly Arrived[]) => Build

/**
 * A build in which what came is the figure that counts: a shaft that came longer leaves less set-in, a chain that came worn is worn.
 *
 * @param arrived - figures of what is ordered; those that the build has no place for change nothing
 */
export const withArrived: Taking = (build, order, arrived) => TAKINGS[order.kind](build, order, arrived)

const figureOf = (arrived: readonly Arrived[], key: string): Arrived | undefined =>
  arrived.find((one) => one.key === key)
const came = (arrived: readonly Arrived[], key: string): number | undefined => figureOf(arrived, key)?.value
const toTenth = (mm: number): number => Math.round(mm * 10) / 10

const withShaft = (build: Build, lineId: string, index: number, edit: (shaft: Shaft) => Shaft): Build => ({
  ...build,
  lines: build.lines.map((line) =>
    line.id === lineId
      ? { ...line, shafts: line.shafts.map((shaft, i) => (i === index ? edit(shaft) : shaft)) }
      : line,
  ),
})

const ofPropshaft: Taking = (build, order, arrived) =>
  withShaft(build, order.of, order.shaft ?? 0, (shaft) => {
    const { slip, tube } = shaft
    const [outer, wall, closed] = ['outer', 'wall', 'closed'].map((key) => came(arrived, key))
    const phase = came(arrived, 'phase')
    return {
      ...lessSetIn(shaft, figureOf(arrived, 'length')),
      ...(slip && closed !== undefined && { slip: { ...slip, closedMm: closed } }),
      ...(tube && { tube: { ...tube, outerMm: outer ?? tube.outerMm, wallMm: wall ?? tube.wallMm } }),
      ...(phase !== undefined && { phaseDeg: phase }),
    }
  })

/** What a shaft with a slip yoke is longer by is missing in its set-in. */
function lessSetIn(shaft: Shaft, length: Arrived | undefined): Shaft {
  if (!length) return shaft
  const longerMm = length.value - length.asked
  const ends = (['drivingEnd', 'drivenEnd'] as const).flatMap((key) => {
    const end = shaft[key]
    if (end?.kind !== 'slip-yoke' || end.setInMm === undefined) return []
    return [[key, { ...end, setInMm: Math.max(0, toTenth(end.setInMm - longerMm)) }] as const]
  })
  return { ...shaft, ...Object.fromEntries(ends) }
}

const withMiddle = (build: Build, lineId: string, middleMm: number | undefined): Build => {
  const index = build.lines
    .find(({ id }) => id === lineId)
    ?.shafts.findIndex(({ plunge }) => plunge !== undefined)
  if (middleMm === undefined || index === undefined || index < 0) return build
  return withShaft(build, lineId, index, (shaft) => ({ ...shaft, plunge: { ...shaft.plunge, middleMm } }))
}

const ofHalfshafts: Taking = (build, { of, other }, arrived) =>
  [of, ...(other === undefined ? [] : [other])].reduce(
    (all, lineId) => withMiddle(all, lineId, came(arrived, `length/${lineId}`)),
    build,
  )

const ofChain: Taking = (build, { of }, arrived) => ({
  ...build,
  ...(build.chains && {
    chains: build.chains.map((chain) => {
      if (chain.id !== of) return chain
      const [links, over] = [came(arrived, 'links'), figureOf(arrived, 'over')]
      const wear = over && Math.max(0, Math.round((over.value / over.asked - 1) * 1e4) / 100)
      return {
        ...chain,
        ...(links !== undefined && { links }),
        ...(wear !== undefined && { wearPercent: wear }),
      }
    }),
  }),
})

const ofPlate: Taking = (build, { of }, arrived) => ({
  ...build,
  ...(build.plates && {
    plates: build.plates.map((plate) =>
      plate.id === of ? { ...plate, thicknessMm: came(arrived, 'thickness') ?? plate.thicknessMm } : plate,
    ),
  }),
})

const ofAxle: Taking = (build, { of }, arrived) => ({
  ...build,
  ...(build.axleCuts && {
    axleCuts: build.axleCuts.map((cut) => {
      if (cut.id !== of) return cut
      const sides = (['left', 'right'] as const).flatMap((side) => {
        const cameMm = came(arrived, `length/${side}`)
        return cameMm === undefined ? [] : [[side, { ...cut[side], cameMm }] as const]
      })
      return { ...cut, ...Object.fromEntries(sides) }
    }),
  }),
})

const TAKINGS: Readonly<Record<OrderEntry['kind'], Taking>> = {
  propshaft: ofPropshaft,
  halfshafts: ofHalfshafts,
  pattern: (build, { other }, arrived) =>
    other === undefined ? build : withMiddle(build, other, came(arrived, 'length')),
  chain: ofChain,
  'live-axle': ofAxle,
  adapter: ofPlate,
  plate: ofPlate,
}
