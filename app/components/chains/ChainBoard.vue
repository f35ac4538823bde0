<script setup lang="ts">
import { useBoxWidth } from '~/composables/useBoxWidth'
import { chainPicture } from '~~/core/drawing/chainScene'
import type { ChainEvaluation } from '~~/core/chain/chainEvaluation'
import type { Build } from '~~/core/file/build/build'
import { useLevers } from '~/stores/levers'
import { useChainFrame, type ChainFrame } from '~/composables/useChainFrame'

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
const levers = useLevers()
/** While a lever is in the hand the paper stays where it is: nothing runs away under the hand, and what stands still is not drawn again. */
const shown = computed<ChainFrame>((last) => (levers.isHeld && last !== undefined ? last : frame.value))
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
        @hold="(lever, amount) => emit('hold', lever, amount)"
        @release="emit('release')"
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
