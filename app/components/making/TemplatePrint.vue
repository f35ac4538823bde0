<script setup lang="ts">
import type { Paper } from '~/print/papers'
import type { PrintedCheck } from '~/print/templatePdf'
import { making as words } from '~/texts/making'
import type { TemplateFile } from '~/print/saveTemplate'

/** A part at its true size: on paper, or for a machine. */
/** A flat part with a thickness is a solid too. */
const { isSolid = false } = defineProps<{ isSolid?: boolean }>()
const emit = defineEmits<{ save: [file: TemplateFile] }>()
const paper = ref<Paper>('a4')
const papers = (['a4', 'letter'] as const).map((value) => ({ value, label: words.papers[value] }))
/** What the check lines of an earlier print measured; nobody but this printer is meant by them. */
const printed = reactive<{ acrossMm?: number; upMm?: number }>({})
const check = computed((): PrintedCheck => ({ ...printed }))
</script>

<template>
  <section aria-labelledby="template-print">
    <h2 id="template-print">{{ words.print }}</h2>
    <p class="soft">{{ words.check }}</p>
    <div class="three">
      <ChoiceField :label="words.paper" :value="paper" :items="papers" @change="paper = $event" />
      <FigureField
        :label="words.across"
        unit="mm"
        :least="80"
        :most="120"
        :value="printed.acrossMm"
        @change="printed.acrossMm = $event"
      />
      <FigureField
        :label="words.up"
        unit="mm"
        :least="80"
        :most="120"
        :value="printed.upMm"
        @change="printed.upMm = $event"
      />
    </div>
    <div class="does">
      <UButton icon="i-lucide-printer" @click="emit('save', { as: 'pdf', paper, check })">PDF</UButton>
      <UButton variant="outline" @click="emit('save', { as: 'svg' })">SVG</UButton>
      <UButton variant="outline" @click="emit('save', { as: 'dxf' })">DXF</UButton>
      <UButton v-if="isSolid" variant="outline" @click="emit('save', { as: 'stl' })">STL</UButton>
    </div>
    <p class="soft">{{ words.noKerf }}</p>
  </section>
</template>

<style scoped>
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  align-items: end;
  gap: 8px 12px;
  margin: 6px 0 8px;
}
.does {
  display: flex;
  gap: 8px;
  margin-bottom: 6px;
}
@media (max-width: 420px) {
  .three {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
