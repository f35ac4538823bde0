import type { Build } from '../build/build'
import type { ChainLine } from '../parts/chainLine'
import { sprocketsOf } from '../parts/chainLine'
import type { Id } from '../parts/id'

type Complain = (path: string, message: string) => void

/** Every name in chains, their readings and their spacers that points at nothing, and every sprocket that cannot be. */
export function chainReferences(build: Build, complain: Complain): void {
  const points = new Set(build.points.map(({ id }) => id))
  const axes = new Set(build.axes.map(({ id }) => id))
  const levers = new Set(build.levers.map(({ id }) => id))
  const all = sprocketsOf(build)
  let before = 0
  build.chains?.forEach((chain, i) => {
    const at = `chains[${i}]`
    chain.sprockets.forEach(({ id, point, axis }, k) => {
      const path = `${at}.sprockets[${k}]`
      if (!points.has(point)) complain(`${path}.point`, `there is no point "${point}"`)
      if (axis !== undefined && !axes.has(axis)) complain(`${path}.axis`, `there is no axis "${axis}"`)
      if (all.findIndex((one) => one.id === id) < before + k)
        complain(`${path}.id`, `"${id}" is already the id of another sprocket`)
      if (chain.sprockets.findIndex((one) => one.point === point) < k)
        complain(`${path}.point`, `"${point}" already holds another sprocket of this chain`)
    })
    before += chain.sprockets.length
    if (chain.adjuster !== undefined && !levers.has(chain.adjuster))
      complain(`${at}.adjuster`, `there is no lever "${chain.adjuster}"`)
    oddLinks(chain, (message) => complain(`${at}.links`, message))
    if (chain.sprockets[0]?.idler)
      complain(`${at}.sprockets[0].idler`, 'the first sprocket drives, so it is no idler')
    if (!chain.sprockets.some(({ idler }, k) => k > 0 && !idler))
      complain(`${at}.sprockets`, 'needs one besides the first that is no idler')
  })
  spacers(build, complain)
}

/** True for a sprocket on a shaft that runs along the vehicle. */
function isLengthwise(build: Build, sprocket: Id): boolean {
  const axis = sprocketsOf(build).find(({ id }) => id === sprocket)?.axis
  const found = build.axes.find(({ id }) => id === axis)
  return found !== undefined && found.lies !== 'across'
}

function oddLinks({ links, halfLink }: ChainLine, complain: (message: string) => void): void {
  if (links !== undefined && links % 2 === 1 && !halfLink)
    complain('is odd: a chain without a half link has an even number of links')
}

/** A spacer lies behind a sprocket of the body that it is said to be on. */
function spacers(build: Build, complain: Complain): void {
  const bodyOf = (point: Id) => build.points.find(({ id }) => id === point)?.body
  const all = sprocketsOf(build)
  build.levers.forEach(({ kind, sprocket: id, body }, i) => {
    if (kind !== 'spacer') {
      if (id !== undefined)
        complain(`levers[${i}].sprocket`, 'belongs to a spacer, and this lever is another kind')
      return
    }
    const found = all.find((one) => one.id === id)
    if (!found) complain(`levers[${i}].sprocket`, `there is no sprocket "${id ?? ''}"`)
    else if (isLengthwise(build, found.id))
      complain(
        `levers[${i}].sprocket`,
        'turns on a shaft that runs along the vehicle: a spacer is told for one across it',
      )
    else if (bodyOf(found.point) !== body)
      complain(`levers[${i}].body`, `is not the body that sprocket "${found.id}" is on`)
  })
  build.readings.forEach((reading, i) => {
    if (reading.kind === 'sprocket-face' && !all.some((one) => one.id === reading.sprocket))
      complain(`readings[${i}].sprocket`, `there is no sprocket "${reading.sprocket}"`)
    if (reading.kind === 'sprocket-face' && isLengthwise(build, reading.sprocket))
      complain(
        `readings[${i}].sprocket`,
        'turns on a shaft that runs along the vehicle: its face is not read from a line along it',
      )
    if (reading.kind === 'chain-slack' && !build.chains?.some((one) => one.id === reading.chain))
      complain(`readings[${i}].chain`, `there is no chain "${reading.chain}"`)
  })
}
