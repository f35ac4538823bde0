import { powertrainOf } from '../parts/bodies'
import { BODY_KINDS } from '../parts/bodyKinds'
import type { Body, BodyId } from '../parts/body'
import type { Build } from '../build/build'
import type { NamedAxis, NamedPoint } from '../parts/named'
import { sprocketName, type ChainDuty, type ChainLine, type ChainSprocket } from '../parts/chainLine'
import type { Id } from '../parts/id'
import type { Lever } from '../build/lever'
import { CHAIN_LIMITS } from '../limits/profiles'
import { isUsed, withoutBody } from './withoutBody'
import { withoutLever } from './withoutLever'
import { withMissingLimits } from './withMissingLimits'
import { idsOf, type Ids } from './withLayout'

/** What a chain begins with, by what it does: usual teeth and pitch, to be put right. */
const BEGINNINGS = {
  drive: { pitchMm: 15.875, teeth: [15, 45], names: ['gearbox sprocket', 'axle sprocket'] },
  steering: { pitchMm: 12.7, teeth: [16, 16], names: ['wheel sprocket', 'steering sprocket'] },
  shift: { pitchMm: 9.525, teeth: [13, 13], names: ['lever sprocket', 'gearbox sprocket'] },
} as const satisfies Record<
  ChainDuty,
  {
    readonly pitchMm: number
    readonly teeth: readonly [number, number]
    readonly names: readonly [string, string]
  }
>

/** Guide wheels usually have so many teeth. */
const GUIDE_TEETH = 12

const chainIn = ({ chains }: Build, id: Id): ChainLine | undefined => chains?.find((one) => one.id === id)

const withChainOf = (build: Build, id: Id, edit: (chain: ChainLine) => ChainLine): Build => ({
  ...build,
  ...(build.chains && { chains: build.chains.map((one) => (one.id === id ? edit(one) : one)) }),
})

/**
 * A build with a chain besides those it has: a driven one from the gearbox to a live axle, which is put in where there is none; any other between two
 * shafts on the chassis. Its sprockets are to be read, its limits come with it.
 *
 * @returns the build, and the id of the chain
 */
export function withNewChain(
  build: Build,
  duty: ChainDuty,
  name: string,
): { readonly build: Build; readonly id: Id } {
  const ids = idsOf(build)
  const { pitchMm, teeth, names } = BEGINNINGS[duty]
  const id = ids(name)
  const added: Added = {
    bodies: [],
    points: [],
    axes: [],
    levers: [],
  }
  const chassis = build.bodies.find(({ kind }) => kind === 'chassis')?.id ?? 'chassis'
  const ends: readonly [BodyId, BodyId] =
    duty === 'drive'
      ? [powertrainOf(build)?.id ?? chassis, liveAxleOf(build)?.id ?? newLiveAxle(ids, added)]
      : [chassis, chassis]
  const sprockets = names.map((plain, i): ChainSprocket => {
    const body = ends[i] ?? chassis
    const point = ids(`${name} ${plain}`)
    added.points.push({ id: point, name: `${plain}, middle`, body })
    const axis = [...build.axes, ...added.axes].find((one) => one.body === body && one.lies === 'across')?.id
    return {
      id: ids(plain),
      name: plain,
      teeth: teeth[i] ?? 15,
      point,
      ...(duty === 'drive' && { axis: axis ?? newAxis(ids, added, body, plain) }),
    }
  })
  const slots = duty === 'drive' ? slotsOf(build, ids, added) : undefined
  const chain: ChainLine = {
    id,
    name,
    duty,
    pitchMm,
    sprockets,
    ...(slots !== undefined && { adjuster: slots }),
  }
  return {
    id,
    build: withMissingLimits(
      {
        ...build,
        bodies: [...build.bodies, ...added.bodies],
        points: [...build.points, ...added.points],
        axes: [...build.axes, ...added.axes],
        levers: [...build.levers, ...added.levers],
        chains: [...(build.chains ?? []), chain],
      },
      [...new Set(CHAIN_LIMITS.map(({ quantity }) => quantity))],
    ),
  }
}

