<script setup lang="ts">
import { controls as words } from '~/texts/controls'
import { useControls } from '~/stores/controls'
import { useWorkbench } from '~/stores/workbench'

/** Who has which hand free: manoeuvres against hands and feet. */
const controls = useControls()
const workbench = useWorkbench()
const hasPlan = computed(() => controls.controls.length > 0 || controls.manoeuvres.length > 0)
</script>

<template>
  <MadePage v-if="workbench.build" :title="words.title" :lead="words.lead">
    <template v-if="hasPlan">
      <p class="figure sentence" data-testid="control-sentence">{{ controls.sentence }}</p>
      <HandTable v-if="controls.rows.length > 0" />
      <UButton class="add" variant="outline" icon="i-lucide-plus" @click="controls.addManoeuvre()">{{
        words.addManoeuvre
      }}</UButton>
      <ManoeuvreFields v-if="controls.manoeuvre" :manoeuvre="controls.manoeuvre" />
      <p class="caution">{{ words.caution }}</p>
    </template>
    <template v-else>
      <p>{{ words.none }}</p>
      <UButton class="add" icon="i-lucide-plus" @click="controls.begin()">{{ words.begin }}</UButton>
    </template>
    <ClutchPart />
    <template v-if="hasPlan" #side>
      <ControlFields />
    </template>
  </MadePage>
</template>

<style scoped>
.sentence {
  font-size: 1.125rem;
  font-weight: 600;
}
</style>
