import { typedNumber } from '../numbers/typed.ts'
import type { AmountUnit, Product } from '../dosing/product.schema.ts'
import { runOperation } from '../operations/run.ts'
import type { InputOf, OperationName, OutputOf } from '../operations/registry.ts'
import { gallonsOf, METRIC, type UnitHabits } from '../household/settings.ts'
import { measureText, refusalInUnits, shownFigure, shownUnit, toKept, type Sentence } from '../words/measure.ts'
import type { Journal } from '../journal/journal.ts'
import { typedVolume } from './litres.ts'

/** What a calculator asks for: a figure, or one of several. */
export interface Field {
  id: string
  label: string
  unit?: string
  /** One of these, instead of a figure. */
  choices?: readonly { value: string; label: string }[]
  /** What stands in it to begin with. */
  start?: string
  hint?: string
}

/** The water that most calculators ask for. */
export const VOLUME: Field = { id: 'volumeL', label: 'Net volume', unit: 'L' }

/** Fields as typed, by id. */
export type Values = Readonly<Record<string, string>>

/** What is wrong with a field and what would be right. */
export interface Fault {
  message: string
  choices?: readonly { label: string; value: string }[]
}

/** A number, or words, that belongs to an answer. */
export interface AnswerLine {
  what: string
  /** A figure is kept in `unit`; a sentence holds its own. */
  value: number | Sentence
  unit?: string
  /** Said in its own unit, whatever the household measures in. */
  isPlain?: boolean
}

/** What a dose would be logged as. */
export interface LoggableDose {
  ingredient: string | null
  massMg: number
  amount: number
  unit: AmountUnit
}

/** An operation that was asked, so that the answer can be worked out again elsewhere. */
export interface Asked {
  operation: OperationName
  input: unknown
  output: unknown
}

export interface Answer {
  /** The number that is acted on. */
  lead: AnswerLine
  /** What it really makes, or means, in a sentence. */
  says?: Sentence
  lines: AnswerLine[]
  /** Stand beside the answer, before it is done. */
  cautions: string[]
  log?: LoggableDose
  asked: Asked[]
}

/** A product from the shelf, as a calculator needs it. */
export interface KnownProduct {
  id: string
  name: string
  ingredient: string
  strength: Product
  /** The least that its tool measures, in its unit. */
  step?: number
}

export interface Calculator {
  id: string
  group: string
  title: string
  about: string
  /** Its fields are in the units it names, whatever the household measures in. */
  keepsUnits?: boolean
  fields: (values: Values, products: readonly KnownProduct[], units: UnitHabits) => readonly Field[]
  /** What the journal tells of a picked tank beyond its volume, as field values. */
  fromTank?: (journal: Journal, tankId: string) => Values
  /** Null while a field is missing or wrong; the reading holds which. */
  compute: (reading: Reading) => Omit<Answer, 'asked'> | null
}

interface Limits {
  /** Must be over this. */
  over?: number
  least?: number
  most?: number
  /** What would be right, when it lies outside. */
  rather?: string
}

/** Words that are no unit a syringe or a scale knows. */
const SPOONS = /tbsp|tablespoon|tsp|teaspoon|spoon|cup|glug|splash/i

/** The typed fields of a calculator, read one by one; what is wrong is gathered beside each. */
export class Reading {
  readonly faults: Record<string, Fault> = {}
  readonly asked: Asked[] = []

  constructor(
    private readonly values: Values,
    private readonly fields: readonly Field[],
    readonly products: readonly KnownProduct[],
    /** Whose gallons and ounces are meant where a volume is typed in them; asked where it is null. */
    private readonly habit: 'us' | 'uk' | null = null,
    /** What figures are typed in; without it in the core's own units. */
    private readonly units: UnitHabits | null = null,
  ) {}

  /** A limit as it is told beside a field. */
  private limit(value: number, unit: string | undefined): string {
    return unit !== undefined && this.units ? shownFigure(value, unit, this.units) : String(value)
  }

  /** A figure with its unit, in the household's. */
  said(value: number, unit: string): string {
    return measureText(value, unit, this.units ?? METRIC, 3)
  }

