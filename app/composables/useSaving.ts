import { orders as words } from '~/texts/orders'
import { reasonOf } from '~/stores/reasonOf'
import { useNotices } from './useNotices'

/** Makes a file, and says so where it could not be made: letters that are not here without a network, a picture that is no picture. */
export function useSaving() {
  const notices = useNotices()
  return async (make: () => Promise<void>): Promise<void> => {
    try {
      await make()
    } catch (error) {
      notices.add({ title: words.notMade(reasonOf(error)), icon: 'i-lucide-triangle-alert' })
    }
  }
}
