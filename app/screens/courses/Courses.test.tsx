import { screen, waitFor, within } from '@testing-library/react'
import type { Content } from '../../../core/journal/entry.ts'
import { arrival, bareTank } from '../../../core/journal/testing.ts'
import { sampleOf } from '../../../scripts/testing/app.tsx'
import { fromNow } from '../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../scripts/testing/screens.tsx'
import { CoursePage } from './CoursePage.tsx'
import { Courses } from './Courses.tsx'
import { StartCourse } from './start/StartCourse.tsx'

// Lines and axes of a library: what they show stands in words beside them, and is looked at in a browser.
jest.mock('./ConcentrationChart.tsx', () => ({ __esModule: true, default: () => null }))

const DAY = 24 * 60

const PRODUCT: Content = {
  kind: 'product-setup',
  happened: fromNow(-40 * DAY),
  productId: 'bottle',
  name: 'copper bottle',
  ingredient: 'cu-chelated',
  strength: { kind: 'solution', mgPerMl: 10 },
  measure: { tool: 'syringe', step: 0.1 },
  left: 400,
}

/** Needle in a quarantine of 64.75 L, a tub to move to, a bottle of chelated copper. */
const WARD: readonly Content[] = [
  bareTank('q', 'Quarantine'),
  bareTank('tub', 'Watch tub'),
  arrival('n', 'q', 1, 1, 'Needle'),
  PRODUCT,
]

const dose = (daysAgo: number, amount: number): Content => ({
  kind: 'dose',
  happened: fromNow(-daysAgo * DAY),
  tankId: 'q',
  ingredient: 'cu-chelated',
  productId: 'bottle',
  amount,
  unit: 'mL',
  massMg: amount * 10,
})

const read = (daysAgo: number, value: number): Content => ({
  kind: 'reading',
  happened: fromNow(-daysAgo * DAY),
  tankId: 'q',
  parameter: 'copper',
  result: { kind: 'value', value },
  unit: 'mg/L',
  uncertainty: 0.1,
})

/** Copper since six days, in range since four of them, read each day. */
const HELD: readonly Content[] = [
  {
    kind: 'course-start',
    happened: fromNow(-6 * DAY),
    courseId: 'c',
    tankId: 'q',
    protocol: 'qt-b-drug14',
    doseId: 'cu-chelated-std',
    animalIds: ['n'],
    productId: 'bottle',
    moveToTankId: 'tub',
  },
  dose(6, 6.5),
  dose(5.5, 4),
  dose(5, 4),
  ...[4, 3, 2, 1, 0.1].map((ago) => read(ago, 2.25)),
]

const SCREENS = {
  '/courses': <Courses />,
  '/courses/new': <StartCourse />,
  '/courses/:courseId': <CoursePage />,
}
const KINDS = ['course-start', 'course-change', 'contact', 'course-end', 'tank-change'] as const

const open = (path: string, ...contents: Content[]) => openScreens(SCREENS, KINDS, sampleOf(...contents), path)

