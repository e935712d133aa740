import type { EquipmentItem, Tank } from '../household/tanks.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Token } from './tokens.ts'
import { choose, type Stop } from './types.ts'

type EquipmentContent = ContentOf<'equipment'>

/** What a keeper types for each piece of equipment; the longer names first. */
const NAMES: readonly [string, EquipmentItem][] = [
  ['auto top off', 'auto-top-off'],
  ['auto top-off', 'auto-top-off'],
  ['auto-top-off', 'auto-top-off'],
  ['activated carbon', 'carbon'],
  ['ammonia binder', 'ammonia-binder'],
  ['dosing pump', 'dosing-pump'],
  ['protein skimmer', 'skimmer'],
  ['metal resin', 'resin'],
  ['flow pump', 'flow'],
  ['flow pumps', 'flow'],
  ['air pump', 'air'],
  ['air stone', 'air'],
  ['uv lamp', 'uv'],
  ['ato', 'auto-top-off'],
  ['carbon', 'carbon'],
  ['uv', 'uv'],
  ['ozone', 'ozone'],
  ['skimmer', 'skimmer'],
  ['flow', 'flow'],
  ['pump', 'flow'],
  ['pumps', 'flow'],
  ['wavemaker', 'flow'],
  ['powerhead', 'flow'],
  ['powerheads', 'flow'],
  ['heater', 'heater'],
  ['air', 'air'],
  ['airstone', 'air'],
  ['light', 'light'],
  ['lights', 'light'],
  ['lamp', 'light'],
  ['resin', 'resin'],
  ['doser', 'dosing-pump'],
  ['co2', 'co2'],
  ['zeolite', 'ammonia-binder'],
]
const RUNS: Readonly<Record<string, boolean>> = {
  on: true,
  in: true,
  running: true,
  runs: true,
  started: true,
  off: false,
  out: false,
  stopped: false,
  removed: false,
  unplugged: false,
}
const PASSED_OVER = new Set([
  'the',
  'is',
  'are',
  'back',
  'and',
  '&',
  '+',
  'turned',
  'turn',
  'switched',
  'switch',
  'put',
  'took',
  'take',
  'taken',
  'now',
])

function itemAt(tokens: readonly Token[], at: number): { item: EquipmentItem; words: number } | null {
  for (const [name, item] of NAMES) {
    const words = name.split(' ')
    if (words.every((word, i) => tokens[at + i]?.key === word)) return { item, words: words.length }
  }
  return null
}

/**
 * Reads pieces of equipment being switched: `carbon in`, `uv off, skimmer on`, `turned off the flow and the skimmer`.
 * @param tokens the words after the tank's name
 * @returns null where the words are of something else
 */
export function readEquipment(
  line: string,
  tokens: readonly Token[],
  tank: Tank,
  happened: string,
): EquipmentContent[] | Stop | null {
  const found: { item: EquipmentItem; running: boolean | null }[] = []
  /** A state said before its items: "turned off the flow and the skimmer". */
  let leading: boolean | null = null
  for (let i = 0; i < tokens.length;) {
    const token = tokens[i]!
    const named = itemAt(tokens, i)
    const runs = RUNS[token.key]
    if (named) {
      found.push({ item: named.item, running: leading })
      i += named.words
    } else if (runs !== undefined) {
      const waiting = found.filter(({ running }) => running === null)
      if (waiting.length > 0) for (const one of waiting) one.running = runs
      else leading = runs
      i++
    } else if (PASSED_OVER.has(token.key)) i++
    else return null
    if (tokens[i - 1]!.comma) leading = null
  }
  if (found.length === 0) return null
  if (found.some(({ running }) => running === null))
    return choose(
      `${found.map(({ item }) => item.replaceAll('-', ' ')).join(', ')}: on, or off?`,
      ['on', 'off'].map((word) => ({ label: word, text: `${line.slice(0, tokens.at(-1)!.to)} ${word}` })),
    )
  return found.map(({ item, running }) => ({
    kind: 'equipment',
    happened,
    tankId: tank.id,
    item,
    running: running!,
  }))
}
