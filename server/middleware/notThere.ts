import { createError, defineEventHandler, setResponseHeader, setResponseStatus } from 'h3'
import { pagePatterns } from '#lurvan/pages'
import { notThere } from '../notThere'

/** Files were looked for before; what is no page and no route is said so. A person who mistyped gets the page, with 404. */
export default defineEventHandler((event) => {
  const path = event.path.split('?')[0] ?? ''
  const refused = notThere(path, event.method, pagePatterns)
  if (!refused) return
  const { statusCode, allow, message } = refused
  if (statusCode === 404 && !path.startsWith('/api')) return setResponseStatus(event, statusCode)
  if (allow) setResponseHeader(event, 'allow', allow)
  throw createError({ statusCode, message, data: { problems: [{ path: '', message }] } })
})
