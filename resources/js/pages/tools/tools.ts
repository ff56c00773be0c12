import { bindLadder } from './bind-ladder'
import { encode } from './encode'
import { latency } from './latency'
import { order } from './order'
import { percent } from './percent'
import { power } from './power'
import { pulseTrain } from './pulse-train'
import { range } from './range'
import { rates } from './rates'
import { switchLevels } from './switch'
import { thresholds } from './thresholds'
import { tune } from './tune'
import type { Tool } from './tool'

/** The quick tools in the sequence of the list: each has a folder with its questions and its answer. */
export const TOOLS: Tool[] = [order, tune, thresholds, switchLevels, rates, percent, pulseTrain, latency, power, range, bindLadder, encode]
