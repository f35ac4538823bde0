<script setup lang="ts">
import { BODY_KINDS } from '~~/core/file/parts/bodyKinds'
import { chassisParts } from '~~/core/bay/bodyOnSpacers'
import type { Body } from '~~/core/file/parts/body'
import type { Build } from '~~/core/file/build/build'
import { gapsOfBody, staysBecause } from '~~/core/file/edits/withoutBody'
import { texts } from '~/texts/en'
import { useBay } from '~/stores/bay'

/** A part of the bay: what it stands on, its box and outlines, its levers. */
const { build, body } = defineProps<{ build: Build; body: Body }>()
const emit = defineEmits<{ removed: [] }>()
const bay = useBay()
const words = texts.bay.body
const canStand = computed(() => BODY_KINDS[body.kind].mayStandOn === true)
const bearers = computed(() =>
  build.bodies
    .filter(({ id, kind, standsOn }) => id !== body.id && kind !== 'chassis' && standsOn !== body.id)
    .map(({ id, name }) => ({ value: id, label: name })),
)
const stays = computed(() => staysBecause(build, body.id))
const gaps = computed(() => gapsOfBody(build, body.id))
const isKept = ref(false)
async function toShelf() {
  isKept.value = await bay.toShelf(body)
}
function remove() {
  bay.removeBody(body.id)
  emit('removed')
}
</script>

<template>
  <div class="fields" :data-at="body.id">
    <TextField
      :label="words.name"
      :value="body.name"
      required
      @change="bay.changeBody(body.id, { name: $event })"
    />
    <template v-if="canStand">
      <ChoiceField
        :label="words.standsOn"
        :value="body.standsOn"
        :items="bearers"
        :unsaid="words.chassis"
        @change="bay.changeBody(body.id, { standsOn: $event })"
      />
      <UCheckbox
        :model-value="body.provisional === true"
        :label="words.provisional"
        :description="words.provisionalHint"
        @update:model-value="bay.changeBody(body.id, { provisional: $event === true ? true : undefined })"
      />
    </template>
    <FigureField
      v-if="body.kind === 'powertrain'"
      :label="words.face"
      :help="words.faceHint"
      kind="length"
      of="bodies.powertrain.faceStationMm"
      :value="body.faceStationMm"
      @change="bay.changeBody(body.id, { faceStationMm: $event })"
    />
    <BoxFields v-if="BODY_KINDS[body.kind].hasBox" :body="body" />
    <OutlineList v-if="BODY_KINDS[body.kind].hasOutlines" :body="body" />
    <BodyLevers v-if="body.kind !== 'chassis'" :build="build" :body="body" />
    <BodySpacers v-else-if="chassisParts(build).length" :build="build" @put="emit('removed')" />
    <div class="foot">
      <UButton
        v-if="body.kind === 'item' && body.box"
        icon="i-lucide-archive"
        variant="outline"
        size="sm"
        @click="toShelf"
        >{{ words.toShelf }}</UButton
      >
      <p v-if="isKept" role="status">{{ words.onShelf }}</p>
      <template v-if="canStand">
        <p v-if="stays" class="soft">{{ words.stays(stays) }}</p>
        <RemoveButton
          v-else
          :label="gaps.length ? words.removeWith(gaps.join(', ')) : words.remove"
          variant="outline"
          is-worded
          @click="remove"
        />
      </template>
    </div>
  </div>
</template>

<style scoped>
.fields,
.foot {
  display: grid;
  gap: 14px;
}
.foot {
  justify-items: start;
  padding-top: 12px;
  border-top: 1px solid var(--hair);
}
.foot :deep(button) {
  text-align: left;
}
</style>
