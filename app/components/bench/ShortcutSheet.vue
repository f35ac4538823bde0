<script setup lang="ts">
import { hasSingleKeys } from '~/composables/useBenchKeys'
import { texts } from '~/texts/en'

const open = defineModel<boolean>('open', { required: true })
const KEYS: readonly (readonly [string, string])[] = [
  ['Ctrl K', 'commands: everything by name'],
  ['?', 'this sheet'],
  ['W', 'on a check: where does it come from?'],
  ['L', 'on a check: open the limit that decides it'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Y  or  Ctrl Shift Z', 'redo'],
  ['1  2  3', 'apply the offered cure'],
  ['[  ]', 'stage before, next stage'],
  ['↑ ↓  on a lever', 'one step up or down'],
  ['Shift ↑ ↓  on a lever', 'a tenth of a step'],
  ['Home  on a lever', 'back to as measured'],
  ['Enter  while reading', 'keep the figure and go on'],
  ['↑ ↓  while reading', 'say which end or side'],
  ['T  while reading', 'connect a tool, then take its value'],
  ['H  while reading', 'hold the tool’s value'],
  ['+ − 0  on the drawing', 'closer, wider, whole line'],
]
</script>

<template>
  <UModal v-model:open="open" :title="texts.bar.shortcuts">
    <template #body>
      <dl class="keys">
        <template v-for="[keys, what] in KEYS" :key="keys">
          <dt class="figure">{{ keys }}</dt>
          <dd>{{ what }}</dd>
        </template>
      </dl>
      <UCheckbox v-model="hasSingleKeys" class="single" :label="texts.bar.singleKeys" />
    </template>
  </UModal>
</template>

<style scoped>
.single {
  margin-top: 16px;
}
.keys {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px 20px;
}
</style>
