<script setup lang="ts">
import type { Check } from '~~/core/check/check'
import { limitOfCheck } from '~~/core/model/checksOfLimit'
import {
  checkLabel,
  checkSentence,
  checkValueText,
  likelihoodText,
  marginText,
  plusMinusText,
  unknownText,
} from '~~/core/show/text/checkText'
import { useOpenRow } from '~/composables/useOpenRows'
import { useDrawer } from '~/composables/useDrawer'
import { texts } from '~/texts/en'
import { useEvaluation } from '~/stores/evaluation'
import { useOwnLimits } from '~/stores/ownLimits'
import { useWhy } from '~/stores/why'
import { useWorkbench } from '~/stores/workbench'
import type { UnitSettings } from '~~/core/base/units/unitSettings'

const { check, units, many } = defineProps<{
  check: Check
  units: UnitSettings
  many: boolean | 'within'
}>()
const workbench = useWorkbench()
const evaluation = useEvaluation()
const drawer = useDrawer()
/** Worked out when it is asked for, not at each frame of a drag. */
const limit = computed(() =>
  workbench.build && evaluation.current ? limitOfCheck(workbench.build, evaluation.current, check) : null,
)
const own = useOwnLimits()
const openLimit = () => drawer.open('limits', limit.value?.id ?? '')
/** The gap it is of; empty for all else. */
const gapId = computed(() => (check.subject.of === 'gap' ? check.subject.id : ''))
const isOpen = useOpenRow(() => check.id)
const label = computed(() => checkLabel(check, many))
/** Why it is unknown. */
const lack = computed(() => check.missing[0]?.what ?? marginText(check, units))
const why = useWhy()
const ask = () => why.ask(check.id, label.value, checkValueText(check, check.value, units))
</script>

<template>
  <div class="check">
    <button
      type="button"
      class="row"
      :aria-expanded="isOpen"
      @click="isOpen = !isOpen"
      @keydown.w.exact="ask"
      @keydown.l.exact="openLimit"
    >
      <VerdictMark :verdict="check.verdict" />
      <span class="label"
        >{{ label }}<small v-if="own.checks.has(check.id)" class="own"> {{ texts.limits.own }}</small></span
      >
      <WindowBar class="window" :check="check" :title="texts.line.openLimit" @click.stop="openLimit" />
      <span class="value figure cell">
        <span>{{ checkValueText(check, check.value, units) }}</span>{{ ' ' }}
        <small class="soft">{{ plusMinusText(check, units) }}</small>
      </span>
      <span v-if="check.verdict !== 'unknown'" class="margin figure cell" :class="`is-${check.verdict}`"
        ><span>{{ marginText(check, units) }}</span></span
      >
      <span v-else class="margin lack cell" :title="lack"
        ><span>{{ lack }}</span></span
      >
    </button>
    <p v-if="isOpen" class="reason">
      <template v-if="check.verdict === 'unknown'"
        >{{ unknownText(check, units, many === true) }} <MissingWords :missing="check.missing"
      /></template>
      <TermText v-else :text="checkSentence(check, units, many === true)" />
      <template v-if="check.probability !== null">{{
        texts.sure.likely(likelihoodText(check.probability))
      }}</template>
      <UButton v-if="check.value !== null" variant="link" size="sm" icon="i-lucide-list-tree" @click="ask">{{
        texts.why.title
      }}</UButton>
      <UButton
        v-if="gapId"
        variant="link"
        size="sm"
        icon="i-lucide-ruler"
        @click="drawer.open('gaps', gapId)"
        >{{ texts.place.editGap }}</UButton
      >
      <UButton v-if="limit" variant="link" size="sm" icon="i-lucide-ruler" @click="openLimit">{{
        texts.line.openLimit
      }}</UButton>
    </p>
  </div>
</template>

<style scoped>
.own {
  margin-left: 6px;
  color: var(--accent);
}
.check {
  container-type: inline-size;
}
/* The bar opens the limits: it keeps off the middle of the row, where a finger means the row. */
.row {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr) clamp(46px, 8cqw, 110px) 8.25rem 8.5rem;
  align-items: center;
  gap: 7px;
  width: 100%;
  min-height: 32px;
  text-align: left;
  cursor: pointer;
}
.row:hover .label {
  text-decoration: underline;
  text-decoration-color: var(--hair);
}
.label {
  line-height: 1.15;
}
/* A figure that changes lays out its own cell and no more. */
.cell {
  display: grid;
  align-content: center;
  height: 2.125rem;
  contain: size layout style;
}
.value {
  text-align: right;
  font-size: 1.0625rem;
  line-height: 1.05;
}
.value small {
  display: block;
  font-size: 0.8125rem;
  font-weight: 500;
}
.margin {
  font-size: 0.9375rem;
  line-height: 1.1;
}
.lack {
  font-size: 0.8125rem;
  line-height: 1.1;
  color: var(--soft);
}
.lack > span {
  overflow: hidden;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
}
.reason {
  margin: 2px 0 8px 28px;
  color: var(--soft);
  max-width: 60ch;
}
@media (max-width: 640px) {
  .row {
    grid-template-columns: 18px minmax(0, 1fr) 8.5rem;
    min-height: 48px;
    row-gap: 0;
  }
  .window {
    grid-column: 2;
    grid-row: 2;
  }
  .margin {
    grid-column: 3;
    grid-row: 2;
    text-align: right;
    height: 1.25rem;
  }
  .check {
    padding: 4px 0;
    border-bottom: 1px solid var(--hair);
  }
}
</style>
