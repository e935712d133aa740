import { animalGroupById, type AnimalGroup } from '../../catalogue/animal-group.ts'
import { inspectionKindOf } from '../../catalogue/inspection-kind.ts'
import { equipmentOf, tankById } from '../../household/tanks.ts'
import { settingsOf } from '../../household/settings.ts'
import { animalById, residentsOf } from '../../household/animals.ts'
import type { Content } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { iso } from '../../time/zone.ts'
import { runNow } from './run-now.ts'
import { minuteOf, runLabel, type Run } from './runs.ts'
import { byLight, lightRamp } from './light.ts'
import type { WordUnits } from '../../acclimation/acclimation.schema.ts'
import type { Off } from '../../acclimation/trials.ts'
import { beyondDegreesWords, beyondWords, degreesWords, psuWords } from '../../acclimation/words.ts'

/** A step of the move from the container to the tank, in the order it is done. */
export interface ReleaseStep {
  id: string
  words: string
  /** Stands beside the step, before it is done. */
  caution?: string
  /** Equipment that the step switches; kept with the release. */
  switches?: { item: 'light' | 'flow'; running: boolean }
}

/** Spines and scales that catch in a net. */
const IN_A_CUP: ReadonlySet<string> = new Set([
  'surgeonfish',
  'filefish',
  'eel-lionfish',
  'angelfish-large',
  'angel-dwarf',
  'syngnathid',
  'elasmobranch',
])
const GLOVES =
  'Zoanthids carry palytoxin, and any coral can: gloves and eye protection, wounds covered, nothing cut, scrubbed or boiled in air. Numb lips, a metallic taste or breathlessness: emergency care.'

/** 200 mg/L free chlorine for 30 to 60 minutes (quarantine.md 8): 4 mL of a bleach of 5 %, 50 g/L, in a litre. */
const BLEACH =
  'Bleach by its label: gloves, fresh air, away from every tank, net and bucket in use; never with acid, peroxide or formalin.'

function acrossWords(groups: readonly AnimalGroup[]): string {
  const kinds = new Set(groups.map(inspectionKindOf))
  const words: string[] = []
  if (groups.some(({ id }) => id === 'puffer-box')) words.push('puffers and boxfish never out of the water: by cup')
  if (kinds.has('echinoderm')) words.push('stars, urchins and cucumbers never into air: by cup, under water')
  if (groups.some(({ id }) => IN_A_CUP.has(id))) words.push('spiny ones by cup, hands off')
  if (kinds.has('anemone')) words.push('the anemone on a bare, calm place; its foot touched by nothing sharp')
  if (kinds.has('coral')) words.push('corals by the plug or rock, not by their flesh')
  return `Across by net or cup; no bag water goes with it${words.length > 0 ? `: ${words.join('; ')}` : ''}`
}

/** What is done at the move, for the animals of a run and the tank they go to: acclimation.md 6–8, quarantine.md 7.5 and 9. */
export function releaseSteps(journal: Journal, { start }: Run): ReleaseStep[] {
  const tank = tankById(journal, start.tankId)
  const groups = start.animals.flatMap(({ group }) => animalGroupById(group) ?? [])
  const kinds = new Set(groups.map(inspectionKindOf))
  const has = (item: string) => equipmentOf(journal, start.tankId).some((one) => one.item === item && one.running)
  const corals = start.animals.filter(({ group }) => animalGroupById(group)?.kind === 'coral')
  const steps: ReleaseStep[] = []
  if (tank?.role === 'display' && residentsOf(journal, tank.id).length > 0 && kinds.has('fish'))
    steps.push({ id: 'residents-fed', words: 'Feed the residents first; room dim' })
  steps.push({
    id: 'lights-off',
    words: 'Lights off over the tank, and in the room',
    ...(has('light') && { switches: { item: 'light', running: false } }),
  })
  if (kinds.has('anemone'))
    steps.push({
      id: 'flow-down',
      words: 'Flow down until its foot holds; guards on every pump',
      caution: 'Unplug a pump before hands go in.',
      ...(has('flow') && { switches: { item: 'flow', running: false } }),
    })
  if (kinds.has('coral'))
    steps.push({
      id: 'plug-off',
      words: 'Plug and base cut away; eggs scraped off under water: a dip does not kill them',
      caution: GLOVES,
    })
  if (start.animals.some(({ dip }) => dip))
    steps.push({
      id: 'dip',
      words:
        'Dip first, by its label, in tank water at tank warmth, the minutes watched; then a rinse in clean salt water. Count what comes off',
      caution: kinds.has('coral')
        ? `${GLOVES} Dips stain and sting; never in a tank with animals.`
        : 'By the label. Most dips for corals harm other invertebrates: ask who knows the animal.',
    })
  if (kinds.has('crustacean') || kinds.has('clam'))
    steps.push({ id: 'shells-rinsed', words: 'Shells and bases rinsed in clean salt water; no fresh water' })
  byLight(corals).forEach(({ fromUmol, corals: together }, i, { length }) => {
    const who =
      length === 1 ? (corals.length === 1 ? 'it' : 'them') : runLabel({ start: { ...start, animals: together } })
    const { startWords } = lightRamp(fromUmol)
    steps.push({
      id: i === 0 ? 'light-start' : `light-start-${i}`,
      words: `Place ${who} low and shaded: ${startWords}`,
    })
  })
  steps.push({ id: 'across', words: acrossWords(groups) })
  steps.push(
    start.fromTankId === undefined
      ? {
          id: 'bag-water',
          words:
            'Bag water: household bleach of 5 % into it, 4 mL a litre, half an hour to an hour; then down the drain where local rules allow, never into a tank, a pond or a street drain',
          caution: BLEACH,
        }
      : {
          id: 'bag-water',
          words:
            'What is left in the container is water of both tanks: down the drain where local rules allow, into neither',
        },
  )
  return steps
}

