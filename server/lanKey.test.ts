import { admission } from './lanKey'

const KEY = 'kY3_0123456789abcdefgh'

describe('admission', () => {
  it('lets in who has the key in the cookie', () => {
    expect(admission('/b/x/line', KEY, KEY)).toEqual({ kind: 'in' })
    expect(admission('/api/check', KEY, KEY)).toEqual({ kind: 'in' })
  })

  it('takes the key from the address, keeps it as a cookie and goes on without it in sight', () => {
    expect(admission(`/b/x/line?key=${KEY}&at=r4`, undefined, KEY)).toEqual({
      kind: 'onward',
      location: '/b/x/line?at=r4',
      cookie: `lurvan-key=${KEY}; Path=/; Max-Age=31536000; HttpOnly; Secure; SameSite=Strict`,
    })
    expect(admission(`/?key=${KEY}`, 'an old key', KEY)).toMatchObject({ kind: 'onward', location: '/' })
  })

  it('never leads to another machine', () => {
    expect(admission(`//evil.example/a?key=${KEY}`, undefined, KEY)).toMatchObject({ location: '/a' })
    expect(admission(`/%2F/evil.example?key=${KEY}`, undefined, KEY)).toMatchObject({
      location: '/%2F/evil.example',
    })
  })

  it('refuses all else', () => {
    for (const url of [
      '/',
      '/?key=',
      `/?key=${KEY}x`,
      `/?key=${KEY.slice(1)}`,
      `/?KEY=${KEY}`,
      '/_nuxt/a.js',
    ])
      expect(admission(url, undefined, KEY)).toEqual({ kind: 'refused' })
    expect(admission('/', KEY.toLowerCase(), KEY)).toEqual({ kind: 'refused' })
  })
})
