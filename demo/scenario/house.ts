import { METRIC } from '../../core/household/settings.ts'
import type { ContentOf } from '../../core/journal/entry.ts'
import type { Diary, Present } from '../diary.ts'

/** The first day of the sample's journal. */
export const FIRST_DAY = -122

/** The tanks, the shelf, the kits and the household's habits, as they were written down on the first day. */
export function houseAndShelf(diary: Diary, { timeZone }: Present): void {
  const first = (time: string, content: Parameters<Diary['on']>[2]) => diary.on(FIRST_DAY, time, content)
  first('09:00', { kind: 'household', timeZone, units: METRIC })
  first('09:10', {
    kind: 'tank-setup',
    tankId: 'hall',
    name: 'Hall reef',
    short: 'hall',
    water: 'marine',
    role: 'display',
    profile: 'reef-lps',
    sheet: {
      shape: { kind: 'box', lengthCm: 110, widthCm: 55, heightCm: 60 },
      waterHeightCm: 56,
      substrate: { depthCm: 3 },
      rock: { dryMassKg: 52 },
      sumpL: 38,
      otherDisplacementL: 2,
    },
    contents: ['rock', 'sand'],
  })
  first('09:20', {
    kind: 'tank-setup',
    tankId: 'quar',
    name: 'Quarantine',
    short: 'quar',
    water: 'marine',
    role: 'quarantine',
    profile: 'quarantine-marine',
    sheet: { shape: { kind: 'box', lengthCm: 50, widthCm: 35, heightCm: 40 }, waterHeightCm: 37 },
    contents: ['nothing'],
  })
  first('09:30', {
    kind: 'tank-setup',
    tankId: 'frag',
    name: 'Frag tub',
    short: 'frag',
    water: 'marine',
    role: 'frag',
    profile: 'reef-soft',
    sheet: { shape: { kind: 'known', litres: 45 } },
    contents: ['nothing'],
  })
  first('09:40', {
    kind: 'tank-setup',
    tankId: 'study',
    name: 'Study planted',
    short: 'study',
    water: 'freshwater',
    role: 'display',
    profile: 'planted-fresh',
    sheet: {
      shape: { kind: 'box', lengthCm: 60, widthCm: 36, heightCm: 45 },
      waterHeightCm: 43,
      substrate: { depthCm: 5, porosity: 0.45 },
      rock: { dryMassKg: 4 },
      otherDisplacementL: 1,
    },
    contents: ['sand', 'plants'],
  })
  diary.on(-30, '10:00', {
    kind: 'tank-setup',
    tankId: 'side',
    name: 'Side tub',
    short: 'side',
    water: 'marine',
    role: 'tub',
    profile: 'quarantine-marine',
    sheet: { shape: { kind: 'known', litres: 38 } },
    contents: ['nothing'],
  })
  diary.on(-9, '17:00', {
    kind: 'tank-setup',
    tankId: 'jar',
    name: 'Shrimp jar',
    short: 'jar',
    water: 'marine',
    role: 'jar',
    profile: 'reef-soft',
    sheet: { shape: { kind: 'known', litres: 15 } },
    contents: ['nothing'],
  })
  diary.on(-7, '18:00', {
    kind: 'tank-setup',
    tankId: 'bucket',
    name: 'Urchin bucket',
    short: 'bucket',
    water: 'marine',
    role: 'bucket',
    sheet: { shape: { kind: 'known', litres: 18 } },
    contents: ['rock'],
  })
  equipment(diary)
  shelf(diary)
  kits(diary)
}

function equipment(diary: Diary): void {
  const switched = (day: number, tankId: string, item: ContentOf<'equipment'>['item'], running: boolean) =>
    diary.on(day, '10:00', { kind: 'equipment', tankId, item, running })
  for (const item of ['skimmer', 'auto-top-off', 'flow', 'heater', 'carbon'] as const)
    switched(FIRST_DAY, 'hall', item, true)
  for (const item of ['heater', 'air'] as const) switched(FIRST_DAY, 'quar', item, true)
  for (const item of ['heater', 'flow', 'light'] as const) switched(FIRST_DAY, 'frag', item, true)
  for (const item of ['heater', 'flow', 'light', 'co2', 'auto-top-off'] as const)
    switched(FIRST_DAY, 'study', item, true)
  for (const item of ['heater', 'air'] as const) switched(-30, 'side', item, true)
  for (const item of ['heater', 'air'] as const) switched(-9, 'jar', item, true)
  for (const item of ['heater', 'air'] as const) switched(-7, 'bucket', item, true)
  switched(-7, 'hall', 'carbon', false)
  diary.on(-6, '11:00', { kind: 'equipment', tankId: 'hall', item: 'uv', running: true })
}

