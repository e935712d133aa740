import { screen, waitFor, within } from '@testing-library/react'
import type { Content } from '../../../core/journal/entry.ts'
import { sampleOf } from '../../../scripts/testing/app.tsx'
import { fromNow } from '../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../scripts/testing/screens.tsx'
import { CoursePage } from './CoursePage.tsx'
import { StartCourse } from './start/StartCourse.tsx'

jest.mock('./ConcentrationChart.tsx', () => ({ __esModule: true, default: () => null }))

const DAY = 24 * 60
const tank = (tankId: string, water: 'marine' | 'freshwater', litres: number): Content => ({
  kind: 'tank-setup',
  happened: fromNow(-90 * DAY),
  tankId,
  name: tankId === 'reef' ? 'Reef' : 'Study',
  water,
  role: 'display',
  sheet: { shape: { kind: 'known', litres } },
})
const HOUSE: Content[] = [
  tank('reef', 'marine', 300),
  tank('study', 'freshwater', 100),
  {
    kind: 'product-setup',
    happened: fromNow(-50 * DAY),
    productId: 'fen',
    name: 'fenbendazole 22 %',
    ingredient: 'fenbendazole',
    strength: { kind: 'powder', activeFraction: 0.22 },
    measure: { tool: 'scale', step: 0.01 },
  },
]
const start = (definition: string, daysAgo: number, extra: object = {}): Content => ({
  kind: 'course-start',
  happened: fromNow(-daysAgo * DAY),
  courseId: 'p',
  definition,
  tanks: { main: 'reef' },
  animalIds: [],
  readAt: '00:00',
  ...extra,
})
const count = (daysAgo: number, measure: string, value: number): Content =>
  ({
    kind: 'count',
    happened: fromNow(-daysAgo * DAY),
    tankId: 'reef',
    measure,
    values: [value],
    courseId: 'p',
  }) as Content
const rock = (partId: string): Content => ({
  kind: 'part-setup',
  happened: fromNow(-9 * DAY),
  partId,
  tankId: 'reef',
  what: 'rock',
  name: `rock ${partId}`,
})
const open = (path: string, ...contents: Content[]) =>
  openScreens(
    { '/courses/new': <StartCourse />, '/courses/:courseId': <CoursePage /> },
    ['course-start', 'count', 'course-mark', 'task', 'case-mark', 'part-change', 'dose'],
    sampleOf(...HOUSE, ...contents),
    path,
  )

