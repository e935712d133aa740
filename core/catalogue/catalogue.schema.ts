import Type, { type Static } from 'typebox'
import { oneOf, positive, strict } from '../schema/types.ts'

const id = () => Type.String({ pattern: '^[a-z0-9]+(-[a-z0-9]+)*$' })
const text = () => Type.String({ minLength: 1 })
const textOrNull = () => Type.Union([text(), Type.Null()])

export const Water = oneOf(['marine', 'freshwater'] as const)
export type Water = Static<typeof Water>

export const ParameterId = oneOf([
  'temp',
  'salinity',
  'ph',
  'alk-kh',
  'ca',
  'mg',
  'k',
  'no3',
  'po4',
  'tan',
  'nh3',
  'no2',
  'sio2',
  'gh',
  'copper',
  'oxygen',
] as const)
export type ParameterId = Static<typeof ParameterId>

export const BandProfileId = oneOf([
  'reef-sps',
  'reef-lps',
  'reef-soft',
  'fish-only',
  'quarantine-marine',
  'planted-fresh',
  'betta-nano',
  'shrimp-neo',
  'shrimp-caridina',
] as const)
export type BandProfileId = Static<typeof BandProfileId>

const edge = () => Type.Union([Type.Number(), Type.Null()])

const parameter = strict({
  id: ParameterId,
  name: text(),
  short: Type.String({ minLength: 1, description: 'as printed in a ledger line' }),
  unit: Type.String({ description: 'the unit every kept value is in' }),
  decimals: Type.Integer({ minimum: 0, maximum: 4 }),
  aliases: Type.Array(text(), { description: 'what a keeper may type for it' }),
  uncertainty: strict(
    { abs: Type.Number({ minimum: 0 }), rel: Type.Number({ minimum: 0 }), join: oneOf(['larger', 'sum'] as const) },
    '95 % half-width of a typical kit',
  ),
  plausible: Type.Tuple([Type.Number(), Type.Number()], {
    description: 'values outside are refused as slips of the pen',
  }),
  bases: Type.Optional(
    Type.Array(strict({ id: text(), perIon: positive() }), {
      description: 'what a kit may state the value as, and how many of the kept basis one of it makes',
    }),
  ),
  kept: Type.Optional(
    Type.Union([text(), Type.Null()], {
      description: 'the basis values are kept in; null where a reading keeps the basis it was read in',
    }),
  ),
})
const bands = Type.Partial(
  strict(
    Object.fromEntries(
      [
        'reef-sps',
        'reef-lps',
        'reef-soft',
        'fish-only',
        'quarantine-marine',
        'planted-fresh',
        'betta-nano',
        'shrimp-neo',
        'shrimp-caridina',
      ].map((profile) => [profile, Type.Tuple([edge(), edge()])]),
    ),
  ),
)
export const Parameter = strict({
  ...parameter.properties,
  bands: Type.Unsafe<Partial<Record<BandProfileId, readonly [number | null, number | null]>>>(bands),
})
/** A parameter of the water: its unit as kept, how well kits read it, what is plausible and what is comfortable. */
export type Parameter = Static<typeof Parameter>

export const BandProfile = strict({ id: BandProfileId, name: text(), water: Water })
export type BandProfile = Static<typeof BandProfile>

export const Sign = strict({
  id: id(),
  kind: oneOf(['physical', 'behaviour', 'context'] as const),
  scope: oneOf(['m', 'f', 'mf'] as const, 'm marine sign table, f freshwater, mf both'),
  label: text(),
})
/** Something seen on or around an animal. */
export type Sign = Static<typeof Sign>

export const Ingredient = strict({
  id: id(),
  name: text(),
  words: Type.Array(text(), { description: 'what a keeper may type for it in the log line' }),
  strengthOf: Type.String({ minLength: 1, description: 'what a product’s strength is counted in' }),
  raises: Type.Union([ParameterId, Type.Null()], { description: 'the measured parameter that a dose raises' }),
  kind: oneOf(['medicine', 'salt', 'conditioner'] as const),
  amountIs: Type.Optional(Type.Literal('volume', { description: 'dosed in µL of product a litre, never as a mass' })),
  caution: textOrNull(),
  law: textOrNull(),
})
/** An active ingredient as it stands on a shelf. Its caution stands beside every amount of it. */
export type Ingredient = Static<typeof Ingredient>

export const AnimalGroup = strict({
  id: id(),
  name: text(),
  kind: oneOf(['fish', 'coral', 'invertebrate'] as const),
  water: Water,
  acclimation: Type.String({ minLength: 1, description: 'row of the acclimation table' }),
  sensitivity: Type.Union([id(), Type.Null()], { description: 'row of the sensitivities, quarantine.md 5.6' }),
  host: Type.Union([id(), Type.Null()], { description: 'host row of the sign tables' }),
})
/** A group of species that are acclimated, dosed and looked at alike. */
export type AnimalGroup = Static<typeof AnimalGroup>
export type AnimalKind = AnimalGroup['kind']
