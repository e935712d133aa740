import { DOSE_SOURCES } from '../catalogue/treatments/dose-sources.data.ts'
import { DOSES } from '../catalogue/treatments/doses.data.ts'
import { PEROXIDE_COMPANY, PEROXIDE_TIERS, type PeroxideTier } from '../catalogue/treatments/peroxide-tiers.data.ts'
import { ingredientById } from '../catalogue/ingredient.ts'
import { sourceWords } from '../words/sources.ts'
import { mgPerUnit } from '../dosing/product.ts'
import type { AnswerLine, Calculator, Reading } from './calculator.ts'
import { peroxideCompanyIn } from './peroxide-company.ts'
import { notOver, productFields, readProduct } from './product-fields.ts'

const USES = [
  { value: 'spot', label: 'in the tank', mgPerL: null, where: 'net volume of the tank' },
  { value: 'bath', label: 'a bath for fish, 30 minutes', mgPerL: 75, where: 'water in the bath' },
  { value: 'tub', label: 'a bench tub for a rock, up to 20 minutes', mgPerL: 30, where: 'water in the tub' },
] as const

const STRONG_PERCENT = 6
const USUAL_PERCENT = 3
const USUAL_MG_PER_ML = 30.2835

const useOf = (id: string) => USES.find(({ value }) => value === id) ?? USES[0]
/** The levels that fit who is in the water, the lowest first: that one stands in the field to begin with. */
const tiersFor = (company: string) =>
  PEROXIDE_TIERS.filter(({ allows }) => (allows as readonly string[]).includes(company))

/** What brings the water back after a level that may not stay, as lines of the answer. */
function afterwards(reading: Reading, tier: PeroxideTier, madeMgPerL: number, volumeL: number): AnswerLine[] {
  if (tier.leaveMgPerL === null || madeMgPerL <= tier.leaveMgPerL) return []
  const out = reading.ask(
    'waterChange.forTarget',
    {
      startMgPerL: madeMgPerL,
      targetMgPerL: tier.leaveMgPerL,
      replacementMgPerL: 0,
      maxFraction: tier.changeFraction ?? 1,
    },
    { '': 'volumeL' },
  )
  if (!out) return []
  const left = `until ${tier.leaveMgPerL} mg/L or less is left`
  // Halves are changed as halves: a few litres less in each would need the sum worked out at the tank.
  return tier.changeFraction === null
    ? [{ what: `then change, ${left}`, value: out.singleFraction * volumeL, unit: 'L' }]
    : [
        { what: `half changes, ${left}`, value: out.changes, unit: out.changes === 1 ? 'time' : 'times' },
        { what: 'each change', value: tier.changeFraction * volumeL, unit: 'L' },
      ]
}

