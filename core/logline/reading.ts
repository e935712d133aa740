import { PARAMETERS, type Parameter } from '../catalogue/parameter.ts'
import { kitFor, type Tank } from '../household/tanks.ts'
import type { UnitHabits } from '../household/settings.ts'
import type { ContentOf } from '../journal/entry.ts'
import { convertSalinity } from '../salinity/salinity.ts'
import { CACO3_MG_PER_MEQ, celsiusFromFahrenheit, DKH_PER_MEQ } from '../units/units.ts'
import { uncertaintyBy } from '../readings/by-kit.ts'
import { expectedReading, isFarFrom } from '../readings/expected.ts'
import { parameterValue, quantityText } from '../words/quantities.ts'
import { mapFigure, numbersOf, readFigure, type Figure } from './numbers.ts'
import { replaceToken, type Token } from './tokens.ts'
import { choose, isStop, unclear, type LogContext, type Stop } from './types.ts'

export type ReadingContent = ContentOf<'reading'>

/** A reading with the words it took and what should be said about it. */
export interface ReadingRead {
  content: ReadingContent
  words: number
  notices: string[]
  /** So far from where it should lie that the test is worth repeating. */
  isFar: boolean
}

/** The parameter a word names, with a basis where the word carries one (`no3-n`). */
export function findParameter(token: Token): { parameter: Parameter; basis: string | null } | null {
  const exact = (key: string) => PARAMETERS.find(({ aliases }) => aliases.includes(key))
  const plain = exact(token.key)
  if (plain) return { parameter: plain, basis: token.key === 'nh3' ? 'NH3' : token.key === 'nh4' ? 'NH4' : null }
  const based = /^(.+)-(n|p|si)$/.exec(token.key)
  const parameter = based && exact(based[1]!)
  const basis = parameter?.bases?.find(({ id }) => id.toLowerCase() === based![2])
  return parameter && basis ? { parameter, basis: basis.id } : null
}

/** The parameters a longer beginning of their name could mean. */
export const parametersBeginning = (key: string): Parameter[] =>
  key.length < 3
    ? []
    : PARAMETERS.filter(({ name, aliases }) => [name, ...aliases].some((word) => word.toLowerCase().startsWith(key)))

type Conversion = { by: (value: number) => number; basis?: string } | null

const MG_PER_L = new Set(['mg/l', 'mgl', 'ppm'])

/** How a unit as typed becomes the unit a parameter is kept in; null where it is none of its units. */
function conversion(parameter: Parameter, unit: string, habits: UnitHabits): Conversion {
  const same: Conversion = { by: (value) => value }
  const key = unit.replace('°', '').replace('μ', 'µ')
  const basis = parameter.bases?.find(({ id }) => id.toLowerCase() === key)
  if (basis) return { by: (value) => value * (parameter.kept === null ? 1 : basis.perIon), basis: basis.id }
  switch (parameter.id) {
    case 'temp':
      if (key === 'f' || (key === '' && habits.temperature === 'F')) return { by: celsiusFromFahrenheit }
      return key === 'c' || key === '' ? same : null
    case 'salinity':
      return ['psu', 'ppt', 'g/kg', '‰', ''].includes(key) ? same : null
    case 'alk-kh':
      if (key === 'meq' || key === 'meq/l' || (key === '' && habits.alkalinity === 'meq'))
        return { by: (value) => value * DKH_PER_MEQ }
      if (MG_PER_L.has(key) || (key === '' && habits.alkalinity === 'ppm'))
        return { by: (value) => (value / CACO3_MG_PER_MEQ) * DKH_PER_MEQ }
      return key === 'dkh' || key === 'kh' || key === '' ? same : null
    case 'gh':
      return key === 'dgh' || key === 'gh' || key === '' ? same : null
    case 'ph':
      return key === '' ? same : null
    default:
      return key === '' || MG_PER_L.has(key) ? same : null
  }
}

/** Specific gravity is told from a salinity by its size: no sea water is 1 psu and none has a gravity of 30. */
function salinityFigure(figure: Figure, tank: Tank, line: string, token: Token, sgTyped: boolean): Figure | Stop {
  const isGravity = numbersOf(figure).every((value) => value > 0.9 && value < 1.1)
  if (sgTyped && !isGravity) return unclear(`“${token.text}” is no specific gravity; sea water is near 1.025`)
  if (!isGravity) return figure
  if (!sgTyped && tank.water === 'freshwater')
    return choose(`“${token.text}”: specific gravity, or psu?`, [
      { label: `specific gravity ${token.text}`, text: replaceToken(line, token, `${token.text}sg`) },
      { label: `${token.text} psu`, text: replaceToken(line, token, `${token.text}psu`) },
    ])
  const psu = numbersOf(figure).map((value) => convertSalinity({ value, unit: 'sg' }))
  const fault = psu.find((result) => !result.ok)
  if (fault && !fault.ok) return unclear(fault.error.message)
  const [low, high] = psu.map((result) => (result.ok ? result.value.psu : NaN))
  let i = 0
  return mapFigure(figure, () => (i++ === 0 ? low! : high!))
}

