import { parameterById, type Parameter } from '../catalogue/parameter.ts'
import { kitFor, type Kit, type Tank } from '../household/tanks.ts'
import type { UnitHabits } from '../household/settings.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { readReading } from '../logline/reading.ts'
import { tokenize } from '../logline/tokens.ts'
import { isStop, type LogContext } from '../logline/types.ts'
import { parameterValue, readingResult } from '../words/quantities.ts'

/** What a figure typed beside a parameter's name means, or what is wrong with it and what could be meant. */
export type TypedReading =
  | { content: ContentOf<'reading'>; notices: readonly string[]; isFar: boolean }
  | { message: string; choices?: readonly { label: string; value: string }[] }

/** A kit's own unit, as a field shows it. */
const SHOWN: Readonly<Record<NonNullable<Kit['prints']>, string>> = {
  dKH: 'dKH',
  meq: 'meq/L',
  ppm: 'ppm',
  psu: 'psu',
  sg: 'SG',
  C: '°C',
  F: '°F',
}

/**
 * The unit that a figure of a parameter is typed in at a tank: as its kit prints it, else the household's.
 * @example
 * typedUnit(journal, 'hall', nitrate, units) // "mg/L as N" where the kit states nitrogen
 */
export function typedUnit(journal: Journal, tankId: string, parameter: Parameter, units: UnitHabits): string {
  const kit = kitFor(journal, tankId, parameter.id)
  if (kit?.prints) return SHOWN[kit.prints]
  const { unit } = parameterValue(parameter.id, parameter.plausible[0], units)
  return kit?.basis && kit.basis !== parameter.kept ? `${unit} as ${kit.basis}` : unit
}

/**
 * A kept reading as it would be typed, with its unit where the tank's kit prints another: typed again it means the same.
 * @example
 * typedAgain(journal, reading, units) // "8.2", or "8.2 dkh" beside a kit that prints ppm
 */
export function typedAgain(journal: Journal, reading: ContentOf<'reading'>, units: UnitHabits): string {
  const { value, unit } = readingResult(reading, units)
  const plain = value.replace('−', '-').replace('–', '-').replaceAll(' ', '')
  if (reading.basis) return `${plain} ${reading.basis}`
  const parameter = parameterById(reading.parameter)
  const kit = kitFor(journal, reading.tankId, reading.parameter)
  if (kit?.prints) return `${plain} ${unit.replace('/L', '').replace('°', '').toLowerCase()}`
  return kit?.basis && parameter?.kept && kit.basis !== parameter.kept ? `${plain} ${parameter.kept}` : plain
}

/**
 * One figure, read as the log line would read it after the parameter's name.
 * @param text as typed: "0.08", "< 0.05", "5 N"
 */
export function readTyped(
  parameter: Parameter,
  text: string,
  tank: Tank,
  happened: string,
  context: LogContext,
): TypedReading {
  const alias = parameter.aliases[0]!
  const line = `${alias} ${text}`
  const read = readReading(line, tokenize(line), tank, happened, context)
  if (read === null) return { message: 'not a value' }
  if (isStop(read))
    return {
      message: read.stop === 'choose' ? read.question : read.message,
      choices: read.choices.map(({ label, text: whole }) => ({ label, value: whole.slice(alias.length).trim() })),
    }
  const stray = tokenize(line)[read.words]
  if (stray) return { message: `“${stray.text}” is left over: one value a field` }
  return { content: read.content, notices: read.notices, isFar: read.isFar }
}
