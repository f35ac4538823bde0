import { parentPort } from 'node:worker_threads'
import { checkedText } from './checkedText'

/** Wiring only: a text in, an answer out. */
parentPort?.on('message', ({ text, samples }: { text: string; samples: number }) => {
  parentPort?.postMessage(checkedText(text, samples))
})