/** Ways to write an implausible figure that would be plausible: a slipped decimal point, the other unit. */
function plausibleInstead(parameter: Parameter, figure: Figure, line: string, token: Token) {
  if (figure.kind !== 'value') return []
  const fits = (value: number) => value >= parameter.plausible[0] && value <= parameter.plausible[1]
  const typed = figure.value
  const instead = (label: string, text: string) => ({ label, text: replaceToken(line, token, text) })
  const choices = []
  if (parameter.id === 'temp' && fits(celsiusFromFahrenheit(typed)) && figure.unit === '')
    choices.push(instead(`${typed} °F`, `${typed}f`))
  for (const slip of [10, 100])
    if (fits(typed / slip)) choices.push(instead(`${typed / slip} ${parameter.unit}`, `${typed / slip}${figure.unit}`))
  return choices
}

/**
 * Reads a parameter's value from the words after its name: a number, its unit and its basis.
 * @param tokens from the parameter's name on
 */
export function readReading(
  line: string,
  tokens: readonly Token[],
  tank: Tank,
  happened: string,
  context: LogContext,
): ReadingRead | Stop | null {
  const named = tokens[0] && findParameter(tokens[0])
  if (!named) return null
  const { parameter } = named
  const numberToken = tokens[1]
  if (!numberToken) return unclear(`${parameter.name}: and its value?`)
  const typed = readFigure(line, numberToken)
  if (!typed) return unclear(`“${numberToken.text}” is not a value of ${parameter.name}`)
  if (isStop(typed)) return typed
  let words = 2
  let unit = typed.unit
  let basis = named.basis
  const takeUnit = (key: string): boolean => {
    if (unit === '' && (conversion(parameter, key, context.settings.units) !== null || key === 'sg')) {
      unit = key
      return true
    }
    const asBasis = parameter.bases?.find(({ id }) => id.toLowerCase() === key)
    if (asBasis) basis = asBasis.id
    return asBasis !== undefined
  }
  while (tokens[words] && !tokens[words - 1]!.comma && takeUnit(tokens[words]!.key)) words++
  // A figure without a unit is what the kit on record prints: nitrate as nitrogen, alkalinity as ppm.
  const own = unit === '' && basis === null ? kitFor(context.journal, tank.id, parameter.id) : null
  if (own?.prints && own.prints !== 'sg') unit = own.prints.toLowerCase()
  else if (own?.basis && parameter.kept !== null && parameter.bases?.some(({ id }) => id === own.basis))
    basis = own.basis
  const byKit =
    own && (unit !== '' || (basis !== null && basis !== parameter.kept))
      ? `read as ${own.name} prints it, ${unit === '' ? `as ${basis}` : own.prints}`
      : null
  const sgTyped = parameter.id === 'salinity' && (unit === 'sg' || tokens[0]!.key === 'sg')
  if (unit === 'sg') unit = ''
  let figure: Figure | Stop =
    parameter.id === 'salinity' && unit === '' ? salinityFigure(typed, tank, line, numberToken, sgTyped) : typed
  if (isStop(figure)) return figure
  const convert = conversion(parameter, unit, context.settings.units)
  if (!convert) return unclear(`${parameter.name} is not measured in “${unit}”; its unit is ${parameter.unit}`)
  const asBasis = parameter.bases?.find(({ id }) => id === (convert.basis ?? basis))
  figure = mapFigure(
    figure,
    convert.basis
      ? convert.by
      : (value) => convert.by(value) * (asBasis && parameter.kept !== null ? asBasis.perIon : 1),
  )
  return finish(figure, asBasis?.id ?? null)

  function finish(figure: Figure, basis: string | null): ReadingRead | Stop {
    const kit = kitFor(context.journal, tank.id, parameter.id)
    const kept = parameter.kept === null ? (basis ?? kit?.basis ?? null) : null
    if (parameter.kept === null && kept === null)
      return choose(
        `${parameter.name} as what? Kits state it as NH3, NH4 or N`,
        parameter.bases!.map(({ id }) => ({
          label: `as ${id}`,
          text: replaceToken(line, { from: numberToken!.to, to: numberToken!.to }, ` ${id}`),
        })),
      )
    const [min, max] = parameter.plausible
    if (numbersOf(figure).some((value) => value < min || value > max))
      return unclear(
        `${parameter.name} of ${numberToken!.text} is outside what is plausible, ${min} to ${max} ${parameter.unit}`,
        plausibleInstead(parameter, typed as Figure, line, numberToken!),
      )
    const middle = figure.kind === 'value' ? figure.value : null
    const uncertainty = middle === null ? undefined : uncertaintyBy(kit, parameter, middle)
    const { unit: _unit, ...result } = figure
    const content: ReadingContent = {
      kind: 'reading',
      happened,
      tankId: tank.id,
      parameter: parameter.id,
      result,
      unit: parameter.unit,
      ...(kept !== null && { basis: kept as 'NH3' | 'NH4' | 'N' }),
      ...(uncertainty !== undefined && { uncertainty }),
      ...(kit && { kitId: kit.id }),
    }
    const expected = expectedReading(context.journal, tank.id, parameter.id, Date.parse(happened))
    const far = expected && middle !== null && uncertainty !== undefined && isFarFrom(expected, middle, uncertainty)
    return {
      content,
      words,
      isFar: far === true,
      notices: [
        ...(byKit === null ? [] : [byKit]),
        ...(far
          ? [
              `far from the last ${parameter.name}, ${quantityText(parameterValue(parameter.id, expected.last.value, context.settings.units))}${Math.abs(expected.high - expected.last.value) > 1e-9 ? ', and from what was logged since' : ''}: repeat the test to be sure`,
            ]
          : []),
      ],
    }
  }
}
