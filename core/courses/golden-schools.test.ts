import { DEFINITIONS } from '../catalogue/courses/all-definitions.ts'
import { withChosenParts } from '../catalogue/courses/definitions.ts'
import { hoursBeforeDrug } from './outlook/preview.ts'
import { quarantine } from './testing/schools.ts'

/** Best times of a step's tasks on the wall. */
const best = (definition: string, step: string, { options = {}, horizonDays = 60, eats = true } = {}) => {
  const it = quarantine({ definition, start: { options } })
  if (eats) it.look(-1, '18:00')
  it.reading(0, '07:00', 'salinity', 34.8)
  it.reading(0, '07:00', 'ph', 8)
  return it.tasks(0, '08:00', step, horizonDays).map(({ window }) => window[1])
}

/** A schedule by hand for each school and add-on, day 0 at 08:00, if all goes by the book. */
describe('golden schedules', () => {
  test('copper thirty days: a day of watching, then four steps; the end waits for readings', () => {
    const options = { drug: 'cu-chelated-std', deworm: 'none' }
    // The fish came two days before: the day of watching is over.
    expect(best('qt-a-cu30', 'ramp', { options })).toEqual(['0 08:00'])
    expect(best('qt-a-cu30', 'read', { options }).slice(0, 2)).toEqual(['0 08:00', '1 08:00'])
  })

  test('copper fourteen days, then the move', () => {
    const it = quarantine({
      definition: 'qt-b-drug14',
      start: { options: { drug: 'cu-chelated-std', deworm: 'none' } },
    })
    for (const [day, time, mg] of [
      [0, '08:00', 60],
      [1, '08:00', 30],
      [2, '08:00', 30],
      [3, '08:00', 15],
    ] as const)
      it.dose(day, time, 'cu-chelated', mg)
    for (let day = 3; day <= 4; day++) it.reading(day, '09:00', 'copper', 2.25)
    expect(it.tasks(4, '10:00', 'move')[0]!.window[1]).toBe('17 09:00')
  })

  test('transfers every 72 h at the keeper’s hour: four moves in twelve days', () => {
    expect(best('qt-c-ttm', 'move')).toEqual(['3 08:00', '6 08:00', '9 08:00', '12 08:00'])
  })

  test('transfers every 36 h at the keeper’s hours: eight in twelve days', () => {
    const moves = best('qt-c-velvet', 'move')
    expect(moves.slice(0, 3)).toEqual(['1 20:00', '3 08:00', '4 20:00'])
    expect(moves).toHaveLength(8)
  })

  test('the hybrid: baths with the first move, and six days after it', () => {
    const baths = best('qt-c-hybrid', 'bath')
    expect(baths).toEqual(['3 08:00', '9 08:00'])
    expect(best('qt-c-hybrid', 'move')).toContain(baths[1])
  })

  test('low salinity: six swaps eight hours apart, two readings a day', () => {
    expect(best('qt-d-hypo', 'lower')).toEqual(['0 08:00', '0 16:00', '1 00:00', '1 08:00', '1 16:00', '2 00:00'])
    expect(best('qt-d-hypo', 'read').slice(0, 3)).toEqual(['0 20:00', '1 08:00', '1 20:00'])
  })

  test('against uronema: a bath at once, ten days of doses, food from the evening on', () => {
    expect(best('qt-e-uronema', 'bath')).toEqual(['0 08:00'])
    const doses = best('qt-e-uronema', 'dose')
    expect(doses).toHaveLength(10)
    expect([doses[0], doses.at(-1)]).toEqual(['0 08:00', '9 08:00'])
    expect(best('qt-e-uronema', 'feed').slice(0, 2)).toEqual(['0 20:00', '1 20:00'])
    expect(best('qt-e-uronema', 'close')).toEqual(['9 20:00'])
  })

  test('observing: a look a day, the end after thirty days, better forty-five', () => {
    const it = quarantine({ definition: 'qt-f-observe' })
    expect(
      it
        .tasks(0, '08:00', 'look')
        .slice(0, 2)
        .map(({ window }) => window[1]),
    ).toEqual(['0 19:00', '1 19:00'])
    expect(it.tasks(0, '08:00', 'close', 60)[0]!.window.slice(0, 2)).toEqual(['30 08:00', '45 08:00'])
  })

  test('none: the same looks in the display, and nothing dosed or moved', () => {
    const it = quarantine({ definition: 'qt-g-none' })
    expect(new Set(it.standing(0, '08:00', 60).tasks.map(({ act }) => act))).toEqual(new Set(['look', 'close']))
  })

  test('two dewormings a week apart; metronidazole every second day five times, or daily ten times', () => {
    expect(best('qt-add-worm', 'deworm')).toEqual(['0 08:00', '7 08:00'])
    expect(best('qt-add-metro', 'dose')).toEqual(['0 08:00', '2 08:00', '4 08:00', '6 08:00', '8 08:00'])
    expect(best('qt-add-metro', 'dose', { options: { pace: 'every-24' } })).toHaveLength(10)
    expect(best('qt-add-metro', 'feed', { options: { food: 'soaked' } })).toHaveLength(10)
  })

  test('soaked food: ten days, twice a week apart, or three days, by what it is against', () => {
    const soak = (option: string) => best('qt-add-soak', 'feed', { options: { soak: option } })
    expect(soak('metronidazole')).toHaveLength(10)
    expect(soak('praziquantel')).toEqual(['0 08:00', '7 08:00'])
    expect(soak('fenbendazole')).toEqual(['0 08:00', '1 08:00', '2 08:00'])
  })

  test('kanamycin waits for a veterinarian’s word', () => {
    const it = quarantine({ definition: 'qt-add-kanamycin' })
    expect(it.tasks(0, '08:00', 'dose')[0]!.state).toBe('waiting')
    expect(it.tasks(0, '08:00', 'dose').map(({ amount }) => amount)[0]).toBe('0.5 g')
  })

  test('the further antibiotics: five baths a day apart, four in a week, seven days in the food', () => {
    expect(best('qt-add-nitrofurazone', 'bath')).toEqual(['0 08:00', '1 08:00', '2 08:00', '3 08:00', '4 08:00'])
    expect(best('qt-add-ciprofloxacin', 'bath')).toEqual(['0 08:00', '2 08:00', '4 08:00', '6 08:00'])
    expect(best('qt-add-enrofloxacin', 'feed')).toHaveLength(7)
    expect(best('qt-add-enrofloxacin', 'bath', { options: { way: 'bath-48' } })).toHaveLength(4)
  })

  test('kanamycin: a quarter changed before each dose but the first, the drug out two days after the last', () => {
    expect(best('qt-add-kanamycin', 'dose')).toEqual(['0 08:00', '2 08:00', '4 08:00', '6 08:00', '8 08:00'])
    expect(best('qt-add-kanamycin', 'change')).toEqual(['2 07:30', '4 07:30', '6 07:30', '8 07:30'])
    expect(best('qt-add-kanamycin', 'clear')).toEqual(['10 08:00'])
    expect(best('qt-add-kanamycin', 'close')).toEqual(['10 08:00'])
  })

  test('thirty days of chloroquine by its one dose; a formalin bath before entry', () => {
    const options = { drug: 'chloroquine-std', deworm: 'none' }
    expect(best('qt-a-cq30', 'ramp', { options })).toEqual(['0 08:00'])
    expect(best('qt-add-formalin', 'bath')).toEqual(['0 08:00'])
  })

  test('every school and add-on is told here', () => {
    const told = [
      'qt-a-cu30 qt-b-drug14 qt-a-cq30 qt-c-ttm qt-c-velvet qt-c-hybrid qt-d-hypo qt-d-fluke qt-e-uronema qt-f-observe',
      'qt-g-none qt-freshwater qt-add-worm qt-add-metro qt-add-soak qt-add-kanamycin qt-add-formalin',
      'qt-add-nitrofurazone qt-add-enrofloxacin qt-add-ciprofloxacin',
    ].flatMap((line) => line.split(' '))
    const all = DEFINITIONS.filter(({ kind }) => kind === 'school' || kind === 'add-on').map(({ id }) => id)
    expect([...all].sort()).toEqual([...told].sort())
  })
})

