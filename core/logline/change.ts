import type { Tank } from '../household/tanks.ts'
import type { ContentOf } from '../journal/entry.ts'
import { readReading } from './reading.ts'
import { replaceToken, type Token } from './tokens.ts'
import { choose, isStop, unclear, type LogContext, type Stop } from './types.ts'
import { readWaterChange } from './water.ts'

type Replacement = NonNullable<ContentOf<'water-change'>['replacement']>

const NEW_WATER = new Set(['with', 'new'])

/** What of the new water is kept, by the parameter that a reading of it is of. */
const HELD: Readonly<Record<string, keyof Replacement>> = {
  copper: 'copperMgPerL',
  salinity: 'salinityPsu',
  temp: 'temperatureC',
}

/**
 * A water change with what the new water holds: `15L`, `15L with cu 2.25`, `20% new cu 2.2 sal 33`. Copper after the amount
 * alone could be a test of the tank: it is asked.
 */
export function readChange(
  line: string,
  tokens: readonly Token[],
  tank: Tank,
  happened: string,
  context: LogContext,
): { content: ContentOf<'water-change'>; words: number } | Stop {
  const change = readWaterChange(line, tokens, tank, happened, context)
  if (isStop(change)) return change
  const first = tokens[change.words]
  if (!first) return change
  if (!NEW_WATER.has(first.key)) {
    const reading = readReading(line, tokens.slice(change.words), tank, happened, context)
    if (reading === null || isStop(reading) || HELD[reading.content.parameter] === undefined) return change
    return choose('does the new water hold that? A test of the tank is a line of its own', [
      { label: 'the new water', text: replaceToken(line, { from: first.from, to: first.from }, 'with ') },
    ])
  }
  const replacement: Replacement = {}
  let words = change.words + 1
  while (words < tokens.length) {
    const reading = readReading(line, tokens.slice(words), tank, happened, context)
    if (reading === null) break
    if (isStop(reading)) return reading
    const held = HELD[reading.content.parameter]
    if (held === undefined || reading.content.result.kind !== 'value')
      return unclear('of the new water copper, salinity and temperature are kept, each as one number')
    replacement[held] = reading.content.result.value
    words += reading.words
  }
  if (words === change.words + 1) return unclear('what does the new water hold? As in: with cu 2.25')
  return { content: { ...change.content, replacement }, words }
}
