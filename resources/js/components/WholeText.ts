import { h } from 'vue'

/** A figure or a range of figures with its unit. */
const FIGURE = /(\d[\d.]*(?:–\d[\d.]*)? (?:µs|ms|s|%|mV|V|mA|A|mm|cm|m|Hz|kHz|MHz|GHz|mW|dBm|dB|kB|bytes)(?![\p{L}\p{N}]))/u

/** A text in which no line ends between a figure and its unit, nor within a range. */
export const WholeText = ({ text }: { text: string }) =>
  text.split(FIGURE).map((one, k) => (k % 2 === 1 ? h('span', { class: 'line-whole' }, one) : one))
WholeText.props = { text: { type: String, required: true } }
