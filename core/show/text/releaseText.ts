import { fixed } from '../../base/units/format'
import type { Vec3 } from '../../base/linalg/vec3'
import type { HeldEntry } from '../../file/kinds/releaseKinds'
import type { Release } from '../../making/ways/release'
import { directionWords } from '../../vehicle/gaps/direction'

const WAYS = {
  forward: 'forward',
  rearward: 'rearward',
  left: 'to the left',
  right: 'to the right',
  up: 'up',
  down: 'down',
} as const

/** "up", "rearward, 20° down". */
export function wayText(way: Vec3): string {
  const { main, lean, leanDeg } = directionWords(way)
  return lean === null
    ? `straight ${WAYS[main]}`
    : `${WAYS[main]}, leaning ${fixed(leanDeg, 0)}° ${WAYS[lean]}`
}

const listed = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`

/** Whether a part comes out, which way, and what is taken out first. */
export function releaseSentence({ contacts, pins }: HeldEntry, found: Release): string {
  const nameOf = (id: string) => [...contacts, ...pins].find((one) => one.id === id)?.name ?? id
  const { pinsToDraw, removableAlone, bestWay, kind, slidesAlong } = found
  if (pinsToDraw === null) {
    const alone = (removableAlone ?? []).map(nameOf)
    const without =
      alone.length > 0
        ? ` Without ${listed(alone)}${alone.length > 1 ? ', any one of them,' : ''} it would come out.`
        : ' No one thing that touches it frees it by itself.'
    const drawn = pins.some(({ canBeDrawn }) => canBeDrawn)
      ? ', even with all that can be drawn taken out'
      : ''
    return `It is trapped${drawn}: there is no way out.${without}`
  }
  const first =
    pinsToDraw.length > 0 ? `Take out ${listed(pinsToDraw.map(nameOf))}; then it comes` : 'It comes'
  if (contacts.length === 0 && pins.length === pinsToDraw.length)
    return `${first} out any way: nothing touches it.`
  const way = bestWay
    ? `out ${wayText(bestWay)}`
    : kind === 'line'
      ? 'out either way along its pins'
      : 'out by sliding'
  const only = kind === 'line' ? ', and no other way' : kind === 'flat' ? ', along a plane' : ''
  const along = slidesAlong.length > 0 ? ` It slides along ${listed(slidesAlong.map(nameOf))}.` : ''
  return `${first} ${way}${bestWay ? only : ''}.${along}`
}
