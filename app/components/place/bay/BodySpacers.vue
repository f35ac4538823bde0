<script setup lang="ts">
import { chassisParts, gapsOnChassis, likelyBody } from '~~/core/bay/bodyOnSpacers'
import type { Build } from '~~/core/file/build/build'
import { texts } from '~/texts/en'
import { useBay } from '~/stores/bay'

/** Body or cab on spacers: which sheet metal and which gaps go up with it, before it becomes a part of its own. */
const { build } = defineProps<{ build: Build }>()
const emit = defineEmits<{ put: [] }>()
const bay = useBay()
const words = texts.bay.body.spacers
const name = ref<string>(words.usual)
const likely = likelyBody(build)
const outlines = ref([...likely.outlines])
const gaps = ref([...likely.gaps])
const most = ref(75)
const step = ref(5)
const parts = computed(() => chassisParts(build))
const choices = computed(() => gapsOnChassis(build).map((gap) => ({ value: gap.id, label: gap.name })))
const isReady = computed(() => name.value.trim() !== '' && outlines.value.length + gaps.value.length > 0)
function put() {
  bay.putOnSpacers({
    name: name.value.trim().slice(0, 200),
    outlines: new Set(outlines.value),
    gaps: new Set(gaps.value),
    rangeMm: [0, most.value],
    stepMm: step.value,
  })
  emit('put')
}
</script>

<template>
  <section class="spacers" :aria-label="words.title">
    <h3>{{ words.title }}</h3>
    <p class="soft">{{ words.lead }}</p>
    <UFormField :label="words.name"><UInput v-model="name" class="w-full" maxlength="200" /></UFormField>
    <UCheckboxGroup v-model="outlines" :legend="words.parts" :items="parts" />
    <UCheckboxGroup v-model="gaps" :legend="words.gaps" :items="choices" />
    <div class="two">
      <FigureField
        :label="words.most"
        unit="mm"
        required
        of="levers.stock"
        :value="most"
        @change="most = $event ?? most"
      />
      <FigureField
        :label="words.step"
        unit="mm"
        required
        of="levers.step"
        :value="step"
        @change="step = $event ?? step"
      />
    </div>
    <p class="caution">{{ words.caution }}</p>
    <UButton class="put" icon="i-lucide-plus" variant="outline" size="sm" :disabled="!isReady" @click="put">{{
      words.put
    }}</UButton>
  </section>
</template>

<style scoped>
.spacers {
  display: grid;
  gap: 10px;
}
h3 {
  font-weight: 600;
}
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(90px, 1fr));
  gap: 10px;
}
.caution {
  padding: 8px 10px;
  border-left: 3px solid var(--tight);
  background: var(--wash);
  line-height: 1.35;
}
.put {
  justify-self: start;
}
</style>