describe('ninety days over a clock change and a leap day', () => {
  test('freshwater quarantine from the middle of February 2028 in Lisbon: days by the wall, hours by the clock', () => {
    const it = quarantine({
      definition: 'qt-freshwater',
      zone: 'Europe/Lisbon',
      day: '2028-02-10',
      start: { options: { worms: 'flukes' } },
    })
    it.look(0, '07:00')
    // Twenty-nine days in that February: day 28 is the ninth of March.
    expect(it.tasks(0, '08:00', 'close', 60)[0]!.window.slice(0, 2)).toEqual(['28 08:00', '42 08:00'])
    expect(it.at(28, '08:00').happened).toBe('2028-03-09T08:00:00.000Z')
    // The looks stay at seven in the evening on the wall, over the night of the 26th of March.
    const looks = it.tasks(0, '08:00', 'look', 90).map(({ window }) => window[1])
    expect(looks).toHaveLength(90)
    expect(looks.at(-1)).toBe('89 19:00')
    expect(new Set(looks.map((one) => one!.split(' ')[1]))).toEqual(new Set(['19:00']))
  })

  test('elapsed hours do not follow the wall: a move 72 h after one before the change is an hour later on the clock', () => {
    const it = quarantine({ definition: 'qt-c-ttm', zone: 'Europe/Lisbon', day: '2028-03-24' })
    // Day 2 is the 26th: 72 h from day 0, 08:00, end at 09:00 on day 3.
    expect(it.tasks(0, '08:00', 'move')[0]!.window).toEqual(['2 21:00', '3 09:00', '3 11:00'])
  })

  test('a sign on day 20 of fresh water costs fourteen days more, one on day 5 nothing', () => {
    const signs = [{ sign: 'flashing', present: true }]
    const early = quarantine({ definition: 'qt-freshwater' })
    early.look(5, '08:00', { signs })
    expect(early.tasks(6, '08:00', 'close', 60)[0]!.window[0]).toBe('28 08:00')
    const late = quarantine({ definition: 'qt-freshwater' })
    late.look(20, '08:00', { signs })
    expect(late.tasks(21, '08:00', 'close', 60)[0]!.window[0]).toBe('34 08:00')
  })
})

