import { chainShape, type ChainLine } from '../parts/chainLine'
import type { Things } from './ask'
import type { EntryComplaint, ListFacts } from './listFacts'

/** What a build keeps of them. */
export const LIST_OF_CHAINS = {
  shape: chainShape,
  most: 10,
  holds: 'runs round a sprocket on it',
  names: ({ sprockets, adjuster }) => [
    ...sprockets.flatMap(({ point, axis }, k) => [
      { at: `sprockets[${k}].point`, in: 'points' as const, id: point },
      { at: `sprockets[${k}].axis`, in: 'axes' as const, id: axis },
    ]),
    { at: 'adjuster', in: 'levers', id: adjuster },
  ],
  problems: chainProblems,
} as const satisfies ListFacts<ChainLine>

function chainProblems(build: Things, chain: ChainLine, complain: EntryComplaint): void {
  const before = (build.chains ?? []).slice(0, build.chains?.indexOf(chain)).flatMap((one) => one.sprockets)
  chain.sprockets.forEach(({ id, point }, k) => {
    const path = `sprockets[${k}]`
    const ahead = chain.sprockets.slice(0, k)
    if ([...before, ...ahead].some((one) => one.id === id))
      complain(`${path}.id`, `"${id}" is already the id of another sprocket`)
    if (ahead.some((one) => one.point === point))
      complain(`${path}.point`, `"${point}" already holds another sprocket of this chain`)
  })
  if (chain.links !== undefined && chain.links % 2 === 1 && !chain.halfLink)
    complain('links', 'is odd: a chain without a half link has an even number of links')
  if (chain.sprockets[0]?.idler)
    complain('sprockets[0].idler', 'the first sprocket drives, so it is no idler')
  if (!chain.sprockets.some(({ idler }, k) => k > 0 && !idler))
    complain('sprockets', 'needs one besides the first that is no idler')
}
