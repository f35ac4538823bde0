<script setup lang="ts">
import { texts } from '~/texts/en'
import { useDrawer } from '~/composables/useDrawer'
import { useBay } from '~/stores/bay'
import { useEvaluation } from '~/stores/evaluation'
import { useLeverRoom } from '~/stores/leverRoom'
import { useLevers } from '~/stores/levers'
import { usePlace } from '~/stores/place'
import { useWorkbench } from '~/stores/workbench'

/** Place: trials of engine and gearbox in their bay, every gap, and the levers that move them. */
const workbench = useWorkbench()
const evaluation = useEvaluation()
const levers = useLevers()
const place = usePlace()
const bay = useBay()
onUnmounted(() => (place.glanced = null))
const drawer = useDrawer()
const room = useLeverRoom()
const markedLever = ref('')
const markedGap = ref('')
const markedPart = ref('')
// The room of the last lever that was looked at stays on show.
watch(markedLever, (id) => {
  if (id !== '') room.asked = id
})
</script>

<template>
  <PlaceNav />
  <MadeNotice />
  <div v-if="workbench.build && evaluation.current" class="place" :class="{ narrow: drawer.kind.value }">
    <div class="middle">
      <WhenSeen
        v-slot="{ value }"
        :value="evaluation.current"
        tabindex="0"
        role="group"
        :aria-label="texts.place.nav.place"
      >
        <PlaceBoard
          :build="workbench.build"
          :evaluation="value"
          :marked="markedGap || drawer.at.value"
          :marked-part="markedPart"
          :others="place.overlays"
          :drawn="bay.unread"
          @hold="levers.hold"
          @release="levers.release('Move a lever')"
          @mark="markedLever = $event"
        />
      </WhenSeen>
      <PlaceTabs
        :build="workbench.build"
        :evaluation="evaluation.current"
        @mark="markedGap = $event"
        @mark-part="markedPart = $event"
      />
    </div>
    <LeverColumn
      class="levers"
      :build="workbench.build"
      :marked="markedLever"
      :cautions="[texts.place.liftCaution, texts.cautions.under]"
      @mark="markedLever = $event"
    >
      <template v-if="evaluation.current.gaps.length > 0" #top>
        <LeverRoom :build="workbench.build" />
      </template>
    </LeverColumn>
  </div>
</template>

<style scoped>
/* At the bench drawing, list and levers scroll each by itself: the drawing stays in sight. */
@media screen and (min-width: 1021px) {
  .place:not(.narrow) {
    height: calc(100dvh - 146px);
    min-height: 600px;
  }
  .place:not(.narrow) .middle {
    display: grid;
    grid-template-rows: minmax(0, auto) minmax(230px, 36%);
    min-height: 0;
  }
  .place:not(.narrow) :deep(.tabbed) {
    display: grid;
    grid-template-rows: auto minmax(0, 1fr);
    min-height: 0;
  }
  .place:not(.narrow) .middle > :first-child,
  .place:not(.narrow) :deep(.tabbed > .tab-panel),
  .place:not(.narrow) .levers {
    overflow-y: auto;
  }
}
.place {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 270px;
}
.narrow {
  display: block;
}
.narrow .levers {
  border-left: 0;
  border-top: 1px solid var(--hair);
}
@media (max-width: 1020px) {
  .place {
    display: block;
  }
}
</style>
