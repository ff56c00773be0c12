<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { LEVELS, type Level } from '@/composables/usePractice'
import PracticeGame from './PracticeGame.vue'
import PracticeStart from './PracticeStart.vue'

/** Finding faults that are hidden on purpose: which game it is stands in the address, so that it can be given to somebody else. */
const route = useRoute()
const text = (value: unknown) => (typeof value === 'string' && value !== '' ? value : null)
const level = computed<Level>(() => LEVELS.find((one) => one.key === route.params.level)?.key ?? 'plain')
const game = computed(() => {
  const [rig, seed] = [text(route.params.rig), text(route.params.seed)]
  return rig === null || seed === null ? null : { rig, seed, level: level.value }
})
</script>

<template>
  <main id="main" class="page">
    <PracticeGame v-if="game" :key="`${game.rig}/${game.level}/${game.seed}`" v-bind="game" />
    <PracticeStart v-else :first="text(route.query.rig)" />
  </main>
</template>