type Added = { bodies: Body[]; points: NamedPoint[]; axes: NamedAxis[]; levers: Lever[] }

const liveAxleOf = ({ bodies }: Build): Body | undefined =>
  bodies.find(({ kind }) => kind === 'live-axle') ?? bodies.find(({ kind }) => kind === 'axle')

/** A live axle in two pillow blocks, all of it to be read. */
function newLiveAxle(ids: Ids, added: Added): BodyId {
  const body = ids('live axle')
  const point = (name: string): Id => {
    const id = ids(name)
    added.points.push({ id, name, body })
    return id
  }
  const bearings = { left: point('left pillow block'), right: point('right pillow block') }
  const hubs = { left: point('left hub, outer face'), right: point('right hub, outer face') }
  added.bodies.push({ id: body, kind: 'live-axle', name: 'rear axle', bearings, hubs })
  added.axes.push({
    id: ids('live axle axis'),
    name: 'rear axle',
    body,
    lies: 'across',
    through: [bearings.left, bearings.right],
  })
  return body
}

function newAxis(ids: Ids, added: Added, body: BodyId, name: string): Id {
  const id = ids(`${name} shaft`)
  added.axes.push({ id, name: `shaft of the ${name}`, body, lies: 'across' })
  return id
}

/** The lever that slides the engine along its slots; put in where there is none. */
function slotsOf({ levers, bodies }: Build, ids: Ids, added: Added): Id | undefined {
  const engine = powertrainOf({ bodies })
  if (!engine) return undefined
  const there = levers.find(({ kind, body }) => kind === 'fore' && body === engine.id)
  if (there) return there.id
  const id = ids('slots')
  added.levers.push({
    id,
    kind: 'fore',
    body: engine.id,
    name: 'engine on its slots',
    range: [-10, 20],
    step: 0.1,
  })
  return id
}

/** A build without a chain: its readings, its spacers and the places that held its sprockets alone go with it. */
export function withoutChain(build: Build, id: Id): Build {
  const chain = chainIn(build, id)
  if (!chain) return build
  const rest = (build.chains ?? []).filter((one) => one !== chain)
  const bare: Build = {
    ...build,
    readings: build.readings.filter((one) => !(one.kind === 'chain-slack' && one.chain === id)),
    chains: rest,
  }
  return chain.sprockets.reduce((left, sprocket) => withoutTraces(left, sprocket), bare)
}

/** A build without what was there for a sprocket that is gone. */
function withoutTraces(build: Build, { id, point, axis }: ChainSprocket): Build {
  const spacers = build.levers.filter((lever) => lever.sprocket === id)
  const bare = spacers.reduce((left, lever) => withoutLever(left, lever.id), build)
  const isHeld = isUsed(bare, point) || bare.gaps.some((gap) => gap.point === point)
  const body = bare.points.find((one) => one.id === point)?.body
  const isAxisHeld =
    bare.lines.some(({ driving, driven }) => driving === axis || driven === axis) ||
    (bare.chains ?? []).some(({ sprockets }) => sprockets.some((one) => one.axis === axis)) ||
    (bare.drivetrain.outputs ?? []).some((output) => output.axis === axis) ||
    bare.axes.some((one) => one.id === axis && one.through !== undefined)
  const kept: Build = {
    ...bare,
    points: isHeld ? bare.points : bare.points.filter((one) => one.id !== point),
    axes: isAxisHeld ? bare.axes : bare.axes.filter((one) => one.id !== axis),
    readings: bare.readings.filter(
      (one) =>
        !(one.kind === 'sprocket-face' && one.sprocket === id) &&
        (isHeld || !('point' in one && one.point === point)) &&
        (isAxisHeld || !('axis' in one && one.axis === axis)),
    ),
  }
  // A bracket that held nothing but this wheel goes too.
  const isBracket = kept.bodies.some((one) => one.id === body && BODY_KINDS[one.kind].isBracket)
  const isEmpty = !kept.points.some((one) => one.body === body) && !kept.axes.some((one) => one.body === body)
  return body !== undefined && isBracket && isEmpty ? withoutBody(kept, body) : kept
}

