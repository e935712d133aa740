import Type, { type TObject, type TProperties } from 'typebox'

/** A quantity that must be over zero: volumes, lengths, steps, intervals, half-lives, strengths, flows. */
export const positive = (description?: string) =>
  Type.Number({ exclusiveMinimum: 0, ...(description && { description }) })

/** A quantity of zero or more: concentrations, masses, counts, pauses. */
export const nonNegative = (description?: string) => Type.Number({ minimum: 0, ...(description && { description }) })

/** A share of a whole, 0…1. */
export const fraction = (description?: string) =>
  Type.Number({ minimum: 0, maximum: 1, ...(description && { description }) })

/** Any finite number (JSON knows no NaN or infinity, and Ajv refuses them when called directly). */
export const finite = (description?: string) => Type.Number(description ? { description } : {})

export const pH = () => Type.Number({ minimum: 0, maximum: 14, description: 'pH' })

/** A time instant, ISO 8601 in UTC, ending in Z and naming a real date. */
export const instant = (description?: string) =>
  Type.Unsafe<string>({ type: 'string', format: 'instant', ...(description && { description }) })

/** An object that refuses properties it does not know. */
export const strict = <P extends TProperties>(properties: P, description?: string): TObject<P> =>
  Type.Object(properties, { additionalProperties: false, ...(description && { description }) })

/** One of a few words. */
export const oneOf = <const W extends readonly string[]>(words: W, description?: string) =>
  Type.Unsafe<W[number]>({ type: 'string', enum: [...words], ...(description && { description }) })
