<script setup lang="ts">
import type { SceneJoint } from '~~/core/drawing/lineScene'
import type { DrawingTarget } from '~/composables/useDrawingFocus'
import { useDrawer } from '~/composables/useDrawer'
import { texts } from '~/texts/en'

const { joints, lines } = defineProps<{
  joints: readonly SceneJoint[]
  lines: readonly { readonly id: string; readonly name: string }[]
}>()
const drawer = useDrawer()
const emit = defineEmits<{ zoom: [key: string] }>()
const target = defineModel<DrawingTarget>('target', { required: true })
const isExaggerated = defineModel<boolean>('exaggerated', { required: true })
const hasGhost = defineModel<boolean>('ghost', { required: true })
/** With several lines a joint's number alone says too little. */
const jointName = ({ lineId, number }: SceneJoint) =>
  lines.length > 1
    ? `${lines.find(({ id }) => id === lineId)?.name ?? ''} ${number}`
    : texts.line.joint(number)
const isAt = (joint: SceneJoint) =>
  target.value !== 'whole' && target.value.lineId === joint.lineId && target.value.number === joint.number
</script>

<template>
  <div class="controls">
    <div class="group">
      <button type="button" :aria-pressed="target === 'whole'" @click="emit('zoom', '0')">
        {{ texts.line.whole }}
      </button>
      <button
        v-for="joint in joints"
        :key="`${joint.lineId}${joint.number}`"
        type="button"
        :aria-pressed="isAt(joint)"
        @click="target = { lineId: joint.lineId, number: joint.number }"
      >
        {{ jointName(joint) }}
      </button>
    </div>
    <div class="group">
      <button type="button" @click="drawer.open('parts')">{{ texts.drawers.parts }}</button>
      <button type="button" :aria-pressed="isExaggerated" @click="isExaggerated = !isExaggerated">
        {{ texts.line.exaggerate }}
      </button>
      <button type="button" :aria-pressed="hasGhost" @click="hasGhost = !hasGhost">
        {{ texts.line.ghost }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.controls {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 6px;
  pointer-events: none;
}
.group {
  display: flex;
  pointer-events: auto;
  border: 1px solid var(--hair);
  border-radius: 4px;
  overflow: hidden;
}
button {
  min-height: 26px;
  padding: 0 9px;
  background: var(--card);
  font-size: 0.875rem;
  cursor: pointer;
}
button + button {
  border-left: 1px solid var(--hair);
}
button[aria-pressed='true'] {
  background: var(--wash);
  color: var(--accent);
  font-weight: 600;
}
@media (max-width: 860px) {
  button {
    min-height: 48px;
  }
}
</style>
