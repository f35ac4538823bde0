import { Buffer } from 'node:buffer'
import { timingSafeEqual } from 'node:crypto'

/** Keeps the key in the phone's browser once it came with the address. */
export const KEY_COOKIE = 'lurvan-key'
const A_YEAR_S = 365 * 24 * 3600

/** What a request in the own network gets: its answer, the way on without the key in sight, or nothing. */
export type Admission =
  | { readonly kind: 'in' }
  | { readonly kind: 'onward'; readonly location: string; readonly cookie: string }
  | { readonly kind: 'refused' }

/**
 * Whether a request knows the key, by the cookie or by the address.
 *
 * @param url - path and query as asked
 */
export function admission(url: string, cookie: string | undefined, key: string): Admission {
  if (isKey(cookie, key)) return { kind: 'in' }
  const asked = new URL(url, 'https://own.invalid')
  if (!isKey(asked.searchParams.get('key') ?? undefined, key)) return { kind: 'refused' }
  asked.searchParams.delete('key')
  // One slash only: two would name another machine.
  const location = `/${asked.pathname.replace(/^\/+/, '')}${asked.search}`
  return {
    kind: 'onward',
    location,
    cookie: `${KEY_COOKIE}=${key}; Path=/; Max-Age=${A_YEAR_S}; HttpOnly; Secure; SameSite=Strict`,
  }
}

function isKey(told: string | undefined, key: string): boolean {
  const [one, other] = [Buffer.from(told ?? ''), Buffer.from(key)]
  return one.length === other.length && timingSafeEqual(one, other)
}
