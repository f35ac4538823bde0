<script setup lang="ts">
import type { Build } from '~~/core/file/build/build'
import { positionFacts } from '~~/core/show/told/positionFacts'
import { fixed, formatLength } from '~~/core/base/units/format'
import { texts } from '~/texts/en'
import { usePlace } from '~/stores/place'
import { useWeight } from '~/stores/weight'

/** Positions side by side; one is chosen, the mounts are made to it. */
const { build } = defineProps<{ build: Build }>()
const place = usePlace()
const weight = useWeight()
const words = texts.place.positions
const columns = computed(() =>
  place.positions.map(({ position, evaluation }) => ({ position, facts: positionFacts(build, evaluation) })),
)
const shareText = (id: string) => {
  const share = weight.shares.find((one) => one.id === id)
  return share ? `${fixed(share.percent, 1)} %` : '?'
}
const cutsText = (count: number, deepest: number) =>
  count === 0 ? texts.place.noCuts : texts.place.cuts(count, formatLength(deepest, build.units))
</script>

<template>
  <p class="soft lead">{{ words.lead }}</p>
  <div class="scroll">
    <table>
      <thead>
        <tr>
          <th scope="col"><span class="sr-only">Position</span></th>
          <th
            v-for="{ position } in columns"
            :key="position.id"
            scope="col"
            @mouseenter="place.glanced = position.settings"
            @mouseleave="place.glanced = null"
            @focusin="place.glanced = position.settings"
            @focusout="place.glanced = null"
          >
            <span class="head">
              <input
                class="name figure"
                :value="position.name"
                :aria-label="`${words.name} ${position.name}`"
                maxlength="200"
                @change="place.renamePosition(position.id, ($event.target as HTMLInputElement).value)"
              />
              <span v-if="position.id === build.chosen" class="chosen">{{ words.chosen }}</span>
              <UButton v-else size="sm" variant="outline" @click="place.choosePosition(position.id)">{{
                words.choose
              }}</UButton>
            </span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <th scope="row">{{ words.verdict }}</th>
          <td v-for="{ position, facts } in columns" :key="position.id">
            <span class="mark"><VerdictMark :verdict="facts.verdict" /> {{ facts.verdict }}</span>
          </td>
        </tr>
        <tr>
          <th scope="row">{{ words.worst }}</th>
          <td v-for="{ position, facts } in columns" :key="position.id">{{ facts.worst }}</td>
        </tr>
        <tr>
          <th scope="row">{{ words.tightest }}</th>
          <td v-for="{ position, facts } in columns" :key="position.id">{{ facts.tightest }}</td>
        </tr>
        <tr>
          <th scope="row">{{ words.cuts }}</th>
          <td v-for="{ position, facts } in columns" :key="position.id">
            {{ cutsText(facts.cuts.count, facts.cuts.deepestMm) }}
            <template v-if="facts.cutCost">· {{ facts.cutCost }}</template>
          </td>
        </tr>
        <tr>
          <th scope="row">{{ words.reversible }}</th>
          <td v-for="{ position, facts } in columns" :key="position.id">
            {{ words.lasting[facts.lasting ?? 'nothing'] }}
          </td>
        </tr>
        <tr v-if="columns.some(({ facts }) => facts.shiftLever)">
          <th scope="row">{{ words.shiftLever }}</th>
          <td v-for="{ position, facts } in columns" :key="position.id">{{ facts.shiftLever ?? '?' }}</td>
        </tr>
        <tr>
          <th scope="row">{{ words.crankHeight }}</th>
          <td v-for="{ position, facts } in columns" :key="position.id" class="figure">
            {{ facts.crankHeight ?? '?' }}
          </td>
        </tr>
        <tr>
          <th scope="row">{{ words.joints }}</th>
          <td v-for="{ position, facts } in columns" :key="position.id" class="figure">{{ facts.joints }}</td>
        </tr>
        <tr v-if="weight.shares.length > 0">
          <th scope="row">{{ texts.weight.frontShare }}</th>
          <td v-for="{ position } in columns" :key="position.id" class="figure">
            {{ shareText(position.id) }}
          </td>
        </tr>
        <tr v-if="columns.length > 1">
          <th scope="row">{{ words.onBoard }}</th>
          <td v-for="{ position } in columns" :key="position.id">
            <template v-if="position.id === build.chosen">{{ words.stands }}</template>
            <UCheckbox
              v-else
              :model-value="place.pinned.has(position.id)"
              :aria-label="`${words.onBoard}: ${position.name}`"
              @update:model-value="place.pin(position.id, $event === true)"
            />
          </td>
        </tr>
        <tr>
          <th scope="row">{{ words.moved }}</th>
          <td v-for="{ position, facts } in columns" :key="position.id">
            <template v-if="facts.moved.length === 0">{{ words.asMeasured }}</template>
            <ul v-else>
              <li v-for="one in facts.moved" :key="one">{{ one }}</li>
            </ul>
          </td>
        </tr>
        <tr>
          <th scope="row">{{ words.reason }}</th>
          <td v-for="{ position } in columns" :key="position.id">
            <input
              class="reason"
              :value="position.reason ?? ''"
              :aria-label="`${words.reason}: ${position.name}`"
              maxlength="1000"
              @change="place.explainPosition(position.id, ($event.target as HTMLInputElement).value)"
            />
          </td>
        </tr>
        <tr>
          <th scope="row">{{ words.made }}</th>
          <td v-for="{ position } in columns" :key="position.id">
            <span v-if="position.made" class="figure">{{ words.madeAt(position.made.at) }}</span>
            <UButton
              size="sm"
              variant="outline"
              :aria-label="`${position.made ? words.takeBack : words.makeNow}: ${position.name}`"
              @click="place.setMade(position.id, !position.made)"
              >{{ position.made ? words.takeBack : words.makeNow }}</UButton
            >
          </td>
        </tr>
        <tr v-if="columns.length > 1">
          <th scope="row">
            <span class="sr-only">{{ words.remove }}</span>
          </th>
          <td v-for="{ position } in columns" :key="position.id">
            <RemoveButton
              :label="`${words.remove} ${position.name}`"
              @click="place.removePosition(position.id)"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
  <UButton icon="i-lucide-plus" variant="outline" size="sm" @click="place.addPosition()">{{
    words.add
  }}</UButton>
</template>

<style scoped>
.lead {
  max-width: 70ch;
  margin-bottom: 8px;
}
.scroll {
  overflow-x: auto;
  margin-bottom: 12px;
}
table {
  border-collapse: collapse;
}
th,
td {
  padding: 6px 14px 6px 0;
  text-align: left;
  vertical-align: top;
  border-bottom: 1px solid var(--hair);
  min-width: 170px;
  max-width: 240px;
  line-height: 1.25;
}
th[scope='row'],
thead th:first-child {
  min-width: 110px;
  color: var(--soft);
  font-weight: 500;
}
.head {
  display: flex;
  align-items: center;
  gap: 10px;
}
.name {
  width: 84px;
  min-height: 34px;
  padding: 0 6px;
  border: 1px solid transparent;
  border-radius: 4px;
  background: transparent;
  font-size: 1.25rem;
  font-weight: 600;
}
.name:hover,
.name:focus {
  border-color: var(--hair);
  background: var(--card);
}
.chosen {
  color: var(--accent);
  font-weight: 600;
}
.mark {
  display: inline-flex;
  align-items: center;
  gap: 8px;
}
.reason {
  width: 100%;
  min-width: 140px;
  padding: 3px 4px;
  background: transparent;
  border-bottom: 1px dashed var(--part-line);
}
</style>
