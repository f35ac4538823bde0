<script setup lang="ts">
import { PART_SPREADS, type PartSpread, type Stack, type StackPart } from '~~/core/file/parts/mating'
import { fixed } from '~~/core/base/units/format'
import { texts } from '~/texts/en'
import { useMating } from '~/stores/mating'

/** The parts of a chain as a table: what each counts, its size and its tolerance. */
const { stack } = defineProps<{ stack: Stack; shares: readonly number[] }>()
const mating = useMating()
const words = texts.mating
const spreads = PART_SPREADS.map((value) => ({ value, label: words.spreads[value] }))
const senses = [
  { value: 'adds', label: words.adds },
  { value: 'takes', label: words.takes },
]
function rename(part: StackPart, name: string) {
  if (name.trim() !== '') mating.changePart(stack.id, part.id, { name: name.trim().slice(0, 200) })
}
</script>

<template>
  <div class="scroll">
    <table>
      <thead>
        <tr>
          <th scope="col">{{ words.part }}</th>
          <th scope="col">{{ words.counts }}</th>
          <th scope="col">{{ words.size }}</th>
          <th scope="col">{{ words.plus }}</th>
          <th scope="col">{{ words.minus }}</th>
          <th scope="col">{{ words.spread }}</th>
          <th scope="col"><span class="sr-only">×</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(part, index) in stack.parts" :key="part.id">
          <td class="wide">
            <input
              class="text"
              :value="part.name"
              :aria-label="words.part"
              maxlength="200"
              @change="rename(part, ($event.target as HTMLInputElement).value)"
            />
            <small v-if="(shares[index] ?? 0) >= 0.1" class="soft figure">{{
              `${fixed(100 * (shares[index] ?? 0), 0)} % of the scatter`
            }}</small>
          </td>
          <td :data-label="words.counts">
            <USelect
              :model-value="part.counts"
              :items="senses"
              class="sense"
              :aria-label="`${words.counts}: ${part.name}`"
              @update:model-value="
                mating.changePart(stack.id, part.id, { counts: $event as StackPart['counts'] })
              "
            />
          </td>
          <td :data-label="words.size">
            <FigureInput
              :label="`${words.size}: ${part.name}`"
              of="mating.stacks.parts.nominalMm"
              :value="part.nominalMm"
              @change="mating.changePart(stack.id, part.id, { nominalMm: $event })"
            />
          </td>
          <td :data-label="words.plus">
            <FigureInput
              :label="`${words.plus} ${part.name}`"
              of="mating.stacks.parts.plusMm"
              :value="part.plusMm"
              @change="mating.changePart(stack.id, part.id, { plusMm: $event })"
            />
          </td>
          <td :data-label="words.minus">
            <FigureInput
              :label="`${words.minus} ${part.name}`"
              of="mating.stacks.parts.minusMm"
              :value="part.minusMm"
              @change="mating.changePart(stack.id, part.id, { minusMm: $event })"
            />
          </td>
          <td :data-label="words.spread">
            <USelect
              :model-value="part.spread ?? 'normal'"
              :items="spreads"
              class="spread"
              :aria-label="`${words.spread}: ${part.name}`"
              @update:model-value="mating.changePart(stack.id, part.id, { spread: $event as PartSpread })"
            />
          </td>
          <td class="bin">
            <UButton
              icon="i-lucide-x"
              variant="ghost"
              color="neutral"
              size="sm"
              :aria-label="words.removePart(part.name)"
              @click="mating.removePart(stack.id, part.id)"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
  <UButton icon="i-lucide-plus" variant="ghost" size="sm" @click="mating.addPart(stack.id)">{{
    words.addPart
  }}</UButton>
</template>

<style scoped>
/* What is hidden from sight in it must not widen the page. */
.scroll {
  position: relative;
  overflow-x: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  padding: 2px 8px 2px 0;
  text-align: left;
  font-weight: 500;
  color: var(--soft);
}
td {
  padding: 2px 8px 2px 0;
  vertical-align: middle;
}
.wide {
  min-width: 300px;
}
.text {
  width: 100%;
  padding: 4px;
  margin-left: -4px;
  background: transparent;
  border-bottom: 1px dashed transparent;
}
.text:hover,
.text:focus {
  border-color: var(--part-line);
}
.sense {
  min-width: 106px;
}
.spread {
  min-width: 176px;
}
small {
  display: block;
}
/* On a phone each part is a card of its own. */
@media (max-width: 720px) {
  thead {
    display: none;
  }
  tr {
    position: relative;
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 4px 10px;
    padding: 8px 0 10px;
    border-bottom: 1px solid var(--hair);
  }
  .wide {
    grid-column: 1 / -1;
    min-width: 0;
    padding-right: 48px;
  }
  .bin {
    position: absolute;
    top: 2px;
    right: 0;
    padding: 0;
  }
  td {
    padding-right: 0;
  }
  td[data-label]::before {
    content: attr(data-label);
    display: block;
    color: var(--soft);
    font-size: 0.88rem;
  }
  .sense,
  .spread {
    width: 100%;
    min-width: 0;
  }
}
</style>
