import { computed, ref, watchEffect } from 'vue'

type Choice = 'light' | 'dark' | 'system'
const KEY = 'linguator.theme'

function stored(): Choice {
  const value = localStorage.getItem(KEY)
  return value === 'light' || value === 'dark' ? value : 'system'
}

const choice = ref<Choice>(stored())
const system = window.matchMedia('(prefers-color-scheme: dark)')
const systemIsDark = ref(system.matches)
system.addEventListener('change', (event) => (systemIsDark.value = event.matches))
const isDark = computed(() => (choice.value === 'system' ? systemIsDark.value : choice.value === 'dark'))
watchEffect(() => {
  document.documentElement.dataset.theme = isDark.value ? 'dark' : 'light'
})

/** Light or dark: as the machine says, until somebody chooses. */
export function useTheme() {
  function toggle(): void {
    choice.value = isDark.value ? 'light' : 'dark'
    localStorage.setItem(KEY, choice.value)
  }
  return { isDark, toggle }
}