/** Peroxide, for its uses: in a tank by who is in it (further-schools.md 4), outbreaks.md 5.2, quarantine.md 5.2. */
export const PEROXIDE: Calculator = {
  id: 'peroxide',
  group: 'Peroxide, baths and food',
  title: 'Peroxide of any strength',
  about: 'in a tank by who is in it, a bath, a bench tub',
  fromTank: (journal, tankId) => ({ company: peroxideCompanyIn(journal, tankId) }),
  fields: (values) => {
    const use = useOf(values['purpose'] ?? 'spot')
    const tiers = tiersFor(values['company'] ?? 'animals')
    return [
      { id: 'purpose', label: 'For', choices: USES.map(({ value, label }) => ({ value, label })), start: 'spot' },
      ...(use.mgPerL === null
        ? [
            {
              id: 'company',
              label: 'In the water',
              choices: PEROXIDE_COMPANY.map(({ id, label }) => ({ value: id, label })),
              start: 'animals',
            },
            ...(tiers.length > 1
              ? [
                  {
                    id: 'tier',
                    label: 'Up to',
                    choices: tiers.map(({ id, label, capMgPerL }) => ({
                      value: id,
                      label: `${capMgPerL} mg/L: ${label}`,
                    })),
                    start: tiers[0]!.id,
                  },
                ]
              : []),
          ]
        : []),
      { id: 'volumeL', label: capital(use.where), unit: 'L' },
      { id: 'percent', label: 'Strength', unit: '% by mass', start: '3' },
      { id: 'step', label: 'Measured in steps of', unit: 'mL', start: '0.1' },
    ]
  },
  compute(reading) {
    const use = useOf(reading.text('purpose'))
    const isTank = use.mgPerL === null
    const tiers = tiersFor(reading.text('company'))
    if (isTank && tiers.length === 0)
      return (
        reading.fault(
          'company',
          'no level fits with these in the water: take them out first, or lift the rock and treat it on the bench',
        ) ?? null
      )
    const tier = isTank ? (tiers.find(({ id }) => id === reading.text('tier')) ?? tiers[0]!) : null
    const volumeL = reading.number('volumeL', { over: 0 })
    const percentByMass = reading.number('percent', {
      over: 0,
      most: 35,
      rather: 'stronger is not for aquariums and not sold for homes; 3 % is usual',
    })
    const measureStep = reading.number('step', { over: 0 })
    if (volumeL === undefined || percentByMass === undefined || measureStep === undefined) return null
    const strength = reading.ask('peroxide.strength', { percentByMass }, { '': 'percent' })
    if (!strength) return null
    const out = reading.ask(
      'dose.amount',
      {
        volumeL,
        targetMgPerL: tier?.capMgPerL ?? use.mgPerL!,
        product: { kind: 'solution', mgPerMl: strength.mgPerMl },
        measureStep,
      },
      { '/volumeL': 'volumeL', '/measureStep': 'step' },
    )
    if (!out) return null
    // A cap is not passed for the sake of a syringe's marks.
    const measured = out.measured ? notOver(out.measured.amount, measureStep, out.exact.amount) : 0
    const isLittle = measured === 0
    const amount = isLittle ? out.exact.amount : measured
    const parts = strength.mgPerMl / USUAL_MG_PER_ML
    const makesMgPerL = (amount * strength.mgPerMl) / volumeL
    return {
      lead: { what: tier ? 'at most in a session' : 'into the water', value: amount, unit: 'mL' },
      says: isLittle
        ? 'less than the syringe can tell: thin it to 3 % first'
        : `makes ${Number(makesMgPerL.toPrecision(3))} mg/L`,
      lines: [
        ...(tier ? afterwards(reading, tier, makesMgPerL, volumeL) : []),
        { what: 'a mL holds', value: strength.mgPerMl, unit: 'mg' },
        ...(percentByMass > USUAL_PERCENT
          ? [{ what: 'to thin it to 3 %: to one part, fresh water', value: Math.max(0, parts - 1), unit: 'parts' }]
          : []),
        ...(tier ? [{ what: 'of 3 %', value: out.massMg / USUAL_MG_PER_ML, unit: 'mL' }] : []),
      ],
      cautions: [
        percentByMass >= STRONG_PERCENT
          ? 'Burns skin and eyes: gloves and goggles. Peroxide into water, never water onto peroxide; thin it to 3 % before use. Over 12 % sale is restricted in places.'
          : 'Gloves and goggles; no acids or bleach near it.',
        tier?.caution ??
          'A container of its own, air running; out at the first sign of distress, and discard the water.',
      ],
      ...(tier &&
        !isLittle && {
          log: { ingredient: 'peroxide', amount, massMg: amount * strength.mgPerMl, unit: 'mL' as const },
        }),
    }
  },
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

const BATHS = DOSES.filter(
  ({ route, unit, agent }) => route === 'bath' && (unit === 'mg/L' || unit === 'µL/L') && agent !== 'peroxide',
)

/** Baths of formalin and other drugs, with their minutes: quarantine.md 5.2. */
export const BATH: Calculator = {
  id: 'bath',
  group: 'Peroxide, baths and food',
  title: 'A bath of formalin or another drug',
  about: 'how much into the container, and for how long',
  fields: (values, products) => {
    const dose = BATHS.find(({ id }) => id === values['bath']) ?? BATHS[0]!
    const own = products.filter(({ ingredient }) => ingredient === dose.agent)
    return [
      {
        id: 'bath',
        label: 'Bath',
        choices: BATHS.map(({ id, agent, bathMinutes }) => ({
          value: id,
          label: `${ingredientById(agent)?.name ?? agent}${bathMinutes ? `, ${bathMinutes[0]}${bathMinutes[1] > bathMinutes[0] ? `–${bathMinutes[1]}` : ''} min` : ''}`,
        })),
        start: BATHS[0]!.id,
      },
      { id: 'volumeL', label: 'Water in the container', unit: 'L' },
      {
        id: 'target',
        label: 'Level',
        unit: dose.unit,
        start: String(dose.target),
        hint: `${dose.low}–${dose.high} ${dose.unit}`,
      },
      // Formalin is dosed by the volume of the 37 % product itself.
      ...(dose.unit === 'µL/L'
        ? [{ id: 'step', label: 'Measured in steps of', unit: 'mL', start: '0.1' }]
        : productFields(values, own)),
    ]
  },
  compute(reading) {
    const dose = BATHS.find(({ id }) => id === reading.text('bath')) ?? BATHS[0]!
    const volumeL = reading.number('volumeL', { over: 0 })
    const targetMgPerL = reading.number('target', {
      over: 0,
      most: dose.high,
      rather: `the handbook goes no higher than ${dose.high} ${dose.unit}`,
    })
    const isFormalin = dose.unit === 'µL/L'
    const product = isFormalin ? undefined : readProduct(reading)
    const measureStep = isFormalin ? reading.number('step', { over: 0 }) : product?.step
    if (volumeL === undefined || targetMgPerL === undefined || (!isFormalin && !product)) return null
    if (isFormalin && measureStep === undefined) return null
    const out = reading.ask(
      'dose.amount',
      {
        volumeL,
        targetMgPerL,
        product: product?.product ?? { kind: 'solution', mgPerMl: 1000 },
        ...(measureStep !== undefined && { measureStep }),
      },
      { '/volumeL': 'volumeL', '/targetMgPerL': 'target' },
    )
    if (!out) return null
    const most = (out.exact.amount * dose.high) / targetMgPerL
    const measured = out.measured ? notOver(out.measured.amount, measureStep, most) : out.exact.amount
    const isLittle = measured === 0
    const amount = isLittle ? out.exact.amount : measured
    const ingredient = ingredientById(dose.agent)
    const minutes = dose.bathMinutes
    return {
      lead: { what: 'into the container', value: amount, unit: product?.unit ?? 'mL' },
      says: minutes
        ? `for ${minutes[0]}${minutes[1] > minutes[0] ? ` to ${minutes[1]}` : ''} minutes, watched all the time`
        : '',
      lines: [
        { what: 'exactly', value: out.exact.amount, unit: product?.unit ?? 'mL' },
        ...(dose.redoseHours
          ? [{ what: 'again after', value: `${dose.redoseHours[0]}–${dose.redoseHours[1]} h` }]
          : []),
        ...(isLittle ? [{ what: 'the tool', value: 'cannot measure so little: a thinner stock' }] : []),
        { what: 'source', value: sourceWords(DOSE_SOURCES[dose.id]!) },
      ],
      cautions: [
        [ingredient?.caution, ingredient?.law].filter(Boolean).join(' '),
        'A container of its own, strong air; out at the first loss of balance. Discard the water as local rules say, never to nature. Follow the label; a licensed aquatic veterinarian comes before this.',
      ].filter(Boolean),
    }
  },
}

const FOODS = DOSES.filter(({ route }) => route === 'food')

/** Medicine in food: quarantine.md 5.2 and 5.3. */
export const FOOD: Calculator = {
  id: 'food',
  group: 'Peroxide, baths and food',
  title: 'Medicine in food',
  about: 'for so many grams of food',
  fields: (values, products) => {
    const dose = FOODS.find(({ id }) => id === values['dose']) ?? FOODS[0]!
    return [
      {
        id: 'dose',
        label: 'Medicine',
        choices: FOODS.map(({ id, agent }) => ({ value: id, label: ingredientById(agent)?.name ?? agent })),
        start: FOODS[0]!.id,
      },
      { id: 'foodG', label: 'Food', unit: 'g' },
      {
        id: 'target',
        label: 'In a gram of food',
        unit: 'mg',
        start: String(dose.target),
        hint: `${dose.low}–${dose.high} mg`,
      },
      ...productFields(
        values,
        products.filter(({ ingredient }) => ingredient === dose.agent),
      ),
    ]
  },
  compute(reading) {
    const dose = FOODS.find(({ id }) => id === reading.text('dose')) ?? FOODS[0]!
    const foodG = reading.number('foodG', { over: 0 })
    const mgPerG = reading.number('target', {
      over: 0,
      most: dose.high,
      rather: `the handbook goes no higher than ${dose.high} mg in a gram`,
    })
    const product = readProduct(reading)
    if (foodG === undefined || mgPerG === undefined || !product) return null
    const massMg = foodG * mgPerG
    const ingredient = ingredientById(dose.agent)
    return {
      lead: { what: 'into the food', value: massMg / mgPerUnit(product.product), unit: product.unit },
      says: `${Number(massMg.toPrecision(4))} mg active in ${foodG} g`,
      lines: [
        ...(dose.courseDays ? [{ what: 'for', value: `${dose.courseDays[0]}–${dose.courseDays[1]} days` }] : []),
        { what: 'bind it with', value: 'unflavoured gelatin or agar; keep cold, discard after 7 days' },
        { what: 'source', value: sourceWords(DOSE_SOURCES[dose.id]!) },
      ],
      cautions: [
        [ingredient?.caution, ingredient?.law].filter(Boolean).join(' '),
        'Only for fish that eat. Gloves, and a mask with powders. A licensed aquatic veterinarian comes before this.',
      ].filter(Boolean),
    }
  },
}
