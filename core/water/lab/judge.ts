import { LAB_ELEMENTS, labElementById, type LabElement } from '../../catalogue/lab-elements.data.ts'
import { parameterById } from '../../catalogue/parameter.ts'
import type { Tank } from '../../household/tanks.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal, Line } from '../../journal/journal.ts'
import { valuesOf } from '../../readings/evidence.ts'
import { readingsOf } from '../../readings/latest.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { bandState } from '../tests.ts'
import { CORRECTION_SALTS } from '../correction/salts.ts'

/** Salinity that the reference values are given for, psu. */
const REFERENCE_PSU = 35
/** Shares off sea water that are let pass, up and down (EA): the salts of the mix vary by so much. */
export const LET_PASS = { main: { under: 0.1, over: 0.1 }, minor: { under: 0.3, over: 0.5 } } as const
/** A salinity read within a week of the sample is taken as the sample's (EA). */
const SALINITY_DAYS = 7

/** How an element of a lab's result stands. */
export type ElementState = 'low' | 'fine' | 'high' | 'not-found'

/** What is done about an element. */
export type ElementMend = 'salt' | 'changes' | 'find-source' | null

/** An element of a result held against sea water and the tank's band. */
export interface JudgedElement {
  element: LabElement
  /** Null where it was not found. */
  mgPerL: number | null
  below: number | null
  /** Sea water of the tank's salinity. */
  seaMgPerL: number
  /** Found, as a share of sea water; null for what was not found. */
  share: number | null
  state: ElementState
  /** Judged by the band of this kind of tank, not by sea water. */
  isByBand: boolean
  mend: ElementMend
}

/** A lab's result as it is judged. */
export interface JudgedLab {
  at: number
  line: Line<ContentOf<'lab-result'>>
  /** The tank's salinity when the sample was taken; 35 where it was not read. */
  salinityPsu: number
  isSalinityKnown: boolean
  /** What is off comes first, then as the catalogue has them. */
  elements: readonly JudgedElement[]
}

function stateBySea(element: LabElement, mgPerL: number, share: number): ElementState {
  if (element.group === 'main' || element.group === 'minor') {
    const { under, over } = LET_PASS[element.group]
    if (share < 1 - under) return 'low'
    return share > 1 + over ? 'high' : 'fine'
  }
  // Of traces a tank may hold nearly nothing and thrive: none is called low.
  return element.highMgPerL !== null && mgPerL >= element.highMgPerL ? 'high' : 'fine'
}

/** By the tank's own band where the household tests the same; null where the tank has none for it. */
function stateByBand(element: LabElement, mgPerL: number, tank: Tank): ElementState | null {
  if (!element.parameter) return null
  const { id, basis } = element.parameter
  const parameter = parameterById(id)!
  const perIon = parameter.bases?.find((one) => one.id === (basis ?? parameter.kept))?.perIon ?? 1
  const state = bandState(parameter, tank.profile, mgPerL * perIon)
  return state === 'no-band' ? null : state === 'in' ? 'fine' : state
}

function mendOf(element: LabElement, state: ElementState): ElementMend {
  if (state === 'low')
    return element.parameter && CORRECTION_SALTS.some(({ parameter }) => parameter === element.parameter!.id)
      ? 'salt'
      : 'changes'
  if (state !== 'high') return null
  return element.source === null ? 'changes' : 'find-source'
}

/** The results of a tank, the newest first. */
export const labResultsOf = (journal: Journal, tankId: string): Line<ContentOf<'lab-result'>>[] =>
  journal
    .ofKind('lab-result')
    .filter(({ content }) => content.tankId === tankId)
    .sort((a, b) => b.at - a.at)

const ORDER: readonly string[] = LAB_ELEMENTS.map(({ id }) => id)
const isOff = ({ state }: JudgedElement) => state === 'low' || state === 'high'

/**
 * A lab's result held against sea water of the tank's salinity, and against the tank's band where the household tests the same.
 * @example
 * judgeLab(journal, tank, labResultsOf(journal, tank.id)[0]).elements.filter(({ state }) => state === 'low')
 */
export function judgeLab(journal: Journal, tank: Tank, line: Line<ContentOf<'lab-result'>>): JudgedLab {
  const days = SALINITY_DAYS * MS_PER_DAY
  const [read] = valuesOf(journal, tank.id, 'salinity', line.at - days, line.at + days).sort(
    (a, b) => Math.abs(a.at - line.at) - Math.abs(b.at - line.at),
  )
  const salinityPsu = read?.value ?? REFERENCE_PSU
  const elements = line.content.results
    .flatMap(({ element: id, mgPerL, below }): JudgedElement[] => {
      const element = labElementById(id)
      if (!element) return []
      const isSalt = element.group === 'main' || element.group === 'minor'
      const seaMgPerL = isSalt ? (element.seaMgPerL * salinityPsu) / REFERENCE_PSU : element.seaMgPerL
      if (mgPerL === undefined) {
        const state = isSalt ? 'low' : 'not-found'
        return [
          {
            element,
            mgPerL: null,
            below: below ?? null,
            seaMgPerL,
            share: null,
            state,
            isByBand: false,
            mend: mendOf(element, state),
          },
        ]
      }
      const share = mgPerL / seaMgPerL
      const byBand = stateByBand(element, mgPerL, tank)
      const state = byBand ?? stateBySea(element, mgPerL, share)
      const isByBand = byBand !== null
      return [{ element, mgPerL, below: null, seaMgPerL, share, state, isByBand, mend: mendOf(element, state) }]
    })
    .sort((a, b) => Number(isOff(b)) - Number(isOff(a)) || ORDER.indexOf(a.element.id) - ORDER.indexOf(b.element.id))
  return { at: line.at, line, salinityPsu, isSalinityKnown: read !== undefined, elements }
}

/** A kit's reading held against a lab's of the same water. */
export interface KitAgainstLab {
  parameterId: string
  kit: number
  lab: number
  /** More apart than both may be off together. */
  differs: boolean
  kitName: string | null
}

/** A kit's test within two days of the sample is of the same water (EA). */
const SAME_WATER_DAYS = 2

/**
 * The household's own tests round a lab's sample against the lab's figures: a kit that is off is found, and only then corrected by.
 * @param labAt ms, when the sample was taken
 */
export function kitsAgainstLab(journal: Journal, tankId: string, labAt: number): KitAgainstLab[] {
  const byLab = journal
    .ofKind('reading')
    .filter(({ at, content }) => content.tankId === tankId && content.origin === 'lab' && at === labAt)
  return byLab.flatMap(({ content }): KitAgainstLab[] => {
    if (content.result.kind !== 'value') return []
    const own = readingsOf(journal, tankId, content.parameter)
      .filter(
        ({ at, content: one }) =>
          one.origin === undefined &&
          one.result.kind === 'value' &&
          Math.abs(at - labAt) <= SAME_WATER_DAYS * MS_PER_DAY,
      )
      .sort((a, b) => Math.abs(a.at - labAt) - Math.abs(b.at - labAt))[0]
    if (own?.content.result.kind !== 'value') return []
    const [kit, lab] = [own.content.result.value, content.result.value]
    const off = Math.hypot(own.content.uncertainty ?? 0, content.uncertainty ?? 0)
    const kitId = own.content.kitId
    const name = journal.ofKind('kit-setup').find((line) => line.content.kitId === kitId)?.content.name
    return [{ parameterId: content.parameter, kit, lab, differs: Math.abs(kit - lab) > off, kitName: name ?? null }]
  })
}