function shelf(diary: Diary): void {
  const put = (day: number, content: Omit<ContentOf<'product-setup'>, 'happened' | 'kind'>) =>
    diary.on(day, '10:30', { kind: 'product-setup', ...content })
  put(FIRST_DAY, {
    productId: 'copper',
    name: 'copper bottle',
    ingredient: 'cu-chelated',
    strength: { kind: 'solution', mgPerMl: 10 },
    measure: { tool: '5 mL syringe', step: 0.1 },
    left: 236,
    useBy: yearFrom(diary, 410),
  })
  put(-20, {
    productId: 'prazi',
    name: 'dewormer powder',
    ingredient: 'praziquantel',
    strength: { kind: 'powder', activeFraction: 1 },
    measure: { tool: '0.01 g scale', step: 0.01 },
    left: 25,
    useBy: yearFrom(diary, 620),
  })
  put(FIRST_DAY, {
    productId: 'peroxide3',
    name: 'peroxide 3 %',
    ingredient: 'peroxide',
    strength: { kind: 'solution', mgPerMl: 30.28 },
    measure: { tool: '5 mL syringe', step: 0.1 },
    left: 410,
    useBy: yearFrom(diary, 55),
  })
  put(-8, {
    productId: 'nitrate',
    name: 'nitrate stock',
    ingredient: 'potassium-nitrate',
    strength: { kind: 'solution', mgPerMl: 10 },
    measure: { tool: '60 mL syringe', step: 1 },
    left: 800,
  })
  put(-8, {
    productId: 'phosphate',
    name: 'phosphate stock',
    ingredient: 'monopotassium-phosphate',
    strength: { kind: 'solution', mgPerMl: 1 },
    measure: { tool: '10 mL syringe', step: 0.2 },
    left: 450,
  })
  put(FIRST_DAY, {
    productId: 'bicarb',
    name: 'baking soda',
    ingredient: 'sodium-bicarbonate',
    strength: { kind: 'powder', activeFraction: 1 },
    measure: { tool: '0.01 g scale', step: 0.1 },
    left: 460,
  })
  put(FIRST_DAY, {
    productId: 'fenben',
    name: 'fenbendazole 22 %',
    ingredient: 'fenbendazole',
    strength: { kind: 'powder', activeFraction: 0.222 },
    measure: { tool: '0.01 g scale', step: 0.01 },
    left: 8.4,
    useBy: yearFrom(diary, 300),
  })
  put(-21, {
    productId: 'iodine',
    name: 'iodine dip',
    ingredient: 'iodine-dip',
    strength: { kind: 'drops', mgPerMl: 50, dropsPerMl: 20 },
    measure: { tool: 'dropper', step: 1 },
    left: 520,
    useBy: yearFrom(diary, 700),
  })
  put(FIRST_DAY, {
    productId: 'thio',
    name: 'dechlorinator',
    ingredient: 'dechlorinator',
    strength: { kind: 'drops', mgPerMl: 120, dropsPerMl: 20 },
    measure: { tool: 'dropper', step: 1 },
    left: 900,
  })
}

/** A use-by date so many days after today. */
const yearFrom = (diary: Diary, days: number) => diary.at(days, '12:00').slice(0, 10)

function kits(diary: Diary): void {
  const kit = (content: Omit<ContentOf<'kit-setup'>, 'happened' | 'kind'>) =>
    diary.on(FIRST_DAY, '10:45', { kind: 'kit-setup', ...content })
  kit({
    kitId: 'kit-cu',
    name: 'copper photometer, total',
    parameter: 'copper',
    uncertainty: { abs: 0.05, rel: 0.05 },
    step: 0.01,
    tankId: 'quar',
  })
  kit({
    kitId: 'kit-tan-quar',
    name: 'ammonia drops, quarantine',
    parameter: 'tan',
    uncertainty: { abs: 0.25 },
    step: 0.25,
    basis: 'NH4',
    tankId: 'quar',
  })
  kit({ kitId: 'kit-tan', name: 'ammonia drops', parameter: 'tan', uncertainty: { abs: 0.2 }, step: 0.1, basis: 'NH4' })
  kit({ kitId: 'kit-alk', name: 'alkalinity drops', parameter: 'alk-kh', uncertainty: { abs: 0.3 }, step: 0.1 })
  kit({ kitId: 'kit-ph', name: 'pH drops', parameter: 'ph', uncertainty: { abs: 0.2 }, step: 0.1 })
  kit({ kitId: 'kit-nh3', name: 'ammonia badge', parameter: 'nh3', uncertainty: { abs: 0.02 }, tankId: 'side' })
  kit({ kitId: 'kit-sal', name: 'refractometer', parameter: 'salinity', uncertainty: { abs: 0.7 }, step: 0.5 })
  kit({
    kitId: 'kit-no3',
    name: 'nitrate colour card',
    parameter: 'no3',
    uncertainty: { abs: 0.3, rel: 0.15 },
    step: 0.5,
  })
  kit({ kitId: 'kit-po4', name: 'phosphate photometer', parameter: 'po4', uncertainty: { abs: 0.02 }, step: 0.01 })
}