describe('a plan on its page', () => {
  test('its measure stands against what is expected, with what it means', async () => {
    await open('/courses/p', start('dino-uv', 11), count(11, 'cells', 20), count(1, 'cells', 18))
    expect(await screen.findByText(/^20 at first, 18 .*; at most 10 expected by now: no real change/)).toBeVisible()
    expect(screen.getByText(/cells not halved by day 10: the genus again/)).toBeVisible()
  })

  test('the stop rule that is nearest stands first, with how near it is', async () => {
    const reading = (daysAgo: number, parameter: string, value: number): Content => ({
      kind: 'reading',
      happened: fromNow(-daysAgo * DAY),
      tankId: 'reef',
      parameter,
      result: { kind: 'value', value },
      unit: 'mg/L',
    })
    await open('/courses/p', start('blackout-marine', 1), reading(1.5, 'no3', 8), reading(0.1, 'no3', 17))
    const said = await screen.findAllByText(/nitrate over twice the start, and over 15 mg\/L: end it early/)
    const list = within(said.at(-1)!.closest('ul')!).getAllByRole('listitem')
    expect(list[0]).toHaveTextContent(/nitrate over twice the start.*now 17, limit 16/)
  })

  test('a count of the whole tank is one number; nothing typed is said, and not logged', async () => {
    const { user, lines } = await open('/courses/p', start('water-clear', 0.2))
    await user.click((await screen.findAllByRole('button', { name: 'Log the count' }))[0]!)
    expect(await screen.findByText('expected 0 or more cm')).toBeVisible()
    await user.type(screen.getAllByLabelText('seen through the water')[0]!, '35')
    await user.click(screen.getAllByRole('button', { name: 'Log the count' })[0]!)
    await waitFor(() =>
      expect(lines('count').at(-1)).toMatchObject({
        measure: 'visibility-cm',
        values: [35],
        courseId: 'p',
        tankId: 'reef',
      }),
    )
  })

  test('a rock is left untreated at a press, and compared with those that were worked on', async () => {
    const counted = (daysAgo: number, measure: string, values: Record<string, number>): Content =>
      ({
        ...count(daysAgo, measure, 0),
        values: undefined,
        parts: Object.entries(values).map(([partId, value]) => ({ partId, value })),
      }) as Content
    const { user, lines } = await open(
      '/courses/p',
      start('anemone-bench', 7.1),
      rock('a'),
      rock('b'),
      counted(7, 'pest-count', { a: 30, b: 30 }),
      counted(6, 'removed', { a: 29 }),
      counted(1, 'pest-count', { a: 2, b: 44 }),
    )
    expect(screen.queryByRole('button', { name: 'leave rock a untreated' })).toBeNull()
    await user.click(await screen.findByRole('button', { name: 'leave rock b untreated' }))
    await waitFor(() => expect(lines('part-change')).toMatchObject([{ partId: 'b', changes: { control: true } }]))
    expect(await screen.findByRole('heading', { name: /^Treated against untreated −42/ })).toBeVisible()
    expect(screen.getByText(/with 1 rock treated and 1 left untreated, chance alone/)).toBeVisible()
    expect(screen.getByRole('button', { name: 'treat rock b from now on' })).toBeVisible()
  })

  test('an element: after today’s test its portion stands with what is minded, and is logged as a dose of the course', async () => {
    const reading = (minutes: number, parameter: string, value: number, unit: string): Content => ({
      kind: 'reading',
      happened: fromNow(minutes),
      tankId: 'reef',
      parameter,
      result: { kind: 'value', value },
      unit,
    })
    const { user, lines } = await open(
      '/courses/p',
      start('element-correct', 0.001, { options: { element: 'k' } }),
      {
        kind: 'product-setup',
        happened: fromNow(-50 * DAY),
        productId: 'kcl',
        name: 'potash',
        ingredient: 'potassium-chloride',
        strength: { kind: 'solution', mgPerMl: 50 },
        measure: { tool: 'syringe', step: 1 },
      },
      reading(0, 'k', 350, 'mg/L'),
      reading(0, 'alk-kh', 8, 'dKH'),
    )
    // 10 mg/L of potassium in 300 L, from 50 mg/mL, in four portions.
    expect(await screen.findByText('350 mg/L → 353 mg/L')).toBeVisible()
    expect(screen.getByText(/second kit or a lab before the first dose/)).toBeVisible()
    expect(screen.queryByText(/licensed aquatic veterinarian/)).toBeNull()
    await user.click(screen.getByRole('button', { name: 'Log 15 mL' }))
    await waitFor(() =>
      expect(lines('dose')).toMatchObject([
        { ingredient: 'potassium-chloride', amount: 15, massMg: 750, courseId: 'p' },
      ]),
    )
    await waitFor(() => expect(screen.queryByText('350 mg/L → 353 mg/L')).toBeNull())
  })

  test('rocks are counted one by one, with a press each, and logged at one press', async () => {
    const { user, lines } = await open('/courses/p', start('bubble-rock', 7.1), rock('a'), rock('b'))
    await user.click((await screen.findAllByRole('button', { name: /^one more .*, rock a$/ }))[0]!)
    expect(screen.getAllByRole('button', { name: 'Log 1 of 2' })[0]).toBeVisible()
    await user.click(screen.getAllByRole('button', { name: /^one more .*, rock b$/ })[0]!)
    await user.click(screen.getAllByRole('button', { name: 'Log the count' })[0]!)
    await waitFor(() =>
      expect(lines('count').at(-1)).toMatchObject({
        measure: 'pest-count',
        parts: [
          { partId: 'a', value: 1 },
          { partId: 'b', value: 1 },
        ],
      }),
    )
  })

  test('hands-on steps lead to the bench, what is worked out elsewhere to its page', async () => {
    await open('/courses/p', start('dino-uv', 0.2))
    const links = await screen.findAllByRole('link', { name: 'step by step at the bench' })
    expect(links[0]!.getAttribute('href')).toMatch(
      /^\/bench\/begin\/siphon-and-blow\?tank=reef&course=p&task=p%2Fstep-3/,
    )
    expect(screen.getByRole('link', { name: 'work it out by what is taken up' })).toHaveAttribute(
      'href',
      '/water/correct?tank=reef',
    )
  })

  test('the end is marked, and what follows counts from it', async () => {
    const { user, lines } = await open('/courses/p', start('blackout-marine', 3))
    await user.click(await screen.findByRole('button', { name: 'The treatment is over' }))
    await waitFor(() => expect(lines('course-mark').at(-1)).toMatchObject({ courseId: 'p', anchor: 'end' }))
    expect(await screen.findByText('Uncover in room light, count heads, change water back to the start')).toBeVisible()
  })
})

test('what if: the next reading, a pause and an end now are answered before anything is kept', async () => {
  const { user } = await open(
    '/courses/p',
    start('anemone-bench', 8),
    count(5, 'left', 20),
    count(2, 'left', 40),
    count(2, 'removed', 30),
  )
  await user.selectOptions(await screen.findByLabelText('What is found next'), 'pest-count')
  await user.type(screen.getByLabelText('comes to'), '12')
  expect(screen.getByText('No rule changes: go on.')).toBeVisible()
  await user.type(screen.getByLabelText('nobody works at it for'), '3')
  expect(screen.getByText(/left.*: 40 would be about 80, doubled in 3 days/i)).toBeVisible()
  await user.clear(screen.getByLabelText('nobody works at it for'))
  await user.type(screen.getByLabelText('nobody works at it for'), '90')
  expect(screen.getByText('days, more than 0 and up to 60')).toBeVisible()
})

