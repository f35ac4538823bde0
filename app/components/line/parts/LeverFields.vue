<script setup lang="ts">
import type { Build } from '~~/core/file/build/build'
import { leverUnit, type Lever, type LeverEffort } from '~~/core/file/build/lever'
import { leverName } from '~~/core/show/told/leverText'
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

/** What moving each lever costs, for the search by least effort. */
const { build } = defineProps<{ build: Build }>()
const workbench = useWorkbench()
const words = texts.parts.levers
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
const nameOf = (lever: Lever) => capital(leverName(build, lever))
const unitOf = (lever: Lever) => (leverUnit(lever) === 'deg' ? 'degree' : 'mm')

function setEffort(leverId: string, key: keyof LeverEffort, value: number | undefined) {
  workbench.change('Say what a lever costs', (draft) => {
    const lever = draft.levers.find(({ id }) => id === leverId)
    if (!lever) return
    const effort = { ...lever.effort, [key]: value }
    if (value === undefined) Reflect.deleteProperty(effort, key)
    if (Object.keys(effort).length > 0) lever.effort = effort
    else Reflect.deleteProperty(lever, 'effort')
  })
}
</script>

<template>
  <PartsCard :title="words.title" :note="words.note">
    <template v-for="lever in build.levers" :key="lever.id">
      <FigureField
        :label="words.fixed(nameOf(lever))"
        of="levers.effort.fixed"
        :value="lever.effort?.fixed"
        @change="setEffort(lever.id, 'fixed', $event)"
      />
      <FigureField
        :label="words.perUnit(nameOf(lever), unitOf(lever))"
        of="levers.effort.perUnit"
        :value="lever.effort?.perUnit"
        @change="setEffort(lever.id, 'perUnit', $event)"
      />
    </template>
  </PartsCard>
</template>
