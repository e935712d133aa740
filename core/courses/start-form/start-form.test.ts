import { drugChoice } from '../amounts/drug-choices.ts'
import { definitionById } from '../../catalogue/courses/definitions.ts'
import type { Concern } from '../../safety/concern.ts'
import { NO_ANSWER, type Answer } from '../../safety/answers.ts'
import { courseById } from '../course.ts'
import { ward } from '../testing/ward.ts'
import { productById } from '../../household/shelf.ts'
import { tankById } from '../../household/tanks.ts'
import { contentFault } from '../../journal/check.ts'
import { concernKey, startContent, startProblems, type StartValues } from './start-form.ts'
import { fishIn, rampChoices } from './who-and-where.ts'

const it = ward()
const tank = tankById(it.journal, 'quar')!
const values: StartValues = {
  definitionId: 'qt-b-drug14',
  tanks: { main: 'quar', other: '', observe: 'obs', tub: '' },
  doseId: 'cu-chelated-std',
  animalIds: ['needle', 'burr'],
  partIds: [],
  productId: 'bottle',
  rampHours: '24',
  products: {},
  options: {},
  direct: false,
  readAt: '08:00',
  startOn: '2026-11-29',
  isLoadAccepted: false,
  answers: {},
}
const context = {
  definition: definitionById('qt-b-drug14')!,
  tank,
  choice: drugChoice('qt-b-drug14', 'cu-chelated-std'),
  product: productById(it.journal, 'bottle'),
  concerns: [] as Concern[],
  misfits: {},
  directAllowed: true,
  isTaken: false,
}
const concern = (severity: Concern['severity'], override: Concern['override']): Concern => ({
  rule: 'cu-rock',
  severity,
  what: 'Quarantine holds rock or sand',
  reason: 'it binds',
  override,
})

test('with all said there is nothing in the way, and what is kept is a course', () => {
  expect(startProblems(values, context)).toEqual({})
  const content = startContent(values, context, { courseId: 'new', happened: '2026-11-23T18:00:00Z', kitId: 'kit' })
  expect(contentFault(content)).toBeNull()
  it.write(content)
  expect(courseById(it.journal, 'new')).toMatchObject({ requiredDays: 14, moveToTankId: 'obs', rampHours: 24 })
})

test.each<[string, Partial<StartValues>, Partial<typeof context>, string, RegExp]>([
  ['no net volume', {}, { tank: { ...tank, volume: null } }, 'tanks.main', /not worked out/],
  [
    'a net volume of zero',
    {},
    { tank: { ...tank, volume: { ...tank.volume!, netL: 0 } } },
    'tanks.main',
    /not worked out/,
  ],
  ['another course', {}, { isTaken: true }, 'tanks.main', /finish or stop it/],
  ['no fish', { animalIds: [] }, {}, 'animalIds', /which fish/],
  ['no product', { productId: '' }, { product: null }, 'productId', /with its strength/],
  ['a product of another form', { productId: 'x' }, { product: null }, 'productId', /this form of the drug/],
  ['nowhere to move to', { tanks: { main: 'quar' } }, {}, 'tanks.observe', /sterile/],
  ['a move into the same tank', { tanks: { main: 'quar', observe: 'quar' } }, {}, 'tanks.observe', /another tank/],
  [
    'no second set',
    { tanks: { main: 'quar' } },
    { definition: definitionById('qt-c-hybrid')! },
    'tanks.other',
    /second tank set/,
  ],
  ['a time that is none', { readAt: '8' }, {}, 'readAt', /08:00/],
  [
    'straight to a dose that may not be',
    { direct: true },
    { misfits: {}, directAllowed: false },
    'direct',
    /slow on purpose/,
  ],
  [
    'a length the handbook does not hold',
    {},
    { choice: drugChoice('qt-b-drug14', 'cu-chelated-gentle') },
    'doseId',
    /held for 30 days/,
  ],
])('%s is told beside its field', (_words, changed, around, field, message) => {
  const problems = startProblems({ ...values, ...changed }, { ...context, ...around })
  expect(problems[field]?.message).toMatch(message)
  expect(Object.keys(problems)).toHaveLength(1)
})

