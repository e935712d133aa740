import { DOSES } from '../catalogue/treatments/doses.data.ts'
import { isCopper } from '../catalogue/treatments/groups.ts'
import { drugName } from '../courses/names.ts'
import { packStock, packStockWords } from '../dosing/pack-stock.ts'
import { amountUnit, mgPerUnit } from '../dosing/product.ts'
import { VOLUME, type AnswerLine, type Calculator, type LoggableDose, type Reading } from './calculator.ts'
import { levelUnitOf, notOver, productFields, readProduct, type ReadProduct } from './product-fields.ts'

const volumeOf = (reading: Reading) =>
  reading.number('volumeL', { over: 0, rather: 'the net volume, not the tank’s name' })

/** A stock this thick, in grams to 100 mL, makes a small powder dose measurable. */
const STOCK_G = 1
const STOCK_ML = 100
const WEEK = 7

/** What may be measured by a level teaspoon, and what one weighs, g (EA): further-schools.md 9, never a drug. */
const GRAMS_PER_TEASPOON: Readonly<Record<string, number>> = { salt: 6, 'sodium-bicarbonate': 4.6, 'epsom-salt': 5 }

/** Level teaspoons of what may be measured by them. */
function spoonLine({ ingredient, teaspoonG, product }: ReadProduct, grams: number): AnswerLine[] {
  const usual = GRAMS_PER_TEASPOON[ingredient ?? '']
  if (product.kind !== 'powder' || usual === undefined) return []
  return [
    {
      what:
        teaspoonG === undefined
          ? `level teaspoons, at ${usual} g each: weigh it if you can`
          : 'level teaspoons, as weighed',
      value: grams / (teaspoonG ?? usual),
      unit: 'tsp',
    },
  ]
}

/** How part of a packet is measured. */
function packLine({ product }: ReadProduct, packs: number): AnswerLine[] {
  const stock = product.kind === 'pack' ? packStock(packs) : null
  return stock ? [{ what: 'by a stock', value: packStockWords(stock) }] : []
}

/** Units that a dose into the tank is stated in, in what its level is counted in (formalin in µL of the product). */
const MG_PER_L: Readonly<Record<string, number>> = { 'mg/L': 1, 'µL/L': 1, 'g/L': 1000 }

/** The handbook's rows of an agent that is given into the tank. */
const tankRows = (ingredient: string | null) =>
  DOSES.filter(({ agent, route, unit }) => agent === ingredient && route === 'tank' && unit in MG_PER_L)

/** Range of the dose an agent is given at, if the handbook holds one for the tank. */
function bandLine(ingredient: string | null, mgPerL: number): AnswerLine[] {
  return tankRows(ingredient).map(({ id, agent, unit, low, high }) => {
    const level = mgPerL / MG_PER_L[unit]!
    return {
      what: `range, ${isCopper(agent) ? drugName(id).toLowerCase() : id.replace(/-/g, ' ')}`,
      value: `${low}–${high} ${unit}: ${level < low - 1e-9 ? 'under' : level > high + 1e-9 ? 'over' : 'in range'}`,
    }
  })
}

/** The highest level the handbook gives an agent in the tank, where the wanted one lies within it; none is infinity. */
function highestOf(ingredient: string | null, targetMgPerL: number): number {
  const highs = tankRows(ingredient)
    .map(({ high, unit }) => high * MG_PER_L[unit]!)
    .filter((high) => high >= targetMgPerL - 1e-9)
  return highs.length > 0 ? Math.max(...highs) : Infinity
}

/** What to do where the tool cannot measure so little. */
function tooLittle({ product }: ReadProduct, massMg: number): AnswerLine {
  if (product.kind === 'powder') {
    const stock = (STOCK_G * 1000 * product.activeFraction) / STOCK_ML
    return { what: `dissolve ${STOCK_G} g in ${STOCK_ML} mL of water, then dose`, value: massMg / stock, unit: 'mL' }
  }
  return {
    what: 'thin 1 part with 9 parts of fresh water, then dose',
    value: (10 * massMg) / mgPerUnit(product),
    unit: product.kind === 'pack' ? 'tenths of a pack' : product.kind === 'drops' ? 'drops' : 'mL',
  }
}

const logOf = ({ ingredient, product }: ReadProduct, amount: number): LoggableDose => ({
  ingredient,
  amount,
  massMg: amount * mgPerUnit(product),
  unit: amountUnit(product),
})

/** The active ingredient in all; of formalin the product itself. */
const activeLine = ({ levelUnit }: ReadProduct, massMg: number): AnswerLine =>
  levelUnit === 'µL/L'
    ? { what: 'of the 37 % product', value: massMg, unit: 'µL' }
    : { what: 'active', value: massMg, unit: 'mg' }

