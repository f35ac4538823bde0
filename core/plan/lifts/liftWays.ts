import type { Linked, Waiting } from '../network/network'
import type { MoveMade, Standing, Standings } from './standings'

/** A task by how the vehicle must stand for it. */
export interface StandingTask extends Waiting {
  readonly in?: Standing | undefined
  /** How it leaves the vehicle, at no price: an exhaust that is fitted is on. */
  readonly sets?: Standing | undefined
}

/** What lifts are looked for in. */
export interface Site {
  readonly links: readonly Linked<StandingTask>[]
  readonly standings: Standings
}

/** What is done, a bit a task, and how the vehicle stands then. */
export interface Node {
  readonly done: bigint
  readonly standing: number
  readonly cost: number
  /** The way here: what was done last, after which changes. */
  readonly came: Step | null
}
export interface Step {
  readonly task: string | null
  readonly moves: readonly MoveMade[]
  readonly before: Step | null
}
const isDone = ({ done }: Node, at: number): boolean => (done & (1n << BigInt(at))) !== 0n
export const isAllDone = ({ links }: Site, node: Node): boolean => links.every(({ at }) => isDone(node, at))
const nextOf = ({ links }: Site, node: Node): Linked<StandingTask>[] =>
  links.filter(({ at, after }) => !isDone(node, at) && after.every((one) => isDone(node, one)))
const isHere = ({ standings }: Site, { task }: Linked<StandingTask>, standing: number): boolean =>
  standings.isSo(standing, task.in ?? {})

/** The vehicle brought to a standing, and a task done there. */
function withTask(
  { standings }: Site,
  node: Node,
  { task, at }: Linked<StandingTask>,
  standing: number,
): Node {
  return {
    done: node.done | (1n << BigInt(at)),
    standing: standings.set(standing, task.sets ?? {}),
    cost: node.cost + standings.cost(node.standing, standing),
    came: { task: task.id, moves: standings.moves(node.standing, standing), before: node.came },
  }
}

/** All that can be done as the vehicle stands, and leaves it so. */
export function settled(site: Site, node: Node): Node {
  const free = nextOf(site, node).find(
    (link) =>
      isHere(site, link, node.standing) &&
      site.standings.set(node.standing, link.task.sets ?? {}) === node.standing,
  )
  return free ? settled(site, withTask(site, node, free, node.standing)) : node
}

/** Every task that can be next, at every standing that lets it be. */
export function waysOn(site: Site, node: Node): Node[] {
  const { count, cost } = site.standings
  return nextOf(site, node).flatMap((link) =>
    Array.from({ length: count }, (_, standing) => standing)
      .filter((standing) => cost(node.standing, standing) < Infinity && isHere(site, link, standing))
      .map((standing) => settled(site, withTask(site, node, link, standing))),
  )
}

/** The dearest task that is left costs at least the way to it; nothing is known where a task may change the vehicle for nothing. */
export function leastOn({ links, standings }: Site, node: Node): number {
  const left = links.filter(({ at }) => !isDone(node, at))
  if (left.some(({ task }) => task.sets)) return 0
  const to = (isSo: (standing: number) => boolean) => {
    let least = Infinity
    for (let standing = 0; standing < standings.count; standing++)
      if (isSo(standing)) least = Math.min(least, standings.cost(node.standing, standing))
    return least
  }
  return Math.max(0, ...left.map(({ task }) => to((standing) => standings.isSo(standing, task.in ?? {}))))
}
