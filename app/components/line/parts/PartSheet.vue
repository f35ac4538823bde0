<script setup lang="ts">
import { figurePlace } from '~~/core/show/parts/figurePlace'
import { JOINTS } from '~~/core/file/parts/joints'
import { partStaysBecause, type PartOfLine } from '~~/core/file/edits/partEdits'
import type { LineEvaluation } from '~~/core/model/lineEvaluation'
import { dimensionsOf } from '~~/core/show/parts/dimensions'
import { slipTravel } from '~~/core/show/parts/slipTravel'
import { partsScene, partWord } from '~~/core/show/parts/partsScene'
import type { Build } from '~~/core/file/build/build'
import type { ShaftEnd } from '~~/core/file/parts/lineSpec'
import { texts } from '~/texts/en'
import { partsOfLine } from '~/texts/parts'
import { useFormat } from '~/composables/useFormat'
import { partName, partRemark } from '~/composables/usePartName'
import { useParts } from '~/stores/parts'

/** One part of the line: its kind, its figures, what can be done with it. */
const { build, evaluation } = defineProps<{ build: Build; evaluation: LineEvaluation }>()
const selected = defineModel<string>({ required: true })
const parts = useParts()
const { angle, length } = useFormat()
const words = partsOfLine
const fields = texts.parts.fields
const line = computed(() => evaluation.line)
const pieces = computed(() => partsScene(line.value, evaluation.ride, 0).pieces)
const at = computed(() => pieces.value.findIndex(({ key }) => partWord(key) === selected.value))
const piece = computed(() => pieces.value[at.value])
const key = computed(() => piece.value?.key)
const place = computed((): PartOfLine | null => (key.value && 'index' in key.value ? key.value : null))
const index = computed(() => place.value?.index ?? 0)
const joint = computed(() => (key.value?.part === 'joint' ? line.value.joints[index.value] : undefined))
const stays = computed(() => place.value && partStaysBecause(line.value, place.value))
const canMove = computed(() => place.value !== null && place.value.part !== 'bearing')
const isEnd = computed(() => index.value === 0 || index.value === line.value.joints.length - 1)
const figures = computed(() =>
  dimensionsOf(line.value, evaluation.ride).filter(
    ({ word, path }) => path !== null && word.startsWith(`${selected.value} `),
  ),
)
const kinds = Object.entries(texts.jointKinds).map(([value, label]) => ({ value, label }))
const ends = Object.entries(fields.ends).map(([value, label]) => ({ value, label }))
const meanings = Object.entries(fields.meanings).map(([value, label]) => ({ value, label }))
const endKey = computed(() =>
  key.value?.part === 'driving-end' ? 'drivingEnd' : key.value?.part === 'driven-end' ? 'drivenEnd' : null,
)
const endShaft = computed(() => (endKey.value === 'drivingEnd' ? 0 : line.value.shafts.length - 1))
const end = computed(() => endKey.value && line.value.shafts[endShaft.value]?.[endKey.value])
const setEnd = (kind: ShaftEnd['kind']) => {
  if (endKey.value && kind !== end.value?.kind)
    parts.changeShaft(line.value.id, endShaft.value, { [endKey.value]: { kind } })
}
/** The band the old yoke has worn tells its true travel: beside it what is computed. */
const witness = computed(() => {
  const travel = slipTravel(evaluation, endShaft.value)
  return travel === null ? words.sheet.witnessHint : words.sheet.witnessComputed(length(travel))
})
function step(by: 1 | -1) {
  const next = pieces.value[at.value + by]
  if (next) selected.value = partWord(next.key)
}
function move(by: 1 | -1) {
  if (!place.value || !parts.move(line.value.id, place.value, by)) return
  selected.value = partWord({ ...place.value, index: place.value.index + by })
}
function remove() {
  if (place.value && parts.remove(line.value.id, place.value)) selected.value = ''
}
</script>

