import { number, numbers, valueOf, type Tool } from '../tool'
import RangeAnswer from './RangeAnswer.vue'

export const range: Tool = {
  key: 'range',
  title: 'Range and range check',
  line: 'how far, and what thirty paces stand for',
  words: ['range check'],
  step: 'wiring',
  fields: [
    number('f_mhz', 'Carrier', '2440', 'MHz'),
    number('power_dbm', 'Power', '14', 'dBm'),
    number('sensitivity_dbm', 'Receiver hears from', '-105', 'dBm'),
    number('tx_gain_dbi', 'Antenna gain, sender', '2', 'dBi'),
    number('rx_gain_dbi', 'and receiver', '2', 'dBi'),
    number('distance_m', 'Distance', '800', 'm', true),
    number('margin_db', 'Margin kept', '10', 'dB'),
    number('check_m', 'Range check at', '27', 'm', true),
    number('reduced_by_db', 'with the power reduced by', '30', 'dB', true),
  ],
  question: (a) => ({
    ...numbers(a, ['f_mhz', 'power_dbm', 'sensitivity_dbm', 'tx_gain_dbi', 'rx_gain_dbi', 'distance_m', 'margin_db']),
    ...(a.check_m && a.reduced_by_db ? { check: { distance_m: valueOf(a.check_m), reduced_by_db: valueOf(a.reduced_by_db) } } : {}),
  }),
  answer: RangeAnswer,
}