describe('rest', () => {
  test('two looks a day, a small change twice a week, nothing dosed', () => {
    const it = quarantine({ definition: 'rest' })
    expect(
      it
        .tasks(0, '08:00', 'look')
        .slice(0, 3)
        .map(({ window }) => window[1]),
    ).toEqual(['0 08:00', '0 19:00', '1 08:00'])
    expect(it.tasks(0, '08:00', 'step-1-change').map(({ window, amount }) => [window[1], amount])).toEqual([
      ['3 08:00', '9 L'],
      ['6 08:00', '9 L'],
      ['10 08:00', '9 L'],
      ['13 08:00', '9 L'],
    ])
  })

  test('all eaten on three days running is the end; a missed meal begins the count again', () => {
    const it = quarantine({ definition: 'rest' })
    for (const day of [1, 2]) it.look(day, '18:00')
    const rule = (day: number, id: string) => it.standing(day, '20:00').rules.find((one) => one.rule === id)!
    expect(rule(2, 'success')).toMatchObject({ state: 'not', is: 2, limit: 3 })
    it.look(3, '18:00', { appetite: 3 })
    expect(rule(3, 'success').is).toBe(0)
    for (const day of [4, 5, 6]) it.look(day, '18:00')
    expect(rule(6, 'success').state).toBe('holds')
    expect(it.standing(6, '20:00').stage).toBe('to-close')
  })

  test('no better on day seven asks for a veterinarian; a sign stops it', () => {
    const it = quarantine({ definition: 'rest' })
    it.look(6, '18:00', { appetite: 1 })
    const rules = it.standing(7, '20:00').rules
    expect(rules.find(({ rule }) => rule === 'escalate-1')!.state).toBe('holds')
    it.look(8, '18:00', { signs: [{ sign: 'fine-dust-sheen', present: true }] })
    expect(it.standing(8, '20:00').rules.find(({ rule }) => rule === 'stop-1')!.state).toBe('holds')
  })
})

test('parts of other choices are left out, and a definition without choices is itself', () => {
  const worm = DEFINITIONS.find(({ id }) => id === 'qt-add-worm')!
  expect(withChosenParts(worm, {}).tracks.map(({ id }) => id)).toEqual(['dewormings'])
  expect(withChosenParts(worm, { gut: 'food' })).toBe(worm)
  const metro = DEFINITIONS.find(({ id }) => id === 'qt-add-metro')!
  expect(withChosenParts(metro, {}).products.map(({ dose }) => dose)).toEqual(['metronidazole-prophylactic'])
})

test('what the start page foretells of the medicine after dewormings is what the course then asks', () => {
  const whole = DEFINITIONS.find(({ id }) => id === 'qt-b-drug14')!
  expect(hoursBeforeDrug(withChosenParts(whole, { deworm: 'before' }))).toBe(240)
  expect(hoursBeforeDrug(withChosenParts(whole, { deworm: 'after' }))).toBe(0)
  expect(best('qt-b-drug14', 'ramp', { options: { drug: 'cu-chelated-std', deworm: 'before' } })).toEqual(['10 08:00'])
})

test('a red sore in the school against uronema stands above everything: both ways are told', () => {
  const it = quarantine({ definition: 'qt-e-uronema' })
  expect(it.standing(0, '09:00').warnings.map(({ rule }) => rule)).not.toContain('red-sore')
  it.look(0, '10:00', { signs: [{ sign: 'red-sore-flank', present: true }] })
  const found = it.standing(0, '11:00').warnings.find(({ rule }) => rule === 'red-sore')!
  expect(found.text).toMatch(/go on treating, or a painless end/)
})