  text(id: string): string {
    return (this.values[id] ?? this.fields.find((field) => field.id === id)?.start ?? '').trim()
  }

  fault(id: string, message: string, choices?: Fault['choices']): undefined {
    this.faults[id] ??= { message, ...(choices && { choices }) }
    return undefined
  }

  /** A figure; undefined, with its fault, when it is none or lies outside its limits. */
  number(id: string, { over, least, most, rather }: Limits = {}): number | undefined {
    const text = this.text(id)
    const right = rather ? `: ${rather}` : ''
    if (text === '') return this.fault(id, `needed${right}`)
    if (SPOONS.test(text))
      return this.fault(id, 'spoons differ by half: a figure by syringe, scale or measuring jug, in the unit beside it')
    const unit = this.fields.find((field) => field.id === id)?.unit
    const volume = unit === 'L' ? typedVolume(text, this.habit) : null
    if (volume && 'choices' in volume) return this.fault(id, volume.message, volume.choices)
    const typed = volume ? { value: volume.litres } : typedNumber(text)
    if ('message' in typed)
      return this.fault(id, typed.choices ? typed.message : `${typed.message}${right}`, typed.choices)
    const value = volume || unit === undefined || !this.units ? typed.value : toKept(typed.value, unit, this.units)
    if (Number.isNaN(value)) return this.fault(id, `“${text}” is no ${shownUnit(unit!, this.units!)}${right}`)
    if (over !== undefined && !(value > over)) return this.fault(id, `over ${this.limit(over, unit)}${right}`)
    if (least !== undefined && value < least) return this.fault(id, `at least ${this.limit(least, unit)}${right}`)
    if (most !== undefined && value > most) return this.fault(id, `at most ${this.limit(most, unit)}${right}`)
    return value
  }

  /** A figure that may be left empty. */
  maybe(id: string, limits: Limits = {}): number | null | undefined {
    return this.text(id) === '' ? null : this.number(id, limits)
  }

  /** Asks the core; a refusal stands beside the field it is about. @param beside where each of the input's places stands */
  ask<N extends OperationName>(
    operation: N,
    input: InputOf<N>,
    beside: Readonly<Record<string, string>>,
    words?: string,
  ): OutputOf<N> | undefined {
    const result = runOperation(operation, input)
    if (!result.ok) {
      const { path, message } = result.error
      const field = Object.entries(beside).find(([place]) => path.startsWith(place))?.[1] ?? Object.values(beside)[0]!
      return this.fault(
        field,
        result.error.code === 'no-solution' && words
          ? words
          : this.units
            ? refusalInUnits(message, this.units)
            : message,
      )
    }
    this.asked.push({ operation, input, output: result.value })
    return result.value
  }
}

export type Computed = { answer: Answer } | { faults: Record<string, Fault> }

/** The fields of a calculator as a household sees them: with its own units beside them, and starts in them. */
export const fieldsShown = (
  calculator: Calculator,
  values: Values,
  products: readonly KnownProduct[],
  units: UnitHabits,
): readonly Field[] => {
  const fields = calculator.fields(values, products, units)
  if (calculator.keepsUnits) return fields
  return fields.map((field) =>
    field.unit === undefined
      ? field
      : {
          ...field,
          unit: shownUnit(field.unit, units),
          ...(field.start !== undefined && { start: shownFigure(Number(field.start), field.unit, units) }),
        },
  )
}

/**
 * Works a calculator out from its fields as typed.
 * @param units what they are typed in; without it in the core's own units
 */
export function computed(
  calculator: Calculator,
  values: Values,
  products: readonly KnownProduct[],
  units: UnitHabits = METRIC,
): Computed {
  const typedIn = calculator.keepsUnits ? null : units
  const starts = Object.fromEntries(
    fieldsShown(calculator, values, products, units).flatMap(({ id, start }) =>
      start === undefined ? [] : [[id, start]],
    ),
  )
  const fields = calculator.fields(values, products, units)
  const reading = new Reading({ ...starts, ...values }, fields, products, gallonsOf(units), typedIn)
  const answer = calculator.compute(reading)
  return answer && Object.keys(reading.faults).length === 0
    ? { answer: { ...answer, asked: reading.asked } }
    : { faults: reading.faults }
}
