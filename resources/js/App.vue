<script setup lang="ts">
import { ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import AwayLine from './components/AwayLine.vue'
import KeysHelp from './components/KeysHelp.vue'
import NoticeLine from './components/NoticeLine.vue'
import SearchBox from './components/SearchBox.vue'
import UnitSwitch from './components/UnitSwitch.vue'
import { OPEN_LISTS } from './composables/useListbox'
import { useKeptFocus } from './composables/useKeptFocus'
import { useKeys } from './composables/useKeys'
import { useTheme } from './composables/useTheme'
import { antTheme } from './theme/ant'

const route = useRoute()
useKeptFocus()
const { isDark, toggle } = useTheme()
const search = ref<InstanceType<typeof SearchBox> | null>(null)
const helpIsOpen = ref(false)
/** On a phone the ways to other pages are behind a button, so that the head is one row. */
const menuIsOpen = ref(false)
watch(
  () => route.fullPath,
  () => (menuIsOpen.value = false),
)

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
      <header class="head" :class="{ open: menuIsOpen }" @keydown.esc="menuIsOpen = false">
        <button class="head-button menu-button" type="button" :aria-expanded="menuIsOpen" aria-controls="main-nav" @click="menuIsOpen = !menuIsOpen">
          <svg viewBox="0 0 18 14" aria-hidden="true" focusable="false"><path d="M1 2H17M1 7H17M1 12H17" /></svg>
          <span class="sr-only">Menu</span>
        </button>
        <RouterLink to="/" class="brand">Linguator</RouterLink>
        <nav id="main-nav" aria-label="Main">
          <RouterLink to="/" :class="{ here: ['bench', 'rig', 'tool'].includes(String(route.name)) }">Bench</RouterLink>
          <RouterLink to="/shelf" :class="{ here: route.name === 'shelf' }">Shelf</RouterLink>
          <RouterLink to="/signals" :class="{ here: ['signals', 'live', 'compare', 'formats'].includes(String(route.name)) }">Signal desk</RouterLink>
          <RouterLink to="/dry-bench" :class="{ here: route.name === 'dry-bench' || route.name === 'practice' }">Dry bench</RouterLink>
          <RouterLink to="/fault" :class="{ here: route.name === 'fault' }">Faults</RouterLink>
          <RouterLink to="/logbook" :class="{ here: route.name === 'logbook' || route.name === 'moment' }">Logbook</RouterLink>
        </nav>
        <SearchBox ref="search" />
        <div class="head-tools">
          <UnitSwitch v-if="route.name === 'rig'" />
          <button class="head-button" type="button" @click="toggle">{{ isDark ? 'Light' : 'Dark' }}</button>
          <button class="head-button keys-button" type="button" :aria-expanded="helpIsOpen" @click="helpIsOpen = !helpIsOpen">
            Keys <kbd>?</kbd>
          </button>
        </div>
      </header>
      <AwayLine />
      <KeysHelp v-if="helpIsOpen" @close="helpIsOpen = false" />
      <RouterView />
      <NoticeLine />
    </template>
    <section :id="OPEN_LISTS" aria-label="Open lists"></section>
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
.head-tools {
  display: contents;
}
.menu-button {
  display: none;
}
.menu-button svg {
  width: 20px;
  fill: none;
  stroke: currentcolor;
  stroke-width: 2;
  stroke-linecap: round;
}
@media (max-width: 900px) {
  .head {
    flex-wrap: wrap;
    gap: 0 0.7rem;
    padding: 0 0.7rem;
    min-height: 48px;
  }
  .menu-button {
    display: flex;
    align-items: center;
    justify-content: center;
    width: 44px;
    border-color: transparent;
    padding: 0;
  }
  .head-button {
    min-height: 44px;
  }
  nav,
  .head-tools {
    display: none;
  }
  .open nav {
    display: flex;
    flex-direction: column;
    flex: 1 1 100%;
    order: 8;
    border-top: 1px solid var(--head-line);
  }
  .open nav a {
    min-height: 44px;
    padding: 0.6rem 0.4rem;
    border-bottom: 0;
    border-left: 3px solid transparent;
  }
  .open nav a.here {
    border-left-color: var(--amber-line);
  }
  .open .head-tools {
    display: flex;
    gap: 0.7rem;
    flex: 1 1 100%;
    order: 9;
    padding: 0.5rem 0 0.7rem;
  }
}
@media print {
  .head {
    display: none;
  }
}
</style>
