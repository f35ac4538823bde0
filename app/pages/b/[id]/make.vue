<script setup lang="ts">
import { blankCorners } from '~~/core/model/memberWork'
import { useFormat } from '~/composables/useFormat'
import { making as words } from '~/texts/making'
import { useBarInBay } from '~/stores/inBay'
import { useMaking } from '~/stores/making'
import { useWorkbench } from '~/stores/workbench'

/** Making: the bar that carries the tail of the gearbox, every way to make it, and what is printed for it. */
const making = useMaking()
const inBay = useBarInBay()
const workbench = useWorkbench()
const { angle } = useFormat()
const members = computed(() => making.all.map(({ member }) => ({ value: member.id, label: member.name })))
const turns = computed(() =>
  making.way ? blankCorners(making.way).map(({ turnDeg }) => angle(Math.abs(turnDeg), 1)) : [],
)
</script>

<template>
  <MadePage
    v-if="workbench.build"
    :title="making.found?.member.name ?? words.title"
    :lead="words.lead"
    :choice="words.title"
    :items="members"
    :item="making.found?.member.id"
    @look="making.looked = $event"
  >
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
    <template v-else>
      <p>{{ words.none }}</p>
      <UButton class="add" icon="i-lucide-plus" @click="making.add()">{{ words.add }}</UButton>
    </template>
    <template v-if="making.found && making.way" #side>
      <MemberWayChoice />
      <StepsLink of="bar" :thing="making.found.member.id" />
      <TemplatePrint v-if="making.printed" @save="making.save" />
      <MemberFields :member="making.found.member" :way="making.way.way" />
      <MemberMade :member="making.found.member" :way="making.way.way" />
      <PartInBay :part="inBay" />
      <RemoveButton is-worded :label="words.remove(making.found.member.name)" @click="making.remove()" />
    </template>
    <template v-if="making.found" #below>
      <MemberWays />
      <MemberPacking />
      <UButton class="add" variant="outline" icon="i-lucide-plus" @click="making.add()">{{
        words.add
      }}</UButton>
    </template>
  </MadePage>
</template>
