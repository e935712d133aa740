import {
  AcclimationPlan,
  CompareInput,
  CompareOutput,
  PlanInput,
  SimulateInput,
  Simulation,
} from '../acclimation/acclimation.schema.ts'
import { AmmoniaComparison, CompareAmmoniaInput, FreeAmmonia, FreeAmmoniaInput } from '../ammonia/ammonia.schema.ts'
import { Clock, ClockInput } from '../clock/clock.schema.ts'
import {
  ConcentrationFit,
  ConcentrationFitInput,
  ConcentrationPath,
  ConcentrationPathInput,
} from '../concentration/concentration.schema.ts'
import { DoseAmount, DoseAmountInput, DoseRamp, DoseRampInput, Redose, RedoseInput } from '../dosing/dosing.schema.ts'
import { Diagnosis, DiagnosisInput } from '../diagnosis/diagnosis.schema.ts'
import { PeroxideStrength, PeroxideStrengthInput } from '../dosing/peroxide.schema.ts'
import {
  Microscopy,
  MicroscopyInput,
  TrendFit,
  TrendFitInput,
  Uptake,
  UptakeInput,
} from '../evidence/evidence.schema.ts'
import {
  DipPlan,
  DipPlanInput,
  PestByCounts,
  PestByCountsInput,
  PestClearance,
  PestClearanceInput,
} from '../pests/pests.schema.ts'
import { TransferCheck, TransferCheckInput } from '../transfer/transfer.schema.ts'
import { UvSize, UvSizeInput } from '../uv/uv.schema.ts'
import { LogLineInput, LogLineOutput } from '../logline/logline.schema.ts'
import { JournalReadInput, JournalReadOutput } from '../journal/read.schema.ts'
import { ConcernsInput, ConcernsOutput } from '../safety/safety.schema.ts'
import { StandingInput, StandingOutput } from '../courses/standing/standing.schema.ts'
import { CourseRisk, CourseRiskInput, FallowRisk, FallowRiskInput } from '../risk/risk.schema.ts'
import { Salinity, SalinityConvertInput, SalinitySwap, SalinitySwapInput } from '../salinity/salinity.schema.ts'
import { TankVolume, VolumeFromDose, VolumeFromDoseInput, VolumeSheet } from '../volume/volume.schema.ts'
import {
  ChangeForTarget,
  ChangeForTargetInput,
  ChangeSequence,
  ChangeSequenceInput,
} from '../water-change/water-change.schema.ts'
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
  'dose.amount': { input: DoseAmountInput, output: DoseAmount },
  'dose.ramp': { input: DoseRampInput, output: DoseRamp },
  'dose.afterWaterChange': { input: RedoseInput, output: Redose },
  'waterChange.sequence': { input: ChangeSequenceInput, output: ChangeSequence },
  'waterChange.forTarget': { input: ChangeForTargetInput, output: ChangeForTarget },
  'concentration.path': { input: ConcentrationPathInput, output: ConcentrationPath },
  'concentration.fit': { input: ConcentrationFitInput, output: ConcentrationFit },
  'clock.therapeutic': { input: ClockInput, output: Clock },
  'course.risk': { input: CourseRiskInput, output: CourseRisk },
  'fallow.risk': { input: FallowRiskInput, output: FallowRisk },
  'peroxide.strength': { input: PeroxideStrengthInput, output: PeroxideStrength },
  'uptake.estimate': { input: UptakeInput, output: Uptake },
  'transfer.check': { input: TransferCheckInput, output: TransferCheck },
  'dip.plan': { input: DipPlanInput, output: DipPlan },
  'pest.clearance': { input: PestClearanceInput, output: PestClearance },
  'pest.clearanceByCounts': { input: PestByCountsInput, output: PestByCounts },
  'acclimation.simulate': { input: SimulateInput, output: Simulation },
  'acclimation.plan': { input: PlanInput, output: AcclimationPlan },
  'acclimation.compare': { input: CompareInput, output: CompareOutput },
  'trend.fit': { input: TrendFitInput, output: TrendFit },
  'microscopy.ratio': { input: MicroscopyInput, output: Microscopy },
  'diagnosis.rank': { input: DiagnosisInput, output: Diagnosis },
  'uv.size': { input: UvSizeInput, output: UvSize },
  'journal.read': { input: JournalReadInput, output: JournalReadOutput },
  'logline.read': { input: LogLineInput, output: LogLineOutput },
  'courses.concerns': { input: ConcernsInput, output: ConcernsOutput },
  'courses.standing': { input: StandingInput, output: StandingOutput },
}
