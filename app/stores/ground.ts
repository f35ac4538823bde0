import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { lowOrder, type Bump } from '~~/core/bay/ground/lowOrder'
import { useBay } from './bay'
import { useWorkbench } from './workbench'

/** What strikes the ground first, with the wheels up by what somebody asks for. */
export const useGround = defineStore('ground', () => {
  const workbench = useWorkbench()
  const bay = useBay()
  const bump = ref<Bump>({ front: 0, rear: 0 })
  const isUp = computed(() => bump.value.front !== 0 || bump.value.rear !== 0)
  /** In that bump; null at ride height, where the board tells it as it stands. */
  const order = computed(() =>
    workbench.build && bay.settled && isUp.value ? lowOrder(workbench.build, bay.settled, bump.value) : null,
  )
  const lift = (axle: keyof Bump, mm: number | undefined): void => {
    bump.value = { ...bump.value, [axle]: mm ?? 0 }
  }
  return { bump, order, lift }
})
