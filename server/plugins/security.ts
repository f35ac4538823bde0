import { defineNitroPlugin } from 'nitropack/runtime'
import { contentSecurityPolicy } from '../contentSecurityPolicy'

/** Headers of the page itself; those of every answer stand in the server's route rules. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('render:response', (response) => {
    response.headers ??= {}
    Reflect.deleteProperty(response.headers, 'x-powered-by')
    response.headers['cache-control'] = 'no-cache'
    if (typeof response.body === 'string')
      response.headers['content-security-policy'] = contentSecurityPolicy(response.body)
  })
})
