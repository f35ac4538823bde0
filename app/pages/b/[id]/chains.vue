<script setup lang="ts">
import { CHAIN_DUTIES, type ChainDuty } from '~~/core/file/parts/chainLine'
import { chainTexts } from '~/texts/chains'
import { texts } from '~/texts/en'
import { useChains } from '~/stores/chains'
import { useEvaluation } from '~/stores/evaluation'
import { useLevers } from '~/stores/levers'
import { useSureness } from '~/stores/sureness'
import { useWorkbench } from '~/stores/workbench'

/** Chains: drawn link by link, their line from above, checks, and what sets them. Which one stands in the address. */
const workbench = useWorkbench()
const evaluation = useEvaluation()
const levers = useLevers()
const chains = useChains()
const sureness = useSureness()
const route = useRoute()
const router = useRouter()
const words = chainTexts
const marked = ref('')
const isPrinting = ref(false)
const now = computed(
  () => chains.all.find(({ chain }) => chain.id === route.query.chain) ?? chains.all[0] ?? null,
)
/** A live axle belongs to the chain whose sprocket it carries. */
const axles = computed(() =>
  chains.liveAxles.filter(({ body }) =>
    now.value?.chain.sprockets.some(({ point }) =>
      workbench.build?.points.some(({ id, body: on }) => id === point && on === body.id),
    ),
  ),
)
/** What a hand on a lever need not see move at once waits until it lets go. */
const rested = shallowRef(now.value)
const restedAxles = shallowRef<typeof axles.value>([])
watch(
  () => [now.value, levers.isHeld] as const,
  ([next, isHeld]) => {
    if (isHeld && next?.chain.id === rested.value?.chain.id) return
    rested.value = next
    restedAxles.value = axles.value
  },
)
onMounted(() => (restedAxles.value = axles.value))
const halves = computed(() => {
  const list = now.value?.checks ?? []
  const half = Math.ceil(list.length / 2)
  return [list.slice(0, half), list.slice(half)]
})
const choose = (chain: string | undefined) => void router.replace({ query: { ...route.query, chain } })
function add(duty: ChainDuty) {
  const id = chains.add(duty, words.names[duty])
  if (id) choose(id)
}
const adds = computed(() => [
  CHAIN_DUTIES.map((duty) => ({ label: words.adds[duty], onSelect: () => add(duty) })),
])
const waits = computed(() =>
  now.value && !now.value.sprockets.known ? now.value.sprockets.missing.map(({ what }) => what) : [],
)
const refused = computed(() =>
  now.value?.sprockets.known && !now.value.loop.known ? now.value.loop.missing.map(({ what }) => what) : [],
)
const cautions = computed(() => [
  words.cautions.fingers,
  now.value?.chain.duty === 'steering' ? words.cautions.steering : words.cautions.guard,
])
/** A sheet goes to the bench with its ±, which follow the figures; pressed again it goes without. */
const isAsked = ref(false)
const isSettled = computed(() => sureness.isFresh || sureness.isStopped || sureness.failure !== null)
watch(
  () => isAsked.value && isSettled.value,
  (isReady) => {
    if (isReady) void print()
  },
)
async function print() {
  isAsked.value = false
  isPrinting.value = true
  await nextTick()
  window.print()
}
const onPrint = () => (isAsked.value ? void print() : (isAsked.value = true))
</script>

