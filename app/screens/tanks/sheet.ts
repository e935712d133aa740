import { typedNumber } from '../../../core/numbers/typed.ts'
import type { UnitHabits } from '../../../core/household/settings.ts'
import { runOperation } from '../../../core/operations/run.ts'
import type { TankVolume, VolumeSheet } from '../../../core/volume/volume.schema.ts'
import { CM_PER_INCH } from '../../../core/units/units.ts'
import type { Problem, Problems } from '../../fields/shell.tsx'
import { figures } from '../../../core/words/numbers.ts'
import { cmFrom, litresFrom, length, volume } from '../../../core/words/quantities.ts'

/** The volume sheet as typed, in the household's units. */
export interface SheetValues {
  shape: 'box' | 'cylinder' | 'hexagon' | 'bow-front' | 'known'
  lengthCm: string
  widthCm: string
  heightCm: string
  diameterCm: string
  sideCm: string
  bowCm: string
  litres: string
  waterHeightCm: string
  sandCm: string
  porosity: string
  rockKg: string
  rockDensity: string
  sumpL: string
  otherL: string
}

export const EMPTY_SHEET: SheetValues = {
  shape: 'box',
  lengthCm: '',
  widthCm: '',
  heightCm: '',
  diameterCm: '',
  sideCm: '',
  bowCm: '',
  litres: '',
  waterHeightCm: '',
  sandCm: '',
  porosity: '0.4',
  rockKg: '',
  rockDensity: '2.8',
  sumpL: '',
  otherL: '',
}

/** A kept sheet as it would be typed. */
export function sheetValues(sheet: VolumeSheet | null, units: UnitHabits): SheetValues {
  if (!sheet) return EMPTY_SHEET
  const cm = (value: number | undefined) => (value === undefined ? '' : length(value, units).value)
  const litres = (value: number | undefined) =>
    value === undefined ? '' : figures(Number(volume(value, units).value), 4)
  const values: SheetValues = {
    ...EMPTY_SHEET,
    shape: sheet.shape.kind,
    waterHeightCm: cm(sheet.waterHeightCm),
    sandCm: cm(sheet.substrate?.depthCm),
    porosity: String(sheet.substrate?.porosity ?? 0.4),
    rockKg: sheet.rock ? String(sheet.rock.dryMassKg) : '',
    rockDensity: String(sheet.rock?.solidDensityKgPerL ?? 2.8),
    sumpL: litres(sheet.sumpL),
    otherL: litres(sheet.otherDisplacementL),
  }
  for (const [key, value] of Object.entries(sheet.shape)) {
    if (key === 'litres') values.litres = litres(value as number)
    else if (key !== 'kind') values[key as 'lengthCm'] = cm(value as number)
  }
  return values
}

/** The dimensions a shape is measured by. */
export const DIMENSIONS: Record<SheetValues['shape'], readonly (readonly [keyof SheetValues, string])[]> = {
  box: [
    ['lengthCm', 'Length'],
    ['widthCm', 'Depth, front to back'],
    ['heightCm', 'Height'],
  ],
  cylinder: [
    ['diameterCm', 'Diameter'],
    ['heightCm', 'Height'],
  ],
  hexagon: [
    ['sideCm', 'One side'],
    ['heightCm', 'Height'],
  ],
  'bow-front': [
    ['lengthCm', 'Length'],
    ['widthCm', 'Depth at the sides'],
    ['bowCm', 'How far the bow stands out'],
    ['heightCm', 'Height'],
  ],
  known: [['litres', 'Water to the line']],
}

const NEEDS: Partial<Record<keyof SheetValues, string>> = {
  litres: 'the litres it holds',
  bowCm: 'how far the bow stands out, 0 for a straight front',
}

type Reading = { value: number } | { problem: Problem } | null

function number(text: string, what: string, allowZero = false): Reading {
  const trimmed = text.trim()
  if (trimmed === '') return null
  const typed = typedNumber(trimmed)
  if ('message' in typed) return { problem: typed.choices ? typed : { message: `${typed.message}; ${what}` } }
  const { value } = typed
  if (value < 0 || (value === 0 && !allowZero)) return { problem: { message: `${what} has to be over 0` } }
  return { value }
}