export const DOSE: Calculator = {
  id: 'dose',
  group: 'How much do I dose',
  title: 'A dose',
  about: 'from one level to another, in what can be measured',
  fields: (values, products) => [
    VOLUME,
    { id: 'current', label: 'Level now', unit: levelUnitOf(values, products), start: '0' },
    { id: 'target', label: 'Level wanted', unit: levelUnitOf(values, products) },
    ...productFields(values, products),
  ],
  compute(reading) {
    const volumeL = volumeOf(reading)
    const currentMgPerL = reading.number('current', { least: 0 })
    const targetMgPerL = reading.number('target', { over: 0 })
    const product = readProduct(reading)
    if (volumeL === undefined || currentMgPerL === undefined || targetMgPerL === undefined || !product) return null
    const out = reading.ask(
      'dose.amount',
      {
        volumeL,
        currentMgPerL,
        targetMgPerL,
        product: product.product,
        ...(product.step !== undefined && { measureStep: product.step }),
      },
      { '/targetMgPerL': 'target', '/volumeL': 'volumeL', '/product': 'strength', '/measureStep': 'step' },
      `over the ${currentMgPerL} mg/L there are: to come down, change water`,
    )
    if (!out) return null
    const high = highestOf(product.ingredient, targetMgPerL)
    const most = ((high - currentMgPerL) * volumeL) / mgPerUnit(product.product)
    const measured = out.measured ? notOver(out.measured.amount, product.step, most) : out.exact.amount
    const isLittle = measured === 0
    const amount = isLittle ? out.exact.amount : measured
    const makes = currentMgPerL + (amount * mgPerUnit(product.product)) / volumeL
    return {
      lead: { what: 'dose', value: amount, unit: product.unit },
      says: isLittle
        ? 'less than the tool can measure: see below'
        : [
            `${currentMgPerL} → ${Number(makes.toPrecision(4))} ${product.levelUnit} in `,
            { value: volumeL, unit: 'L' },
          ],
      lines: [
        { what: 'exactly', value: out.exact.amount, unit: product.unit },
        activeLine(product, out.massMg),
        ...spoonLine(product, amount),
        ...packLine(product, amount),
        ...(isLittle && product.product.kind !== 'pack' ? [tooLittle(product, out.massMg)] : []),
        ...bandLine(product.ingredient, makes),
      ],
      cautions: product.cautions,
      ...(!isLittle && { log: logOf(product, amount) }),
    }
  },
}

export const RAMP: Calculator = {
  id: 'ramp',
  group: 'How much do I dose',
  title: 'A ramp',
  about: 'up to a level in equal steps',
  fields: (values, products) => [
    VOLUME,
    { id: 'current', label: 'Level now', unit: levelUnitOf(values, products), start: '0' },
    { id: 'target', label: 'Level wanted', unit: levelUnitOf(values, products) },
    { id: 'maxStep', label: 'At most in one step', unit: levelUnitOf(values, products) },
    { id: 'hours', label: 'Between steps', unit: 'h', start: '24' },
    ...productFields(values, products),
  ],
  compute(reading) {
    const volumeL = volumeOf(reading)
    const currentMgPerL = reading.number('current', { least: 0 })
    const targetMgPerL = reading.number('target', { over: 0 })
    const maxStepMgPerL = reading.number('maxStep', { over: 0 })
    const hoursBetween = reading.number('hours', { over: 0 })
    const product = readProduct(reading)
    if (
      volumeL === undefined ||
      currentMgPerL === undefined ||
      targetMgPerL === undefined ||
      maxStepMgPerL === undefined ||
      hoursBetween === undefined ||
      !product
    )
      return null
    const out = reading.ask(
      'dose.ramp',
      {
        volumeL,
        currentMgPerL,
        targetMgPerL,
        maxStepMgPerL,
        hoursBetween,
        product: product.product,
        ...(product.step !== undefined && { measureStep: product.step }),
      },
      { '/targetMgPerL': 'target', '/maxStepMgPerL': 'maxStep' },
      `over the ${currentMgPerL} mg/L there are: to come down, change water`,
    )
    if (!out) return null
    const first = out.steps[0]!
    return {
      lead: { what: 'first step', value: first.amount, unit: product.unit },
      says: `${out.steps.length} steps, ${hoursBetween} h apart; test before each`,
      lines: out.steps.map(({ afterHours, amount, mgPerL }, i) => ({
        what: i === 0 ? 'now' : `after ${Number(afterHours.toFixed(1))} h`,
        value: `${Number(amount.toPrecision(4))} ${product.unit} → ${Number(mgPerL.toPrecision(4))} ${product.levelUnit}`,
      })),
      cautions: product.cautions,
      ...(first.amount > 0 && { log: logOf(product, first.amount) }),
    }
  },
}

