<script setup lang="ts">
import type { WayIn } from '~~/core/bay/swing/wayIn'
import { GROUND } from '~~/core/bay/swing/scene'
import { poseText } from '~~/core/show/text/poseText'
import { texts } from '~/texts/en'
import { useFormat } from '~/composables/useFormat'
import { useWayIn } from '~/stores/wayIn'

/** The way step by step, and what it comes nearest to. */
const { way } = defineProps<{ way: WayIn }>()
const wayIn = useWayIn()
const words = texts.wayIn
const { units, length } = useFormat()
/** A gearbox alone is slid on last; its way ends where it is drawn back. */
const last = computed(() => (wayIn.plan?.alone ? words.slideOn : words.installed))
const steps = computed(() =>
  way.poses.map((pose, index) => ({
    share: wayIn.stepShares[index] ?? 0,
    text: poseText(pose, units.value, wayIn.plan?.alone ? { ...words, inPlace: words.drawnBack } : words),
    note: index === 0 ? words.hang : index === way.poses.length - 1 ? last.value : '',
  })),
)
</script>

<template>
  <div class="below">
    <section aria-labelledby="way-steps">
      <h2 id="way-steps">{{ words.steps }}</h2>
      <ol>
        <li v-for="(step, index) in steps" :key="index">
          <button
            type="button"
            :class="{ here: wayIn.frame.step === index }"
            :aria-current="wayIn.frame.step === index ? 'step' : undefined"
            @click="wayIn.along = step.share"
          >
            <span class="figure">{{ index + 1 }}</span> {{ step.text
            }}<template v-if="step.note">: {{ step.note }}</template>
          </button>
        </li>
      </ol>
    </section>
    <section aria-labelledby="way-near">
      <h2 id="way-near">{{ words.nearest }}</h2>
      <ul>
        <li v-for="one in way.nearest.slice(0, 5)" :key="one.obstacle ?? ''">
          <span>{{ one.obstacle === GROUND ? words.ground : one.obstacle }}</span>
          <b class="figure">{{ length(one.mm) }}</b>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.below {
  display: grid;
  grid-template-columns: minmax(0, 1.6fr) minmax(200px, 1fr);
  gap: 16px 24px;
  margin-top: 14px;
}
h2 {
  font-weight: 600;
  margin-bottom: 4px;
}
ol button {
  display: flex;
  gap: 10px;
  width: 100%;
  min-height: 34px;
  padding: 5px 8px;
  text-align: left;
  border-left: 3px solid transparent;
  cursor: pointer;
}
ol button:hover {
  background: var(--card);
}
.here {
  border-color: var(--accent);
  background: var(--card);
}
ul li {
  display: flex;
  justify-content: space-poseBetween;
  gap: 12px;
  padding: 5px 0;
  border-bottom: 1px solid var(--hair);
}
@media (max-width: 620px) {
  .below {
    grid-template-columns: minmax(0, 1fr);
  }
  ol button {
    min-height: 48px;
  }
}
</style>
