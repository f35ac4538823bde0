import { defineStore } from 'pinia'
import { computed } from 'vue'
import { PIECE_KINDS, type Piece, type PieceKind } from '~~/core/file/kinds/pieceKinds'
import { pieceAnswer } from '~~/core/making/pieces/pieceAnswer'
import { pieceTemplate } from '~~/core/making/templates/pieceTemplate'
import { titled } from '~~/core/making/templates/template'
import { pieceSentences } from '~~/core/show/text/pieceText'
import { saveTemplate, type TemplateFile } from '../print/saveTemplate'
import { newId } from '../storage/newId'
import { today } from '../storage/today'
import { pieces as words } from '../texts/pieces'
import { assign } from './assign'
import { lookedAt } from './lookedAt'
import { useWorkbench } from './workbench'

/** Sizes that a kind begins with, the builder's to change. */
const FIRST = {
  guide: { longMm: 60, wideMm: 40, highMm: 30, holeMm: 8, inMm: 20 },
  gusset: { longMm: 60, wideMm: 60, highMm: 5, noseMm: 10, snipMm: 8 },
  saw: { longMm: 80, wideMm: 40, highMm: 40, angleDeg: 15 },
} as const satisfies Readonly<Record<PieceKind, Partial<Piece>>>
const SIZES = [
  ...new Set([
    ...Object.values(PIECE_KINDS).flat(),
    'noseMm',
    'snipMm',
    'playMm',
    'throughMm',
    'tab',
  ] as const),
]

/** Small made parts of the open build: guides, gussets, saw blocks. */
export const usePieces = defineStore('pieces', () => {
  const workbench = useWorkbench()
  const all = computed<readonly Piece[]>(() => workbench.build?.pieces ?? [])
  const { looked, one: piece } = lookedAt(all, ({ id }) => id)
  const answer = computed(() => piece.value && pieceAnswer(piece.value))
  const sentences = computed(() =>
    piece.value && answer.value && workbench.build
      ? pieceSentences(answer.value, piece.value, workbench.build.units)
      : [],
  )
  const template = computed(() => piece.value && pieceTemplate(piece.value))

  function edit(label: string, recipe: (piece: Piece) => void): void {
    const id = piece.value?.id
    workbench.change(label, (draft) => {
      const one = draft.pieces?.find((other) => other.id === id)
      if (one) recipe(one)
    })
  }
  const change = (changed: Partial<Omit<Piece, 'id' | 'kind'>>): void =>
    edit('Change a small part', (one) => assign(one, changed))
  const changeTab = (changed: Partial<NonNullable<Piece['tab']>>): void =>
    edit('Change the tab over a gusset', (one) => {
      const tab = { ...one.tab }
      assign(tab, changed)
      assign(one, { tab })
    })

  /** Of another kind: it begins with that kind's sizes. */
  const turnInto = (kind: PieceKind): void =>
    edit('Change a small part', (one) =>
      assign(one, { ...Object.fromEntries(SIZES.map((size) => [size, undefined])), kind, ...FIRST[kind] }),
    )

  function add(): void {
    const id = newId()
    workbench.change('Add a small part', (draft) => {
      draft.pieces = [...(draft.pieces ?? []), { id, name: words.newName, kind: 'guide', ...FIRST.guide }]
    })
    looked.value = id
  }

  function remove(): void {
    const id = piece.value?.id
    workbench.change('Delete a small part', (draft) => {
      draft.pieces = (draft.pieces ?? []).filter((one) => one.id !== id)
    })
  }

  async function save(file: TemplateFile): Promise<void> {
    if (!template.value || !piece.value) return
    const lines = [`${words.kinds[piece.value.kind]}, ${words.seen}`, today()]
    await saveTemplate(workbench.build?.name ?? '', titled(template.value, lines, words.arrow), file)
  }

  return {
    ...{ all, looked, piece, answer, sentences, template },
    ...{ change, changeTab, turnInto, add, remove, save },
  }
})
