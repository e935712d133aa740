import { PROCEDURES, procedureById } from '../catalogue/procedures/procedures.ts'
import type { BenchChoices } from './occasions.ts'
import { occasionsOf } from './occasions.ts'

/** A procedure in one line, written by hand: `<` before it, `>` put back, `:A` for the subject A. */
const lineOf = (id: string, chosen: BenchChoices['choices'] = []) =>
  occasionsOf(procedureById(id)!, { choices: chosen }, procedureById(id)!.subjects.length > 0 ? ['A', 'B'] : [])
    .map(
      ({ step, subjectId }) =>
        step.replace(/^before-/, '<').replace(/^after-/, '>') + (subjectId === null ? '' : `:${subjectId}`),
    )
    .join(' ')

const GOLDEN: Readonly<Record<string, string>> = {
  'peroxide-spot':
    '<wear <syringe <flow-off <top-off-off <uv-off spot:A spot:B still >flow-on >level >top-off-on >uv-on >away',
  'turf-in-tank':
    '<wear <syringe <sock <flow-off <top-off-off <uv-off pull:A spot:A pull:B spot:B still siphon >flow-on >level >top-off-on >uv-on >away',
  'peroxide-emersed':
    '<wear <buckets <top-off-off lift:A spray:A contact:A rinse:A back:A lift:B spray:B contact:B rinse:B back:B >level >top-off-on >away',
  'peroxide-bench':
    '<wear <tubs <tools <top-off-off lift:A drip:A wait:A flood:A watch:A evicted:A rinse:A back:A lift:B drip:B wait:B flood:B watch:B evicted:B rinse:B back:B >level >top-off-on >hands',
  'leather-drip':
    '<wear <tub <look <top-off-off lift:A drip:A cover:A soak:A back:A lift:B drip:B cover:B soak:B back:B >level >top-off-on >hands',
  'bubble-rock':
    '<wear <tubs <tools <top-off-off lift:A pick:A dig:A brush:A out:A contact:A rinse:A glue:A back:A lift:B pick:B dig:B brush:B out:B contact:B rinse:B glue:B back:B >level >top-off-on >hands',
  'anemone-rock':
    '<wear <tubs <tools <top-off-off lift:A cut:A scraps:A paste:A rinse:A back:A lift:B cut:B scraps:B paste:B rinse:B back:B >level >top-off-on >flood >hands',
  'coral-dip': '<wear <tubs <mix <tray dip:A count:A rinse:A back:A dip:B count:B rinse:B back:B >dip-away >hands',
  'brown-jelly-cut':
    '<wear <bucket <dip <flow-off <top-off-off siphon bag cut dip rinse isolate bleach >flow-on >level >top-off-on >bucket-away',
  'free-a-frag': '<wear <tubs <top-off-off lift:A prise:A back:A lift:B prise:B back:B >level >top-off-on >hands',
  'dip-freshwater': '<water <lid in dip home flecks >away',
  'bath-peroxide': '<wear <tub <mix <lid in bath moved >away',
  'bath-formalin': '<wear <tub <mix <lid in bath moved >away',
  transfer: '<set <tools catch:A moved:A catch:B moved:B >bleach >hands',
  'planaria-dose': '<out <carbon-out <clean mix pour jar:A jar:B >air',
  'planaria-half-change': '<water score:A score:B change pour refill:A refill:B >air',
  'siphon-and-blow': '<wear <sock <top-off-off <flow-off siphon return blow >flow-on >level >top-off-on >floss >bin',
  'microscope-sample': '<wear <ready collect shake settle draw slide look measure >away',
  'mix-water': '<water salt stir measure >label',
  'blackout-cover': '<tests <loose <light-off heads cover >cover-on >co2-off >air-on',
  'blackout-uncover': '<dim uncover heads siphon change >cover-off >light-on',
  'cyano-peroxide':
    '<wear <out <filter-off <top-off-off siphon pour work half-1 half-2 half-3 strip home >filter-on >top-off-on >away',
}

test.each(PROCEDURES.map(({ id }) => id))('%s, in its order by hand', (id) => {
  expect(lineOf(id)).toBe(GOLDEN[id])
})

