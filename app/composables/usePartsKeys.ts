import { partWord, type PartPiece, type PartsScene } from '~~/core/show/parts/partsScene'
import type { PartOfLine } from '~~/core/file/edits/partEdits'

/** What the drawing of parts lets keys and the pointer do. */
export interface PartsHand {
  /** As drawn, along the power flow. */
  readonly scene: () => PartsScene
  readonly select: (word: string) => void
  /** The focus goes at once: the address, which says what is picked, follows. */
  readonly focus: (word: string) => void
  readonly move: (place: PartOfLine, by: 1 | -1) => boolean
  readonly remove: (place: PartOfLine) => boolean
}

/** Goes along the parts by keys, and moves and takes them out by keys and drag. */
export function usePartsKeys({ scene, select, focus, move, remove }: PartsHand) {
  const placeOf = (piece: PartPiece): PartOfLine | null => ('index' in piece.key ? piece.key : null)
  const drag = ref<{ readonly word: string; readonly from: number; readonly by: number } | null>(null)

  function moveBy(piece: PartPiece, by: 1 | -1) {
    const place = placeOf(piece)
    if (!place || !move(place, by)) return
    const word = partWord({ ...place, index: place.index + by })
    select(word)
    focus(word)
  }
  function takeOut(piece: PartPiece) {
    const place = placeOf(piece)
    if (place && remove(place)) select('')
  }
  function onKey(event: KeyboardEvent, piece: PartPiece, index: number) {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
    const next = scene().pieces[index + by]
    if (by !== 0 && event.altKey) moveBy(piece, by)
    else if (by !== 0) focus(next ? partWord(next.key) : '')
    else if (event.key === 'Delete' || event.key === 'Backspace') takeOut(piece)
    else if (event.key === 'Enter' || event.key === ' ') select(partWord(piece.key))
    else return
    event.preventDefault()
  }

  /** A part drawn over its neighbour of the same sort changes places with it. */
  function grab(event: PointerEvent, piece: PartPiece) {
    select(partWord(piece.key))
    if (!placeOf(piece) || event.button !== 0) return
    ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
    drag.value = { word: partWord(piece.key), from: event.clientX, by: 0 }
  }
  function pull(event: PointerEvent) {
    if (drag.value) drag.value = { ...drag.value, by: event.clientX - drag.value.from }
  }
  function drop(piece: PartPiece) {
    const { by = 0 } = drag.value ?? {}
    drag.value = null
    const way = by > 0 ? 1 : -1
    const place = placeOf(piece)
    const next =
      place &&
      scene().pieces.find(({ key }) => partWord(key) === partWord({ ...place, index: place.index + way }))
    if (next && Math.abs(by) > Math.abs(next.left - piece.left) / 2) moveBy(piece, way)
  }
  const letGo = () => (drag.value = null)
  const pulled = (piece: PartPiece) => (drag.value?.word === partWord(piece.key) ? drag.value.by : 0)

  return { onKey, grab, pull, drop, letGo, pulled }
}
