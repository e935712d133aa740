import { planAcclimation } from '../acclimation/plan.ts'
import { compareBox } from '../acclimation/together.ts'
import { simulateAcclimation } from '../acclimation/simulate.ts'
import { compareAmmonia, freeAmmonia } from '../ammonia/ammonia.ts'
import { therapeuticClock } from '../clock/clock.ts'
import { concentrationFit } from '../concentration/fit.ts'
import { concentrationPath } from '../concentration/path.ts'
import type { DiagnosisInput } from '../diagnosis/diagnosis.schema.ts'
import { rankDiagnosis } from '../diagnosis/rank.ts'
import { peroxideStrength } from '../dosing/peroxide.ts'
import { microscopyRatio } from '../evidence/microscopy.ts'
import { trendFit } from '../evidence/trend.ts'
import { estimateUptake } from '../evidence/uptake.ts'
import { pestClearance } from '../pests/clearance.ts'
import { pestClearanceByCounts } from '../pests/clearance-by-counts.ts'
// A journal that is handed over may name any course.
import '../catalogue/courses/all-definitions.ts'
import { dipPlan } from '../pests/dip-plan.ts'
import { checkTransfers } from '../transfer/transfer.ts'
import { uvSize } from '../uv/uv.ts'
import { signTable } from '../catalogue/sign-tables/sign-tables.ts'
import { doseAmount, doseRamp, redose } from '../dosing/dosing.ts'
import { readJournal } from '../journal/read.ts'
import { readLogLine } from '../logline/operation.ts'
import { readConcerns } from '../safety/operation.ts'
import { readStanding } from '../courses/standing/standing.ts'
import type { Result } from '../result/result.ts'
import { courseRisk } from '../risk/course-risk.ts'
import { fallowRisk } from '../risk/fallow-risk.ts'
import { convertSalinity, swapSalinity } from '../salinity/salinity.ts'
import { tankVolume, volumeFromDose } from '../volume/volume.ts'
import { changeForTarget, changeSequence } from '../water-change/water-change.ts'

/** Told, now and then, how much of the work is done: 0…1. */
export type Progress = (done: number) => void

/** A pure function the core offers to the outside under a name; a long one tells its progress. */
interface Operation<I, O> {
  summary: string
  run: (input: I, progress?: Progress) => Result<O>
}

const operation = <I, O>(summary: string, run: Operation<I, O>['run']): Operation<I, O> => ({ summary, run })

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
  'dose.amount': operation('how much of a product raises a volume from one level to another', doseAmount),
  'dose.ramp': operation('equal doses up to a target, none raising the level by more than allowed', doseRamp),
  'dose.afterWaterChange': operation('what a water change leaves, and the mass that puts the level back', redose),
  'waterChange.sequence': operation(
    'level after each of several water changes, and what is left of the first water',
    changeSequence,
  ),
  'waterChange.forTarget': operation('how much water to change so that a level comes to a target', changeForTarget),
  'concentration.path': operation(
    'the level of a drug over time, with doses, changes, decay and evaporation',
    concentrationPath,
  ),
  'concentration.fit': operation('the volume and half-life that best explain the readings', concentrationFit),
  'clock.therapeutic': operation('how long a level has provably stayed in its band', therapeuticClock),
  'course.risk': operation('probability that a parasite outlives a course of protected time and moves', courseRisk),
  'fallow.risk': operation('risk left after days without fish', fallowRisk),
  'peroxide.strength': operation('density and strength of a peroxide solution', peroxideStrength),
  'uptake.estimate': operation('how much of something a tank takes up in a day', estimateUptake),
  'transfer.check': operation('whether moves and baths kept a transfer protocol’s rule', checkTransfers),
  'dip.plan': operation('how often and how many times to dip for a pest that lays eggs', dipPlan),
  'pest.clearance': operation('how often a course of dips clears a pest, by simulation', pestClearance),
  'pest.clearanceByCounts': operation(
    'how likely a pest is gone after clean dips, by what came off before',
    pestClearanceByCounts,
  ),
  'acclimation.simulate': operation('a bag floated, opened and mixed, minute by minute', simulateAcclimation),
  'acclimation.plan': operation('the gentlest safe way from the bag to the tank', planAcclimation),
  'acclimation.compare': operation(
    'every way from the bags of a box to the tank, side by side, in one container or two',
    compareBox,
  ),
  'trend.fit': operation('the robust line through readings, its suspects and when it meets a target', trendFit),
  'microscopy.ratio': operation('share of dinoflagellates, slide by slide, and whether it changed', microscopyRatio),
  'diagnosis.rank': operation('conditions ranked by what is seen, and what to look for next', (input: DiagnosisInput) =>
    rankDiagnosis(input, signTable),
  ),
  'uv.size': operation('UV dose a pass and turnovers an hour', uvSize),
  'journal.read': operation('reads an exported journal file as the import does, keeping nothing', readJournal),
  'logline.read': operation('what the log line reads a typed line as, keeping nothing', readLogLine),
  'courses.concerns': operation('what the water speaks against a dose, switch, arrival or move', readConcerns),
  'courses.standing': operation('every course of a journal as it stands: counts, rules, tasks', readStanding),
} as const

export type OperationName = keyof typeof OPERATIONS
export type InputOf<N extends OperationName> = Parameters<(typeof OPERATIONS)[N]['run']>[0]
export type OutputOf<N extends OperationName> =
  ReturnType<(typeof OPERATIONS)[N]['run']> extends Result<infer O> ? O : never
