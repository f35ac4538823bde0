<script setup lang="ts">
import type { Manoeuvre } from '~~/core/file/parts/control'
import { controls as words } from '~/texts/controls'
import { useControls } from '~/stores/controls'

/** One manoeuvre: its name, and what is worked in it at the same moment. */
const { manoeuvre } = defineProps<{ manoeuvre: Manoeuvre }>()
const controls = useControls()
const isWorked = (id: string) => manoeuvre.at.some(({ control }) => control === id)
</script>

<template>
  <section aria-labelledby="manoeuvre" data-testid="manoeuvre">
    <h2 id="manoeuvre">{{ words.worked(manoeuvre.name) }}</h2>
    <p class="soft">{{ words.workedHelp }}</p>
    <div class="jobs">
      <UButton
        v-for="control in controls.controls"
        :key="control.id"
        size="sm"
        :variant="isWorked(control.id) ? 'solid' : 'outline'"
        :aria-pressed="isWorked(control.id)"
        @click="controls.work(manoeuvre.id, control.id)"
        >{{ control.name }}</UButton
      >
    </div>
    <div class="fields">
      <TextField
        :label="words.name"
        :value="manoeuvre.name"
        required
        @change="controls.rename(manoeuvre.id, $event)"
      />
      <RemoveButton
        is-worded
        :label="words.removeManoeuvre(manoeuvre.name)"
        @click="controls.removeManoeuvre(manoeuvre.id)"
      />
    </div>
  </section>
</template>

<style scoped>
.jobs {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-block: 6px 10px;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
}
</style>
