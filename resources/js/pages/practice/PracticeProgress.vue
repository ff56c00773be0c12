<script setup lang="ts">
import { computed } from 'vue'
import type { PracticeResult } from '@/api/rigs'
import { LEVEL_TITLES } from '@/composables/usePractice'
import { day } from '@/lib/dates'
import { useDrawnWidth } from '@/composables/useNarrow'
import { figure } from '@/lib/numberText'
import { percentOf, placed } from '@/lib/scale'

/** How one gets better: the score of every game kept, oldest first, and the latest by name. */
const props = defineProps<{ games: PracticeResult[] }>()
const width = useDrawnWidth(340, 520)
const HEIGHT = 130
const course = computed(() => [...props.games].reverse())
const x = computed(() => placed({ from: 0, to: Math.max(1, course.value.length - 1) }, { from: 34, to: width.value - 10 }))
const y = placed({ from: 0, to: 1 }, { from: HEIGHT - 18, to: 10 })
const path = computed(() => course.value.map((game, k) => `${k === 0 ? 'M' : 'L'}${x.value(k)} ${y(game.score)}`).join(''))
const LISTED = 12
</script>

<template>
  <section aria-labelledby="progress">
    <h2 id="progress">How it went</h2>
    <p v-if="games.length === 0" class="muted">No game is kept yet. A score of 100 % means: in as few minutes as the best way takes.</p>
    <template v-else>
      <svg
        :viewBox="`0 0 ${width} ${HEIGHT}`"
        class="course"
        role="img"
        :aria-label="`Scores of ${games.length} games, the last ${figure(percentOf(games[0]?.score ?? 0), 0)} %`"
      >
        <g v-for="share in [0, 0.5, 1]" :key="share">
          <line :x1="34" :x2="width - 10" :y1="y(share)" :y2="y(share)" class="grid" />
          <text x="28" :y="y(share) + 4" text-anchor="end">{{ percentOf(share) }} %</text>
        </g>
        <path :d="path" class="line" />
        <circle v-for="(game, k) in course" :key="game.id" :cx="x(k)" :cy="y(game.score)" :r="4" :class="{ lost: !game.is_won }" />
      </svg>
      <table>
        <thead>
          <tr>
            <th scope="col">Game</th>
            <th scope="col">Minutes</th>
            <th scope="col">Best</th>
            <th scope="col">Score</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="game in games.slice(0, LISTED)" :key="game.id">
            <td>
              {{ game.rig }}, {{ LEVEL_TITLES[game.level].toLowerCase() }}, seed <span class="value">{{ game.seed }}</span>
              <span class="muted small">{{ day(game.at) }}{{ game.player === '' ? '' : `, ${game.player}` }}</span>
            </td>
            <td class="value">{{ figure(game.minutes) }}</td>
            <td class="value">{{ figure(game.best_minutes) }}</td>
            <td class="value">{{ game.is_won ? `${figure(percentOf(game.score), 0)} %` : 'given up' }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </section>
</template>

<style scoped>
.course {
  width: 100%;
  max-width: 620px;
  margin: 0.5rem 0;
}
.grid {
  stroke: var(--line);
}
text {
  font-size: 12.5px;
  fill: var(--muted);
}
.line {
  fill: none;
  stroke: var(--petrol-2);
  stroke-width: 2;
}
circle {
  fill: var(--petrol);
}
circle.lost {
  fill: var(--card);
  stroke: var(--stop);
  stroke-width: 2;
}
td .small {
  display: block;
}
</style>
