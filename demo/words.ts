import { parameterById, typicalUncertainty, type ParameterId } from '../core/catalogue/parameter.ts'
import type { ContentOf } from '../core/journal/entry.ts'
import type { Diary } from './diary.ts'

const rounded = (value: number, decimals: number) => Number(Math.max(0, value).toFixed(decimals))

/** A reading with a typical kit's uncertainty, rounded as the kit would show it. */
export function reading(tankId: string, parameter: ParameterId, value: number): Omit<ContentOf<'reading'>, 'happened'> {
  const known = parameterById(parameter)!
  const shown = rounded(value, known.decimals)
  return {
    kind: 'reading',
    tankId,
    parameter,
    result: { kind: 'value', value: shown },
    unit: known.unit,
    uncertainty: rounded(typicalUncertainty(known, shown), 4),
    ...(known.kept === null && { basis: 'NH4' as const }),
  }
}

/** Readings of several parameters at one time, each a little off a straight line from one value to another. */
export function series(
  diary: Diary,
  tankId: string,
  days: readonly number[],
  time: string,
  lines: readonly { parameter: ParameterId; from: number; to: number; wobble: number }[],
): void {
  const [first, last] = [days[0]!, days.at(-1)!]
  for (const day of days) {
    const share = last === first ? 1 : (day - first) / (last - first)
    for (const { parameter, from, to, wobble } of lines)
      diary.on(day, time, reading(tankId, parameter, from + (to - from) * share + wobble * diary.wobble()))
  }
}

/** Every so many days from a first to a last, both counted. */
export function every(step: number, from: number, to: number): number[] {
  const days = []
  for (let day = from; day <= to; day += step) days.push(day)
  return days
}

export const change = (tankId: string, litres: number) => ({ kind: 'water-change' as const, tankId, litres })

export const fed = (
  tankId: string,
  animalIds: string[],
  words: string,
  appetite = 3,
): Omit<ContentOf<'sighting'>, 'happened'> => ({
  kind: 'sighting',
  tankId,
  animalIds,
  signs: [],
  appetite,
  words,
})

export const saw = (
  tankId: string,
  animalIds: string[],
  words: string,
  ...signs: string[]
): Omit<ContentOf<'sighting'>, 'happened'> => ({
  kind: 'sighting',
  tankId,
  animalIds,
  signs: signs.map((sign) => ({ sign, present: true })),
  words,
})

export const remark = (tankId: string, text: string) => ({ kind: 'note' as const, tankId, text })
