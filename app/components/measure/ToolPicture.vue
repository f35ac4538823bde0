<script setup lang="ts">
import { READING_KINDS } from '~~/core/file/build/readingKinds'
import type { TourStep } from '~~/core/measure/tour/tour'
import { stepScene } from '~~/core/show/told/stepText'
import { texts } from '~/texts/en'

/** Where the level or the tape goes: a small picture for each kind of reading, front of the vehicle to the left. */
const pictured = texts.readings.gapPictures
const { step, method } = defineProps<{ step: TourStep; method: 'along' | 'face' }>()
const scene = computed(() => stepScene(step))
const isPoint = computed(() => READING_KINDS[step.quantity].of === 'point')
/** Where the obstacle of a gap stands: seen from the side, or from behind where it is to the left or right. */
const between = computed(() => {
  const [fore, left, up] = step.toward ?? [0, 0, 0]
  const [ahead, aside, above] = [Math.abs(fore), Math.abs(left), Math.abs(up)]
  if (above >= ahead && above >= aside)
    return up > 0
      ? {
          wall: 'M110 10H250V26H110Z',
          part: 'M130 62H230V118H130Z',
          tool: 'M176 26H184V62H176Z',
          word: pictured.above,
        }
      : {
          wall: 'M110 112H250V128H110Z',
          part: 'M130 20H230V76H130Z',
          tool: 'M176 76H184V112H176Z',
          word: pictured.below,
        }
  const isLeftInPicture = ahead >= aside ? fore > 0 : left > 0
  const word =
    ahead >= aside ? (fore > 0 ? pictured.ahead : pictured.behind) : left > 0 ? pictured.left : pictured.right
  return isLeftInPicture
    ? { wall: 'M70 20H90V120H70Z', part: 'M130 34H240V110H130Z', tool: 'M90 68H130V76H90Z', word }
    : { wall: 'M270 20H290V120H270Z', part: 'M120 34H230V110H120Z', tool: 'M230 68H270V76H230Z', word }
})
/** Where on its face a sprocket is read, seen from the left, and where that is along the line seen from above or from behind. */
const face = computed(() => {
  const place = step.quantity === 'sprocket-face' ? step.place : 'front'
  const spots = { front: [42, 70], rear: [138, 70], top: [90, 22], bottom: [90, 118] } as const
  const [x, y] = spots[place]
  const isAlong = place === 'front' || place === 'rear'
  return {
    x,
    y,
    isAlong,
    reach: place === 'front' || place === 'top' ? 216 : 312,
    word: isAlong ? pictured.fromAbove : pictured.fromBehind,
  }
})
/** The measured middle in each scene. */
const target = computed(() => {
  if (scene.value === 'mount') return [200, 74] as const
  if (scene.value === 'sprocket') return [216, 70] as const
  if (scene.value === 'bearing') return [180, 62] as const
  if (scene.value === 'link') return [270, 56] as const
  if (scene.value === 'touch') return [214, 106] as const
  if (scene.value === 'middle') return [214, 74] as const
  if (scene.value === 'hole') return [212, 62] as const
  if (step.role === 'axle-centre') return [276, 76] as const
  if (scene.value === 'axle') return [128, 62] as const
  return step.role === 'on-axis' ? ([62, 66] as const) : ([270, 78] as const)
})
</script>

