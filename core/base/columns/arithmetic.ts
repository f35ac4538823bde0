import type { Kernel, Row } from './kernel'

/** First figure plus the second times a factor. */
export const PLUS_TIMES: Kernel = {
  name: 'sum',
  page: 'uncertainty',
  outputs: 1,
  isPlain: true,
  run: (count, [first, second], [sum], [factor]) => {
    for (let i: Row = 0; i < count; i++) sum[i] = first[i] + factor * second[i]
  },
}

/** A figure times a factor, as for other units or the other sense. */
export const TIMES: Kernel = {
  name: 'the same in another unit or sense',
  page: 'frame',
  outputs: 1,
  isPlain: true,
  run: (count, [figure], [product], [factor]) => {
    for (let i: Row = 0; i < count; i++) product[i] = factor * figure[i]
  },
}

/** The middle of two figures. */
export const HALFWAY: Kernel = {
  name: 'the middle of two',
  page: 'registration',
  outputs: 1,
  isPlain: true,
  run: (count, [first, second], [middle]) => {
    for (let i: Row = 0; i < count; i++) middle[i] = (first[i] + second[i]) / 2
  },
}

/** First figure less the second. */
export const DIFFERENCE: Kernel = {
  name: 'difference',
  page: 'line',
  outputs: 1,
  isPlain: true,
  run: (count, [first, second], [difference]) => {
    for (let i: Row = 0; i < count; i++) difference[i] = first[i] - second[i]
  },
}

/** Size of a figure, whatever its sign. */
export const SIZE: Kernel = {
  name: 'size',
  page: 'line',
  outputs: 1,
  isPlain: true,
  run: (count, [figure], [size]) => {
    for (let i: Row = 0; i < count; i++) size[i] = Math.abs(figure[i])
  },
}

/** A constant over a figure. */
export const CONSTANT_OVER: Kernel = {
  name: 'ratio',
  page: 'strength',
  outputs: 1,
  isPlain: true,
  run: (count, [figure], [ratio], [constant]) => {
    for (let i: Row = 0; i < count; i++) ratio[i] = constant / figure[i]
  },
}
