import { PROSE } from '../catalogue/courses/prose.data.ts'
import { COMPARED_CONDITIONS, coverOf, type Cover } from '../catalogue/courses/coverage.data.ts'
import { DEFINITIONS } from '../catalogue/courses/all-definitions.ts'
import { withChosenParts, type Definition } from '../catalogue/courses/definitions.ts'
import { SCHOOLS } from '../catalogue/treatments/schools.data.ts'
import { doseById } from '../catalogue/treatments/treatments.ts'
import { leastMoves, moveTrackOf } from '../catalogue/courses/move-track.ts'
import { watchDays } from '../courses/tracks/watch.ts'
import { handlingLoad } from '../handling/planned.ts'
import type { Animal } from '../household/animals.ts'
import { tankById } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { bySeverity, SEVERITY_RANK, type Concern } from '../safety/concern.ts'
import { sensitivityConcerns } from '../safety/judge/sensitivities.ts'
import { treatmentConcerns } from '../safety/judge/treat-water.ts'
import { residentOf } from '../safety/water/residents.ts'
import { adviceOn, type AnimalAdvice } from './advice.ts'
import { schoolNeeds, type SchoolNeed } from './needs.ts'
import { MODELLED, schoolRisk, type Modelled, type SchoolRisk } from './risk.ts'
import type { RiskAssumption } from '../risk/shelter.ts'

/** A school as it stands in the comparison, for the animals at hand. */
export interface SchoolColumn {
  definition: Definition
  /** What it covers, in the order of `COMPARED_CONDITIONS`. */
  covers: readonly Cover[]
  /** Core days, then days of watching at least and better; none where it is watched alone. */
  coreDays: number
  watch: { least: number; preferred: number } | null
  moves: number
  /** Doses and baths if nothing is changed between them. */
  doses: number
  /** Hands-on hours of the whole course (EA). */
  effortHours: readonly number[] | null
  /** Worst rolling week, caught with a container. */
  load: number
  needs: readonly SchoolNeed[]
  /** What speaks against it for these animals and in this water: the gravest first. */
  concerns: readonly Concern[]
  risks: readonly SchoolRisk[]
  /** What breaks it. */
  breaks: string
}

export interface Comparison {
  columns: readonly SchoolColumn[]
  advice: readonly AnimalAdvice[]
}

/** Marine schools are compared; fresh water has one. */
const isCompared = ({ kind, water }: Definition): boolean => kind === 'school' && water === undefined

/** What is taken on without any option: the dewormings are told apart from the school. */
const BARE: Readonly<Record<string, string>> = { deworm: 'none' }

/** Steps up to a dose are told as one dose each: quarantine.md 5.5, chelated copper. */
const RAMP_STEPS = 4

function dosesOf({ tracks, drugs }: Definition): number {
  const held = drugs.length === 0 ? 0 : drugs.some((id) => doseById(id)?.agent !== 'chloroquine') ? RAMP_STEPS : 1
  return tracks.reduce((sum, track) => sum + (track.kind === 'rounds' && 'need' in track ? track.need : 0), held)
}

function movesOf({ tracks, ends }: Definition): number {
  const track = moveTrackOf({ tracks })
  return track ? leastMoves(track.rule) : ends === 'move' ? 1 : 0
}

/** What a school puts on the fish or into the water: its drug in each form that it may take, its low salinity, its baths. */
function treatmentsOf({ drugs, tracks }: Definition) {
  return [
    ...drugs.flatMap((id) => {
      const dose = doseById(id)
      return dose ? [{ agent: dose.agent, dose, isBath: false }] : []
    }),
    ...tracks.flatMap((track) => {
      if (track.kind === 'hold' && track.by === 'salinity') return [{ agent: 'hyposalinity', isBath: false }]
      const dose = track.kind === 'rounds' && 'dose' in track ? doseById(track.dose) : undefined
      return dose ? [{ agent: dose.agent, dose, isBath: dose.route === 'bath' }] : []
    }),
  ]
}

/** The mildest drug of a school speaks for it: another may be chosen. */
function concernsOfSchool(
  journal: Journal,
  definition: Definition,
  animals: readonly Animal[],
  tankId: string | null,
  now: number,
): Concern[] {
  const treatments = treatmentsOf(definition)
  const of = ({
    agent,
    dose,
    isBath,
  }: (typeof treatments)[number] & { dose?: ReturnType<typeof doseById> }): Concern[] => {
    const treatment = { agent, ...(dose && { dose }), ...(isBath && { isBath }) }
    const known = sensitivityConcerns(animals.map(residentOf), treatment)
    const water = tankId === null || isBath ? [] : treatmentConcerns(journal, tankId, treatment, now)
    return [...known, ...water.filter((one) => !known.some(({ rule, what }) => rule === one.rule && what === one.what))]
  }
  const worst = (concerns: readonly Concern[]) =>
    Math.min(9, ...concerns.map(({ severity }) => SEVERITY_RANK[severity]))
  const drugs = treatments.slice(0, definition.drugs.length).map(of)
  const mildest = drugs.reduce<Concern[] | null>(
    (best, one) => (best === null || worst(one) > worst(best) ? one : best),
    null,
  )
  return [...(mildest ?? []), ...treatments.slice(definition.drugs.length).flatMap(of)]
    .filter(({ severity }) => severity !== 'note')
    .filter(
      (one, i, all) =>
        all.findIndex(({ rule, what, reason }) => rule === one.rule && what === one.what && reason === one.reason) ===
        i,
    )
    .sort(bySeverity)
}

/**
 * The schools of quarantine side by side for some animals: what each covers, asks and leaves (quarantine.md 7.1, further-schools.md 1).
 * @param animals     those it is for, on record or awaited
 * @param tankId      where it would run; null where that is open
 * @param assumptions of the modelled parasites
 */
export function compareSchools(
  journal: Journal,
  { animals, tankId, now }: { animals: readonly Animal[]; tankId: string | null; now: number },
  assumptions: Readonly<Record<Modelled, RiskAssumption>>,
): Comparison {
  const tank = tankId === null ? null : tankById(journal, tankId)
  const columns = DEFINITIONS.filter(isCompared).map((whole): SchoolColumn => {
    const definition = withChosenParts(whole, BARE)
    const row = SCHOOLS.find(({ id }) => id === definition.id)
    const hasWatch = definition.tracks.some((track) => track.kind === 'hold' && track.by === 'no-signs')
    const { days, preferredDays } = watchDays({ definition })
    return {
      definition,
      covers: COMPARED_CONDITIONS.map((condition) => coverOf(definition.id, condition)),
      coreDays: definition.ends === 'watch' ? 0 : definition.days,
      watch: hasWatch ? { least: days, preferred: preferredDays } : null,
      moves: movesOf(definition),
      doses: dosesOf(definition),
      effortHours: row?.effortHours ?? null,
      load: handlingLoad(definition, { capture: 'container' }),
      needs: schoolNeeds(journal, definition, tank),
      concerns: concernsOfSchool(journal, definition, animals, tankId, now),
      risks: MODELLED.map((parasite) => schoolRisk(definition, parasite, assumptions[parasite])),
      breaks: row?.failureModes ?? PROSE[definition.id]?.cautions[0] ?? '',
    }
  })
  return { columns, advice: animals.map((animal) => adviceOn(animal)) }
}
