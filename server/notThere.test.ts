import { notThere } from './notThere'

const PAGES = ['', '/b/[^/]+', '/b/[^/]+/line']
const asked = (method: string, path: string) => {
  const { statusCode = 200, allow = null } = notThere(path, method, PAGES) ?? {}
  return [statusCode, allow]
}

describe('notThere', () => {
  it('lets pages through, with or without a slash', () => {
    for (const path of ['/', '/b/fen-tender', '/b/fen-tender/line', '/b/fen-tender/line/'])
      expect([path, ...asked('GET', path)]).toEqual([path, 200, null])
    expect(asked('HEAD', '/')).toEqual([200, null])
  })

  it('says which method a place takes', () => {
    expect(asked('POST', '/')).toEqual([405, 'GET, HEAD'])
    expect(asked('GET', '/api/check')).toEqual([405, 'POST'])
    expect(asked('POST', '/api/check')).toEqual([200, null])
    expect(asked('DELETE', '/api/instruments/level')).toEqual([405, 'GET'])
    expect(asked('GET', '/api/instruments/hold')).toEqual([405, 'POST'])
    expect(notThere('/api/health', 'POST', PAGES)?.message).toBe('/api/health takes GET, not POST')
  })

  it('says that a place is not there', () => {
    for (const path of [
      '/wp-login.php',
      '/b',
      '/b/x/none',
      '/b/x/line/more',
      '/api',
      '/api/none',
      '/api/check/x',
    ])
      expect([path, ...asked('GET', path)]).toEqual([path, 404, null])
    expect(notThere('/api/none', 'GET', PAGES)?.message).toBe('there is no /api/none')
  })
})
