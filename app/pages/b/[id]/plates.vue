<script setup lang="ts">
import { making, plates as words } from '~/texts/making'
import { tabsOf } from '~/texts/views'
import { usePlates } from '~/stores/plates'
import { useWorkbench } from '~/stores/workbench'

/** Plates on bosses: does one go on, and which hole is opened if not. */
const plates = usePlates()
const workbench = useWorkbench()
const named = computed(() => plates.all.map(({ plate }) => ({ value: plate.id, label: plate.name })))
const seen = (['front', 'back'] as const).map((value) => ({ value, label: words.seen[value] }))
</script>

<template>
  <ViewNav :label="making.nav.label" :views="tabsOf('make')" />
  <div v-if="workbench.build" class="plates">
    <div class="main">
      <ChoiceField
        v-if="plates.found && named.length > 1"
        :label="words.title"
        :value="plates.found.plate.id"
        :items="named"
        @change="plates.looked = $event"
      />
      <h1>{{ plates.found?.plate.name ?? words.title }}</h1>
      <p class="soft lead">{{ words.lead }}</p>
      <template v-if="plates.found">
        <p class="answer" data-testid="plate-answer">
          <VerdictMark :verdict="plates.found.check.verdict" :size="18" />
          <span v-if="plates.sentence">{{ plates.sentence }}</span>
          <span v-else>{{ making.waits }} <MissingWords :missing="plates.found.check.missing" /></span>
        </p>
        <PlateDrawing :scene-of="plates.scene" />
        <PlateTapes side="plate" />
        <PlateTapes side="bosses" />
      </template>
      <p v-else>{{ words.none }}</p>
      <UButton
        class="add"
        :variant="plates.found ? 'outline' : 'solid'"
        icon="i-lucide-plus"
        @click="plates.add()"
        >{{ words.add }}</UButton
      >
    </div>
    <aside v-if="plates.found" class="side">
      <TemplatePrint v-if="plates.printed" @save="plates.save" />
      <UCheckbox v-if="plates.printed" v-model="plates.isMirrored" :label="words.mirrored" />
      <section aria-labelledby="plate-sizes">
        <h2 id="plate-sizes">{{ words.sizes }}</h2>
        <div class="fields">
          <TextField
            :label="words.name"
            :value="plates.found.plate.name"
            required
            @change="plates.changePlate({ name: $event })"
          />
          <FigureField
            :label="words.thickness"
            kind="length"
            of="plates.thicknessMm"
            :value="plates.found.plate.thicknessMm"
            required
            @change="plates.changePlate({ thicknessMm: $event })"
          />
          <FigureField
            :label="words.margin"
            kind="length"
            of="plates.marginMm"
            :value="plates.found.plate.marginMm"
            required
            @change="plates.changePlate({ marginMm: $event })"
          />
          <FigureField
            :label="words.leastSpacer"
            kind="length"
            of="plates.leastSpacerMm"
            :value="plates.found.plate.leastSpacerMm"
            @change="plates.changePlate({ leastSpacerMm: $event })"
          />
          <ChoiceField
            :label="words.seenFrom"
            :value="plates.found.plate.seenFrom"
            :items="seen"
            @change="plates.changePlate({ seenFrom: $event })"
          />
        </div>
      </section>
      <PlateHoles :plate="plates.found.plate" />
      <RemoveButton is-worded :label="words.remove(plates.found.plate.name)" @click="plates.remove()" />
    </aside>
  </div>
</template>

<style scoped>
.plates {
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
.answer {
  display: flex;
  gap: 10px;
  align-items: baseline;
  font-size: 1.125rem;
  font-weight: 600;
}
.add {
  justify-self: start;
}
.side {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 20px;
  padding: 16px 20px 40px;
  border-left: 1px solid var(--hair);
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 12px;
  margin-top: 6px;
}
@media (max-width: 1080px) {
  .plates {
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
