import { VueQueryPlugin, QueryClient } from '@tanstack/vue-query'
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { defineComponent, h } from 'vue'
import { rigsQuery, samplesQuery } from '@/api/rigs'
import RunnableOptions from './RunnableOptions.vue'
import { useRunnable } from '@/composables/useRunnable'

const shown = (rigs: { slug: string; name: string }[]) => {
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } })
  client.setQueryData(rigsQuery.queryKey, { rigs } as never)
  client.setQueryData(samplesQuery.queryKey, {
    samples: [
      { slug: '~avocet', name: 'Avocet' },
      { slug: '~dunlin', name: 'Dunlin' },
    ],
  })
  const page = mount(
    defineComponent(() => {
      const { bench, others } = useRunnable()
      return () => h('select', h(RunnableOptions, { bench: bench.value, others: others.value }))
    }),
    { global: { plugins: [[VueQueryPlugin, { queryClient: client }]] } },
  )
  return {
    own: page.findAll('select > option').map((one) => one.text()),
    samples: page.findAll('optgroup option').map((one) => one.attributes('value')),
  }
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
