import { doseById } from '../catalogue/treatments/treatments.ts'
import type { Content } from '../journal/entry.ts'
import { directDose } from './judge/direct-dose.ts'
import { treatmentConcerns } from './judge/treat-water.ts'
import { ward, type Ward } from '../courses/testing/ward.ts'

const CHELATED = { agent: 'cu-chelated', dose: doseById('cu-chelated-std')!, direct: false, rampHours: 24 }
/** What speaks against chelated copper before a course has begun. */
function concerns(change: (it: Ward) => void, treatment = CHELATED) {
  const it = ward()
  change(it)
  return treatmentConcerns(it.journal, 'obs', treatment, it.ms(3, '08:00')).map(
    ({ rule, severity, override, what }) => `${severity} ${rule} ${override}: ${what}`,
  )
}
const resident =
  (group: string, name = 'Spiny') =>
  (it: Ward) => {
    it.write({
      kind: 'arrival',
      ...it.at(0, '09:00'),
      animalId: 'one',
      tankId: 'obs',
      name,
      species: group,
      group,
      count: 1,
    })
  }
const dosed =
  (ingredient: string, day = 1) =>
  (it: Ward) => {
    const product: Content = {
      kind: 'product-setup',
      ...it.at(-2, '08:00'),
      productId: 'other',
      name: 'other bottle',
      ingredient,
      strength: { kind: 'solution', mgPerMl: 10 },
    }
    it.write(product)
    it.write({
      kind: 'dose',
      ...it.at(day, '09:00'),
      tankId: 'obs',
      ingredient,
      productId: 'other',
      amount: 1,
      unit: 'mL',
    })
  }
const equipment = (item: 'carbon' | 'skimmer' | 'uv') => (it: Ward) => {
  it.write({ kind: 'equipment', ...it.at(0, '09:00'), tankId: 'obs', item, running: true })
}

describe('what speaks against copper, quarantine.md 6 and 5.6', () => {
  test('nothing, in a bare tank with nothing in it', () => {
    expect(concerns(() => {})).toEqual([])
  })

  test('an invertebrate: never, and no way round it', () => {
    const found = concerns(resident('star-urchin'))
    expect(found).toHaveLength(1)
    expect(found[0]).toMatch(/^never \S+ none: Spiny, star-urchin$/)
  })

  test('an ammonia binder dosed this week blocks, and one of last month does not', () => {
    expect(concerns(dosed('ammonia-binder')).join()).toMatch(/^never cu-binder none: ammonia-binding conditioner/)
    expect(concerns(dosed('ammonia-binder', -40))).toEqual([])
  })

  test('carbon is told before it eats the dose', () => {
    expect(concerns(equipment('carbon')).join()).toContain('carbon is running')
  })

  test('a fish that does not tolerate it: a written reason and a veterinarian’s word', () => {
    const found = concerns(resident('elasmobranch'))
    expect(found.some((one) => /^(never|block) /.test(one))).toBe(true)
    const mandarin = concerns(resident('dragonet'))
    expect(mandarin.some((one) => /^(block|caution) dragonet/.test(one) || /^(block|caution) /.test(one))).toBe(true)
  })

  test('a rock in the tank needs the written reason alone', () => {
    const found = concerns((it) =>
      it.write({ kind: 'tank-change', ...it.at(0, '09:00'), tankId: 'obs', changes: { contents: ['rock'] } }),
    )
    expect(found).toContainEqual(expect.stringMatching(/^block cu-rock reason: /))
  })

  test('the gravest stands first', () => {
    const found = concerns((it) => {
      equipment('carbon')(it)
      resident('star-urchin')(it)
    })
    expect(found[0]).toMatch(/^never/)
  })
})

describe('straight to the dose, quarantine.md 5.5', () => {
  test('chelated copper may, where nobody in the water is too tender for it', () => {
    const it = ward()
    const offer = () => directDose(it.journal, 'obs', CHELATED.dose, it.ms(3, '08:00')).offer
    expect(offer()).toBe('by-reason')
    resident('dragonet')(it)
    expect(offer()).toBe('no')
  })
  test.each(['cu-amine-std', 'cu-ion-std'])('%s is as its row says', (id) => {
    const it = ward()
    const { offer, why } = directDose(it.journal, 'obs', doseById(id)!, it.ms(3, '08:00'))
    expect(offer).toBe('no')
    expect(why).not.toBe('')
  })
})