/** A build with a guide wheel on a bracket of its own, which can be moved up and down; last in the order of its chain. */
export function withGuide(build: Build, chainId: Id, isOutside: boolean): Build {
  const chain = chainIn(build, chainId)
  if (!chain) return build
  const ids = idsOf(build)
  const body = ids('tensioner')
  const name = build.bodies.some((one) => one.name === 'tensioner')
    ? `tensioner of ${chain.name}`
    : 'tensioner'
  const point = ids(`${body} sprocket`)
  const guide: ChainSprocket = {
    id: ids(`${body} wheel`),
    name: `${name} sprocket`,
    teeth: GUIDE_TEETH,
    point,
    idler: true,
    ...(isOutside && { outside: true }),
  }
  return withChainOf(
    {
      ...build,
      bodies: [...build.bodies, { id: body, kind: 'item', name }],
      points: [...build.points, { id: point, name: `${name} sprocket, middle`, body }],
      levers: [
        ...build.levers,
        { id: ids(`${body} up`), kind: 'up', body, name, range: [-20, 20], step: 0.5 },
      ],
    },
    chainId,
    (one) => ({ ...one, sprockets: [...one.sprockets, guide] }),
  )
}

/**
 * A build without a sprocket, and without what was there for it alone.
 *
 * @returns the same build where its chain would be left without one to drive or to be driven
 */
export function withoutSprocket(build: Build, chainId: Id, id: Id): Build {
  const chain = chainIn(build, chainId)
  const gone = chain?.sprockets.find((one) => one.id === id)
  const left = chain?.sprockets.filter((one) => one !== gone) ?? []
  const stays = left.length < 2 || left[0]?.idler === true || !left.slice(1).some(({ idler }) => !idler)
  if (!gone || stays) return build
  return withoutTraces(
    withChainOf(build, chainId, (one) => ({ ...one, sprockets: left })),
    gone,
  )
}

/** A build in which a chain visits a sprocket one place earlier or later; the first stays first. */
export function withSprocketMoved(build: Build, chainId: Id, id: Id, by: 1 | -1): Build {
  return withChainOf(build, chainId, (chain) => {
    const from = chain.sprockets.findIndex((one) => one.id === id)
    const to = from + by
    const [here, there] = [chain.sprockets[from], chain.sprockets[to]]
    if (from < 1 || to < 1 || !here || !there) return chain
    const sprockets = [...chain.sprockets]
    sprockets[from] = there
    sprockets[to] = here
    return { ...chain, sprockets }
  })
}

/** A build whose chain is told the other way round; the first sprocket stays first. */
export const withOrderTurned = (build: Build, chainId: Id): Build =>
  withChainOf(build, chainId, (chain) => {
    const [first, ...rest] = chain.sprockets
    return first ? { ...chain, sprockets: [first, ...rest.toReversed()] } : chain
  })

/** A build in which a spacer sets a sprocket along its shaft; the same where it has one. */
export function withSpacer(build: Build, chainId: Id, id: Id): Build {
  const sprocket = chainIn(build, chainId)?.sprockets.find((one) => one.id === id)
  const body = build.points.find((one) => one.id === sprocket?.point)?.body
  if (!sprocket || body === undefined || build.levers.some((lever) => lever.sprocket === id)) return build
  const lever: Lever = {
    id: idsOf(build)(`${id} spacer`),
    kind: 'spacer',
    body,
    sprocket: id,
    name: `spacer behind the ${sprocketName(sprocket)}`,
    range: [-6, 6],
    step: 0.5,
  }
  return { ...build, levers: [...build.levers, lever] }
}
