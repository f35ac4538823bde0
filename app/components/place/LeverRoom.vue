<script setup lang="ts">
import type { Build } from '~~/core/file/build/build'
import { leverAmount, leverName } from '~~/core/show/told/leverText'
import { texts } from '~/texts/en'
import { useFormat } from '~/composables/useFormat'
import { useLeverRoom } from '~/stores/leverRoom'

/** From where to where every gap stays clear of its failing limit as the lever looked at moves, and the middle of it. */
const { build } = defineProps<{ build: Build }>()
const store = useLeverRoom()
const words = texts.place.room
const { units, length } = useFormat()
const lever = computed(() => build.levers.find(({ id }) => id === store.asked))
const amount = (value: number) => (lever.value ? leverAmount(lever.value, value, units.value) : '')
</script>

<template>
  <div class="room" data-testid="lever-room">
    <template v-if="lever && store.room">
      <b>{{ leverName(build, lever) }}</b>
      <p class="figure">
        {{
          store.room.window
            ? words.clear(amount(store.room.window[0]), amount(store.room.window[1]))
            : words.never
        }}
      </p>
      <p v-if="store.room.stepped" class="figure">
        {{
          store.room.stepped.margin >= 0
            ? words.most(amount(store.room.stepped.at), length(store.room.stepped.margin))
            : words.least(amount(store.room.stepped.at), length(-store.room.stepped.margin))
        }}
      </p>
      <UButton v-if="store.room.stepped" size="sm" variant="outline" @click="store.takeMiddle(words.take)">{{
        words.take
      }}</UButton>
    </template>
    <p v-else>{{ words.hint }}</p>
  </div>
</template>

<style scoped>
.room {
  display: grid;
  gap: 4px;
  justify-items: start;
  /* Its room is kept, so that no lever moves away under a finger. */
  align-content: start;
  min-height: 150px;
  padding: 10px 16px;
  border-bottom: 1px solid var(--hair);
  font-size: 0.9375rem;
  line-height: 1.3;
  color: var(--soft);
}
</style>
