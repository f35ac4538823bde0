<script setup lang="ts">
import { MEMBER_KINDS } from '~~/core/file/kinds/memberKinds'
import { blankStock, cornerRows, cutRows, type CutRow } from '~~/core/show/text/memberText'
import { pressRefusals, wedgeWords } from '~~/core/show/text/memberWorkText'
import { pressOf, railWedges } from '~~/core/model/memberWork'
import type { FactColumn } from '~/composables/factColumn'
import { making as words } from '~/texts/making'
import { useMaking } from '~/stores/making'
import { useWorkbench } from '~/stores/workbench'

/** What is cut, and what is done along it before it is a crossmember. */
const making = useMaking()
const workbench = useWorkbench()
const cuts = computed(() =>
  making.way && making.found && workbench.build
    ? cutRows(making.way, making.found.member, workbench.build.units)
    : [],
)
const corners = computed(() => (making.way ? cornerRows(making.way) : []))
const press = computed(() => (making.way ? pressOf(making.way) : null))
const isOrdered = computed(() => press.value?.known === true && press.value.value.isPossible)
const refusals = computed(() => (making.way ? pressRefusals(making.way) : []))
const wedges = computed(() => {
  const { way, found } = making
  const units = workbench.build?.units
  return way && found && units ? railWedges(found.member, way).map((one) => wedgeWords(one, units)) : []
})
const COLUMNS: readonly FactColumn<CutRow>[] = [
  { key: 'piece', label: words.cut.piece, is: 'head', text: ({ piece }) => piece },
  { key: 'from', label: words.cut.from, is: 'words', text: ({ from }) => from },
  { key: 'length', label: words.cut.length, is: 'number', text: ({ length }) => length },
  { key: 'ends', label: words.cut.ends, is: 'words', text: ({ ends }) => ends },
]
const label = computed(() =>
  making.way && making.found
    ? words.blank(
        MEMBER_KINDS[making.way.way.kind].isCornered,
        blankStock(making.found.member, making.way.way),
        cuts.value[0]?.length ?? '',
      )
    : '',
)
</script>

<template>
  <section v-if="making.template" aria-labelledby="member-blank" class="blank">
    <h2 id="member-blank" class="soft">{{ label }}</h2>
    <TemplateDrawing :template="making.template" :label="label" />
    <div class="two">
      <div v-if="corners.length > 0">
        <h3>{{ isOrdered ? words.inPress : words.corners }}</h3>
        <ol class="figure" data-testid="member-corners">
          <li v-for="corner in corners" :key="corner">{{ corner }}</li>
        </ol>
        <p v-for="refusal in refusals" :key="refusal" class="refused" data-testid="press-refused">
          <VerdictMark verdict="out" :size="14" /> {{ refusal }}
        </p>
      </div>
      <div>
        <h3>{{ words.cuts }}</h3>
        <FactTable :columns="COLUMNS" :rows="cuts" :key-of="({ piece }) => piece" test-id="member-cuts" />
        <template v-if="wedges.length > 0">
          <h3 class="next">{{ words.leans }}</h3>
          <ul data-testid="rail-wedges">
            <li v-for="wedge in wedges" :key="wedge">{{ wedge }}</li>
          </ul>
        </template>
      </div>
    </div>
  </section>
</template>

<style scoped>
.blank {
  padding: 8px 14px 12px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
h2 {
  font-weight: 500;
}
h3 {
  font-weight: 600;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 8px 24px;
  margin-top: 8px;
}
ol {
  list-style: decimal;
  padding-left: 20px;
  line-height: 1.5;
}
.refused {
  color: var(--out);
}
li + li {
  margin-top: 4px;
}
.next {
  margin-top: 12px;
}
@media (max-width: 720px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
