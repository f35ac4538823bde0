<script setup lang="ts">
import { bodyById } from '~~/core/file/parts/bodies'
import type { Body } from '~~/core/file/parts/body'
import type { Build } from '~~/core/file/build/build'
import { boxText } from '~~/core/show/text/bayText'
import { texts } from '~/texts/en'
import { useDrawer } from '~/composables/useDrawer'
import { useBay } from '~/stores/bay'

/** Everything that can be touched, what stands close without being watched, and what has to come out. */
const { build } = defineProps<{ build: Build }>()
const emit = defineEmits<{ mark: [name: string] }>()
const bay = useBay()
const drawer = useDrawer()
const words = texts.bay
const lookOf = (body: Body) => {
  const outlines = body.outlines?.length ?? 0
  if (outlines > 0) return words.outlines(outlines)
  const box = boxText(body, build.units)
  if (box) return box
  return 'sizes' in body && body.sizes ? words.drawnBy : words.noOutline
}
const standsOn = (body: Body) =>
  body.kind === 'chassis' ? '' : (bodyById(build, body.standsOn)?.name ?? words.body.chassis)
</script>

<template>
  <p class="soft lead">{{ words.lead }}</p>
  <div class="bay" :class="{ narrow: drawer.kind.value }">
    <section>
      <ul class="parts">
        <li
          v-for="body in build.bodies"
          :key="body.id"
          @mouseenter="emit('mark', body.name)"
          @mouseleave="emit('mark', '')"
          @focusin="emit('mark', body.name)"
          @focusout="emit('mark', '')"
        >
          <button type="button" @click="drawer.open('bay', body.id)">
            <span class="name"
              ><span class="sr-only">{{ words.change }} </span>{{ body.name }}</span
            >
            <span class="look figure">{{ lookOf(body) }}</span>
            <span class="soft stands">
              <template v-if="body.kind !== 'chassis'"
                >{{ words.body.standsOn }}: {{ standsOn(body) }}</template
              >
              <em v-if="body.provisional">{{ words.cardboard }}</em>
            </span>
          </button>
        </li>
      </ul>
      <p v-if="bay.unusable.length" class="caution" role="alert">
        <VerdictMark verdict="tight" :size="14" silent /> {{ words.unusable(bay.unusable.join(', ')) }}
      </p>
      <UButton icon="i-lucide-plus" variant="outline" size="sm" @click="drawer.open('bay')">{{
        words.add
      }}</UButton>
    </section>
    <div class="aside">
      <ClosePairs :pairs="bay.pairs" />
      <ServiceChecks :build="build" />
    </div>
  </div>
</template>

<style scoped>
.lead {
  max-width: 70ch;
  margin-bottom: 8px;
}
.bay {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 20px 28px;
}
.narrow {
  grid-template-columns: minmax(0, 1fr);
}
.parts {
  margin-bottom: 10px;
}
.parts button {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 12px;
  width: 100%;
  padding: 7px 6px;
  text-align: left;
  border-bottom: 1px solid var(--hair);
  cursor: pointer;
}
.parts button:hover {
  background: var(--card);
}
.name {
  font-weight: 600;
}
.look {
  text-align: right;
}
.stands {
  grid-column: 1 / -1;
  display: flex;
  justify-content: space-between;
  font-size: 0.9375rem;
}
em {
  font-style: normal;
  color: var(--tight);
}
.aside {
  display: grid;
  align-content: start;
  gap: 20px;
}
.caution {
  display: grid;
  grid-template-columns: 16px 1fr;
  gap: 6px;
  margin-bottom: 10px;
}
@media (max-width: 1120px) {
  .bay {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