test('recession: the water of the 21 days before stands beside it, the worst first, with what was done', async () => {
  const alkalinity = (daysAgo: number, value: number): Content => ({
    kind: 'reading',
    happened: fromNow(-daysAgo * DAY),
    tankId: 'reef',
    parameter: 'alk-kh',
    result: { kind: 'value', value },
    unit: 'dKH',
  })
  const change: Content = { kind: 'water-change', happened: fromNow(-6 * DAY), tankId: 'reef', litres: 30 }
  await open('/courses/p', start('recession-workup', 1), alkalinity(8, 8), alkalinity(6, 11), change)
  const table = await screen.findByRole('region', { name: 'The water before' })
  expect(within(table).getByRole('row', { name: /alkalinity/ })).toHaveTextContent(
    /8\.0? to 11\.0? dKH.*1\.5 1\.5 × its cap/,
  )
  expect(screen.getByRole('heading', { name: 'What happened in 21 days' })).toBeVisible()
  expect(screen.getAllByText(/30 L/)[0]).toBeVisible()
})

test('what if the treatment ended now: asked with a press, what moves with its dates, what is over by name', async () => {
  const { user } = await open('/courses/p', start('blackout-marine', 1))
  await user.click(await screen.findByRole('button', { name: 'the treatment ends now?' }))
  expect(screen.getByText(/^Uncover in room light.*: today, not /)).toBeVisible()
  expect(screen.getByText(/^No more: .*Ammonia/)).toBeVisible()
})

describe('once it is gone', () => {
  const ended: Content = { kind: 'course-end', happened: fromNow(-DAY), courseId: 'p', outcome: 'finished' }

  test('the weeks after are one step away, with what was taken out chosen', async () => {
    const { unmount } = await open(
      '/courses/p',
      start('planaria-fenbendazole', 30, { tanks: { main: 'study' }, caseId: 'k' }),
      ended,
    )
    const to = (await screen.findByRole('link', { name: 'Begin the weeks after' })).getAttribute('href')!
    expect(to).toMatch(/case=k/)
    unmount()
    await open(to)
    expect(await screen.findByLabelText('Snails, shrimp, urchins')).toHaveValue('crew-out')
    expect(screen.getByLabelText('What would come back')).toHaveValue('pest-count')
  })

  test('one that is seen again opens its case with a press', async () => {
    const of = { caseId: 'k', tankId: 'reef' }
    const { user, lines } = await open(
      '/courses/p',
      {
        kind: 'case-start',
        happened: fromNow(-40 * DAY),
        ...of,
        animalIds: [],
        table: 'coral-and-pests',
        title: 'worms',
      },
      { kind: 'case-end', happened: fromNow(-16 * DAY), ...of, outcome: 'healed' },
      start('aftercare', 15, { options: { watch: 'pest-count' }, caseId: 'k' }),
      count(1, 'pest-count', 2),
    )
    expect(await screen.findByText('It is back: one is seen again.')).toBeVisible()
    await user.click(screen.getByRole('button', { name: 'Open “worms” again' }))
    await waitFor(() => expect(lines('case-mark')).toMatchObject([{ caseId: 'k', mark: 'reopened' }]))
    expect(await screen.findByRole('link', { name: 'Its case is open' })).toBeVisible()
  })
})

describe('before a plan begins', () => {
  test('a chemical one waits for one confirming check, or a written reason', async () => {
    const { user, lines } = await open('/courses/new?definition=planaria-fenbendazole&tank=study')
    expect(await screen.findByText(/Nothing was confirmed yet/)).toBeVisible()
    await user.click(screen.getByRole('button', { name: 'Start the course' }))
    expect(lines('course-start')).toEqual([])
  })
  test('a case that confirms it opens the way', async () => {
    const found: Content[] = [
      {
        kind: 'case-start',
        happened: fromNow(-2 * DAY),
        caseId: 'k',
        tankId: 'study',
        animalIds: [],
        table: 'coral-and-pests',
      },
      {
        kind: 'case-mark',
        happened: fromNow(-DAY),
        caseId: 'k',
        tankId: 'study',
        mark: 'confirmed',
        cause: 'planaria',
      },
    ]
    await open('/courses/new?definition=planaria-fenbendazole&tank=study', ...found)
    expect(await screen.findByRole('button', { name: 'Start the course' })).toBeVisible()
    expect(screen.queryByText(/Nothing was confirmed yet/)).toBeNull()
  })
  test('two that treat the same tank are a week apart', async () => {
    await open('/courses/new?definition=blackout-marine&tank=reef', start('dino-uv', 5))
    expect(await screen.findByText(/UV against dinoflagellates treats the same tank/)).toBeVisible()
  })
  test('nine days in the dark are not for small-polyp corals', async () => {
    const { user } = await open('/courses/new?definition=blackout-marine&tank=reef', {
      kind: 'arrival',
      happened: fromNow(-30 * DAY),
      animalId: 'monti',
      tankId: 'reef',
      species: 'Montipora plate',
      group: 'coral-sps',
      count: 1,
    })
    const days = await screen.findByLabelText('Days in the dark')
    expect(screen.queryByText(/never with small-polyp corals, clams or anemones \(/)).toBeNull()
    await user.selectOptions(days, '9')
    expect(await screen.findByText(/nine days with Montipora plate/)).toBeVisible()
  })
})