/** Where a fault that the core names stands on the sheet. */
const FIELD_OF: Record<string, keyof SheetValues> = {
  '/waterHeightCm': 'waterHeightCm',
  '/substrate': 'sandCm',
  '/shape/bowCm': 'bowCm',
  '/substrate/porosity': 'porosity',
  '/rock/solidDensityKgPerL': 'rockDensity',
}

/**
 * Reads a volume sheet and works the net volume out.
 * @returns the sheet with its volume, or what is wrong beside which field; `sheet` null while nothing is filled in
 */
export function readSheet(
  values: SheetValues,
  units: UnitHabits,
): { sheet: VolumeSheet | null; volume: TankVolume | null; problems: Problems } {
  const problems: Record<string, Problem> = {}
  const take = (key: keyof SheetValues, what: string, allowZero = false): number | undefined => {
    const read = number(values[key], what, allowZero)
    if (read && 'problem' in read) problems[key] = read.problem
    return read && 'value' in read ? read.value : undefined
  }
  const cm = (key: keyof SheetValues, what: string, allowZero = false) => {
    const value = take(key, what, allowZero)
    return value === undefined ? undefined : cmFrom(value, units)
  }
  const litres = (key: keyof SheetValues, what: string, allowZero = false) => {
    const value = take(key, what, allowZero)
    return value === undefined ? undefined : litresFrom(value, units)
  }
  const dimensions = DIMENSIONS[values.shape]
  const empty = dimensions.every(([key]) => values[key].trim() === '')
  const shape: Record<string, number | string> = { kind: values.shape }
  for (const [key, label] of dimensions) {
    const value = key === 'litres' ? litres(key, label) : cm(key, label, key === 'bowCm')
    if (value !== undefined) shape[key] = value
    else if (!empty && !problems[key])
      problems[key] = { message: NEEDS[key] ?? `the ${label.toLowerCase()} is missing` }
  }
  const waterHeightCm = values.shape === 'known' ? undefined : cm('waterHeightCm', 'the water height')
  const sandCm = values.shape === 'known' ? undefined : cm('sandCm', 'the depth of the sand', true)
  const porosity = take('porosity', 'the porosity', true)
  const rockKg = take('rockKg', 'the mass of the rock', true)
  const density = take('rockDensity', 'the density of the rock')
  const sumpL = litres('sumpL', 'the water in the sump', true)
  const otherL = litres('otherL', 'what else takes up room', true)
  if (empty || Object.keys(problems).length > 0) return { sheet: null, volume: null, problems }
  const sheet = {
    shape,
    ...(waterHeightCm !== undefined && { waterHeightCm }),
    ...(sandCm && { substrate: { depthCm: sandCm, ...(porosity !== undefined && { porosity }) } }),
    ...(rockKg && { rock: { dryMassKg: rockKg, ...(density !== undefined && { solidDensityKgPerL: density }) } }),
    ...(sumpL && { sumpL }),
    ...(otherL && { otherDisplacementL: otherL }),
  } as unknown as VolumeSheet
  const result = runOperation('tank.volume', sheet)
  if (result.ok) return { sheet, volume: result.value, problems }
  const field =
    FIELD_OF[result.error.path] ??
    (result.error.path.startsWith('/shape/') ? (result.error.path.slice(7) as keyof SheetValues) : 'rockKg')
  return {
    sheet: null,
    volume: null,
    problems: { [field]: { message: inHouseholdUnits(result.error.message, units) } },
  }
}

/** The core speaks in cm; a keeper who measures in inches is answered in inches. */
function inHouseholdUnits(message: string, units: UnitHabits): string {
  if (units.length !== 'in') return message
  return message.replace(/([\d.]+) cm/g, (_, cm: string) => `${figures(Number(cm) / CM_PER_INCH)} in`)
}
