<script setup lang="ts">
import { making, plates as words } from '~/texts/making'
import { usePlateInBay } from '~/stores/inBay'
import { usePlates } from '~/stores/plates'
import { useWorkbench } from '~/stores/workbench'

/** Plates on bosses: does one go on, and which hole is opened if not. */
const plates = usePlates()
const inBay = usePlateInBay()
const workbench = useWorkbench()
const named = computed(() => plates.all.map(({ plate }) => ({ value: plate.id, label: plate.name })))
const seen = (['front', 'back'] as const).map((value) => ({ value, label: words.seen[value] }))
</script>

<template>
  <MadePage
    v-if="workbench.build"
    :title="plates.found?.plate.name ?? words.title"
    :lead="words.lead"
    :choice="words.title"
    :items="named"
    :item="plates.found?.plate.id"
    @look="plates.looked = $event"
  >
    <template v-if="plates.found">
      <MadeAnswer :verdict="plates.found.check.verdict" data-testid="plate-answer"
        ><span v-if="plates.sentence">{{ plates.sentence }}</span>
        <span v-else>{{ making.waits }} <MissingWords :missing="plates.found.check.missing" /></span
      ></MadeAnswer>
      <PlateDrawing :scene-of="plates.scene" />
      <p
        v-for="{ text, verdict } in plates.notes"
        :key="text"
        class="figure"
        :class="{ out: verdict === 'out' }"
        data-testid="plate-note"
      >
        <VerdictMark :verdict="verdict" :size="14" /> {{ text }}
      </p>
      <PlateTapes side="plate" />
      <PlateTapes side="bosses" />
      <CardPanel />
    </template>
    <p v-else>{{ words.none }}</p>
    <UButton
      class="add"
      :variant="plates.found ? 'outline' : 'solid'"
      icon="i-lucide-plus"
      @click="plates.add()"
      >{{ words.add }}</UButton
    >
    <template v-if="plates.found" #side>
      <TemplatePrint v-if="plates.printed" is-solid @save="plates.save" />
      <StepsLink of="plate" :thing="plates.found.plate.id" />
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
        <HowFar :part="plates.found.plate" @change="plates.changePlate" />
      </section>
      <PlateHoles :plate="plates.found.plate" />
      <PlateSpots :plate="plates.found.plate" />
      <PlateZones :plate="plates.found.plate" />
      <PlateStands :plate="plates.found.plate" />
      <PartInBay :part="inBay" />
      <RemoveButton is-worded :label="words.remove(plates.found.plate.name)" @click="plates.remove()" />
    </template>
  </MadePage>
</template>
