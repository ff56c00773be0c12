import { useLocalStorage, usePreferredDark } from '@vueuse/core'
import { computed, watchEffect } from 'vue'

type Choice = 'light' | 'dark' | 'system'

const choice = useLocalStorage<Choice>('linguator.theme', 'system', { writeDefaults: false })
const systemIsDark = usePreferredDark()
const isDark = computed(() => (choice.value === 'light' || choice.value === 'dark' ? choice.value === 'dark' : systemIsDark.value))
watchEffect(() => {
  document.documentElement.dataset.theme = isDark.value ? 'dark' : 'light'
})

/** Light or dark: as the machine says, until somebody chooses. */
export function useTheme() {
  function toggle(): void {
    choice.value = isDark.value ? 'light' : 'dark'
  }
  return { isDark, toggle }
}