describe('a course’s page', () => {
  test('carbon that runs is switched off there and then, and does not speak against the course any more', async () => {
    const carbon: Content = { kind: 'equipment', happened: fromNow(-DAY), tankId: 'q', item: 'carbon', running: true }
    const { user } = await open('/courses/new?tank=q', ...WARD, carbon)
    expect(await screen.findByText(/carbon is running/)).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'I have switched carbon off' }))
    await waitFor(() => expect(screen.queryByText(/carbon is running/)).toBeNull())
  })

  test('a course of a later version is shown, in the list and on its own page', async () => {
    const later: Content = {
      kind: 'course-start',
      happened: fromNow(-DAY),
      courseId: 'later',
      definition: 'qt-z-later',
      tanks: { main: 'q' },
      animalIds: [],
    }
    const list = await open('/courses', ...WARD, later)
    expect(await screen.findByText('qt-z-later')).toBeInTheDocument()
    list.unmount()
    await open('/courses/later', ...WARD, later)
    expect(await screen.findByText(/a newer one works it out/)).toBeInTheDocument()
  })

  test('of no such course it says so', async () => {
    await open('/courses/ghost', ...WARD)
    expect(screen.getByRole('heading', { name: 'No such course' })).toBeInTheDocument()
  })

  test('held four days: who, where, how far, what is still to come, and how much of the bottle that takes', async () => {
    await open('/courses/c', ...WARD, ...HELD)
    expect(screen.getByRole('heading', { name: 'Copper, chelated, fourteen days then move' })).toBeInTheDocument()
    expect(screen.getByText('day 4 of 14')).toBeInTheDocument()
    expect(
      screen.getByRole('img', { name: /^3 d 2\d h proven of 14 days\. .*: proven in range; .*: hoped for$/ }),
    ).toBeInTheDocument()
    expect(
      screen.getByText(/^copper bottle: about [\d.]+ mL still to come, water changes and redoses included/),
    ).toBeInTheDocument()
    const toCome = screen.getByRole('heading', { name: 'To come' }).closest('section')!
    expect(toCome).toHaveTextContent(/Move Needle/)
  })

  test('a bottle that will not last is said', async () => {
    const nearlyEmpty: Content = { ...PRODUCT, left: 14.6 }
    await open(
      '/courses/c',
      bareTank('q', 'Quarantine'),
      bareTank('tub', 'Watch tub'),
      arrival('n', 'q', 1),
      nearlyEmpty,
      ...HELD,
    )
    expect(screen.getByText(/^Too little: about/)).toBeInTheDocument()
  })

  test('an anemone that came into the water is a never, above everything', async () => {
    const anemone = { ...arrival('a', 'q', 2, 1, 'Bubble'), species: 'bubble-tip anemone', group: 'anemone' } as Content
    await open('/courses/c', ...WARD, ...HELD, anemone)
    expect(screen.getByText(/^Bubble, bubble-tip anemone: .*/)).toBeInTheDocument()
  })

  describe('what if', () => {
    const ask = async () => {
      const view = await open('/courses/c', ...WARD, ...HELD)
      const section = screen.getByRole('heading', { name: 'What if' }).closest('section')!
      const answers = () =>
        within(section)
          .getAllByRole('status')
          .map(({ textContent }) => textContent)
      const put = async (label: string, text: string) => {
        const field = within(section).getByLabelText(label)
        await view.user.clear(field)
        await view.user.type(field, text)
      }
      return { ...view, section, answers, put }
    }

    test('a fifth of the water tonight: what is left, and what to mix into the new water', async () => {
      const { answers, put } = await ask()
      // 64.75 L: a fifth is 12.95 L, and 2.25 mg/L falls to 1.80.
      expect(answers()[0]).toMatch(
        /^13 L, leaves 1\.80, under the range; mix 2\.9 mL into the new water and the level does not fall$/,
      )
      // The amount does not stand without its caution.
      expect(screen.getByText(/^Toxic if swallowed; gloves/, { selector: 'section *' })).toBeVisible()
      await put('Share of the water changed, %', '5')
      expect(answers()[0]).toMatch(/^3\.2\d* L, leaves 2\.14/)
      expect(answers()[0]).not.toMatch(/under the range/)
      await put('Share of the water changed, %', '120')
      expect(answers()[0]).toBe('a share over 0 and up to 100 %')
    })

    test('the next reading: the count goes on, or starts over; what is no level is asked for again', async () => {
      const { answers, put } = await ask()
      expect(answers()[1]).toMatch(/^the count starts over: full /)
      await put('Next reading, mg/L', '2,15')
      expect(answers()[1]).toBe('a level such as 2.10')
      await put('Next reading, mg/L', '2.15')
      expect(answers()[1]).toMatch(/^the count goes on, full /)
      await put('Next reading, mg/L', 'x')
      expect(answers()[1]).toBe('a level such as 2.10')
    })

    test('moved before the count is full: the risk left, both parasites named', async () => {
      const { answers } = await ask()
      expect(answers()[2]).toMatch(/^before the count is full, left: marine ich [\d.]+ %, velvet /)
    })
  })

  test('how it runs can be changed; what got in is told; stopping asks for a word', async () => {
    const { user, lines } = await open('/courses/c', ...WARD, ...HELD)
    await user.click(screen.getByRole('button', { name: 'change' }))
    const readAt = screen.getByLabelText('Read daily at')
    await user.clear(readAt)
    await user.type(readAt, '20:30')
    await user.click(screen.getByRole('button', { name: 'Keep the change' }))
    await waitFor(() => expect(lines('course-change')).toMatchObject([{ changes: { readAt: '20:30' } }]))
    expect(screen.getByText('20:30')).toBeInTheDocument()

    await user.click(screen.getByRole('button', { name: 'something got in' }))
    await user.selectOptions(screen.getByLabelText(/What got in/), 'snail')
    expect(screen.getByText(/cysts sit on shells/)).toBeInTheDocument()
    await user.selectOptions(screen.getByLabelText(/What got in/), 'tool')
    // What it costs stands there before it is logged.
    expect(screen.getByText(/It sets back/)).toBeInTheDocument()
    expect(screen.getByText(/4 days → 0 days|3 days → 0 days/)).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'Log it' }))
    await waitFor(() => expect(lines('contact')).toMatchObject([{ tankId: 'q', what: 'tool' }]))

    await user.click(screen.getByRole('button', { name: 'stop the course' }))
    expect(screen.getByText(/The count is not full: parasites may be left/)).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'Stop the course' }))
    expect(await screen.findByText(/a word why/)).toBeInTheDocument()
    expect(lines('course-end')).toEqual([])
    await user.type(screen.getByLabelText('Why'), 'does not tolerate it')
    await user.click(screen.getByRole('button', { name: 'Stop the course' }))
    await waitFor(() =>
      expect(lines('course-end')).toMatchObject([{ outcome: 'stopped', why: 'does not tolerate it' }]),
    )
    expect(screen.getByText(/^Stopped today: does not tolerate it\.$/)).toBeInTheDocument()
  })
})

