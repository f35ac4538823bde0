<script setup lang="ts">
import { SHAFT_TURNS } from '~~/core/file/parts/drivetrain'
import { making, mounts as words } from '~/texts/making'
import { useMounts } from '~/stores/mounts'
import { useWorkbench } from '~/stores/workbench'

/** Mounts: what each bears, how the powertrain gives on them, what is left of its gaps. */
const mounts = useMounts()
const workbench = useWorkbench()
const bodies = computed(() => mounts.bodies.map(({ id, name }) => ({ value: id, label: name })))
const turns = SHAFT_TURNS.map((value) => ({ value, label: words.turnsWays[value] }))
</script>

<template>
  <MadePage v-if="workbench.build" :title="words.title" :lead="words.lead">
    <ChoiceField
      v-if="mounts.body && bodies.length > 1"
      class="whose"
      :label="words.whose"
      :value="mounts.body.id"
      :items="bodies"
      @change="mounts.lookedBody = $event"
    />
    <p v-if="mounts.entries.length === 0">{{ words.none(mounts.body?.name ?? '') }}</p>
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
    <ThirdMount />
    <p class="caution">{{ words.caution }}</p>
    <div class="does">
      <UButton
        v-if="mounts.entries.length === 0 && mounts.body?.kind !== 'axle'"
        icon="i-lucide-plus"
        @click="mounts.adopt()"
        >{{ words.adopt(mounts.body?.name ?? '') }}</UButton
      >
      <UButton variant="outline" icon="i-lucide-plus" @click="mounts.add()">{{ words.add }}</UButton>
    </div>
    <template v-if="mounts.entries.length > 0" #side>
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
    </template>
  </MadePage>
</template>

<style scoped>
.whose {
  max-width: 320px;
}
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
