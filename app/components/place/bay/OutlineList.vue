<script setup lang="ts">
import type { Body } from '~~/core/file/parts/body'
import type { Outline } from '~~/core/file/parts/outline'
import { texts } from '~/texts/en'
import { useBay } from '~/stores/bay'
import { useWorkbench } from '~/stores/workbench'

/** The outlines of a part, view by view. */
const { body } = defineProps<{ body: Body }>()
const bay = useBay()
const workbench = useWorkbench()
const words = texts.bay.body
const outlines = computed(() => body.outlines ?? [])
/** A new outline has no corners yet: it is kept in the build once it has. */
const isAdding = ref(false)
const EMPTY: Outline = { view: 'side', corners: [] }

function change(index: number, outline: Outline) {
  const list = outlines.value.map((one, i) => (i === index ? outline : one))
  if (index === outlines.value.length) {
    list.push(outline)
    isAdding.value = false
  }
  bay.changeBody(body.id, { outlines: list })
}
function remove(index: number) {
  if (index === outlines.value.length) isAdding.value = false
  else {
    const left = outlines.value.filter((_, i) => i !== index)
    bay.changeBody(body.id, { outlines: left.length > 0 ? left : undefined })
  }
}
</script>

<template>
  <section class="outlines" :aria-label="words.outlines">
    <h3>{{ words.outlines }}</h3>
    <p class="soft">{{ words.outlineHint }}</p>
    <OutlineFields
      v-for="(outline, i) in outlines"
      :key="i"
      :outline="outline"
      :traced="
        outline.photo ? `/b/${workbench.build?.id}/trace?part=${body.id}&photo=${outline.photo}` : undefined
      "
      @change="change(i, $event)"
      @remove="remove(i)"
    />
    <OutlineFields
      v-if="isAdding"
      :outline="EMPTY"
      is-new
      @change="change(outlines.length, $event)"
      @remove="remove(outlines.length)"
    />
    <div v-else class="add">
      <UButton icon="i-lucide-plus" variant="outline" size="sm" @click="isAdding = true">{{
        words.addOutline
      }}</UButton>
      <UButton
        icon="i-lucide-camera"
        variant="outline"
        size="sm"
        :to="`/b/${workbench.build?.id}/trace?part=${body.id}`"
        >{{ texts.trace.button }}</UButton
      >
    </div>
  </section>
</template>

<style scoped>
.outlines {
  display: grid;
  gap: 10px;
}
h3 {
  font-weight: 600;
}
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
