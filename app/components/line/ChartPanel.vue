<script setup lang="ts">
import { use } from 'echarts/core'
import { LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent, LegendComponent, TooltipComponent } from 'echarts/components'
import { SVGRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'
import type { EChartsOption } from 'echarts'
import type { ChartColours } from '~/charts/palette'

use([LineChart, ScatterChart, GridComponent, LegendComponent, TooltipComponent, SVGRenderer])

/** A chart in the page's own colours; they are read again when light turns to dark. */
const { option, label } = defineProps<{ option: (colours: ChartColours) => EChartsOption; label: string }>()
const mode = useColorMode()
const box = useTemplateRef<HTMLElement>('box')
const colours = ref<ChartColours | null>(null)

function read() {
  if (!box.value) return
  const style = getComputedStyle(box.value)
  const of = (name: string) => style.getPropertyValue(`--${name}`).trim()
  colours.value = {
    ink: of('ink'),
    soft: of('soft'),
    hair: of('hair'),
    accent: of('accent'),
    holds: of('holds'),
    tight: of('tight'),
    out: of('out'),
    unknown: of('unknown'),
  }
}
onMounted(read)
watch(
  () => mode.value,
  () => void nextTick(read),
)
const shown = computed(() => (colours.value ? option(colours.value) : null))
</script>

<template>
  <div ref="box" class="chart" role="img" :aria-label="label">
    <VChart
      v-if="shown"
      :option="shown"
      :init-options="{ renderer: 'svg' }"
      autoresize
      :update-options="{ notMerge: true }"
    />
  </div>
</template>

<style scoped>
.chart {
  height: 300px;
}
</style>
