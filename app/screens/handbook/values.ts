import type { SignRule } from '../../../core/catalogue/handbook/handbook.schema.ts'
import { ingredientById } from '../../../core/catalogue/ingredient.ts'
import { signById } from '../../../core/catalogue/sign.ts'
import { withoutMarks } from '../../../core/words/sources.ts'
import { figures } from '../../../core/words/numbers.ts'

/** A piece of a value as it is shown: words, or words that lead to another row. */
export type Piece = string | { words: string; to: string }

/** A value as it is read: one line, or several. */
export type Shown = readonly (readonly Piece[])[]

const FIELDS: Readonly<Record<string, string>> = {
  looksLike: 'looks like',
  lookAlikes: 'mistaken for',
  proneHosts: 'prone hosts',
  treatment: 'treatment, first choice first',
  carbonRemoves: 'carbon takes it out',
  rockBinds: 'rock binds it',
  reefSafe: 'safe in a reef',
  invertSafe: 'safe for invertebrates',
  plantSafe: 'safe for plants',
  biofilterSafe: 'safe for the filter',
  law: 'law',
  hazard: 'hazard to people',
  useFor: 'used for',
  bathMinutes: 'minutes in a bath',
  redoseHours: 'again after, hours',
  courseDays: 'days',
  low: 'lowest',
  high: 'highest',
  killedBy: 'killed by',
  partly: 'partly killed by',
  shieldedFrom: 'shielded from',
  minHours: 'hours, least',
  typicalHours: 'hours, typical',
  maxHours: 'hours, most',
  outlierHours: 'hours, outlier',
  q10: 'Q10',
  micro: 'under the microscope',
  plan: 'first plan',
  secondPlan: 'second plan',
  firstLineFor: 'first for',
  secondLineFor: 'second for',
  gPer100L: 'g in 100 L a step',
  ml3: 'mL of 3 % in 100 L',
  ml6: 'mL of 6 % in 100 L',
  ml12: 'mL of 12 % in 100 L',
  mgPerL: 'mg/L',
  a: 'this',
  b: 'with this',
  temperatureC: '°C',
  tankL: 'tank, L',
  small: 'fish to 5 cm',
  medium: 'fish of 6–10 cm',
  large: 'fish of 11–15 cm',
  maxPsuPerHour: 'salinity an hour, psu at most',
  matchPsu: 'ends within, psu',
  matchC: 'ends within, °C',
  maxFreeAmmoniaMgPerL: 'free ammonia at most, mg/L N',
  maxMinutes: 'longest wait, minutes',
  plausible: 'plausible',
  abs: 'absolute',
  rel: 'of the value',
  onHostLight: 'on a lightly infected fish',
  onHostHeavy: 'on a heavily infected fish',
  dipIntervalDays: 'days between dips',
}

