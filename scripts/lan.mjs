// Serving in the own network: which address, with which certificate and key, and how it is shown.
import { randomBytes } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { isIP } from 'node:net'
import { networkInterfaces } from 'node:os'
import { join } from 'node:path'
import { generate } from 'selfsigned'
import { renderUnicodeCompact } from 'uqr'

/** Kept between starts, so that a phone is asked once; not part of the repository. */
const KEPT = '.lan'
const DAYS = 397
const A_DAY_MS = 24 * 3600 * 1000

/** This machine's own addresses in networks, the first of them where none is wanted. */
export function lanAddress(wanted) {
  if (wanted !== undefined) return isIP(wanted) === 4 ? wanted : null
  const own = Object.values(networkInterfaces()).flat()
  return own.find((one) => one.family === 'IPv4' && !one.internal)?.address ?? null
}

/** A certificate for one address and the key that goes with it: those of the last start, or new ones. */
export async function certificate(address, now = Date.now()) {
  const file = join(KEPT, `${address}.json`)
  if (existsSync(file)) {
    const kept = JSON.parse(readFileSync(file, 'utf8'))
    if (kept.until > now + A_DAY_MS) return kept
  }
  const until = now + DAYS * A_DAY_MS
  const { cert, private: privateKey } = await generate([{ name: 'commonName', value: 'Lurvan' }], {
    keySize: 2048,
    algorithm: 'sha256',
    notBeforeDate: new Date(now - A_DAY_MS),
    notAfterDate: new Date(until),
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, keyEncipherment: true },
      { name: 'extKeyUsage', serverAuth: true },
      { name: 'subjectAltName', altNames: [{ type: 7, ip: address }] },
    ],
  })
  const made = { until, cert, privateKey, key: randomBytes(16).toString('base64url') }
  mkdirSync(KEPT, { recursive: true, mode: 0o700 })
  writeFileSync(file, JSON.stringify(made), { mode: 0o600 })
  return made
}

/** What is printed: the address, its code for the camera, and what the phone will say. */
export const lanWords = (address) => `
  Lurvan in your own network: ${address}

${renderUnicodeCompact(address).replace(/^/gm, '  ')}

  Point the phone's camera at the code. The phone warns that it does not know the certificate: it was made on this
  machine and nobody else vouches for it, so choose to go on all the same.
  Whoever has this address can use the application on this machine; what they enter stays in their own browser.
  Stop with Ctrl C.
`
