<script setup lang="ts">
import { SHAFT_TURNS } from '~~/core/file/parts/drivetrain'
import { making, mounts as words } from '~/texts/making'
import { tabsOf } from '~/texts/views'
import { useMounts } from '~/stores/mounts'
import { useWorkbench } from '~/stores/workbench'

/** Mounts: what each bears, how the powertrain gives on them, what is left of its gaps. */
const mounts = useMounts()
const workbench = useWorkbench()
const turns = SHAFT_TURNS.map((value) => ({ value, label: words.turnsWays[value] }))
</script>

<template>
  <ViewNav :label="making.nav.label" :views="tabsOf('make')" />
  <div v-if="workbench.build" class="mounts">
    <div class="main">
      <h1>{{ words.title }}</h1>
      <p class="soft lead">{{ words.lead }}</p>
      <p v-if="mounts.entries.length === 0">{{ words.none }}</p>
      <p v-else-if="!mounts.found.known" class="waits">
        <VerdictMark verdict="unknown" :size="14" /> {{ making.waits }}
        <MissingWords :missing="mounts.found.missing" />
      </p>
      <template v-else>
        <MountPicture :panes-of="mounts.panes" />
        <p v-if="mounts.found.assumptions.length > 0" class="soft">
          {{ words.taken }} {{ mounts.found.assumptions.join('; ') }}
        </p>
        <MountCases />
      </template>
      <p class="caution">{{ words.caution }}</p>
      <div class="does">
        <UButton v-if="mounts.entries.length === 0" icon="i-lucide-plus" @click="mounts.adopt()">{{
          words.adopt
        }}</UButton>
        <UButton variant="outline" icon="i-lucide-plus" @click="mounts.add()">{{ words.add }}</UButton>
      </div>
    </div>
    <aside v-if="mounts.entries.length > 0" class="side">
      <ChoiceField
        :label="words.turnsLabel"
        :value="workbench.build.drivetrain.turns"
        :items="turns"
        :unsaid="words.unsaid"
        @change="mounts.turn($event)"
      />
      <section aria-labelledby="mount-fields">
        <h2 id="mount-fields">{{ words.stiff }}</h2>
        <MountFields v-for="mount in mounts.entries" :key="mount.id" :mount="mount" />
      </section>
    </aside>
  </div>
</template>

<style scoped>
.mounts {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 360px;
  align-items: start;
}
.main {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
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
  margin-top: -8px;
}
.does {
  display: flex;
  gap: 8px;
}
.caution {
  padding: 6px 10px;
  border-left: 3px solid var(--tight);
  background: var(--wash);
}
.side {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
  padding: 16px 20px 40px;
  border-left: 1px solid var(--hair);
}
@media (max-width: 1080px) {
  .mounts {
    grid-template-columns: minmax(0, 1fr);
  }
  .side {
    border-left: 0;
    border-top: 1px solid var(--hair);
  }
}
@media (max-width: 640px) {
  .main,
  .side {
    padding-inline: 14px;
  }
}
</style>
