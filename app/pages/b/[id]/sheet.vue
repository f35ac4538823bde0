<script setup lang="ts">
import { settingSheet } from '~~/core/show/told/settingSheet'
import { travelRows } from '~~/core/show/text/travelRows'
import { texts } from '~/texts/en'
import { tasks } from '~/texts/tasks'
import { tabsOf } from '~/texts/views'
import { useEvaluation } from '~/stores/evaluation'
import { useSureness } from '~/stores/sureness'
import { useWorkbench } from '~/stores/workbench'

const workbench = useWorkbench()
const evaluation = useEvaluation()
const sureness = useSureness()
const words = texts.sheet
const sheet = computed(() =>
  workbench.build && evaluation.current && evaluation.asMeasured
    ? settingSheet(
        workbench.build,
        evaluation.current,
        evaluation.asMeasured,
        sureness.result,
        sureness.measuredResult,
      )
    : null,
)
const travel = computed(() =>
  workbench.build && evaluation.current ? travelRows(workbench.build, evaluation.current) : [],
)
// The column "as measured" has a ± of its own.
watch(
  () => [sureness.isFresh, sureness.isRunning] as const,
  ([isFresh, isRunning]) => {
    if (isFresh && !isRunning) void sureness.sampleMeasured()
  },
  { immediate: true },
)
const isDrawn = computed(() => {
  const { lines = [], chains = [] } = evaluation.current ?? {}
  return lines.some((line) => line.ride.known) || chains.some(({ sprockets }) => sprockets.known)
})
const position = computed(
  () => workbench.build?.positions.find((one) => one.id === workbench.build?.chosen)?.name ?? '',
)
const today = new Date().toLocaleDateString([], { dateStyle: 'long' })
const print = () => window.print()
</script>

<template>
  <ViewNav :label="tasks.nav.label" :views="tabsOf('sheet')" />
  <div v-if="workbench.build && evaluation.current && sheet" class="desk">
    <div class="no-print doing">
      <UButton v-if="sheet.missing.length === 0" icon="i-lucide-printer" @click="print">{{
        words.print
      }}</UButton>
    </div>
    <article class="sheet" :class="{ full: travel.length > 0 }">
      <header>
        <div>
          <h1>{{ words.title }}: {{ workbench.build.name }}</h1>
          <p>{{ workbench.build.vehicle }}</p>
        </div>
        <p class="right">{{ words.position }} {{ position }}<br />{{ today }}</p>
      </header>
      <p class="state"><VerdictMark :verdict="evaluation.current.verdict" /> {{ evaluation.sentence }}</p>
      <MadeNotice />
      <LineDrawing
        v-if="isDrawn"
        :build="workbench.build"
        :evaluation="evaluation.current"
        :height="200"
        still
      />
      <SheetMissing
        v-if="sheet.missing.length"
        :missing="sheet.missing"
        :to="`/b/${workbench.build.id}/readings`"
      />
      <template v-else>
        <SheetSetting :sheet="sheet" />
        <SheetChains v-if="sheet.chains.length" :chains="sheet.chains" />
        <SheetGaps v-if="sheet.gaps.length" :sheet="sheet" />
        <SheetLengths v-if="sheet.shafts.length" :sheet="sheet" />
        <SheetTravel v-if="travel.length > 0" :rows="travel" :many="workbench.build.lines.length > 1" />
      </template>
      <SheetFoot :sheet="sheet" />
    </article>
  </div>
</template>

<style scoped>
.desk {
  padding: 18px 24px 40px;
}
.doing {
  max-width: 820px;
  margin: 0 auto 12px;
}
.sheet {
  max-width: 820px;
  margin: 0 auto;
  padding: 26px 34px 22px;
  background: var(--card);
  border: 1px solid var(--hair);
  font-size: 0.9375rem;
  line-height: 1.3;
}
header {
  display: flex;
  justify-content: space-between;
  gap: 20px;
  padding-bottom: 8px;
  border-bottom: 2px solid var(--ink);
}
h1 {
  font-size: 1.375rem;
  font-weight: 600;
}
.right {
  text-align: right;
  white-space: nowrap;
}
.state {
  display: flex;
  gap: 10px;
  align-items: center;
  margin: 8px 0;
  font-weight: 500;
}
@media (max-width: 860px) {
  .desk {
    padding: 12px;
  }
  .sheet {
    padding: 16px;
  }
}
/* On a phone figures wrap before their ±, and no table is wider than the screen. */
@media screen and (max-width: 720px) {
  .sheet {
    font-size: 0.875rem;
  }
  .sheet :deep(.setting),
  .sheet :deep(.two) {
    grid-template-columns: minmax(0, 1fr);
  }
  .sheet :deep(td),
  .sheet :deep(th) {
    white-space: normal;
    padding-inline: 0 6px;
    overflow-wrap: break-word;
  }
}
@media print {
  @page {
    size: A4;
    margin: 11mm 12mm;
  }
  .desk {
    padding: 0;
  }
  .sheet {
    max-width: none;
    padding: 0;
    border: 0;
    background: white;
    font-size: 8.6pt;
    line-height: 1.15;
    --paper: white;
    --card: white;
    --ink: black;
    --soft: #333;
    --hair: #999;
    --wash: #eee;
    --accent: #222;
    --part: #ddd;
    --ruler: white;
    --ruler-ink: black;
    --holds: black;
    --tight: black;
    --out: black;
    --unknown: black;
    color: black;
  }
  .sheet.full {
    font-size: 7.8pt;
  }
  .sheet :deep(td) {
    padding-block: 0.5px;
  }
}
</style>