<template>
  <section v-if="piece && key" class="part" :aria-label="partName(build, line, key)" data-testid="part-sheet">
    <header>
      <UButton
        icon="i-lucide-chevron-left"
        variant="ghost"
        :aria-label="words.sheet.previous"
        :disabled="at === 0"
        @click="step(-1)"
      />
      <div>
        <h2>{{ partName(build, line, key) }}</h2>
        <p class="soft">{{ partRemark(line, key, angle) }}</p>
      </div>
      <UButton
        icon="i-lucide-chevron-right"
        variant="ghost"
        :aria-label="words.sheet.next"
        :disabled="at === pieces.length - 1"
        @click="step(1)"
      />
    </header>
    <svg class="picture" :viewBox="`${piece.left + piece.width / 2 - 160} -62 320 124`" aria-hidden="true">
      <g
        v-for="one in pieces"
        :key="partWord(one.key)"
        :transform="`translate(${one.left} 0)`"
        :opacity="one === piece ? 1 : 0.35"
      >
        <PartShapes :shapes="one.shapes" />
      </g>
    </svg>
    <div class="fields">
      <ChoiceField
        v-if="joint"
        :label="words.sheet.kind"
        :value="joint.kind"
        :items="kinds"
        @change="parts.setKind(line.id, index, $event)"
      />
      <ChoiceField
        v-if="endKey"
        :label="words.sheet.kind"
        :value="end?.kind ?? 'yoke'"
        :items="ends"
        @change="setEnd($event)"
      />
      <FigureField
        v-for="one in figures"
        :key="one.word"
        :label="words.dimensions[one.key]"
        kind="length"
        :of="figurePlace(line, one.path ?? [])"
        :required="one.key === 'overhang' && !one.isOptional"
        :value="one.mm ?? undefined"
        :help="one.mm === null && !one.isOptional ? words.missing(words.holdsUp[one.key]) : ''"
        @change="one.path && parts.setFigure(line.id, one.path, $event)"
      />
      <template v-if="joint">
        <ChoiceField
          v-if="isEnd"
          :label="words.sheet.pointIs"
          :value="joint.pointIs ?? 'centre'"
          :items="meanings"
          @change="parts.changeJoint(line.id, index, { pointIs: $event })"
        />
        <FigureField
          :label="words.sheet.limit"
          unit="°"
          of="lines.joints.limitDeg"
          :value="joint.limitDeg"
          :help="fields.limitHelp"
          @change="parts.changeJoint(line.id, index, { limitDeg: $event })"
        />
        <UCheckbox
          v-if="JOINTS[joint.kind].needsPilot"
          :model-value="joint.centringPilot === true"
          :label="words.sheet.pilot"
          :description="words.sheet.pilotHint"
          @update:model-value="
            parts.changeJoint(line.id, index, { centringPilot: $event === true ? true : undefined })
          "
        />
        <CrossField
          v-if="JOINTS[joint.kind].hasCross"
          :build="build"
          :line-id="line.id"
          :joint="joint"
          :index="index"
        />
      </template>
      <TubeFields v-if="key.part === 'shaft'" :line="line" :index="index" />
      <BearingFields
        v-if="key.part === 'bearing'"
        :evaluation="evaluation"
        :index="index"
        :build-id="build.id"
      />
      <FigureField
        v-if="end?.kind === 'slip-yoke' && endKey"
        :label="words.sheet.witness"
        kind="length"
        :help="witness"
        of="lines.shafts.drivingEnd.slip-yoke.witnessMm"
        :value="end.witnessMm"
        @change="parts.setFigure(line.id, ['shafts', endShaft, endKey, 'witnessMm'], $event)"
      />
    </div>
    <p v-if="key.part === 'driving' || key.part === 'driven'" class="soft measured">
      {{ words.sheet.where }}
      <NuxtLink :to="`/b/${build.id}/readings`">{{ words.sheet.read }}</NuxtLink>
    </p>
    <div v-if="place" class="does">
      <template v-if="canMove">
        <UButton size="sm" variant="outline" icon="i-lucide-chevron-left" @click="move(-1)">{{
          words.sheet.ahead
        }}</UButton>
        <UButton size="sm" variant="outline" trailing-icon="i-lucide-chevron-right" @click="move(1)">{{
          words.sheet.behind
        }}</UButton>
      </template>
      <RemoveButton v-if="!stays" :label="words.sheet.remove" variant="outline" is-worded @click="remove" />
      <p v-else class="soft">{{ words.sheet.stays(stays) }}</p>
      <InsertButtons v-if="place.part === 'shaft'" class="inserts" :line="line" :index="index" />
    </div>
  </section>
</template>

<style scoped>
.part {
  padding: 14px 20px 20px;
}
header {
  display: flex;
  align-items: center;
  gap: 6px;
  text-align: center;
}
header > div {
  flex: 1;
}
h2 {
  font-weight: 600;
  font-size: 1.125rem;
}
.picture {
  display: none;
  width: 100%;
  height: 124px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 12px 14px;
  align-items: start;
  margin-top: 10px;
}
.does {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-top: 14px;
}
.measured {
  margin-top: 10px;
}
@media (max-width: 640px) {
  .picture {
    display: block;
  }
  .part {
    padding: 8px 14px 20px;
  }
  .does :deep(button),
  header :deep(button),
  .fields :deep(input),
  .fields :deep(button) {
    min-height: 48px;
  }
  header :deep(button) {
    min-width: 48px;
  }
}
</style>
