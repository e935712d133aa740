import { compareAmmonia, freeAmmonia } from '../ammonia/ammonia.ts'
import { readJournal } from '../journal/read.ts'
import type { Result } from '../result/result.ts'
import { convertSalinity, swapSalinity } from '../salinity/salinity.ts'
import { tankVolume, volumeFromDose } from '../volume/volume.ts'
import { changeSequence } from '../water-change/water-change.ts'

/** A pure function the core offers to the outside under a name. */
interface Operation<I, O> {
  summary: string
  run: (input: I) => Result<O>
}

const operation = <I, O>(summary: string, run: (input: I) => Result<O>): Operation<I, O> => ({ summary, run })

/** Everything the core can do for the outside, by the names of the design contract. */
export const OPERATIONS = {
  'tank.volume': operation('net water volume of a tank from its dimensions, sand, rock and sump', tankVolume),
  'tank.volumeFromDose': operation('net water volume from a known dose and the rise it made', volumeFromDose),
  'salinity.convert': operation('practical salinity, specific gravity and density of sea water', convertSalinity),
  'salinity.swap': operation('litres to swap, step by step, to move the salinity', swapSalinity),
  'ammonia.free': operation('free ammonia out of the total, by pH, temperature and salinity', freeAmmonia),
  'ammonia.compare': operation(
    'whether a total-ammonia kit and a free-ammonia card contradict each other',
    compareAmmonia,
  ),
  'waterChange.sequence': operation(
    'level after each of several water changes, and what is left of the first water',
    changeSequence,
  ),
  'journal.read': operation('reads an exported journal file as the import does, keeping nothing', readJournal),
} as const

export type OperationName = keyof typeof OPERATIONS
export type InputOf<N extends OperationName> = Parameters<(typeof OPERATIONS)[N]['run']>[0]
export type OutputOf<N extends OperationName> =
  ReturnType<(typeof OPERATIONS)[N]['run']> extends Result<infer O> ? O : never
