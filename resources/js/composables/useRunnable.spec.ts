import { VueQueryPlugin, QueryClient } from '@tanstack/vue-query'
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { defineComponent, h } from 'vue'
import type { Choice } from '@/lib/choice'
import { rigsQuery, samplesQuery } from '@/api/rigs'
import { useRunnable } from './useRunnable'

const shown = (rigs: { slug: string; name: string }[]) => {
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } })
  client.setQueryData(rigsQuery.queryKey, { rigs } as never)
  client.setQueryData(samplesQuery.queryKey, {
    samples: [
      { slug: '~avocet', name: 'Avocet' },
      { slug: '~dunlin', name: 'Dunlin' },
    ],
  })
  let choices: Choice[] = []
  mount(
    defineComponent(() => {
      const runnable = useRunnable()
      choices = runnable.choices.value
      return () => h('p')
    }),
    { global: { plugins: [[VueQueryPlugin, { queryClient: client }]] } },
  )
  const head = choices.findIndex((one) => one.isOff)
  const labels = choices.map((one) => one.label)
  return head < 0 ? { own: labels, samples: [] } : { own: labels.slice(0, head), samples: choices.slice(head + 1).map((one) => one.value) }
}

describe('what can be run', () => {
  it('is the bench first, then the samples that are not on it', () => {
    expect(shown([{ slug: 'avocet', name: 'Avocet' }])).toEqual({ own: ['Avocet'], samples: ['~dunlin'] })
  })

  it('is the samples where the bench is empty, and no empty group where all are there', () => {
    expect(shown([])).toEqual({ own: [], samples: ['~avocet', '~dunlin'] })
    expect(
      shown([
        { slug: 'a', name: 'Avocet' },
        { slug: 'd', name: 'Dunlin' },
      ]).samples,
    ).toEqual([])
  })
})
