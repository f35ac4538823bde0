<script setup lang="ts">
import { use } from 'echarts/core'
import { LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent, LegendComponent, TooltipComponent } from 'echarts/components'
import { SVGRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'
import type { EChartsOption } from 'echarts'
import { chartTable } from '~/charts/chartTable'
import type { ChartColours } from '~/charts/palette'
import { readColours } from '~/charts/readColours'
import { svgToPng } from '~/charts/svgToPng'
import { download } from '~/storage/download'
import { fileName } from '~/storage/fileName'
import { texts } from '~/texts/en'
import { reasonOf } from '~/stores/reasonOf'
import { useWorkbench } from '~/stores/workbench'

use([LineChart, ScatterChart, GridComponent, LegendComponent, TooltipComponent, SVGRenderer])

/** A chart in the page's own colours; they are read again when light turns to dark. */
const {
  option,
  label,
  height = 300,
} = defineProps<{
  option: (colours: ChartColours) => EChartsOption
  label: string
  height?: number
}>()
const mode = useColorMode()
const box = useTemplateRef<HTMLElement>('box')
const colours = ref<ReturnType<typeof readColours> | null>(null)
const workbench = useWorkbench()
const words = texts.charts
const failure = ref('')

function read() {
  if (box.value) colours.value = readColours(box.value)
}
onMounted(read)
watch(
  () => mode.value,
  () => void nextTick(read),
)
const shown = computed(() => (colours.value ? option(colours.value) : null))
const name = (ending: string) => fileName(`${workbench.build?.name ?? ''} ${label}`, ending)
async function savePicture() {
  const svg = box.value?.querySelector('svg')
  if (!svg || !colours.value) return
  try {
    download(name('.png'), await svgToPng(svg, colours.value.paper), 'image/png')
  } catch (error) {
    failure.value = reasonOf(error)
  }
}
function saveTable() {
  if (shown.value) download(name('.csv'), chartTable(shown.value), 'text/csv')
}
</script>

<template>
  <div ref="box" class="chart" :style="{ height: `${height}px` }" role="img" :aria-label="label">
    <VChart
      v-if="shown"
      :option="shown"
      :init-options="{ renderer: 'svg' }"
      autoresize
      :update-options="{ notMerge: true }"
    />
  </div>
  <div class="saves no-print">
    <UButton icon="i-lucide-download" size="xs" variant="ghost" @click="savePicture">{{ words.png }}</UButton>
    <UButton icon="i-lucide-download" size="xs" variant="ghost" @click="saveTable">{{ words.csv }}</UButton>
    <p v-if="failure" role="alert">{{ words.failed(failure) }}</p>
  </div>
</template>

<style scoped>
.saves {
  display: flex;
  gap: 4px;
}
</style>
