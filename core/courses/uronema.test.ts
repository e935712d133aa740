import { affectedWords, beyondHelp, conditionsOf } from '../watching/affected.ts'
import { isActOff } from './acts/act-off.ts'
import { quarantine } from './testing/schools.ts'

type It = ReturnType<typeof begun>

/** The school against uronema, a damsel that may sicken and a clownfish; both eat at first. */
function begun() {
  const it = quarantine({
    definition: 'qt-e-uronema',
    before: [
      {
        kind: 'arrival',
        happened: '2026-10-30T12:00:00Z',
        animalId: 'school',
        tankId: 'quar',
        name: 'School',
        species: 'chromis',
        group: 'damsel-chromis',
        count: 5,
      },
    ],
    start: { animalIds: ['cobalt', 'ash', 'school'] },
  })
  it.look(0, '07:00', { animalIds: ['cobalt', 'ash', 'school'] })
  return it
}
const seen = (it: It, day: number, animalId: string, signs: string[], extra = {}) =>
  it.write({
    kind: 'sighting',
    ...it.at(day, '07:00'),
    tankId: 'quar',
    animalIds: [animalId],
    signs: signs.map((sign) => ({ sign, present: true })),
    ...extra,
  })
const warning = (it: It, day: number, id: string) =>
  it.plan(day, '12:00').warnings.find((one) => one.id === id)?.text ?? null

test('how many of how many: sores, new ones, lying, not eating; a sign denied later no longer counts', () => {
  const it = begun()
  seen(it, 1, 'school', ['open-ulcer'], { affected: 2 })
  seen(it, 1, 'cobalt', ['lethargic-bottom'], { appetite: 0 })
  expect(warning(it, 1, 'ward')).toBe('2 of 7 with a sore, new; 1 of 7 lies still; 1 of 7 does not eat.')
  it.write({
    kind: 'sighting',
    ...it.at(2, '07:00'),
    tankId: 'quar',
    animalIds: ['cobalt'],
    signs: [{ sign: 'lethargic-bottom', present: false }],
    appetite: 4,
  })
  seen(it, 2, 'school', ['open-ulcer'], { affected: 3 })
  expect(warning(it, 2, 'ward')).toBe('3 of 7 with a sore, new.')
  seen(it, 4, 'school', ['red-sore-flank'], { affected: 3 })
  expect(affectedWords(conditionsOf(it.journal, ['cobalt', 'ash', 'school'], it.ms(4, '08:00')))).toBe(
    '3 of 7 with a sore',
  )
  expect(warning(it, 8, 'ward')).toBeNull()
})

describe('a fish that does not eat is not fed medicine', () => {
  const meal = (it: It, day: number) => it.plan(day, '21:00').tasks.find(({ step }) => step === 'feed')!

  test('the others are, and it is said of whom', () => {
    const it = begun()
    it.write({
      kind: 'sighting',
      ...it.at(1, '07:00'),
      tankId: 'quar',
      animalIds: ['ash', 'school'],
      signs: [],
      appetite: 4,
    })
    seen(it, 1, 'cobalt', [], { appetite: 1 })
    expect(meal(it, 1).animalIds).toEqual(['ash', 'school'])
    expect(meal(it, 1).how).toMatch(/^cobalt does not eat, and is not fed medicine\./)
    expect(meal(it, 1).waitsFor).toBeUndefined()
  })

  test('where none eats the meal waits, and the course ends with what goes into the water', () => {
    const it = begun()
    it.write({
      kind: 'bath',
      ...it.at(0, '09:00'),
      tankId: 'quar',
      animalIds: [],
      ingredient: 'formalin',
      amount: 1.3,
      unit: 'mL',
      massMg: 1264,
      litres: 8,
      water: 'new',
      minutes: 50,
    })
    for (let day = 0; day < 10; day++) {
      it.dose(day, '09:30', 'metronidazole', 396)
      for (const id of ['cobalt', 'ash', 'school']) seen(it, day, id, [], { appetite: 0 })
    }
    expect(meal(it, 9).waitsFor).toEqual(['stable and eating'])
    const close = it.plan(9, '12:00').tasks.find(({ step }) => step === 'close')!
    expect(close.why).toBe('every dose into the water was given; the food was left')
    expect(isActOff(close, it.ms(9, '12:00'))).toBe(false)
  })
})

describe('a painless end', () => {
  test('is named for the fish that lies, does not eat and has a sore: by a veterinarian, without a dose', () => {
    const it = begun()
    seen(it, 1, 'cobalt', ['lethargic-bottom', 'open-ulcer'], { appetite: 0 })
    seen(it, 1, 'ash', ['open-ulcer'], { appetite: 4 })
    const text = warning(it, 1, 'humane-end')!
    expect(text).toMatch(/^cobalt lies, does not eat and has a sore/)
    expect(text).toMatch(/veterinarian/)
    expect(text).toMatch(/Never freezing, flushing or boiling/)
    expect(text).not.toMatch(/\d+ ?(mg|mL|g)\b/)
  })

  test('not for one that still eats, or lies without a sore; raised scales only after five days', () => {
    const it = begun()
    seen(it, 1, 'cobalt', ['lethargic-bottom', 'open-ulcer'], { appetite: 3 })
    seen(it, 1, 'ash', ['lethargic-bottom'], { appetite: 0 })
    expect(warning(it, 1, 'humane-end')).toBeNull()
    for (const day of [2, 4, 6]) seen(it, day, 'ash', ['scales-raised'], { appetite: 3 })
    expect(beyondHelp(conditionsOf(it.journal, ['ash'], it.ms(6, '06:00')))).toEqual([])
    expect(warning(it, 7, 'humane-end')).toMatch(/^ash shows no gain/)
  })
})
