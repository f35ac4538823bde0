import { cellsFor } from './cellsFor'

describe('columns of a run', () => {
  it.each([1, 3, 250])('of %i rows each have cells of their own, at nought', (capacity) => {
    const newCells = cellsFor(capacity)
    // More than are cut from one piece of memory.
    const columns = Array.from({ length: 70 }, newCells)
    columns.forEach((cells, k) => {
      expect([cells.length, cells.some((cell) => cell !== 0)]).toEqual([capacity, false])
      cells.fill(k + 1)
    })
    columns.forEach((cells, k) => expect(cells.every((cell) => cell === k + 1)).toBe(true))
  })
})