/** What is still off, in words that say by how much: "salinity 1.2 psu under the tank's, within 1 psu wanted". */
export function offWords(off: readonly Off[], units?: WordUnits): string {
  const said = ({ what, by, within }: Off): [by: string, within: string] =>
    what === 'salinity'
      ? [beyondWords(Math.abs(by), within, units), psuWords(within, units)]
      : what === 'temperature'
        ? [beyondDegreesWords(Math.abs(by), within, units), degreesWords(within, units)]
        : [`${Math.abs(by).toFixed(1)} degrees`, `${within} degrees`]
  return off
    .map((one) => {
      const [by, within] = said(one)
      return `${one.what} ${by} ${one.by > 0 ? 'over' : 'under'} the tank’s, within ${within} wanted`
    })
    .join('; ')
}

/**
 * Everything a release keeps: the steps' switches, each animal's arrival or move, and the end of the run with what was
 * still off, if anything.
 */
export function releaseContents(journal: Journal, run: Run, now: number): Content[] {
  const { start } = run
  const happened = iso(now)
  const { off, isMeasured } = runNow(run, now)
  const switches = releaseSteps(journal, run)
    .flatMap((step) => step.switches ?? [])
    .map(({ item, running }): Content => ({ kind: 'equipment', happened, tankId: start.tankId, item, running }))
  const sizeOf = (id: string) =>
    journal.ofKind('expected').findLast(({ content }) => content.expectedId === id)?.content.sizeCm
  const across = start.animals.map(({ animalId, species, group, name, count, noQuarantine, partOf }): Content =>
    start.fromTankId === undefined
      ? {
          kind: 'arrival',
          happened,
          animalId,
          tankId: start.tankId,
          species,
          group,
          count,
          ...(name !== undefined && { name }),
          ...(start.source !== undefined && { source: start.source }),
          hoursInTransit: start.shippingHours,
          ...(sizeOf(animalId) !== undefined && { sizeCm: sizeOf(animalId) }),
          expectedId: animalId,
          runId: run.id,
          ...(noQuarantine && { noQuarantine }),
        }
      : {
          kind: 'move',
          happened,
          animalId: partOf ?? animalId,
          fromTankId: start.fromTankId,
          toTankId: start.tankId,
          // No more can part from a group than are left of it.
          ...(partOf !== undefined && {
            count: Math.min(count, animalById(journal, partOf)?.count || count),
            newAnimalId: animalId,
          }),
          cleanTransfer: true,
        },
  )
  return [
    ...switches,
    ...across,
    {
      kind: 'acclimation-end',
      happened,
      runId: run.id,
      tankId: start.tankId,
      outcome: 'released',
      measured: isMeasured,
      ...(off.length > 0 && { off: offWords(off, settingsOf(journal)?.units) }),
    },
  ]
}

/** Minutes an animal was on the way from the float to the tank. */
export const minutesTaken = (run: Run): number | null => (run.ended ? minuteOf(run, run.ended.at) : null)
