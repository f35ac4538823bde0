<script setup lang="ts">
import type { LineEvaluation } from '~~/core/model/lineEvaluation'
import type { Build } from '~~/core/file/build/build'
import type { Sureness } from '~~/core/answers/uncertainty/monteCarlo'
import { lineFacts } from '~~/core/show/text/lineFacts'
import { texts } from '~/texts/en'
import { useWhy } from '~/stores/why'

/** All figures of a line in words and numbers. */
const { build, evaluation, sureness } = defineProps<{
  build: Build
  evaluation: LineEvaluation
  sureness: Sureness | null
}>()
const groups = computed(() => lineFacts(build, evaluation, sureness))
const why = useWhy()
const lineIndex = computed(() => build.lines.findIndex((line) => line.id === evaluation.line.id))
</script>

<template>
  <div class="facts">
    <p v-if="groups.length === 0" class="soft">{{ texts.line.nothing }}</p>
    <section v-for="group in groups" :key="group.title">
      <h3><TermText :text="group.title" /></h3>
      <dl>
        <template v-for="fact in group.facts" :key="fact.name">
          <dt><TermText :text="fact.name" /></dt>
          <dd class="figure">
            <button
              v-if="fact.figure"
              type="button"
              class="asked"
              :title="texts.why.title"
              @click="why.ask(`lines[${lineIndex}].${fact.figure}`, fact.name, fact.value)"
            >
              {{ fact.value }} <span class="soft">{{ fact.plusMinus }}</span>
            </button>
            <template v-else
              >{{ fact.value }} <span class="soft">{{ fact.plusMinus }}</span></template
            >
          </dd>
          <dd v-if="fact.remark" class="soft remark">{{ fact.remark }}</dd>
        </template>
      </dl>
    </section>
  </div>
</template>

<style scoped>
.facts {
  columns: 2;
  column-gap: 36px;
}
section {
  break-inside: avoid;
  margin-bottom: 16px;
}
h3 {
  font-weight: 600;
}
dl {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  column-gap: 14px;
}
dd .asked {
  text-align: right;
  cursor: pointer;
  text-decoration: underline dotted var(--line);
  text-underline-offset: 4px;
}
dt,
dd {
  padding: 3px 0;
  border-bottom: 1px solid var(--hair);
}
dd {
  text-align: right;
}
.remark {
  grid-column: 1 / -1;
  text-align: left;
  font-size: 0.9375rem;
  line-height: 1.25;
}
@media (max-width: 860px) {
  .facts {
    columns: 1;
  }
}
</style>
