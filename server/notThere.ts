/** The method of each route of the API; what fits no row is not there. */
const ROUTES: readonly (readonly [path: RegExp, method: 'GET' | 'POST'])[] = [
  [/^\/api\/check$/, 'POST'],
  [/^\/api\/(demo|health|phone)$/, 'GET'],
  [/^\/api\/instruments\/hold$/, 'POST'],
  [/^\/api\/instruments\/[^/]+$/, 'GET'],
]

/** Why a request cannot be answered: there is no such place, or it takes another method. */
export interface NotThere {
  readonly statusCode: 404 | 405
  readonly allow: string | null
  readonly message: string
}

const noSuch = (path: string): NotThere => ({ statusCode: 404, allow: null, message: `there is no ${path}` })
const otherMethod = (path: string, allow: string, method: string): NotThere => ({
  statusCode: 405,
  allow,
  message: `${path} takes ${allow}, not ${method}`,
})

/**
 * Whether a request that no file answered has a place that takes it.
 *
 * @param path - without its query
 * @param pages - addresses of the pages as patterns, without a slash at the end
 * @returns null when it has
 */
export function notThere(path: string, method: string, pages: readonly string[]): NotThere | null {
  if (path === '/api' || path.startsWith('/api/')) {
    const [, takes] = ROUTES.find(([pattern]) => pattern.test(path)) ?? []
    if (takes === undefined) return noSuch(path)
    return takes === method ? null : otherMethod(path, takes, method)
  }
  if (method !== 'GET' && method !== 'HEAD') return otherMethod(path, 'GET, HEAD', method)
  const asked = path.replace(/\/$/, '')
  return pages.some((pattern) => new RegExp(`^${pattern}$`).test(asked)) ? null : noSuch(path)
}