describe('what speaks against it', () => {
  const problemOf = (one: Concern, changed: Partial<StartValues> = {}) =>
    Object.values(startProblems({ ...values, ...changed }, { ...context, concerns: [one] })).map(
      ({ message }) => message,
    )
  const key = concernKey(concern('block', 'reason'))
  const said = (answer: Partial<Answer>) => ({ answers: { [key]: { ...NO_ANSWER, ...answer } } })
  test('never: nothing gets round it', () => {
    const problems = problemOf(concern('never', 'none'), said({ why: 'I want to', vetAgreed: true, isRead: true }))
    expect(problems).toEqual(['this cannot be overridden'])
  })
  test('block: a written reason, and where it says so the answer about a veterinarian, yes or no', () => {
    expect(problemOf(concern('block', 'reason'))).toEqual(['a reason for continuing anyway'])
    expect(problemOf(concern('block', 'reason'), said({ why: 'bare rock' }))).toEqual([])
    const vet = concern('block', 'reason-and-vet')
    expect(problemOf(vet, said({ why: 'ulcer' }))).toEqual(['has a veterinarian agreed? Yes or no'])
    expect(problemOf(vet, said({ why: 'ulcer', vetAgreed: false }))).toEqual([])
  })
  test('caution: read; a note stands in nobody’s way', () => {
    expect(problemOf(concern('caution', 'confirm'))).toEqual(['read it, and tick that you have'])
    expect(problemOf(concern('caution', 'confirm'), said({ isRead: true }))).toEqual([])
    expect(problemOf(concern('note', 'confirm'))).toEqual([])
  })
  test('what was set aside is kept with the course, with the reason; only its own answer says that a veterinarian agreed', () => {
    const kept = (one: Concern, answer: Partial<Answer>) =>
      startContent(
        { ...values, ...said(answer) },
        { ...context, concerns: [one] },
        { courseId: 'n', happened: '2026-11-23T18:00:00Z', kitId: undefined },
      ).overrides
    expect(kept(concern('block', 'reason'), { why: ' bare rock ', vetAgreed: true })).toEqual([
      { rule: 'cu-rock', why: 'bare rock', vetAgreed: false, answer: 'reason' },
    ])
    expect(kept(concern('caution', 'confirm'), { isRead: true })).toEqual([
      { rule: 'cu-rock', why: 'read and confirmed', vetAgreed: false, answer: 'read' },
    ])
    expect(kept(concern('block', 'reason-and-vet'), { why: 'ulcer', vetAgreed: true })).toMatchObject([
      { vetAgreed: true },
    ])
  })
})

test('only fish are offered, and only the steps the handbook names', () => {
  expect(fishIn(it.journal, 'quar').map(({ id }) => id)).toEqual(['burr', 'needle'])
  expect(rampChoices('cu-chelated')).toEqual([24, 12])
  expect(rampChoices('cu-amine')).toEqual([48])
})

test('a load over the limit is asked about: the hybrid caught with a net', () => {
  const hybrid = { ...context, definition: definitionById('qt-c-hybrid')!, choice: undefined, product: null }
  const sent: StartValues = { ...values, tanks: { main: 'quar', other: 'obs' }, options: { capture: 'net' } }
  expect(startProblems(sent, hybrid)['isLoadAccepted']?.message).toMatch(/tick/)
  expect(startProblems({ ...sent, isLoadAccepted: true }, hybrid)).toEqual({})
  expect(startProblems({ ...sent, options: {} }, hybrid)).toEqual({})
})

test('an add-on knows the course that it is added to; a school is added to none', () => {
  const around = { courseId: 'n', happened: '2026-11-23T18:00:00Z', kitId: undefined, withCourseId: 'c' }
  expect(startContent(values, context, around).withCourseId).toBeUndefined()
  const addOn = { ...context, definition: definitionById('qt-add-worm')!, choice: null }
  expect(startContent({ ...values, definitionId: 'qt-add-worm' }, addOn, around).withCourseId).toBe('c')
})
