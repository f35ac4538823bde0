import { defineNitroPlugin } from 'nitropack/runtime'

/**
 * A file is the same when its ETag is: dates run backwards when an older version is put back, and "not newer" would keep
 * installed applications on the version that was taken away.
 */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('request', (event) => {
    Reflect.deleteProperty(event.node.req.headers, 'if-modified-since')
  })
})