/** A field's name as it is read: "safe in a reef". */
export const fieldName = (field: string): string =>
  FIELDS[field] ?? field.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`)

/** What a row's own id or name is; not shown again among its fields. */
export const TITLE_FIELDS: ReadonlySet<string> = new Set(['id', 'name', 'label', 'source', 'scope', 'aliases', 'words'])

const GROUPS: Readonly<Record<string, string>> = {
  'cu-any': 'any copper',
  'antibiotic-any': 'any antibiotic',
  'tank-drug-any': 'any drug in the water',
}

/** An id read as words: "chelated copper", "freshwater ich", "water change". */
export const idWords = (id: string): string =>
  GROUPS[id] ??
  ingredientById(id)?.name ??
  id
    .replace(/^(act|rf|ctx)-/, '')
    .replace(/^fw-/, 'freshwater-')
    .replace(/-/g, ' ')

/** What a row is called. */
export function rowTitle(row: Readonly<Record<string, unknown>>): string {
  for (const field of ['name', 'label', 'ids', 'id', 'agent', 'parasite', 'group', 'protocol']) {
    const value = row[field]
    if (typeof value === 'string' && value !== '') {
      const stage = field === 'parasite' && typeof row['stage'] === 'string' ? `: ${row['stage']}` : ''
      const step = field === 'protocol' ? `, step ${String(row['step'])}` : ''
      return (field === 'name' || field === 'label' ? value : idWords(value)) + stage + step
    }
    if (Array.isArray(value)) return value.map((one) => idWords(String(one))).join(', ')
  }
  return ''
}

type Where = (id: string) => string | undefined

const ruleText = (rule: SignRule, isInner = false): string => {
  if ('sign' in rule) return signById(rule.sign)?.label ?? idWords(rule.sign)
  if ('words' in rule) return rule.words
  const parts = 'all' in rule ? rule.all : rule.any
  const text = parts.map((part) => ruleText(part, true)).join('all' in rule ? ' and ' : ' or ')
  return isInner ? `(${text})` : text
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  value !== null && typeof value === 'object' && !Array.isArray(value)

function reference(id: string, where: Where): Piece {
  const to = where(id)
  return to ? { words: idWords(id), to } : idWords(id)
}

const textOf = (value: unknown): string => (typeof value === 'string' ? value : '')

const isRange = (value: unknown): value is [number, number] =>
  Array.isArray(value) && value.length === 2 && value.every((one) => typeof one === 'number' || one === null)

const rangeText = ([low, high]: readonly [number | null, number | null]): string =>
  low === null
    ? `up to ${figures(high!, 6)}`
    : high === null
      ? `from ${figures(low, 6)}`
      : low === high
        ? figures(low, 6)
        : `${figures(low, 6)}–${figures(high, 6)}`

const dayText = ({ of, days }: { of: string; days: number }): string =>
  of === 'end' ? (days === 0 ? 'the end' : `${days} d after the end`) : `day ${days}`

/** What a condition of a stop rule says. */
function comparison(part: Record<string, unknown>): string {
  if (typeof part['words'] === 'string') return part['words']
  const times = part['timesStart'] === true ? ' × the start' : ''
  return `${String(part['measure']).toUpperCase()} ${String(part['op'])} ${String(part['value'])}${times}`
}

/** An object of the catalogue's own kinds in words; null for one that is none of them. */
function objectPieces(value: Record<string, unknown>, where: Where): readonly Piece[] | null {
  if ('than' in value) {
    const than = String(value['than'])
    const tells = textOf(value['tells']) && `: ${textOf(value['tells'])}`
    return [reference(than, where), tells]
  }
  if ('any' in value && 'then' in value) {
    const any = value['any'] as Record<string, unknown>[][]
    const conditions = any.map((all) => all.map(comparison).join(' and ')).join(', or ')
    return [`${conditions}${textOf(value['then']) && ` → ${textOf(value['then'])}`}`]
  }
  if ('of' in value && 'days' in value) return [dayText(value as { of: string; days: number })]
  if ('action' in value && 'n' in value) {
    const { day, until, everyDays, action, record } = value as {
      day: { of: string; days: number }
      until: { of: string; days: number }
      everyDays: number
      action: string
      record: string | null
    }
    const every =
      everyDays > 0 ? `, every ${everyDays === 1 ? 'day' : `${everyDays} days`} until ${dayText(until)}` : ''
    return [`${dayText(day)}${every}: ${action}${record ? ` (note: ${record})` : ''}`]
  }
  if ('sign' in value || 'all' in value || ('any' in value && !('then' in value))) return [ruleText(value as SignRule)]
  if ('from' in value && 'words' in value) return [String(value['words'])]
  if ('id' in value && typeof value['id'] === 'string') {
    const words = textOf(value['words']) || textOf(value['remark'])
    return [reference(value['id'], where), ...(words ? [` (${words})`] : [])]
  }
  if ('agents' in value && Array.isArray(value['agents'])) {
    const agents = (value['agents'] as string[]).flatMap((id, i): Piece[] => [
      ...(i > 0 ? [', '] : []),
      reference(id, where),
    ])
    const words = [value['only'], value['words']].filter(Boolean).map(String).map(idWords).join(', ')
    return [...agents, words ? (agents.length > 0 ? ` (${words})` : words) : '']
  }
  if (typeof value['words'] === 'string') return [withoutMarks(value['words'])]
  if (typeof value['remark'] === 'string') return [withoutMarks(value['remark'])]
  return null
}

/** A value of a row as it is read; empty where the handbook has a dash. */
export function shown(value: unknown, where: Where): Shown {
  if (value === null || value === undefined || value === '') return []
  if (typeof value === 'number') return [[figures(value, 6)]]
  if (typeof value === 'boolean') return [[value ? 'yes' : 'no']]
  if (typeof value === 'string') return [[where(value) ? reference(value, where) : withoutMarks(value)]]
  if (isRange(value)) return [[rangeText(value)]]
  if (Array.isArray(value)) {
    if (value.length > 0 && value.every((one) => typeof one === 'number'))
      return [[value.map((one) => figures(one, 6)).join(' → ')]]
    if (value.every((one) => typeof one === 'string' && /^[a-z0-9-]+$/.test(one)))
      return value.length === 0
        ? []
        : [value.flatMap((one, i): Piece[] => [...(i > 0 ? [', '] : []), reference(one as string, where)])]
    return value.flatMap((one): Shown => {
      // Steps of one treatment are done together; treatments follow each other by preference.
      if (Array.isArray(one))
        return [one.flatMap((part, i): Piece[] => [...(i > 0 ? [' + '] : []), ...(shown(part, where)[0] ?? [])])]
      return shown(one, where)
    })
  }
  if (isObject(value)) {
    const known = objectPieces(value, where)
    if (known) return [known]
    return Object.entries(value).map(([key, part]) => [
      `${key === key.toLowerCase() && key.includes('-') ? idWords(key) : fieldName(key)}: `,
      ...shown(part, where).flatMap((line, i) => (i > 0 ? [', ', ...line] : line)),
    ])
  }
  return []
}

/** All a row says, in small letters: what is looked through. */
export const rowText = (row: Readonly<Record<string, unknown>>): string => JSON.stringify(row).toLowerCase()
