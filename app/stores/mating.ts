import type { Draft } from 'immer'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { stackScale, stackScene } from '~~/core/bay/mating/stackScene'
import { roundAnswer, stackAnswer } from '~~/core/bay/mating/matingOf'
import type { DialRound, Mating, Stack, StackKind, StackPart } from '~~/core/file/parts/mating'
import { newId } from '../storage/newId'
import { texts } from '../texts/en'
import { assign } from './assign'
import { useWorkbench } from './workbench'

/** Places a dial is read at, the first from 12. */
export const DIAL_PLACES = [4, 8, 12] as const

/** Stacks of sizes and dial rounds of the open build, and what they come to. */
export const useMating = defineStore('mating', () => {
  const workbench = useWorkbench()
  const stacks = computed(() =>
    (workbench.build?.mating?.stacks ?? []).map((stack) => {
      const answer = stackAnswer(stack)
      return {
        stack,
        answer,
        scene: stackScene(stack),
        scale: answer.known ? stackScale(stack, answer.value) : null,
      }
    }),
  )
  const rounds = computed(() =>
    (workbench.build?.mating?.rounds ?? []).map((round) => ({ round, answer: roundAnswer(round) })),
  )

  function edit(label: string, recipe: (mating: Draft<Mating>) => void): void {
    workbench.change(label, (draft) => {
      draft.mating ??= { stacks: [], rounds: [] }
      recipe(draft.mating)
    })
  }

  function addStack(kind: StackKind): void {
    const words = texts.mating
    const parts = words.parts[kind].map(([counts, name]): StackPart => ({
      id: newId(),
      name,
      counts,
    }))
    const stack: Stack = { id: newId(), name: words.kinds[kind], kind, parts }
    edit('Add a stack of sizes', (mating) => {
      mating.stacks.push(stack as Draft<Stack>)
    })
  }

  function changeStack(id: string, changed: Partial<Pick<Stack, 'name' | 'minMm' | 'maxMm'>>): void {
    edit('Change a stack of sizes', (mating) => {
      assign(
        mating.stacks.find((one) => one.id === id),
        changed,
      )
    })
  }

  function removeStack(id: string): void {
    edit('Delete a stack of sizes', (mating) => {
      mating.stacks = mating.stacks.filter((one) => one.id !== id)
    })
  }

  function addPart(stackId: string): void {
    const part: StackPart = { id: newId(), name: texts.mating.newPart, counts: 'adds' }
    edit('Add a part to a stack', (mating) => {
      mating.stacks.find((one) => one.id === stackId)?.parts.push(part)
    })
  }

  function changePart(stackId: string, partId: string, changed: Partial<Omit<StackPart, 'id'>>): void {
    edit('Change a part of a stack', (mating) => {
      const stack = mating.stacks.find((one) => one.id === stackId)
      assign(
        stack?.parts.find((one) => one.id === partId),
        changed,
      )
    })
  }

  function removePart(stackId: string, partId: string): void {
    edit('Delete a part of a stack', (mating) => {
      const stack = mating.stacks.find((one) => one.id === stackId)
      if (stack) stack.parts = stack.parts.filter((one) => one.id !== partId)
    })
  }

  function addRound(of: DialRound['of']): void {
    const round: DialRound = {
      id: newId(),
      name: texts.mating[of],
      of,
      unit: workbench.build?.units.length ?? 'mm',
      spots: spotsFor(8, []),
    }
    edit('Add a dial round', (mating) => {
      mating.rounds.push(round as Draft<DialRound>)
    })
  }

  function changeRound(id: string, changed: Partial<Omit<DialRound, 'id' | 'spots'>>): void {
    edit('Change a dial round', (mating) => {
      assign(
        mating.rounds.find((one) => one.id === id),
        changed,
      )
    })
  }

  function readSpot(id: string, clockDeg: number, text: string): void {
    edit('Read the dial', (mating) => {
      const spot = mating.rounds
        .find((one) => one.id === id)
        ?.spots.find((one) => Math.abs(one.clockDeg - clockDeg) < 1e-9)
      if (spot) spot.text = text.trim()
    })
  }

  /** Reads at more or fewer places; what was read at a place that stays is kept, and so is what was read elsewhere. */
  function setPlaces(id: string, count: number): void {
    edit('Change the places of a dial round', (mating) => {
      const round = mating.rounds.find((one) => one.id === id)
      if (round) round.spots = spotsFor(count, round.spots)
    })
  }

  function removeRound(id: string): void {
    edit('Delete a dial round', (mating) => {
      mating.rounds = mating.rounds.filter((one) => one.id !== id)
    })
  }

  return {
    stacks,
    rounds,
    addStack,
    changeStack,
    removeStack,
    addPart,
    changePart,
    removePart,
    addRound,
    changeRound,
    readSpot,
    setPlaces,
    removeRound,
  }
})

function spotsFor(count: number, there: DialRound['spots']): DialRound['spots'][number][] {
  const wanted = Array.from({ length: count }, (_, k) => (360 / count) * k)
  const isWanted = (clockDeg: number) => wanted.some((one) => Math.abs(one - clockDeg) < 1e-9)
  return [
    ...wanted.map(
      (clockDeg) => there.find((one) => Math.abs(one.clockDeg - clockDeg) < 1e-9) ?? { clockDeg, text: '' },
    ),
    ...there.filter(({ clockDeg, text }) => text !== '' && !isWanted(clockDeg)),
  ].sort((a, b) => a.clockDeg - b.clockDeg)
}
