<script setup lang="ts">
import type { Stage } from '~/composables/useStages'
import { buildText } from '~~/core/file/open/parseBuild'
import { texts } from '~/texts/en'
import { tabsOf, VIEWS } from '~/texts/views'
import { download } from '~/storage/download'
import { fileName } from '~/storage/fileName'
import { DRAWERS, useDrawer } from '~/composables/useDrawer'
import { usePaletteFields } from '~/composables/usePaletteFields'
import { usePaletteThings } from '~/composables/usePaletteThings'
import { useCures } from '~/stores/cures'
import { useLevers } from '~/stores/levers'
import { useReadings } from '~/stores/readings'
import { useWorkbench } from '~/stores/workbench'

const open = defineModel<boolean>('open', { required: true })
const { stages } = defineProps<{ stages: readonly Stage[] }>()
const emit = defineEmits<{ shortcuts: []; glossary: []; phone: [] }>()
const workbench = useWorkbench()
const levers = useLevers()
const readings = useReadings()
const cures = useCures()
const router = useRouter()
const mode = useColorMode()
const drawer = useDrawer()
const fields = usePaletteFields()
const things = usePaletteThings()

/** Closes the palette and then acts, so that what is opened gets the focus. */
const then = (action: () => void) => () => {
  open.value = false
  action()
}
function exportBuild() {
  const { build } = workbench
  if (build) download(fileName(build.name), buildText(build), 'application/json')
}
const groups = computed(() => [
  {
    id: 'cures',
    label: 'Put right',
    items: cures.offered.map((offer) => ({
      label: offer.instruction,
      suffix: offer.remark,
      onSelect: then(() => cures.apply(offer)),
    })),
  },
  {
    id: 'go',
    label: 'Go to',
    items: [
      ...stages.map((stage) => ({
        label: texts.stages[stage.key],
        onSelect: then(() => void router.push(stage.to)),
      })),
      // The first view of a stage is the stage itself.
      ...VIEWS.filter((view) => tabsOf(view.stage)[0] !== view).map((view) => ({
        label: view.name,
        suffix: texts.stages[view.stage],
        onSelect: then(() => void router.push(`/b/${workbench.build?.id ?? ''}/${view.key}`)),
      })),
      ...DRAWERS.map((kind) => ({
        label: texts.drawers[kind],
        onSelect: then(() => drawer.open(kind)),
      })),
      { label: texts.bar.all, onSelect: then(() => void router.push('/')) },
    ],
  },
  {
    id: 'read',
    label: 'Read',
    items: readings.steps.map((step) => ({
      label: `Read ${step.targetName}: ${step.quantity.replace(/^.*-/, '')}`,
      suffix: step.reading ? texts.readings.taken : '',
      onSelect: then(() => void router.push({ path: stages[0]?.to ?? '/', query: { step: step.id } })),
    })),
  },
  {
    id: 'enter',
    label: 'Enter',
    items: [...fields.value, ...things.value].map(({ label, suffix, to }) => ({
      label,
      suffix,
      onSelect: then(() => void router.push(to)),
    })),
  },
  {
    id: 'do',
    label: 'Do',
    items: [
      {
        label: `${texts.bar.undo} ${workbench.undoLabel ?? ''}`,
        disabled: !workbench.undoLabel,
        kbds: ['ctrl', 'z'],
        onSelect: then(() => void workbench.undo()),
      },
      {
        label: `${texts.bar.redo} ${workbench.redoLabel ?? ''}`,
        disabled: !workbench.redoLabel,
        kbds: ['ctrl', 'y'],
        onSelect: then(() => void workbench.redo()),
      },
      { label: texts.line.reset, onSelect: then(() => levers.reset(texts.line.reset)) },
      { label: texts.builds.export, onSelect: then(exportBuild) },
      {
        label: texts.bar.colour,
        onSelect: then(() => (mode.preference = mode.value === 'dark' ? 'light' : 'dark')),
      },
      { label: texts.bar.shortcuts, kbds: ['?'], onSelect: then(() => emit('shortcuts')) },
      { label: texts.bar.glossary, onSelect: then(() => emit('glossary')) },
      { label: texts.phone.open, onSelect: then(() => emit('phone')) },
    ],
  },
])
</script>

<template>
  <UModal
    v-model:open="open"
    :title="texts.bar.commands"
    :description="texts.bar.commands"
    :ui="{ header: 'sr-only' }"
  >
    <template #content>
      <UCommandPalette
        :groups="groups"
        placeholder="What do you want to do?"
        close
        class="h-96"
        @update:open="open = $event"
      />
    </template>
  </UModal>
</template>