<template>
  <svg viewBox="0 0 354 140" class="scene" aria-hidden="true">
    <path d="M0 132H354" class="hair" />
    <g v-if="scene === 'gap'">
      <path :d="between.part" class="part" />
      <path :d="between.wall" class="wall" />
      <path :d="between.tool" class="tool" />
      <text x="14" y="24" class="word">{{ between.word }}</text>
    </g>
    <g v-else-if="scene === 'face'">
      <circle cx="90" cy="70" r="50" class="part" stroke-dasharray="5 3" />
      <circle cx="90" cy="70" r="44" class="part" />
      <circle cx="90" cy="70" r="13" class="glass" />
      <path d="M6 18H34M6 18l8-5M6 18l8 5" class="way" />
      <circle :cx="face.x" :cy="face.y" r="7" class="target" />
      <path d="M206 92H322" class="sprocket-edge" />
      <path d="M190 52H340" class="laser" />
      <path :d="`M${face.reach} 54V88`" class="tape" />
      <circle :cx="face.reach" cy="90" r="6" class="target" />
      <text x="190" y="26" class="word">{{ face.word }}</text>
      <text x="190" y="124" class="word">{{ pictured.lineHeld }}</text>
    </g>
    <g v-else-if="scene === 'slack'">
      <circle cx="66" cy="62" r="24" class="part" />
      <circle cx="282" cy="62" r="44" class="part" />
      <path d="M64 38 276 18" class="chain" />
      <path d="M66 86Q176 122 280 106" class="chain" />
      <path d="M66 86Q176 84 280 106" class="chain away" />
      <path d="M176 90V116M176 90l-4 7M176 90l4 7M176 116l-4 -7M176 116l4 -7" class="way" />
    </g>
    <g v-else-if="scene === 'arm'">
      <circle cx="120" cy="104" r="13" class="part" />
      <path d="M108 100 196 18 206 28 126 112Z" class="part" />
      <circle cx="196" cy="26" r="6" class="glass" />
      <g transform="translate(128 92) rotate(-43)">
        <rect y="-26" width="86" height="20" rx="3" class="tool" />
        <rect x="30" y="-21" width="26" height="11" rx="2" class="glass" />
      </g>
      <path d="M120 104V12" class="way" stroke-dasharray="4 4" />
      <path d="M120 40A64 64 0 0 1 165 58" class="way" />
    </g>
    <g v-else-if="scene === 'string'">
      <path d="M40 20h22v22H40ZM292 98h22v22h-22Z" class="part" />
      <path d="M62 31H190V109H292" class="tape" />
      <path d="M62 31H130Q190 31 190 74T236 109H292" class="chain away" />
      <circle cx="190" cy="31" r="6" class="target" />
      <circle cx="190" cy="109" r="6" class="target" />
    </g>
    <g v-else-if="scene === 'sprocket'">
      <circle cx="216" cy="70" r="56" class="part" stroke-dasharray="5 3" />
      <circle cx="216" cy="70" r="50" class="part" />
      <path d="M20 14 214 14M20 126 214 126" class="chain" />
    </g>
    <g v-else-if="scene === 'rail'">
      <path d="M14 66 340 78V98L14 86Z" class="part" />
      <g transform="translate(110 40) rotate(2.1)">
        <rect width="130" height="26" rx="3" class="tool" />
        <rect x="48" y="6" width="34" height="14" rx="2" class="glass" />
      </g>
      <path d="M20 40H70M20 40l10-6M20 40l10 6" class="way" />
      <text x="76" y="45" class="word">front</text>
    </g>
    <g v-else-if="scene === 'across'">
      <path d="M70 70H110V112H70ZM244 62H284V104H244Z" class="part" />
      <g transform="translate(62 58) rotate(-2.6)">
        <rect width="232" height="10" class="bar" />
        <rect x="52" y="-26" width="130" height="26" rx="3" class="tool" />
        <rect x="100" y="-20" width="34" height="14" rx="2" class="glass" />
      </g>
      <text x="22" y="96" class="word">left</text>
      <text x="296" y="92" class="word">right</text>
    </g>
    <g v-else-if="scene === 'axle'">
      <path
        d="M128 40 H146 V52 L206 42 Q232 18 276 22 A54 54 0 0 1 276 130 Q232 134 206 96 L146 78 V88 H128Z"
        class="part"
      />
      <circle cx="276" cy="76" r="12" class="part" />
      <path d="M40 60 338 82" class="axis" />
      <template v-if="!isPoint && method === 'face'">
        <g transform="translate(100 8) rotate(4)">
          <rect width="26" height="112" rx="3" class="tool" />
          <rect x="6" y="40" width="14" height="32" rx="2" class="glass" />
        </g>
      </template>
      <g v-else-if="!isPoint" transform="translate(136 14) rotate(4.2)">
        <rect width="116" height="24" rx="3" class="tool" />
        <rect x="42" y="5" width="32" height="14" rx="2" class="glass" />
      </g>
    </g>
    <g v-else-if="scene === 'gearbox'">
      <path d="M30 26 H104 L118 44 H190 L214 60 H262 V96 H214 L190 106 H118 L104 116 H30Z" class="part" />
      <path d="M20 64 342 84" class="axis" />
      <template v-if="!isPoint && method === 'face'">
        <g transform="translate(264 26) rotate(4)">
          <rect width="26" height="104" rx="3" class="tool" />
          <rect x="6" y="36" width="14" height="32" rx="2" class="glass" />
        </g>
      </template>
      <g v-else-if="!isPoint" transform="translate(116 18) rotate(3.6)">
        <rect width="116" height="24" rx="3" class="tool" />
        <rect x="42" y="5" width="32" height="14" rx="2" class="glass" />
      </g>
    </g>
    <g v-else-if="scene === 'shaft'">
      <path d="M60 56 300 76V98L60 78Z" class="part" />
      <circle cx="50" cy="66" r="13" class="part" />
      <circle cx="312" cy="88" r="13" class="part" />
      <g transform="translate(120 32) rotate(4.8)">
        <rect width="116" height="24" rx="3" class="tool" />
        <rect x="42" y="5" width="32" height="14" rx="2" class="glass" />
      </g>
    </g>
    <g v-else-if="scene === 'bearing'">
      <path d="M104 112H256V124H104ZM124 112L140 78A44 44 0 0 1 220 78L236 112Z" class="part" />
      <circle cx="180" cy="62" r="34" class="part" />
      <circle cx="180" cy="62" r="15" class="glass" />
      <circle cx="118" cy="118" r="4" class="glass" />
      <circle cx="242" cy="118" r="4" class="glass" />
    </g>
    <g v-else-if="scene === 'link'">
      <path d="M20 20H64V86H20ZM250 22H330V44H290V86H250Z" class="part" />
      <path d="M74 70 258 50 262 66 76 88Z" class="part" />
      <circle cx="66" cy="80" r="17" class="part" />
      <circle cx="66" cy="80" r="6" class="glass" />
      <circle cx="270" cy="56" r="17" class="part" />
    </g>
    <g v-else-if="scene === 'touch'">
      <path d="M30 20H150L170 40H246V76L232 106H196L170 90H70L30 76Z" class="part" />
      <path d="M20 126H340V136H20Z" class="wall" />
    </g>
    <g v-else-if="scene === 'middle'">
      <path d="M20 56 168 66V88L20 78Z" class="part" />
      <path d="M236 70 340 92V112L236 92Z" class="part" />
      <path d="M150 20H206V34H196V52H160V34H150Z" class="part" />
      <circle cx="178" cy="74" r="24" class="part" />
      <circle cx="178" cy="74" r="10" class="glass" />
      <circle cx="214" cy="74" r="14" class="part" />
    </g>
    <g v-else-if="scene === 'hole'">
      <path d="M20 40H340V84H20Z" class="part" />
      <circle v-for="x in [90, 150, 212, 280]" :key="x" :cx="x" cy="62" r="7" class="glass" />
    </g>
    <g v-else>
      <path d="M60 100H340V120H60Z" class="part" />
      <path d="M176 84H224V100H176ZM168 62H232V84H168Z" class="part" />
      <path d="M120 22 H280 L260 62 H140Z" class="part" />
    </g>

    <g v-if="isPoint">
      <path v-if="step.quantity === 'point-station'" :d="`M12 ${target[1]}H${target[0]}`" class="tape" />
      <path v-if="step.quantity === 'point-station'" d="M12 20V128" class="axis" />
      <path v-if="step.quantity === 'point-height'" :d="`M${target[0]} 124V${target[1]}`" class="tape" />
      <path v-if="step.quantity === 'point-height'" d="M6 124H348" class="axis" />
      <template v-if="step.quantity === 'point-offset'">
        <path :d="`M${target[0] - 34} ${target[1] + 34}L${target[0]} ${target[1]}`" class="tape" />
        <path :d="`M6 ${target[1] + 34}H348`" class="axis" />
      </template>
      <circle :cx="target[0]" :cy="target[1]" r="7" class="target" />
    </g>
  </svg>
