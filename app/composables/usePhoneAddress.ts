import { onMounted, readonly, ref } from 'vue'

/** Addresses at which only this machine itself answers. */
const ALONE = /^(localhost|127\.|\[::1\])/

/** Where a phone finds this application: 'asking', an address, or null when it answers on this machine alone. */
export function usePhoneAddress() {
  const address = ref<string | null>(null)
  const isAsking = ref(true)

  async function served(): Promise<string | null> {
    try {
      const response = await fetch('/api/phone')
      const told: unknown = response.ok ? await response.json() : null
      const { address: one } = (told ?? {}) as { readonly address?: unknown }
      return typeof one === 'string' && /^https:\/\//.test(one) ? one : null
    } catch {
      // No server behind it, as on a plain web host.
      return null
    }
  }

  onMounted(async () => {
    const own = ALONE.test(location.host) ? null : location.origin
    address.value = (await served()) ?? own
    isAsking.value = false
  })

  return { address: readonly(address), isAsking: readonly(isAsking) }
}
