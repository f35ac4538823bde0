<script setup lang="ts">
import { useBoxWidth } from '~/composables/useBoxWidth'
import { chainPicture } from '~~/core/drawing/chainScene'
import type { ChainEvaluation } from '~~/core/model/chainEvaluation'
import type { Build } from '~~/core/project/build'
import { useChainFrame } from '~/composables/useChainFrame'

/** A chain from the side and its line from above, on one scale, the stations under each other. */
const { build, now, settings } = defineProps<{
  build: Build
  now: ChainEvaluation
  settings: Readonly<Record<string, number>>
}>()
const emit = defineEmits<{ hold: [leverId: string, amount: number]; release: []; mark: [leverId: string] }>()
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 760)
const picture = computed(() => chainPicture(build, now))
const frame = useChainFrame(picture, width)
/** While a handle is held the paper stays where it is, so that it does not run away under the hand. */
const held = shallowRef<typeof frame.value | null>(null)
const shown = computed(() => held.value ?? frame.value)
function hold(leverId: string, amount: number) {
  held.value ??= frame.value
  emit('hold', leverId, amount)
}
function release() {
  held.value = null
  emit('release')
}
</script>

<template>
  <div ref="box" class="board">
    <template v-if="picture">
      <ChainDrawing
        :build="build"
        :now="now"
        :picture="picture"
        :frame="shown"
        :settings="settings"
        @hold="hold"
        @release="release"
        @mark="emit('mark', $event)"
      />
      <ChainAbove :now="now" :frame="shown" />
    </template>
  </div>
</template>

<style scoped>
.board {
  min-width: 0;
}
</style>