</template>

<style scoped>
.scene {
  width: 100%;
  max-width: 420px;
  display: block;
}
.part {
  fill: var(--part);
  stroke: var(--part-line);
  stroke-width: 1.5;
}
.wall {
  fill: var(--hair);
  stroke: var(--part-line);
  stroke-width: 1.5;
}
.hair {
  stroke: var(--hair);
}
.tool {
  fill: var(--card);
  stroke: var(--accent);
  stroke-width: 2.5;
}
.bar {
  fill: var(--hair);
}
.chain {
  fill: none;
  stroke: var(--ink);
  stroke-width: 4;
  stroke-dasharray: 7 3;
}
.away {
  opacity: 0.4;
}
.laser {
  stroke: var(--out);
  stroke-width: 2;
  stroke-dasharray: 12 4 2 4;
}
.sprocket-edge {
  stroke: var(--part-line);
  stroke-width: 9;
}
.glass {
  fill: var(--wash);
  stroke: var(--accent);
}
.axis {
  stroke: var(--accent);
  stroke-width: 1.2;
  stroke-dasharray: 12 4 2 4;
  fill: none;
}
.tape {
  stroke: var(--accent);
  stroke-width: 4;
}
.target {
  fill: var(--card);
  stroke: var(--accent);
  stroke-width: 3;
}
.way {
  stroke: var(--soft);
  stroke-width: 2;
  fill: none;
}
.word {
  fill: var(--soft);
  font-size: 15px;
}
</style>
