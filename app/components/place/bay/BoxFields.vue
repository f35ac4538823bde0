<script setup lang="ts">
import type { Body, BodyBox } from '~~/core/file/parts/body'
import { texts } from '~/texts/en'
import { useBay } from '~/stores/bay'

/** A box of the right size where a part stands: six figures, kept once all are there. */
const { body } = defineProps<{ body: Body }>()
const bay = useBay()
const words = texts.bay.body
const SIDES = ['stations', 'offsets', 'heights'] as const
type Side = (typeof SIDES)[number]
/** Figures that have been typed while the box is not whole yet. */
const typed = ref<Partial<Record<Side, [number | undefined, number | undefined]>>>({})
const valueOf = (side: Side, end: 0 | 1) => typed.value[side]?.[end] ?? body.box?.[side][end]
const inverted = computed(() =>
  SIDES.filter((side) => {
    const [from, to] = [valueOf(side, 0), valueOf(side, 1)]
    return from !== undefined && to !== undefined && from >= to
  }),
)

function set(side: Side, end: 0 | 1, value: number | undefined) {
  const pair: [number | undefined, number | undefined] = [valueOf(side, 0), valueOf(side, 1)]
  pair[end] = value
  typed.value = { ...typed.value, [side]: pair }
  const ends = SIDES.map((one) => [valueOf(one, 0), valueOf(one, 1)] as const)
  if (inverted.value.length > 0 || ends.flat().some((figure) => figure === undefined)) return
  const [stations, offsets, heights] = ends as unknown as [
    BodyBox['stations'],
    BodyBox['offsets'],
    BodyBox['heights'],
  ]
  bay.changeBody(body.id, { box: { stations, offsets, heights } })
  typed.value = {}
}
</script>

<template>
  <fieldset class="box">
    <legend>{{ words.box }}</legend>
    <p class="soft">{{ words.boxHint }}</p>
    <template v-for="side in SIDES" :key="side">
      <div class="pair">
        <FigureField
          :label="words.from[side]"
          kind="length"
          :of="`bodies.item.box.${side}`"
          :value="valueOf(side, 0)"
          @change="set(side, 0, $event)"
        />
        <FigureField
          :label="words.to[side]"
          kind="length"
          :of="`bodies.item.box.${side}`"
          :value="valueOf(side, 1)"
          @change="set(side, 1, $event)"
        />
      </div>
      <p v-if="inverted.includes(side)" class="fault" role="alert">{{ words.inverted }}</p>
    </template>
  </fieldset>
</template>

<style scoped>
.box {
  display: grid;
  gap: 8px;
}
legend {
  font-weight: 600;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
.fault {
  color: var(--out);
}
</style>
