<script setup lang="ts">
import { LIMBS } from '~~/core/file/parts/control'
import { controls as words } from '~/texts/controls'
import { useControls } from '~/stores/controls'

/** What is worked, and by which hands and feet it is reached. */
const controls = useControls()
</script>

<template>
  <section aria-labelledby="controls-worked">
    <h2 id="controls-worked">{{ words.controlsTitle }}</h2>
    <p class="soft">{{ words.controlsHelp }}</p>
    <ul class="controls" data-testid="controls">
      <li v-for="control in controls.controls" :key="control.id">
        <div class="head">
          <TextField
            :label="words.name"
            :value="control.name"
            required
            @change="controls.renameControl(control.id, $event)"
          />
          <RemoveButton
            :label="words.removeControl(control.name)"
            @click="controls.removeControl(control.id)"
          />
        </div>
        <div class="limbs" role="group" :aria-label="control.name">
          <UButton
            v-for="limb in LIMBS"
            :key="limb"
            size="xs"
            :variant="control.limbs.includes(limb) ? 'solid' : 'outline'"
            :aria-pressed="control.limbs.includes(limb)"
            @click="controls.reach(control.id, limb)"
            >{{ words.limbs[limb] }}</UButton
          >
        </div>
      </li>
    </ul>
    <UButton variant="outline" size="sm" icon="i-lucide-plus" @click="controls.addControl()">{{
      words.addControl
    }}</UButton>
  </section>
</template>

<style scoped>
.controls {
  display: grid;
  gap: 12px;
  margin-block: 8px 10px;
}
.head {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 36px;
  gap: 8px;
  align-items: end;
}
.limbs {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 6px;
}
</style>