<template>
  <LineNav />
  <template v-if="workbench.build && evaluation.current">
    <div class="chains no-print">
      <div class="middle">
        <header>
          <div>
            <h1>{{ now?.chain.name ?? words.title }}</h1>
            <p class="soft">{{ now ? words.lead : words.none }}</p>
          </div>
          <div class="does">
            <UDropdownMenu :items="adds">
              <UButton icon="i-lucide-plus" variant="outline" size="sm">{{ words.add }}</UButton>
            </UDropdownMenu>
            <UButton v-if="now" icon="i-lucide-printer" variant="outline" size="sm" @click="onPrint">{{
              isAsked ? words.printNow : words.print
            }}</UButton>
          </div>
        </header>
        <LinePicker
          class="pick"
          :lines="chains.all.map(({ chain }) => chain)"
          :chosen="now?.chain.id"
          :label="words.pick"
          @choose="choose"
        />
        <p v-if="!now" class="none">{{ words.noneLead }}</p>
        <template v-else>
          <section v-if="waits.length" class="none">
            <h2>{{ words.waits }}</h2>
            <ul>
              <li v-for="what in waits" :key="what"><VerdictMark verdict="unknown" silent /> {{ what }}</li>
            </ul>
            <UButton :to="`/b/${workbench.build.id}/readings`" icon="i-lucide-ruler">{{
              words.measure
            }}</UButton>
          </section>
          <p v-for="what in refused" :key="what" class="refused" role="alert" data-testid="refused">
            <VerdictMark verdict="unknown" silent /> {{ what }}
          </p>
          <WhenSeen v-if="now.sprockets.known" v-slot="{ value }" :value="now">
            <ChainBoard
              :build="workbench.build"
              :now="value"
              :settings="levers.settings"
              @hold="levers.hold"
              @release="levers.release('Move a lever')"
              @mark="marked = $event"
            />
          </WhenSeen>
          <section class="checks" :aria-label="words.checks">
            <ul v-for="(half, i) in halves" :key="i">
              <WhenSeen v-for="check in half" :key="check.id" v-slot="{ value }" :value="check" tag="li">
                <CheckRow :check="value" :units="workbench.build.units" many="within" />
              </WhenSeen>
            </ul>
          </section>
          <div class="cards">
            <ChainSlackCard :build="workbench.build" :now="now" />
            <ChainLineCard :build="workbench.build" :now="now" />
            <ChainDetails v-if="rested" :build="workbench.build" :now="rested" :axles="restedAxles" />
          </div>
        </template>
        <div class="cards cuts">
          <AxleCutCard v-for="one in chains.cuts" :key="one.cut.id" class="whole" :one="one" />
          <div class="whole">
            <UButton
              icon="i-lucide-plus"
              variant="outline"
              size="sm"
              @click="chains.addCut(words.cut.newName)"
              >{{ words.cut.add }}</UButton
            >
          </div>
        </div>
      </div>
      <LeverColumn
        class="levers"
        :build="workbench.build"
        :marked="marked"
        :cautions="[...cautions, texts.cautions.under]"
        @mark="marked = $event"
      />
    </div>
    <ChainSheet v-if="isPrinting && now" class="only-print" :build="workbench.build" :now="now" />
  </template>
</template>

<style scoped>
.chains {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 270px;
  min-height: calc(100dvh - 122px);
}
.middle {
  min-width: 0;
  padding-bottom: 40px;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: start;
  gap: 8px 24px;
  padding: 14px 24px 8px;
}
h1 {
  font-weight: 600;
  font-size: 1.1875rem;
}
h1::first-letter {
  text-transform: uppercase;
}
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.pick {
  padding: 0 24px 8px;
}
.none {
  display: grid;
  gap: 10px;
  justify-items: start;
  max-width: 62ch;
  margin: 12px 24px;
  padding: 14px 16px;
  border: 1.5px dashed var(--part-line);
  border-radius: 4px;
}
.none h2 {
  font-weight: 600;
}
.none li,
.refused {
  display: flex;
  gap: 10px;
  align-items: center;
}
.refused {
  margin: 0 24px 8px;
  padding: 8px 12px;
  border-left: 3px solid var(--unknown);
  background: var(--wash);
}
.checks {
  padding: 10px 24px;
  border-top: 1px solid var(--hair);
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 480px), 1fr));
  align-items: start;
  gap: 0 28px;
  contain: layout style;
}
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 360px), 1fr));
  gap: 12px;
  padding: 6px 24px 12px;
}
.whole {
  grid-column: 1 / -1;
}
@media screen {
  .only-print {
    display: none;
  }
}
@media print {
  @page {
    size: A4;
    margin: 11mm 12mm;
  }
}
@media (max-width: 1020px) {
  .chains {
    display: block;
  }
}
@media (max-width: 640px) {
  header,
  .pick,
  .checks,
  .cards {
    padding-inline: 14px;
  }
  .none,
  .refused {
    margin-inline: 14px;
  }
}
</style>
