<script setup lang="ts">
import {
  chanceText,
  decidesText,
  drivesText,
  movesText,
  nodeName,
  readyText,
  usualText,
  waitsText,
} from '~~/core/show/text/workText'
import { taskName } from '~~/core/jobs/tasks/taskName'
import { tasks as words } from '~/texts/tasks'
import { tabsOf } from '~/texts/views'
import { useEvaluation } from '~/stores/evaluation'
import { useShownPlan } from '~/composables/useShownPlan'
import { useTasks } from '~/stores/tasks'
import { useWorkbench } from '~/stores/workbench'

/** What to do now: one picture, five lines. */
const workbench = useWorkbench()
const evaluation = useEvaluation()
const tasks = useTasks()
const plan = useShownPlan()
/** More than that is read nowhere. */
const MOST_NOW = 3
const MOST_BLOCKED = 3
const now = computed(() => plan.next.now.slice(0, MOST_NOW))
const blocked = computed(() => plan.next.blocked.slice(0, MOST_BLOCKED))
const hands = [
  ['1', words.alone],
  ['2', words.helped],
] as const
/** Without a plan the line itself is the picture. */
const isDrawn = computed(() => (evaluation.current?.lines ?? []).some((line) => line.ride.known))
const rests = computed(() => {
  const guesses = tasks.open.find(({ made }) => made?.by === 'again')?.made?.count ?? 0
  return [guesses > 0 ? words.guesses(guesses) : null, usualText(tasks.open)].filter((text) => text !== null)
})
</script>

<template>
  <div v-if="workbench.build">
    <ViewNav :label="words.nav.label" :views="tabsOf('sheet')" />
    <div class="next">
      <h1 class="sr-only">{{ words.nextTitle }}</h1>
      <p v-if="tasks.open.length === 0">{{ words.all }}</p>
      <section v-else class="line">
        <h2>{{ words.here.title }}</h2>
        <div class="here">
          <WordChoice
            :label="words.here.hands"
            :options="hands"
            :value="plan.hands === 2 ? '2' : '1'"
            @choose="plan.hands = $event === '2' ? 2 : 1"
          />
          <FigureInput
            :label="words.here.hours"
            kind="plain"
            unit="h"
            :least="0"
            :most="24"
            :value="plan.hours"
            @change="plan.hoursSaid = $event ?? null"
          />
        </div>
        <ol v-if="now.length > 0" class="now" data-testid="now">
          <li v-for="one in now" :key="one.node.id">
            <span class="what">{{ nodeName(one.node, tasks.removals) }}</span>
            <span class="soft">{{ readyText(one) }}</span>
            <span v-if="one.node.task?.entry?.uses" class="soft">{{
              words.uses(one.node.task.entry.uses)
            }}</span>
            <TaskDoes v-if="one.node.task" :task="one.node.task" is-brief />
          </li>
        </ol>
        <p v-else>{{ words.here.none }}</p>
      </section>
      <AskedNow />
      <p v-if="tasks.crew && !plan.plan && plan.missing.length > 0">
        {{ words.cannot }} <MissingWords :missing="plan.missing" />
      </p>
      <p
        v-else-if="tasks.crew && !plan.plan && tasks.open.length > 0 && !plan.failure"
        class="soft"
        role="status"
      >
        {{ words.working }}
      </p>
      <p v-if="plan.failure" role="alert">{{ words.failed(plan.failure) }}</p>
      <p v-if="!tasks.crew" class="begin">
        {{ words.noCrew }}
        <UButton icon="i-lucide-calendar-days" @click="tasks.beginCrew()">{{ words.begin }}</UButton>
      </p>
      <LineDrawing
        v-if="!tasks.crew && isDrawn && evaluation.current"
        :build="workbench.build"
        :evaluation="evaluation.current"
        :height="220"
        still
      />
      <template v-if="tasks.crew && plan.plan && plan.lanes">
        <LaneBoard :scene="plan.lanes" />
        <section class="line">
          <h2>{{ words.drives }}</h2>
          <div>
            <p class="drives" data-testid="drives">{{ drivesText(plan.plan) }}</p>
            <p v-if="plan.chance" class="soft">
              {{ chanceText(plan.chance, plan.plan.first, tasks.crew?.wanted) }}
            </p>
          </div>
        </section>
        <section class="line">
          <h2>{{ words.decides }}</h2>
          <div>
            <p data-testid="decides">{{ decidesText(plan.chain, tasks.removals) }}</p>
            <p v-if="plan.plan.moves" class="soft">{{ movesText(plan.plan.moves) }}</p>
          </div>
        </section>
        <UButton variant="outline" class="all" :to="`/b/${workbench.build.id}/plan`">{{
          words.toPlan
        }}</UButton>
      </template>
      <section class="line">
        <h2>{{ words.blocked }}</h2>
        <ul v-if="blocked.length > 0" data-testid="blocked-now">
          <li v-for="one in blocked" :key="one.task.key">
            <span class="what">{{ taskName(one.task) }}</span>
            <span class="soft">{{ words.waitsFor(waitsText(one, plan.day)) }}</span>
          </li>
        </ul>
        <p v-else>{{ words.nothingBlocked }}</p>
      </section>
      <section class="line">
        <h2>{{ words.rests }}</h2>
        <p>{{ rests.length > 0 ? rests.join(' ') : words.restsNothing }}</p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.next {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
  max-width: 1080px;
  padding: 16px 24px 48px;
}
.line {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr);
  gap: 6px 20px;
  padding-bottom: 14px;
  border-bottom: 1px solid var(--hair);
}
h2 {
  font-weight: 600;
  color: var(--soft);
}
.here {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  max-width: 420px;
}
.now,
.line > p,
.line > ul,
.line > div {
  grid-column: 2;
}
.now li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 170px auto;
  gap: 6px 14px;
  align-items: center;
  padding: 8px 0;
}
.now li + li {
  border-top: 1px solid var(--hair);
}
.what {
  font-weight: 600;
}
.what:first-letter {
  text-transform: capitalize;
}
li .what {
  display: inline-block;
}
.line ul .what {
  margin-right: 10px;
}
.now .what {
  font-size: 1.125rem;
}
.drives {
  font-size: 1.1875rem;
  font-weight: 600;
}
.begin {
  display: grid;
  gap: 10px;
  justify-items: start;
  max-width: 60ch;
}
.all {
  justify-self: start;
}
@media (max-width: 640px) {
  .next {
    padding-inline: 14px;
  }
  .line {
    grid-template-columns: minmax(0, 1fr);
  }
  .now,
  .line > p,
  .line > ul,
  .line > div {
    grid-column: 1;
  }
  .now li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .now :deep(.does) {
    grid-column: 1 / -1;
  }
  .now :deep(.does > *) {
    min-height: 48px;
  }
}
</style>
