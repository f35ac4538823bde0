import { computed, reactive, type WritableComputedRef } from 'vue'

const open = reactive(new Set<string>())

/** Whether a row is open, by its id: it stays open when its list is sorted anew and it comes to stand elsewhere. */
export const useOpenRow = (id: () => string): WritableComputedRef<boolean> =>
  computed({
    get: () => open.has(id()),
    set: (isOpen) => {
      if (isOpen) open.add(id())
      else open.delete(id())
    },
  })
