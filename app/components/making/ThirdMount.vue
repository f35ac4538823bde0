<script setup lang="ts">
import { leverAmount, leverName } from '~~/core/show/told/leverText'
import { useFormat } from '~/composables/useFormat'
import { mounts as words } from '~/texts/making'
import { useLeverRoom } from '~/stores/leverRoom'
import { useMounts } from '~/stores/mounts'
import { useWorkbench } from '~/stores/workbench'

/** With two mounts bolted one turn is left: from where to where the third may stand before a gap is lost, and where it has the most room. */
const room = useLeverRoom()
const mounts = useMounts()
const workbench = useWorkbench()
const { units, length } = useFormat()
const lever = computed(() => mounts.third)
watch(
  lever,
  (one) => {
    room.asked = one?.id ?? ''
  },
  { immediate: true },
)
const amount = (value: number) => (lever.value ? leverAmount(lever.value, value, units.value) : '')
</script>

<template>
  <section
    v-if="workbench.build && lever && room.room"
    aria-labelledby="third-mount"
    data-testid="third-mount"
  >
    <h2 id="third-mount">{{ words.third.title }}</h2>
    <p class="soft">{{ words.third.lead(leverName(workbench.build, lever)) }}</p>
    <p class="figure">
      {{
        room.room.window
          ? words.third.window(amount(room.room.window[0]), amount(room.room.window[1]))
          : words.third.never
      }}
      <template v-if="room.room.stepped">{{
        words.third.middle(amount(room.room.stepped.at), length(room.room.stepped.margin))
      }}</template>
    </p>
    <UButton v-if="room.room.stepped" variant="outline" @click="room.takeMiddle(words.third.take)">{{
      words.third.take
    }}</UButton>
  </section>
</template>
