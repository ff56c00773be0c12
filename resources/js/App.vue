<script setup lang="ts">
import { ref } from 'vue'
import { useRoute } from 'vue-router'
import KeysHelp from './components/KeysHelp.vue'
import NoticeLine from './components/NoticeLine.vue'
import SearchBox from './components/SearchBox.vue'
import UnitSwitch from './components/UnitSwitch.vue'
import { useKeys } from './composables/useKeys'
import { useTheme } from './composables/useTheme'
import { antTheme } from './theme/ant'

const route = useRoute()
const { isDark, toggle } = useTheme()
const search = ref<InstanceType<typeof SearchBox> | null>(null)
const helpIsOpen = ref(false)

useKeys((key) => {
  if (key === '/') search.value?.focus()
  else if (key === '?') helpIsOpen.value = !helpIsOpen.value
  else if (key === 'Escape' && helpIsOpen.value) helpIsOpen.value = false
  else return false
  return true
})
</script>

<template>
  <a-config-provider :theme="antTheme(isDark)">
    <RouterView v-if="route.meta.bare" />
    <template v-else>
      <a class="skip" href="#main">To the work</a>
      <header class="head">
        <RouterLink to="/" class="brand">Linguator</RouterLink>
        <nav aria-label="Main">
          <RouterLink to="/" :class="{ here: ['bench', 'rig', 'tool'].includes(String(route.name)) }">Bench</RouterLink>
          <RouterLink to="/shelf" :class="{ here: route.name === 'shelf' }">Shelf</RouterLink>
          <RouterLink to="/signals" :class="{ here: ['signals', 'live', 'compare', 'formats'].includes(String(route.name)) }">Signal desk</RouterLink>
          <RouterLink to="/dry-bench" :class="{ here: route.name === 'dry-bench' || route.name === 'practice' }">Dry bench</RouterLink>
          <RouterLink to="/fault" :class="{ here: route.name === 'fault' }">Faults</RouterLink>
          <RouterLink to="/logbook" :class="{ here: route.name === 'logbook' || route.name === 'moment' }">Logbook</RouterLink>
        </nav>
        <SearchBox ref="search" />
        <UnitSwitch v-if="route.name === 'rig'" />
        <button class="head-button" type="button" @click="toggle">{{ isDark ? 'Light' : 'Dark' }}</button>
        <button class="head-button keys-button" type="button" :aria-expanded="helpIsOpen" @click="helpIsOpen = !helpIsOpen">Keys <kbd>?</kbd></button>
      </header>
      <KeysHelp v-if="helpIsOpen" @close="helpIsOpen = false" />
      <RouterView />
      <NoticeLine />
    </template>
  </a-config-provider>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  gap: 1.1rem;
  background: var(--head);
  color: var(--head-ink);
  padding: 0 1.25rem;
  min-height: 46px;
}
.brand {
  font-weight: 600;
  font-size: 1.2rem;
  color: inherit;
  text-decoration: none;
}
nav {
  display: flex;
  gap: 0.25rem;
  flex: 1;
}
nav a {
  color: inherit;
  text-decoration: none;
  padding: 0.65rem 0.7rem 0.5rem;
  border-bottom: 3px solid transparent;
}
nav a.here {
  border-bottom-color: var(--amber-line);
  font-weight: 600;
}
.head-button {
  background: none;
  border: 1px solid var(--head-line);
  border-radius: var(--radius);
  padding: 0.2rem 0.7rem;
  cursor: pointer;
  color: inherit;
}
kbd {
  font-family: var(--mono);
  font-size: 0.85em;
}
@media (max-width: 700px) {
  .head {
    flex-wrap: wrap;
    gap: 0.2rem 0.8rem;
    padding: 0.3rem 0.9rem 0.5rem;
  }
  nav {
    flex-wrap: wrap;
    flex-basis: 100%;
    gap: 0;
  }
  nav a {
    padding: 0.5rem 0.6rem 0.4rem;
    white-space: nowrap;
  }
  .keys-button {
    display: none;
  }
  .head-button {
    order: 6;
    min-height: 40px;
  }
}
@media print {
  .head {
    display: none;
  }
}
</style>
