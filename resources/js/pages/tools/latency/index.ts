import { lines, valueOf, linesOf, type Tool } from '../tool'
import LatencyAnswer from './LatencyAnswer.vue'

export const latency: Tool = {
  key: 'latency',
  title: 'Delay',
  line: 'from stick to servo, stage by stage',
  words: ['delay', 'frame period', '19 times in 20'],
  step: 'timing',
  fields: [lines('stages', 'Stages', 'name, period ms, transit ms, phases', 'handset, 4, 0.5\nair, 9, 1.2\nreceiver wire, 9, 3\nservo, 20, 1.5')],
  question: (a) => ({
    stages: linesOf(a.stages ?? '').map(([name, period, transit, phases]) => ({
      name: name ?? '',
      period_ms: valueOf(period ?? ''),
      transit_ms: valueOf(transit ?? ''),
      ...(phases ? { phases: valueOf(phases) } : {}),
    })),
  }),
  answer: LatencyAnswer,
}
