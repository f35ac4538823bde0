import { defineEventHandler } from 'h3'

/** Says that the server answers. */
export default defineEventHandler(() => ({ ok: true }))
