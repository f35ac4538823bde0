<script setup lang="ts">
import { blankCorners } from '~~/core/show/text/memberText'
import { useFormat } from '~/composables/useFormat'
import { making as words } from '~/texts/making'
import { tabsOf } from '~/texts/views'
import { useMaking } from '~/stores/making'
import { useWorkbench } from '~/stores/workbench'

/** Making: the bar that carries the tail of the gearbox, every way to make it, and what is printed for it. */
const making = useMaking()
const workbench = useWorkbench()
const { angle } = useFormat()
const members = computed(() => making.all.map(({ member }) => ({ value: member.id, label: member.name })))
const turns = computed(() =>
  making.way ? blankCorners(making.way).map(({ turnDeg }) => angle(Math.abs(turnDeg), 1)) : [],
)
</script>

<template>
  <ViewNav :label="words.nav.label" :views="tabsOf('make')" />
  <div v-if="workbench.build" class="make">
    <div class="main">
      <ChoiceField
        v-if="making.found && members.length > 1"
        :label="words.title"
        :value="making.found.member.id"
        :items="members"
        @change="making.looked = $event"
      />
      <h1>{{ making.found?.member.name ?? words.title }}</h1>
      <p class="soft lead">{{ words.lead }}</p>
      <template v-if="making.found && making.way">
        <p v-if="!making.way.figures.known" class="waits">
          <VerdictMark verdict="unknown" :size="14" /> {{ words.waits }}
          <MissingWords :missing="making.way.figures.missing" />
        </p>
        <MemberDrawing v-else :scene-of="making.scene" :turns="turns" />
        <MemberBlank />
        <section aria-labelledby="member-checks">
          <h2 id="member-checks">{{ words.checks }}</h2>
          <CheckRow
            v-for="check in making.found.checks"
            :key="check.id"
            :check="check"
            :units="workbench.build.units"
            :many="false"
          />
        </section>
      </template>
      <p v-else>{{ words.none }}</p>
      <UButton v-if="!making.found" class="add" icon="i-lucide-plus" @click="making.add()">{{
        words.add
      }}</UButton>
    </div>
    <aside v-if="making.found && making.way" class="side">
      <MemberWayChoice />
      <TemplatePrint v-if="making.printed" @save="making.save" />
      <MemberFields :member="making.found.member" :way="making.way.way" />
      <MemberMade :member="making.found.member" :way="making.way.way" />
      <RemoveButton is-worded :label="words.remove(making.found.member.name)" @click="making.remove()" />
    </aside>
    <div v-if="making.found" class="beside">
      <MemberWays />
      <UButton class="add" variant="outline" icon="i-lucide-plus" @click="making.add()">{{
        words.add
      }}</UButton>
    </div>
  </div>
</template>

<style scoped>
.make {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 380px;
  align-items: start;
}
.main {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  padding: 14px 24px 40px;
  min-width: 0;
}
h1 {
  font-weight: 600;
  font-size: 1.1875rem;
}
h2 {
  font-size: 1.0625rem;
  font-weight: 600;
}
.lead {
  margin-top: -10px;
}
.add {
  justify-self: start;
}
.beside {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  padding: 16px 24px 40px;
  border-top: 1px solid var(--hair);
}
.side {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 20px;
  padding: 16px 20px 40px;
  border-left: 1px solid var(--hair);
}
@media (max-width: 1080px) {
  .make {
    grid-template-columns: minmax(0, 1fr);
  }
  .side {
    border-left: 0;
    border-top: 1px solid var(--hair);
  }
}
@media (max-width: 640px) {
  .main,
  .side,
  .beside {
    padding-inline: 14px;
  }
}
</style>
