<script setup lang="ts">
import { TAPE_MODES } from '~~/core/file/kinds/plateKinds'
import type { TapeRow } from '~~/core/show/text/plateText'
import type { FactColumn } from '~/composables/factColumn'
import { plates as words } from '~/texts/making'
import { usePlates, type PlateSide, type PlateTape } from '~/stores/plates'

/** Tapes of one face, what they say of each other, and the next one. */
const { side } = defineProps<{ side: PlateSide }>()
const plates = usePlates()
const rows = computed(() => plates.rowsOf(side))
const ids = computed(() => plates.found?.plate.holes.map(({ id }) => id) ?? [])
const third = computed(() => plates.found?.plate[side]?.third)
const modes = TAPE_MODES.map((value) => ({ value, label: words.modes[value] }))
const sides = (['left', 'right'] as const).map((value) => ({ value, label: words.sides[value] }))
const next = reactive<{ a: string; b: string; over: PlateTape['over']; mm?: number }>({
  a: '',
  b: '',
  over: 'centre',
})
/** The first two that were not taped yet. */
const open = computed((): readonly [string, string] => {
  const taped = new Set(
    (plates.found?.plate[side]?.tapes ?? []).flatMap(({ a, b }) => [`${a} ${b}`, `${b} ${a}`]),
  )
  const pairs = ids.value.flatMap((a, i) => ids.value.slice(i + 1).map((b) => [a, b] as const))
  return pairs.find(([a, b]) => !taped.has(`${a} ${b}`)) ?? pairs[0] ?? ['', '']
})
const from = computed(() => (ids.value.includes(next.a) ? next.a : open.value[0]))
const to = computed(() => (ids.value.includes(next.b) ? next.b : open.value[1]))
const fault = computed(() => (from.value === to.value ? words.twice : undefined))
function keep() {
  if (next.mm === undefined || fault.value) return
  plates.addTape(side, { a: from.value, b: to.value, over: next.over, mm: next.mm })
  Object.assign(next, { a: '', b: '', mm: undefined })
}
const COLUMNS: readonly FactColumn<TapeRow>[] = [
  { key: 'tape', label: words.tape, is: 'head', text: ({ tape }) => tape },
  { key: 'read', label: words.read, is: 'number', text: ({ read }) => read },
  { key: 'off', label: words.off, is: 'number', text: ({ off }) => off },
  { key: 'alone', label: words.alone, is: 'number' },
  { key: 'does', label: words.removeTape(''), isLabelHidden: true },
]
</script>

<template>
  <section :aria-labelledby="`tapes-${side}`" class="tapes">
    <h2 :id="`tapes-${side}`">{{ words.faces[side] }}</h2>
    <p v-if="plates.agreementOf(side)" class="soft" :data-testid="`agree-${side}`">
      {{ plates.agreementOf(side) }}
    </p>
    <FactTable
      v-if="rows.length > 0"
      :columns="COLUMNS"
      :rows="rows"
      :key-of="({ index }) => index"
      :label="words.faces[side]"
      is-dense
      :test-id="`tapes-of-${side}`"
    >
      <template #alone="{ row }">
        <strong v-if="row.isSuspect" class="suspect">{{ row.alone }}, {{ words.again }}</strong>
        <template v-else>{{ row.alone }}</template>
      </template>
      <template #does="{ row }">
        <RemoveButton :label="words.removeTape(row.tape)" @click="plates.removeTape(side, row.index)" />
      </template>
    </FactTable>
    <form class="next" @submit.prevent="keep">
      <ChoiceField :label="words.from" :value="from" :items="ids" @change="next.a = $event" />
      <ChoiceField :label="words.to" :value="to" :items="ids" :error="fault" @change="next.b = $event" />
      <ChoiceField :label="words.over" :value="next.over" :items="modes" @change="next.over = $event" />
      <FigureField
        :label="words.distance"
        kind="length"
        of="plates.plate.tapes.mm"
        :value="next.mm"
        @change="next.mm = $event"
      />
      <UButton type="submit" variant="outline" icon="i-lucide-check" :disabled="next.mm === undefined">{{
        words.addTape
      }}</UButton>
    </form>
    <ChoiceField
      :label="words.third(ids[0] ?? '', ids[1] ?? '', ids[2] ?? '')"
      :value="third ?? 'left'"
      :items="sides"
      class="third"
      @change="plates.turnThird(side, $event)"
    />
  </section>
</template>

<style scoped>
.tapes {
  padding: 10px 14px 14px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
.next {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(86px, 1fr));
  gap: 8px;
  align-items: end;
  margin-top: 10px;
}
.third {
  margin-top: 10px;
  max-width: 260px;
}
.suspect {
  color: var(--out);
}
</style>
