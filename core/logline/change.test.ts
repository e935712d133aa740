import { ward } from '../courses/testing/ward.ts'
import { readLine } from './read.ts'

const it = ward()
const read = (line: string) =>
  readLine(line, { journal: it.journal, settings: it.settings, now: it.ms(3, '12:00'), locale: 'en-GB' })
const kept = (line: string) => {
  const back = read(line)
  return back.state === 'keep' ? back.contents[0] : back
}

test.each([
  ['quar change 15L', undefined],
  ['quar change 15L with cu 2.25', { copperMgPerL: 2.25 }],
  ['quar change 20% new cu 2.2 sal 33', { copperMgPerL: 2.2, salinityPsu: 33 }],
])('%s', (line, replacement) => {
  expect(kept(line)).toMatchObject({ kind: 'water-change', ...(replacement && { replacement }) })
  if (!replacement) expect(kept(line)).not.toHaveProperty('replacement')
})

test('copper after the amount alone could be a test of the tank: it is asked', () => {
  expect(read('quar change 15L cu 2.25')).toMatchObject({
    state: 'choose',
    choices: [{ label: 'the new water', text: 'quar change 15L with cu 2.25' }],
  })
})

test('what of the new water is not kept, or is missing, is said', () => {
  expect(read('quar change 15L with')).toMatchObject({ state: 'unclear' })
  expect(read('quar change 15L with no3 5')).toMatchObject({ state: 'unclear' })
  expect(read('quar change 15L with cu 2.1-2.3')).toMatchObject({ state: 'unclear' })
})

test('copper mixed into the new water keeps the level where it was', () => {
  const quar = ward()
  quar.write({
    ...quar.at(1, '08:00'),
    kind: 'dose',
    tankId: 'quar',
    ingredient: 'cu-chelated',
    amount: 13.5,
    unit: 'mL',
    massMg: 135,
  })
  const back = readLine('quar change 15L with cu 2.25', {
    journal: quar.journal,
    settings: quar.settings,
    now: quar.ms(2, '12:00'),
    locale: 'en-GB',
  })
  if (back.state !== 'keep') throw new Error(JSON.stringify(back))
  quar.write(back.contents[0]!)
  expect(quar.plan(2, '12:30').known!.mgPerL).toBeCloseTo(2.25, 6)
})
