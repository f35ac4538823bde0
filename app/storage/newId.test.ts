import { describe, expect, it } from '@jest/globals'
import { parseStreamRequest } from '../../core/measure/instruments/request'
import { idField } from '../../core/file/parts/fields'
import { newId } from './newId'

describe('newId', () => {
  const ids = Array.from({ length: 500 }, newId)

  it('is never the same twice, and a file takes it', () => {
    expect(new Set(ids).size).toBe(500)
    expect(ids.filter((id) => !idField().isValidSync(id))).toEqual([])
  })

  it('is taken by the server as the name of a stream, whatever letters it has', () => {
    const refused = ids.filter((session) => !parseStreamRequest({ kind: 'level', session }).ok)
    expect(refused).toEqual([])
    expect(ids.some((id) => id.includes('_'))).toBe(true)
  })
})
