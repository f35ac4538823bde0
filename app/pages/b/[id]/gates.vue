<script setup lang="ts">
import { gateReadings } from '~~/core/show/text/gateReadings'
import { changedText, GATE_NAMES, gateSentence, needText } from '~~/core/show/text/gateText'
import { gates as words } from '~/texts/gates'
import { tasks } from '~/texts/tasks'
import { tabsOf } from '~/texts/views'
import { useEvaluation } from '~/stores/evaluation'
import { useGates } from '~/stores/gates'
import { usePlan } from '~/stores/plan'
import { useWorkbench } from '~/stores/workbench'

/** The gates of a build: what each asks for, what fell back and why. */
const workbench = useWorkbench()
const evaluation = useEvaluation()
const gates = useGates()
const plan = usePlan()
onMounted(() => plan.lookAtClock())
const who = ref('')
const needs = computed(() =>
  (gates.shown?.needs ?? []).map((need) => ({
    isMet: need.open.length === 0,
    text: needText(need, evaluation.current?.checks ?? [], (workbench.build?.lines.length ?? 0) > 1),
  })),
)
const MOST_CHANGED = 8
const changed = computed(() => gates.shown?.changed.slice(0, MOST_CHANGED) ?? [])
const under = computed(() =>
  workbench.build && gates.shown ? gateReadings(workbench.build, gates.shown.gate) : [],
)
const over = computed(() =>
  (gates.shown?.entry?.over ?? []).map(({ temporary, reason }) => ({
    name: workbench.build?.temporaries?.find(({ id }) => id === temporary)?.name ?? temporary,
    reason,
  })),
)
const SHAPES = { passed: 'holds', fallen: 'out', ready: 'tight', waiting: 'unknown' } as const
</script>

<template>
  <div v-if="workbench.build">
    <ViewNav :label="tasks.nav.label" :views="tabsOf('sheet')" />
    <div class="gates">
      <h1>{{ words.title }}</h1>
      <p class="soft lead">{{ words.lead }}</p>
      <ol class="row" :aria-label="words.row" data-testid="gates">
        <li v-for="(one, k) in gates.all" :key="one.gate">
          <button
            type="button"
            class="gate"
            :class="one.state"
            :aria-pressed="one.gate === gates.shown?.gate"
            @click="gates.look(one.gate)"
          >
            <span class="diamond" aria-hidden="true"
              ><span>{{ k + 1 }}</span></span
            >
            <span class="name">{{ GATE_NAMES[one.gate] }}</span>
            <span class="state">
              <VerdictMark :verdict="SHAPES[one.state]" :size="13" /> {{ words.states[one.state] }}
            </span>
          </button>
        </li>
      </ol>
      <section v-if="gates.shown" class="card" data-testid="gate">
        <h2>{{ GATE_NAMES[gates.shown.gate] }}</h2>
        <p class="sentence" data-testid="gate-sentence">{{ gateSentence(gates.shown, plan.day) }}</p>
        <p v-if="words.cautions[gates.shown.gate]" class="caution">{{ words.cautions[gates.shown.gate] }}</p>
        <div class="two">
          <section>
            <h3>{{ words.needs }}</h3>
            <ul data-testid="gate-needs">
              <li v-for="need in needs" :key="need.text" class="need" :class="{ open: !need.isMet }">
                <UIcon :name="need.isMet ? 'i-lucide-check' : 'i-lucide-circle'" aria-hidden="true" />
                {{ need.text }}
              </li>
            </ul>
          </section>
          <section v-if="changed.length > 0">
            <h3>{{ words.changed }}</h3>
            <ul data-testid="gate-changed">
              <li v-for="one in changed" :key="`${one.part}/${one.id}`">
                {{ changedText(workbench.build, one) }}
              </li>
              <li v-if="gates.shown.changed.length > changed.length" class="soft">
                {{ words.more(gates.shown.changed.length - changed.length) }}
              </li>
            </ul>
          </section>
          <section v-if="gates.shown.state !== 'passed' && gates.shown.temporaries.length > 0">
            <h3>{{ words.temporary }}</h3>
            <p class="soft">
              {{ words.temporaryLead }}
              <NuxtLink :to="`/b/${workbench.build.id}/temporary`" class="link">{{ words.open }}</NuxtLink>
            </p>
            <TextField
              v-for="one in gates.shown.temporaries"
              :key="one.id"
              :label="words.reason(one.name)"
              :value="gates.reasons[one.id] ?? ''"
              :most="5000"
              @change="gates.reasons[one.id] = $event"
            />
          </section>
          <section v-if="over.length > 0">
            <h3>{{ words.over }}</h3>
            <ul>
              <li v-for="one in over" :key="one.name">{{ one.name }}: {{ one.reason }}</li>
            </ul>
          </section>
        </div>
        <GateReadings :rows="under" />
        <div class="does">
          <template v-if="gates.shown.state !== 'passed'">
            <TextField class="who" :label="words.who" :value="who" @change="who = $event" />
            <UButton icon="i-lucide-check" :disabled="!gates.isReady" @click="gates.pass(who)">{{
              gates.shown.entry ? words.passAgain : words.pass
            }}</UButton>
          </template>
          <UButton v-if="gates.shown.entry" variant="outline" @click="gates.takeBack(gates.shown.gate)">{{
            words.takeBack
          }}</UButton>
        </div>
        <TextField
          v-if="gates.shown.entry"
          :label="words.note"
          :value="gates.shown.entry.note ?? ''"
          :most="5000"
          @change="gates.change(gates.shown.gate, { note: $event || undefined })"
        />
      </section>
    </div>
  </div>