describe('all courses', () => {
  test('those that run with their clock and what is next, those that are over with why', async () => {
    const over: Content[] = [
      {
        kind: 'course-start',
        happened: fromNow(-30 * DAY),
        courseId: 'old',
        tankId: 'tub',
        protocol: 'qt-b-drug14',
        doseId: 'cu-chelated-std',
        animalIds: [],
        productId: 'bottle',
      },
      {
        kind: 'course-end',
        happened: fromNow(-20 * DAY),
        courseId: 'old',
        outcome: 'stopped',
        why: 'the heater failed',
      },
    ]
    await open('/courses', ...WARD, ...HELD, ...over)
    const row = screen.getByRole('link', { name: /Quarantine, Needle/ })
    expect(row).toHaveAttribute('href', '/courses/c')
    expect(row).toHaveTextContent('day 4 of 14')
    expect(screen.getByRole('link', { name: /the heater failed/ })).toHaveTextContent('stopped')
  })

  test('none yet: what a course is', async () => {
    await open('/courses', ...WARD)
    expect(screen.getByText(/A course is a treatment over days/)).toBeInTheDocument()
  })
})

describe('starting a course', () => {
  test('without salt water there is nowhere', async () => {
    await open('/courses/new')
    expect(screen.getByRole('link', { name: 'Set up a tank' })).toBeInTheDocument()
  })

  test('what is missing stands beside its field, and nothing starts', async () => {
    const { user, lines } = await open('/courses/new', ...WARD.filter(({ kind }) => kind !== 'product-setup'))
    await user.click(screen.getByRole('button', { name: 'Start the course' }))
    expect(await screen.findByText('a product from the shelf, with its strength')).toBeInTheDocument()
    expect(screen.getByText('the sterile tank the fish move to')).toBeInTheDocument()
    expect(screen.getByText('Not started: something above is missing or in the way.')).toBeInTheDocument()
    expect(lines('course-start')).toEqual([])
  })

  test('previewed with its first dose, and started with what was chosen', async () => {
    const { user, lines } = await open('/courses/new', ...WARD)
    await user.selectOptions(screen.getByLabelText('Then to'), 'Watch tub')
    const preview = screen.getByRole('heading', { name: 'If all goes by the book' }).closest('section')!
    // 64.75 L to 1.0 mg/L of a bottle of 10 mg/mL.
    expect(within(preview).getByText('6.5 mL')).toBeInTheDocument()
    expect(within(preview).getByText(/the count is full: the fish move/)).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'Start the course' }))
    await waitFor(() =>
      expect(lines('course-start')).toMatchObject([
        {
          definition: 'qt-b-drug14',
          tanks: { main: 'q', observe: 'tub' },
          animalIds: ['n'],
          options: { drug: 'cu-chelated-std' },
          products: { 'cu-chelated-std': 'bottle' },
          readAt: '08:00',
        },
      ]),
    )
    await waitFor(() => expect(screen.getByLabelText('address')).toHaveTextContent(/^\/courses\/course-/))
  })

  test('a shrimp in the water: never, and no way round it', async () => {
    const shrimp = {
      ...arrival('s', 'q', 2, 1, 'Fan'),
      species: 'cleaner shrimp',
      group: 'shrimp-crab-snail',
    } as Content
    await open('/courses/new', ...WARD, shrimp)
    expect(screen.getByText(/^Never: Fan, cleaner shrimp\./)).toBeInTheDocument()
    expect(screen.queryByRole('heading', { name: 'If all goes by the book' })).not.toBeInTheDocument()
    expect(screen.getByRole('button', { name: 'Start the course' })).toBeDisabled()
  })

  test('a fish that does not tolerate it: only with a reason and a veterinarian’s word, both kept', async () => {
    const eel = { ...arrival('m', 'q', 2, 1, 'Moss'), species: 'snowflake moray', group: 'eel-lionfish' } as Content
    const { user, lines } = await open('/courses/new', ...WARD, eel)
    await user.selectOptions(screen.getByLabelText('Then to'), 'Watch tub')
    const start = screen.getByRole('button', { name: 'Start the course' })
    await user.click(start)
    expect(await screen.findByText('a reason for continuing anyway')).toBeInTheDocument()
    await user.type(screen.getByLabelText('Reason for continuing anyway'), 'velvet in the same water')
    await user.click(start)
    expect(await screen.findByText('has a veterinarian agreed? Yes or no')).toBeInTheDocument()
    expect(lines('course-start')).toEqual([])
    await user.click(screen.getByLabelText('Yes'))
    await user.click(start)
    await waitFor(() =>
      expect(lines('course-start')[0]?.overrides).toEqual([
        { rule: 'scaleless-marine', why: 'velvet in the same water', vetAgreed: true, answer: 'reason' },
      ]),
    )
  })

  test('the gentle band of the same copper is only to be read about first', async () => {
    const eel = { ...arrival('m', 'q', 2, 1, 'Moss'), species: 'snowflake moray', group: 'eel-lionfish' } as Content
    const { user, lines } = await open('/courses/new', ...WARD, eel)
    await user.selectOptions(screen.getByLabelText('School or plan'), 'qt-a-cu30')
    await user.selectOptions(screen.getByLabelText('Drug'), 'Copper, chelated, gentle: 1.90 to 2.20 mg/L')
    await user.click(screen.getByRole('button', { name: 'Start the course' }))
    expect(await screen.findByText('read it, and tick that you have')).toBeInTheDocument()
    await user.click(screen.getByLabelText('I have read this'))
    await user.click(screen.getByRole('button', { name: 'Start the course' }))
    await waitFor(() =>
      expect(lines('course-start')).toMatchObject([
        { definition: 'qt-a-cu30', options: { drug: 'cu-chelated-gentle' } },
      ]),
    )
    expect(lines('course-start')[0]!.overrides).toMatchObject([{ rule: 'scaleless-marine', why: 'read and confirmed' }])
  })

  test('where one runs already no second starts', async () => {
    await open('/courses/new?tank=q', ...WARD, ...HELD)
    expect(screen.getByText('a course runs in Quarantine already: finish or stop it first')).toBeInTheDocument()
  })
})
