import { refusal, type CheckAnswer } from './checkedText'

/** A worker as the queue needs it: a thread, or in tests a stand-in. */
export interface CheckThread {
  readonly postMessage: (message: { text: string; samples: number }) => void
  readonly onAnswer: (listener: (answer: CheckAnswer) => void) => void
  /** It failed or ended. */
  readonly onBroken: (listener: () => void) => void
  readonly end: () => void
}

/** Bounds of the queue. */
export interface QueueBounds {
  /** A check that takes longer is ended, in ms. */
  readonly longestMs: number
  /** Checks that may wait their turn. */
  readonly mostWaiting: number
}

const BOUNDS: QueueBounds = { longestMs: 20_000, mostWaiting: 40 }

/**
 * Checks one after the other in a thread of their own, so that everything else is answered meanwhile. A check that takes too
 * long is ended with its thread, and the next one gets a new one.
 */
export function checkQueue(start: () => CheckThread, bounds: QueueBounds = BOUNDS) {
  let thread: CheckThread | null = null
  let answer: ((found: CheckAnswer) => void) | null = null
  let turn: Promise<unknown> = Promise.resolve()
  let waiting = 0

  function started(): CheckThread {
    if (thread) return thread
    const mine = start()
    const broken = () => {
      if (thread !== mine) return
      thread = null
      answer?.(refusal(422, 'the check broke off: the file asks for more than the server has room for'))
    }
    mine.onAnswer((found) => answer?.(found))
    mine.onBroken(broken)
    thread = mine
    return mine
  }

  function checkNow(text: string, samples: number): Promise<CheckAnswer> {
    return new Promise((resolve) => {
      const timer = setTimeout(() => {
        const late = thread
        thread = null
        late?.end()
        answer?.(refusal(422, `the check took longer than ${bounds.longestMs / 1000} s and was ended`))
      }, bounds.longestMs)
      answer = (found) => {
        answer = null
        clearTimeout(timer)
        resolve(found)
      }
      started().postMessage({ text, samples })
    })
  }

  return {
    /** Waits its turn and checks; told to come again when too many wait. */
    check: async (text: string, samples: number): Promise<CheckAnswer> => {
      if (waiting >= bounds.mostWaiting)
        return refusal(503, `${waiting} checks are waiting already: come again in a minute`)
      waiting++
      const mine = turn.then(() => checkNow(text, samples))
      turn = mine
      try {
        return await mine
      } finally {
        waiting--
      }
    },
  }
}

export type CheckQueue = ReturnType<typeof checkQueue>
