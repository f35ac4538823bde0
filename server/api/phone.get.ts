import { defineEventHandler } from 'h3'

/** The address by which a phone in the own network opens this application, key included; null when it is not served there. */
export default defineEventHandler(() => ({ address: process.env.LURVAN_LAN_ADDRESS ?? null }))
