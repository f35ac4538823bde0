import { defineEventHandler, getCookie, sendRedirect, setResponseHeader, setResponseStatus } from 'h3'
import { defineNitroPlugin } from 'nitropack/runtime'
import { admission, KEY_COOKIE } from '../lanKey'

const REFUSED = 'This address needs its key: open it by the code shown where Lurvan runs.\n'

/** Served in the own network, nothing is answered without the key, files included: this stands before all else. */
export default defineNitroPlugin(({ h3App }) => {
  const key = process.env.LURVAN_LAN_KEY
  if (!key) return
  const handler = defineEventHandler((event) => {
    const asked = admission(event.path, getCookie(event, KEY_COOKIE), key)
    if (asked.kind === 'in') return undefined
    setResponseHeader(event, 'cache-control', 'no-store')
    setResponseHeader(event, 'referrer-policy', 'no-referrer')
    if (asked.kind === 'onward') {
      setResponseHeader(event, 'set-cookie', asked.cookie)
      return sendRedirect(event, asked.location)
    }
    setResponseStatus(event, 403)
    setResponseHeader(event, 'content-type', 'text/plain; charset=utf-8')
    return REFUSED
  })
  h3App.stack.unshift({ route: '/', handler })
})
