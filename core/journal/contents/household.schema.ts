import Type, { type Static } from 'typebox'
import { Product } from '../../dosing/product.schema.ts'
import { fraction, nonNegative, oneOf, positive, strict } from '../../schema/types.ts'
import { VolumeSheet } from '../../volume/volume.schema.ts'
import { content, id, name, opt, overrides, taskId, wallTime } from './parts.schema.ts'

export const Household = content(
  'household',
  {
    timeZone: Type.String({ minLength: 1, maxLength: 64, description: 'IANA name; ledger days are its days' }),
    units: strict({
      volume: oneOf(['L', 'us-gal', 'uk-gal'] as const),
      length: oneOf(['cm', 'in'] as const),
      temperature: oneOf(['C', 'F'] as const),
      salinity: oneOf(['psu', 'sg'] as const),
      alkalinity: oneOf(['dKH', 'meq', 'ppm'] as const),
    }),
    waking: opt(
      strict(
        { from: wallTime('when the first is up'), until: wallTime('when the last goes to bed') },
        'no best time of a task is outside it; 07:00 to 22:00 where it is left out',
      ),
    ),
  },
  'time zone and unit habits of the household; the latest holds',
)

const tankProperties = {
  name: name(),
  short: opt(
    Type.String({
      minLength: 1,
      maxLength: 20,
      pattern: '^[A-Za-z0-9_-]+$',
      description: 'what the log line calls it',
    }),
  ),
  water: oneOf(['marine', 'freshwater'] as const),
  role: oneOf(['display', 'quarantine', 'frag', 'tub', 'jar', 'bucket'] as const),
  profile: opt(Type.String({ minLength: 1, maxLength: 40, description: 'band profile of the catalogue' })),
  sheet: opt(VolumeSheet),
  learntL: opt(positive('net volume as doses and readings showed it; holds over the sheet’s until the sheet changes')),
  contents: opt(Type.Array(oneOf(['rock', 'sand', 'plants', 'nothing'] as const), { maxItems: 4 })),
  lightsOn: opt(wallTime('when the lights come on')),
  lightsOff: opt(wallTime('when the lights go off')),
  near: opt(Type.Array(id(), { maxItems: 50, description: 'tanks less than 3 m away' })),
  retired: opt(Type.Boolean({ description: 'taken down' })),
}
const tankDescription = strict(tankProperties)
const tankChanges = Type.Unsafe<Partial<Static<typeof tankDescription>>>(Type.Partial(tankDescription))

export const TankSetup = content('tank-setup', { tankId: id(), ...tankProperties }, 'a tank is set up')
export const TankChange = content(
  'tank-change',
  { tankId: id(), changes: tankChanges, overrides: overrides() },
  'parts of a tank’s description change; what is left out stays',
)

export const EquipmentSwitch = content(
  'equipment',
  {
    tankId: id(),
    item: oneOf([
      'carbon',
      'uv',
      'ozone',
      'skimmer',
      'auto-top-off',
      'flow',
      'heater',
      'air',
      'light',
      'resin',
      'dosing-pump',
      'co2',
      'ammonia-binder',
      'cover',
      'filter',
      'phosphate-remover',
      'zeolite',
    ] as const),
    running: Type.Boolean(),
    value: opt(nonNegative('what it is set to')),
    unit: opt(Type.String({ maxLength: 12 })),
    courseId: opt(id()),
    taskId: opt(taskId()),
    removed: opt(Type.Boolean({ description: 'no longer at this tank' })),
    overrides: overrides(),
  },
  'a piece of equipment is at a tank and runs or rests',
)

const kitProperties = {
  name: name(),
  parameter: id(),
  uncertainty: strict({
    abs: nonNegative('95 % half-width, in the parameter’s unit'),
    rel: opt(fraction('share of the value, added to abs')),
  }),
  step: opt(positive('smallest step it reads')),
  basis: opt(oneOf(['NH3', 'NH4', 'N', 'NO3', 'PO4', 'P', 'SiO2', 'Si'] as const, 'what it states its value as')),
  prints: opt(
    oneOf(
      ['dKH', 'meq', 'ppm', 'psu', 'sg', 'C', 'F'] as const,
      'the unit it prints, where that is not the household’s',
    ),
  ),
  tankId: opt(id('the one tank it belongs to; any tank if left out')),
  retired: opt(Type.Boolean()),
}
const kitDescription = strict(kitProperties)
const kitChanges = Type.Unsafe<Partial<Static<typeof kitDescription>>>(Type.Partial(kitDescription))
export const KitSetup = content('kit-setup', { kitId: id(), ...kitProperties }, 'a test kit or meter is put to use')
export const KitChange = content('kit-change', { kitId: id(), changes: kitChanges }, 'a kit’s description changes')

const productProperties = {
  name: name('the keeper’s own word for it'),
  ingredient: id('active ingredient of the catalogue'),
  strength: Product,
  measure: opt(strict({ tool: name(), step: positive('smallest amount it measures, in the product’s unit') })),
  left: opt(nonNegative('in the product’s unit')),
  useBy: opt(Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}$', description: 'last day' })),
  solvent: opt(Type.Boolean({ description: 'carried in alcohol or glycol' })),
  retired: opt(Type.Boolean()),
}
const productDescription = strict(productProperties)
const productChanges = Type.Unsafe<Partial<Static<typeof productDescription>>>(Type.Partial(productDescription))
export const ProductSetup = content(
  'product-setup',
  { productId: id(), ...productProperties },
  'a product stands on the shelf',
)
export const ProductChange = content(
  'product-change',
  { productId: id(), changes: productChanges },
  'a product’s description changes',
)
