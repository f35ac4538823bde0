<script setup lang="ts">
import { fixed, formatLength } from '~~/core/base/units/format'
import { sectionName } from '~~/core/show/text/sectionText'
import type { Piece } from '~~/core/jobs/cuts/cutPieces'
import type { FactColumn } from '~/composables/factColumn'
import { cuts as words } from '~/texts/cuts'
import { orders } from '~/texts/orders'
import { tabsOf } from '~/texts/views'
import { useSaving } from '~/composables/useSaving'
import { useCuts } from '~/stores/cuts'
import { useRecordFiles } from '~/stores/recordFiles'
import { useWorkbench } from '~/stores/workbench'

/** What is cut from which bar. */
const workbench = useWorkbench()
const cuts = useCuts()
const units = computed(() => workbench.build?.units)
const length = (mm: number | null) => (units.value && mm !== null ? formatLength(mm, units.value) : '?')
const longestMm = computed(() => Math.max(1, ...cuts.bars.map(({ lengthMm }) => lengthMm)))
const columns: readonly FactColumn<Piece>[] = [
  { key: 'piece', label: words.columns.piece, is: 'head', text: ({ name }) => name },
  { key: 'count', label: words.columns.count, is: 'number', text: ({ count }) => count },
  { key: 'length', label: words.columns.length, is: 'number', text: ({ lengthMm }) => length(lengthMm) },
  { key: 'of', label: words.columns.of, text: ({ of }) => of ?? words.own },
]
const nav = { label: words.nav.label, views: tabsOf('order') }
const files = useRecordFiles()
const print = () => window.print()
const save = useSaving()
</script>

<template>
  <MadePage v-if="workbench.build && units" :title="words.title" :lead="words.lead" :nav="nav">
    <p v-if="cuts.pieces.length === 0">{{ words.none }}</p>
    <section v-for="one in cuts.plan.sections" :key="one.key" class="section" data-testid="section-cuts">
      <h2>{{ sectionName(one.section) }}</h2>
      <template v-if="one.plan.known">
        <BarStrip
          v-for="(sawn, k) in one.plan.value.bars"
          :key="k"
          :sawn="sawn"
          :units="units"
          :longest-mm="longestMm"
        />
        <p>
          {{ words.mass(fixed(one.plan.value.massKg, 2), length(one.plan.value.restMm)) }}
          <template v-if="one.plan.value.cost > 0">{{ words.cost(fixed(one.plan.value.cost, 2)) }}</template>
          {{ ' '
          }}<span class="soft">{{
            one.plan.value.isProven ? words.proven : words.bounded(fixed(one.plan.value.boundCost, 2))
          }}</span>
        </p>
      </template>
      <template v-else>
        <p class="soft"><MissingWords :missing="one.plan.missing" /></p>
        <UButton
          variant="outline"
          icon="i-lucide-plus"
          class="no-print start"
          @click="cuts.addBar(one.section)"
          >{{ words.addBarOf(sectionName(one.section)) }}</UButton
        >
      </template>
      <FactTable
        :columns="columns"
        :rows="one.pieces"
        :key-of="({ id }) => id"
        :label="sectionName(one.section)"
      />
    </section>
    <section v-if="cuts.plan.waiting.length > 0">
      <h2>{{ words.waits }}</h2>
      <ul>
        <li v-for="{ piece, missing } in cuts.plan.waiting" :key="piece.id">
          {{ piece.name }}: <MissingWords :missing="missing" />
        </li>
      </ul>
    </section>
    <section v-if="cuts.uses.length > 0" data-testid="uses">
      <h2>{{ words.uses }}</h2>
      <ul>
        <li v-for="one in cuts.uses" :key="one.task">
          {{ one.uses }} <span class="soft">({{ one.task }})</span>
        </li>
      </ul>
    </section>
    <p v-if="cuts.pieces.length > 0" class="caution">{{ words.caution }}</p>
    <div v-if="cuts.pieces.length > 0" class="no-print does">
      <UButton icon="i-lucide-printer" @click="print()">{{ words.print }}</UButton>
      <UButton
        v-for="paper in ['a4', 'letter'] as const"
        :key="paper"
        icon="i-lucide-download"
        variant="outline"
        @click="save(() => files.saveCuts(paper))"
        >{{ orders.pdf(orders.papers[paper]) }}</UButton
      >
    </div>
    <template #side>
      <section v-if="cuts.cutting" class="two">
        <h2>{{ words.cutting }}</h2>
        <FigureField
          v-for="key in ['kerfMm', 'trimMm'] as const"
          :key="key"
          :label="words[key]"
          kind="length"
          :of="`cutting.${key}`"
          required
          :value="cuts.cutting[key]"
          @change="$event !== undefined && cuts.changeCutting({ [key]: $event })"
        />
      </section>
      <section class="entries">
        <h2>{{ words.bars }}</h2>
        <SectionFields v-for="bar in cuts.bars" :key="bar.id" list="bars" :entry="bar" />
        <UButton variant="outline" icon="i-lucide-plus" class="start" @click="cuts.addBar()">{{
          words.addBar
        }}</UButton>
      </section>
      <section class="entries">
        <h2>{{ words.pieces }}</h2>
        <SectionFields v-for="piece in cuts.own" :key="piece.id" list="cutPieces" :entry="piece" />
        <UButton variant="outline" icon="i-lucide-plus" class="start" @click="cuts.addPiece()">{{
          words.addPiece
        }}</UButton>
      </section>
    </template>
  </MadePage>
</template>

<style scoped>
.section,
.entries {
  display: grid;
  gap: 10px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 8px;
}
.two h2 {
  grid-column: 1 / -1;
}
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.start {
  justify-self: start;
}
@media print {
  .two,
  .entries {
    display: none;
  }
}
</style>
