import { AmmoniaComparison, CompareAmmoniaInput, FreeAmmonia, FreeAmmoniaInput } from '../ammonia/ammonia.schema.ts'
import { JournalReadInput, JournalReadOutput } from '../journal/read.schema.ts'
import { Salinity, SalinityConvertInput, SalinitySwap, SalinitySwapInput } from '../salinity/salinity.schema.ts'
import { TankVolume, VolumeFromDose, VolumeFromDoseInput, VolumeSheet } from '../volume/volume.schema.ts'
import { ChangeSequence, ChangeSequenceInput } from '../water-change/water-change.schema.ts'
import type { OperationName } from './registry.ts'
import type { TSchema } from 'typebox'

/**
 * Input and output schema of every operation. Kept apart from the registry so that the schema builder never ships to the
 * browser: the input checks are generated from here (scripts/generate).
 */
export const OPERATION_SCHEMAS: Record<OperationName, { input: TSchema; output: TSchema }> = {
  'tank.volume': { input: VolumeSheet, output: TankVolume },
  'tank.volumeFromDose': { input: VolumeFromDoseInput, output: VolumeFromDose },
  'salinity.convert': { input: SalinityConvertInput, output: Salinity },
  'salinity.swap': { input: SalinitySwapInput, output: SalinitySwap },
  'ammonia.free': { input: FreeAmmoniaInput, output: FreeAmmonia },
  'ammonia.compare': { input: CompareAmmoniaInput, output: AmmoniaComparison },
  'waterChange.sequence': { input: ChangeSequenceInput, output: ChangeSequence },
  'journal.read': { input: JournalReadInput, output: JournalReadOutput },
}