test('what was chosen adds and leaves out steps', () => {
  expect(lineOf('peroxide-spot', [{ id: 'tier', option: 'spot-changed' }])).toContain('still siphon change >flow-on')
  expect(lineOf('peroxide-emersed', [{ id: 'what', option: 'hardscape' }])).toContain('spray:A contact-long:A rinse:A')
  expect(lineOf('bath-peroxide', [{ id: 'afterwards', option: 'home' }])).toContain('bath home >away')
  expect(lineOf('dip-freshwater', [{ id: 'afterwards', option: 'move' }])).toContain('dip moved flecks')
})

describe('every procedure', () => {
  test('puts back what it puts off, ends every clock it begins, and names its source', () => {
    for (const { id, before, steps, after, source } of PROCEDURES) {
      const off = before.flatMap(({ switches, stays }) =>
        switches?.running === false && !stays ? [switches.item] : [],
      )
      const on = after.flatMap(({ switches }) => (switches?.running ? [switches.item] : []))
      expect({ id, missing: off.filter((item) => !on.includes(item)) }).toEqual({ id, missing: [] })
      const clocks = new Set(steps.flatMap(({ begins }) => (begins ? [begins.clock] : [])))
      expect({ id, ends: new Set(steps.flatMap(({ ends }) => (ends ? [ends] : []))) }).toEqual({ id, ends: clocks })
      expect(source).toMatch(/\.md/)
    }
  })
  test('that tells the tank’s heater off lists it among what is put back', () => {
    const told = PROCEDURES.filter(({ before, steps }) =>
      [...before, ...steps].some((one) => /tank’s (own )?heater unplugged/.test(JSON.stringify(one))),
    )
    expect(told.map(({ id }) => id)).toEqual(expect.arrayContaining(['peroxide-bench', 'bubble-rock', 'anemone-rock']))
    for (const { id, after } of told)
      expect({ id, isBack: after.some(({ switches }) => switches?.item === 'heater' && switches.running) }).toEqual({
        id,
        isBack: true,
      })
  })
  test('puts the top-off on only once the level is back', () => {
    for (const { id, after } of PROCEDURES) {
      const place = (item: string) => after.findIndex((one) => one.id === item)
      if (place('level') >= 0) expect({ id, first: place('level') < place('top-off-on') }).toEqual({ id, first: true })
    }
  })
  test('names no step twice, and no record twice with two meanings', () => {
    for (const procedure of PROCEDURES) {
      const keys = occasionsOf(procedure, {}, ['A', 'B']).map(({ step, subjectId }) => `${step} ${subjectId}`)
      expect(new Set(keys).size).toBe(keys.length)
    }
  })
  test('shows its caution before the first step wherever gloves or goggles are worn', () => {
    for (const { id, before } of PROCEDURES) {
      const wear = before.find((item) => item.id === 'wear')
      if (wear) expect({ id, caution: wear.caution !== undefined }).toEqual({ id, caution: true })
    }
  })
  test('shows a caution beside every amount of a chemical', () => {
    const chemical = new Set(['measured-out', 'redose', 'session-cap', 'tub-cap'])
    for (const { id, before, steps } of PROCEDURES)
      for (const item of [...before, ...steps])
        if (chemical.has(item.amount ?? ''))
          expect([id, item.id, item.caution !== undefined]).toEqual([id, item.id, true])
  })
  test('a timer is never over its stop before it rings', () => {
    for (const procedure of PROCEDURES)
      for (const { timer } of occasionsOf(procedure, {}, ['A']))
        if (timer) {
          expect(timer.leastMinutes).toBeLessThanOrEqual(timer.minutes)
          expect(timer.stopMinutes ?? Infinity).toBeGreaterThanOrEqual(timer.minutes)
        }
  })
})

test('the minutes of a bath and of a dip are those of the handbook’s rows', () => {
  const minutes = (id: string, chosen: BenchChoices['choices'] = []) => {
    const timer = occasionsOf(procedureById(id)!, { choices: chosen }, ['A']).find((one) => one.timer)!.timer!
    return [timer.leastMinutes, timer.minutes, timer.stopMinutes]
  }
  expect(minutes('bath-peroxide')).toEqual([30, 30, 30])
  expect(minutes('bath-formalin')).toEqual([45, 45, 60])
  expect(minutes('coral-dip', [{ id: 'dip', option: 'iodine' }])).toEqual([5, 5, 10])
  expect(minutes('coral-dip', [{ id: 'dip', option: 'label-oil' }])).toEqual([5, 5, 15])
})
