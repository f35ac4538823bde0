<script setup lang="ts">
import type { PatternStep } from '~~/core/vehicle/halfshaft/donorPattern'
import type { Pattern } from '~~/core/vehicle/halfshaft/pattern'
import type { Known } from '~~/core/base/known'
import type { DonorPattern } from '~~/core/file/parts/donorPattern'
import { halfshaftTexts } from '~/texts/halfshafts'
import { useFormat } from '~/composables/useFormat'
import { usePatterns } from '~/stores/patterns'

/** One shaft by its donor pieces, step by step, with the length that comes of it. */
const { read, step, found } = defineProps<{ read: DonorPattern; step: PatternStep; found: Known<Pattern> }>()
const emit = defineEmits<{ order: [] }>()
const patterns = usePatterns()
const { length } = useFormat()
const words = halfshaftTexts
const STEPS = ['settle', 'pieces', 'bottomed', 'pulled', 'done'] as const
type FigureKey = Extract<keyof DonorPattern, `${string}Mm`>
interface PatternField {
  readonly key: FigureKey
  readonly label: string
  readonly help?: string
}
/** What is measured in each step. */
const FIELDS: Readonly<Record<Exclude<PatternStep, 'settle'>, readonly PatternField[]>> = {
  pieces: [
    { key: 'outerPieceMm', label: words.outerPiece },
    { key: 'innerPieceMm', label: words.innerPiece },
  ],
  bottomed: [{ key: 'overlapBottomedMm', label: words.bottomed }],
  pulled: [{ key: 'overlapPulledMm', label: words.pulled }],
  done: [
    { key: 'offsetMm', label: words.offset, help: words.offsetHelp },
    { key: 'clampMm', label: words.clamp, help: words.clampHelp },
  ],
}
const isDone = (one: PatternStep) => STEPS.indexOf(one) < STEPS.indexOf(step)
const facts = computed(() => {
  if (!found.known) return []
  const { strokeMm, bottomedMm, pulledMm, overlapMm, toBottomMm, toPulledMm, cutOffMm } = found.value
  const named = words.facts
  return [
    [named.overlap, overlapMm],
    [named.toBottom, toBottomMm],
    [named.toPulled, toPulledMm],
    [named.stroke, strokeMm],
    [named.bottomed, bottomedMm],
    [named.pulled, pulledMm],
    [named.cutOff, cutOffMm],
  ] as const
})
</script>

<template>
  <section class="card" :aria-label="read.name" :data-pattern="read.id" :data-field="`halfshafts/${read.id}`">
    <header>
      <TextField
        :label="words.name"
        :value="read.name"
        required
        @change="patterns.change(read.id, { name: $event })"
      />
      <RemoveButton :label="words.remove(read.name)" @click="patterns.remove(read.id)" />
    </header>
    <ol>
      <li v-for="(one, i) in STEPS" :key="one" :class="{ now: one === step, done: isDone(one) }">
        <p class="step">
          <span class="number" aria-hidden="true">{{ i + 1 }}</span>
          <strong>{{ words.steps[one] }}</strong>
        </p>
        <p class="soft">{{ words.does[one] }}</p>
        <UCheckbox
          v-if="one === 'settle'"
          :model-value="read.settled === true"
          :label="words.settled"
          @update:model-value="patterns.change(read.id, { settled: $event === true ? true : undefined })"
        />
        <div v-else class="fields">
          <FigureField
            v-for="{ key, label, help = '' } in FIELDS[one]"
            :key="key"
            :label="label"
            :help="help"
            kind="length"
            :of="`patterns.${key}`"
            :value="read[key]"
            @change="patterns.change(read.id, { [key]: $event })"
          />
        </div>
      </li>
    </ol>
    <p v-if="!found.known" class="soft" role="status">
      {{ words.waits(found.missing.map(({ what }) => what).join('; ')) }}
    </p>
    <div v-else class="result" role="status" data-testid="pattern-result">
      <p class="length">
        {{ words.result }} <strong>{{ length(found.value.shaftMm) }}</strong>
        <span class="soft">{{ words.resultIs }}</span>
      </p>
      <PatternPicture :read="read" :pattern="found.value" />
      <dl>
        <template v-for="[name, value] in facts" :key="name">
          <dt>{{ name }}</dt>
          <dd>{{ length(value) }}</dd>
        </template>
      </dl>
      <p v-if="!found.value.canClamp" class="out">
        <VerdictMark verdict="out" silent /> {{ words.cannotClamp }}
      </p>
      <p class="soft">{{ words.schools }}</p>
      <UButton icon="i-lucide-send" variant="outline" @click="emit('order')">{{ words.orderSheet }}</UButton>
    </div>
  </section>
</template>

<style scoped>
.card {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  padding: 14px 16px;
  border: 1px solid var(--hair);
  border-radius: 4px;
  background: var(--card);
}
header {
  display: flex;
  justify-content: space-between;
  align-items: end;
  gap: 10px;
}
ol {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
  gap: 12px;
}
li {
  display: grid;
  align-content: start;
  gap: 6px;
  padding: 10px 12px;
  border: 1.5px solid var(--hair);
  border-radius: 4px;
}
li.now {
  border-color: var(--accent);
}
.step {
  display: flex;
  gap: 8px;
  align-items: center;
}
.step strong {
  font-weight: 600;
}
.number {
  display: grid;
  place-items: center;
  width: 26px;
  height: 26px;
  border: 2px solid var(--part-line);
  border-radius: 50%;
  font-family: var(--font-figure);
  font-weight: 600;
}
.done .number {
  background: var(--part-line);
  color: var(--card);
}
.now .number {
  border-color: var(--accent);
  background: var(--accent);
  color: var(--on-accent);
}
li p {
  line-height: 1.3;
}
.fields {
  display: grid;
  gap: 8px;
}
.length strong {
  font-family: var(--font-figure);
  font-size: 1.375rem;
  font-weight: 600;
}
.length .soft {
  margin-left: 8px;
}
.result {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  justify-items: start;
}
dl {
  display: grid;
  grid-template-columns: auto auto;
  gap: 2px 18px;
  font-variant-numeric: tabular-nums;
}
dd {
  text-align: right;
  font-weight: 600;
}
.out {
  color: var(--out);
}
@media (max-width: 640px) {
  .card :deep(input),
  .card :deep(button) {
    min-height: 48px;
  }
}
</style>