</template>

<style scoped>
.gates {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
  max-width: 1120px;
  padding: 14px 24px 48px;
}
h1 {
  font-weight: 600;
  font-size: 1.1875rem;
}
.lead {
  margin-top: -12px;
}
.row {
  position: relative;
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
}
.row::before {
  content: '';
  position: absolute;
  left: 7%;
  right: 7%;
  top: 24px;
  height: 5px;
  background: var(--part);
  border-block: 1px solid var(--hair);
}
.gate {
  position: relative;
  display: grid;
  gap: 5px;
  justify-items: center;
  align-content: start;
  width: 100%;
  height: 100%;
  padding: 6px 4px 8px;
  border-radius: 4px;
  text-align: center;
  line-height: 1.2;
  cursor: pointer;
}
.gate[aria-pressed='true'] {
  background: var(--wash);
}
.diamond {
  display: grid;
  place-items: center;
  width: 40px;
  height: 40px;
  background: var(--card);
  border: 2.5px solid var(--part-line);
  transform: rotate(45deg) scale(0.72);
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 1.25rem;
}
.diamond span {
  transform: rotate(-45deg);
}
.passed .diamond {
  background: var(--part-line);
  color: var(--card);
}
.ready .diamond {
  border-color: var(--accent);
  background: var(--wash);
}
.fallen .diamond {
  border-color: var(--out);
}
.name {
  font-family: var(--font-figure);
  font-weight: 600;
}
.state {
  display: flex;
  gap: 5px;
  align-items: center;
  font-size: 0.875rem;
  color: var(--soft);
}
.card {
  display: grid;
  gap: 12px;
  padding: 16px 20px 18px;
  border: 1px solid var(--hair);
  border-radius: 4px;
  background: var(--card);
}
h2 {
  font-weight: 600;
  font-size: 1.125rem;
}
h2:first-letter {
  text-transform: capitalize;
}
h3 {
  font-weight: 600;
  color: var(--soft);
}
.sentence {
  font-size: 1.0625rem;
  font-weight: 600;
}
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 16px 32px;
}
.two section {
  display: grid;
  gap: 6px;
  align-content: start;
}
.need {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.open {
  font-weight: 600;
}
.link {
  color: var(--accent);
  text-decoration: underline;
}
.caution {
  padding: 6px 10px;
  border-left: 3px solid var(--tight);
  background: var(--wash);
}
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
}
.who {
  width: 220px;
}
@media (max-width: 760px) {
  .gates {
    padding-inline: 14px;
  }
  .row {
    grid-template-columns: minmax(0, 1fr);
  }
  .row::before {
    left: 27px;
    right: auto;
    top: 20px;
    bottom: 20px;
    width: 5px;
    height: auto;
  }
  .gate {
    grid-template-columns: 40px minmax(0, 1fr) auto;
    align-items: center;
    justify-items: start;
    text-align: left;
    min-height: 48px;
  }
}
</style>
