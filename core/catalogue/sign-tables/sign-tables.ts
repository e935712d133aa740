import type { SignTable } from '../../diagnosis/diagnosis.schema.ts'
import { SHEET as CORAL_AND_PESTS } from './coral-and-pests.data.ts'
import { SHEET as FRESHWATER_ALGAE } from './freshwater-algae.data.ts'
import { SHEET as FRESHWATER_FISH } from './freshwater-fish.data.ts'
import { SHEET as MARINE_FILM } from './marine-film.data.ts'
import { SHEET as MARINE_FISH } from './marine-fish.data.ts'
import type { SignSheet } from './sign-sheet.ts'

/** The five sign tables by the names `diagnosis.rank` takes. Only what ranks needs them: they load with it. */
export const SIGN_SHEETS: ReadonlyMap<string, SignSheet> = new Map([
  ['marine-fish', MARINE_FISH],
  ['freshwater-fish', FRESHWATER_FISH],
  ['marine-film', MARINE_FILM],
  ['freshwater-algae', FRESHWATER_ALGAE],
  ['coral-and-pests', CORAL_AND_PESTS],
])

export type Setting = 'new-arrival' | 'established'

/** A sheet turned the way the ranking reads it: a row a condition. */
function turned({ conditions, priors, signs }: SignSheet, setting: Setting): SignTable {
  const weights = priors[setting] ?? priors['new-arrival']
  return {
    conditions: conditions.map((id, i) => ({
      id,
      prior: weights[i]!,
      signs: Object.fromEntries(signs.map((sign) => [sign.id, sign.p[i]!])),
    })),
  }
}

const made = new Map<string, SignTable>()

/** A sign table of the catalogue as the ranking takes it; undefined for a name it does not hold. */
export function signTable(name: string, setting: Setting): SignTable | undefined {
  const sheet = SIGN_SHEETS.get(name)
  if (!sheet) return undefined
  const key = `${name}|${setting}`
  const table = made.get(key) ?? turned(sheet, setting)
  made.set(key, table)
  return table
}