export const WEEK_BOTTLE: Calculator = {
  id: 'week-bottle',
  group: 'How much do I dose',
  title: 'A week’s dosing bottle',
  about: 'for a pump that gives the same every day',
  fields: (values, products) => [
    VOLUME,
    { id: 'daily', label: 'Rise wanted a day', unit: levelUnitOf(values, products) },
    { id: 'days', label: 'Days', start: String(WEEK) },
    { id: 'pumpMl', label: 'The pump gives a day', unit: 'mL', start: '20' },
    ...productFields(values, products),
  ],
  compute(reading) {
    const volumeL = volumeOf(reading)
    const daily = reading.number('daily', { over: 0 })
    const days = reading.number('days', { over: 0, most: 60 })
    const pumpMl = reading.number('pumpMl', { over: 0 })
    const product = readProduct(reading)
    if (volumeL === undefined || daily === undefined || days === undefined || pumpMl === undefined || !product)
      return null
    const out = reading.ask(
      'dose.amount',
      { volumeL, targetMgPerL: daily * days, product: product.product },
      { '/volumeL': 'volumeL', '/targetMgPerL': 'daily' },
    )
    if (!out) return null
    const fillMl = pumpMl * days
    if (product.unit === 'mL' && out.exact.amount > fillMl)
      return (
        reading.fault(
          'pumpMl',
          `too little: the product alone is ${Number((out.exact.amount / days).toPrecision(3))} mL a day`,
        ) ?? null
      )
    return {
      lead: { what: 'into the bottle', value: out.exact.amount, unit: product.unit },
      says: `then fresh water up to ${Number(fillMl.toPrecision(4))} mL: ${pumpMl} mL a day for ${days} days`,
      lines: [{ ...activeLine(product, out.massMg / days), what: 'active a day' }],
      cautions: product.cautions,
    }
  },
}

export const AFTER_CHANGE: Calculator = {
  id: 'after-change',
  group: 'After a water change',
  title: 'What to put back',
  about: 'what a change leaves, and the redose',
  fields: (values, products) => [
    VOLUME,
    { id: 'level', label: 'Level before', unit: levelUnitOf(values, products) },
    { id: 'changedL', label: 'Changed', unit: 'L' },
    { id: 'restore', label: 'Level wanted', unit: levelUnitOf(values, products) },
    ...productFields(values, products),
  ],
  compute(reading) {
    const volumeL = volumeOf(reading)
    const mgPerL = reading.number('level', { least: 0 })
    const changed = reading.number('changedL', {
      over: 0,
      ...(volumeL !== undefined && { most: volumeL, rather: 'a change cannot be more than there is' }),
    })
    const restoreToMgPerL = reading.number('restore', { over: 0 })
    const product = readProduct(reading)
    if (
      volumeL === undefined ||
      mgPerL === undefined ||
      changed === undefined ||
      restoreToMgPerL === undefined ||
      !product
    )
      return null
    const out = reading.ask(
      'dose.afterWaterChange',
      { volumeL, mgPerL, fraction: changed / volumeL, restoreToMgPerL },
      { '/restoreToMgPerL': 'restore', '/mgPerL': 'level' },
      'the change leaves more than that: nothing is to be put back',
    )
    if (!out) return null
    const dose = reading.ask(
      'dose.amount',
      {
        volumeL,
        currentMgPerL: out.afterMgPerL,
        targetMgPerL: restoreToMgPerL,
        product: product.product,
        ...(product.step !== undefined && { measureStep: product.step }),
      },
      { '/targetMgPerL': 'restore' },
    )
    if (!dose) return null
    const isLittle = dose.measured?.belowMeasurable ?? false
    const amount = dose.measured && !isLittle ? dose.measured.amount : dose.exact.amount
    const makes = out.afterMgPerL + (amount * mgPerUnit(product.product)) / volumeL
    return {
      lead: { what: 'put back', value: amount, unit: product.unit },
      says: `${Number(out.afterMgPerL.toPrecision(4))} → ${Number(makes.toPrecision(4))} ${product.levelUnit}`,
      lines: [
        { what: 'left after the change', value: out.afterMgPerL, unit: product.levelUnit },
        activeLine(product, out.massMg),
        ...packLine(product, amount),
        ...(isLittle && product.product.kind !== 'pack' ? [tooLittle(product, out.massMg)] : []),
        ...bandLine(product.ingredient, makes),
      ],
      cautions: product.cautions,
      ...(!isLittle && { log: logOf(product, amount) }),
    }
  },
}
