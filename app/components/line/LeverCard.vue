<script setup lang="ts">
import { leverFigure, parseLeverAmount } from '~~/core/vehicle/moves/leverInput'
import { steppedAmount } from '~~/core/drawing/projection'
import type { Build } from '~~/core/file/build/build'
import { leverUnit, type Lever } from '~~/core/file/build/lever'
import { leverAmount, leverName, leverWays } from '~~/core/show/told/leverText'
import { FINE } from '~/composables/useHandleDrag'
import { texts } from '~/texts/en'
import { useTyping } from '~/composables/useTyping'

/** One lever: its picture, where it stands, and three ways to move it. */
const { build, lever, amount, marked } = defineProps<{
  build: Build
  lever: Lever
  amount: number
  marked: boolean
}>()
const emit = defineEmits<{ hold: [amount: number]; release: []; mark: []; lock: [] }>()
const isPositive = ref(amount >= 0)
const fault = ref<string | null>(null)
const name = computed(() => leverName(build, lever))
const ways = computed(() => leverWays(lever))
const figure = computed(() => leverFigure(lever, amount, build.units))
const typing = useTyping(figure)
const words = computed(() => leverAmount(lever, amount, build.units))
const unit = computed(() => (leverUnit(lever) === 'deg' ? '°' : build.units.length))
const stepWords = computed(() => `${leverFigure(lever, lever.step, build.units)} ${unit.value} a step`)
watch(
  () => amount,
  (now) => {
    if (now !== 0) isPositive.value = now > 0
    fault.value = null
  },
)

function step(sense: number, fine: boolean) {
  const size = fine ? lever.step * FINE : lever.step
  emit('hold', steppedAmount(amount + sense * size, size, lever.range))
}
function press(event: KeyboardEvent) {
  const sense = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key]
  if (sense === undefined && event.key !== 'Home') return
  event.preventDefault()
  emit('mark')
  if (sense === undefined) emit('hold', 0)
  else step(sense, event.shiftKey)
}
function nudge(sense: number) {
  emit('mark')
  step(sense, false)
  emit('release')
}
function take(text: string) {
  const parsed = parseLeverAmount(lever, text, isPositive.value, build.units)
  fault.value = parsed.ok ? null : parsed.message
  if (!parsed.ok) return
  typing.settle()
  emit('hold', parsed.value)
  emit('release')
}
function turnRound() {
  isPositive.value = !isPositive.value
  take(figure.value)
}
</script>

<template>
  <section class="card" :data-field="`lever/${lever.id}`" :class="{ marked }" :aria-label="name">
    <div
      class="grip"
      role="slider"
      tabindex="0"
      :aria-label="name"
      :aria-valuemin="lever.range[0]"
      :aria-valuemax="lever.range[1]"
      :aria-valuenow="amount"
      :aria-valuetext="words"
      :data-testid="`lever-${lever.id}`"
      @keydown="press"
      @keyup="emit('release')"
      @blur="emit('release')"
      @focus="emit('mark')"
    >
      <LeverPicture :kind="lever.kind" :amount="amount" :range="lever.range" />
      <div>
        <p class="soft name">{{ name }}</p>
        <p class="amount figure">{{ words }}</p>
        <p class="soft step">
          {{ stepWords }}<template v-if="lever.stock">, stock {{ lever.stock.join(', ') }} mm</template>
        </p>
        <p v-if="lever.locked && lever.lockedBecause" class="soft step">{{ lever.lockedBecause }}</p>
      </div>
    </div>
    <button
      type="button"
      class="lock"
      :aria-pressed="lever.locked === true"
      :aria-label="`${name}: ${texts.line.lock}`"
      :title="texts.line.lock"
      @click="emit('lock')"
    >
      <UIcon :name="lever.locked ? 'i-lucide-lock' : 'i-lucide-lock-open'" />
    </button>
    <div class="doing">
      <button type="button" class="nudge" :aria-label="`${name}, ${ways[1]}`" @click="nudge(-1)">−</button>
      <input
        class="typed figure"
        :value="typing.text.value"
        :aria-label="`${name}, ${unit}`"
        :aria-invalid="fault !== null"
        maxlength="60"
        :data-testid="`type-${lever.id}`"
        @input="typing.type(($event.target as HTMLInputElement).value)"
        @change="take(($event.target as HTMLInputElement).value)"
      />
      <span class="soft unit">{{ unit }}</span>
      <button type="button" class="way" :title="`${ways[0]} or ${ways[1]}`" @click="turnRound">
        {{ isPositive ? ways[0] : ways[1] }}
      </button>
      <button type="button" class="nudge" :aria-label="`${name}, ${ways[0]}`" @click="nudge(1)">+</button>
    </div>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
  </section>
</template>

<style scoped>
.card {
  position: relative;
  padding: 12px 14px;
  border-bottom: 1px solid var(--hair);
  border-left: 3px solid transparent;
}
.card.marked {
  border-left-color: var(--accent);
  background: linear-gradient(90deg, var(--wash), transparent);
}
.grip {
  display: grid;
  grid-template-columns: 60px minmax(0, 1fr);
  gap: 12px;
  align-items: center;
  cursor: default;
}
.lock {
  position: absolute;
  top: 6px;
  right: 6px;
  display: grid;
  place-items: center;
  width: 32px;
  height: 32px;
  border-radius: 4px;
  color: var(--soft);
  cursor: pointer;
}
.lock:hover {
  color: var(--ink);
}
.lock[aria-pressed='true'] {
  background: var(--wash);
  color: var(--accent);
}
.name {
  padding-right: 24px;
}
.name,
.step {
  line-height: 1.2;
}
.step {
  font-size: 0.875rem;
}
.amount {
  font-size: 1.5rem;
  line-height: 1.15;
}
.doing {
  display: flex;
  align-items: center;
  gap: 6px;
  margin-top: 8px;
}
.nudge,
.way {
  min-width: 34px;
  min-height: 34px;
  padding: 0 8px;
  border: 1px solid var(--hair);
  border-radius: 4px;
  background: var(--card);
  font-family: var(--font-figure);
  font-weight: 600;
  cursor: pointer;
}
.nudge {
  font-size: 1.25rem;
}
.nudge:hover,
.way:hover {
  border-color: var(--accent);
}
.way {
  flex: 1;
  min-width: 0;
  padding: 0 3px;
  line-height: 1;
}
.typed {
  width: 56px;
  min-height: 34px;
  padding: 0 6px;
  border: 1px solid var(--hair);
  border-radius: 4px;
  background: var(--paper);
  text-align: right;
}
.fault {
  margin-top: 4px;
  color: var(--out);
  font-size: 0.9375rem;
}
@media (max-width: 860px) {
  .lock {
    width: 48px;
    height: 48px;
  }
  .nudge,
  .way,
  .typed {
    min-height: 48px;
    min-width: 48px;
  }
}
</style>
