import { screen, waitFor } from '@testing-library/react'
import { renderInHousehold, sampleOf } from '../../scripts/testing/app.tsx'
import { arrival, bareTank } from '../../core/journal/testing.ts'
import type { Content } from '../../core/journal/entry.ts'
import { useHousehold } from '../journal/provider.tsx'
import { TaskCard } from './TaskCard.tsx'
import { usePlan } from './usePlans.ts'

const HOUR = 3_600_000
const ago = (hours: number) => new Date(Date.now() - hours * HOUR).toISOString()

const PRODUCT: Content = {
  kind: 'product-setup',
  happened: '2026-07-01T00:00:00Z',
  productId: 'bottle',
  name: 'copper bottle',
  ingredient: 'cu-chelated',
  strength: { kind: 'solution', mgPerMl: 10 },
  measure: { tool: 'syringe', step: 0.1 },
}
const START: Content = {
  kind: 'course-start',
  happened: ago(2),
  courseId: 'c',
  tankId: 'q',
  protocol: 'qt-b-drug14',
  doseId: 'cu-chelated-std',
  animalIds: ['n'],
  productId: 'bottle',
}

/** The tasks of the course as the ledger shows them, and the tank's lines to look at. */
function Tasks({ kind }: { kind: string }) {
  const { journal } = useHousehold()
  const plan = usePlan('c')!
  return (
    <>
      {plan.tasks
        .filter((task) => task.step === kind)
        .slice(0, 1)
        .map((task) => (
          <TaskCard key={task.id} plan={plan} task={task} next heading="h2" onForm={() => {}} />
        ))}
      <output aria-label="lines">{JSON.stringify(journal.about('tank:q').map(({ content }) => content))}</output>
    </>
  )
}

async function show(kind: string, ...more: Content[]) {
  const view = await renderInHousehold(
    <Tasks kind={kind} />,
    sampleOf(bareTank('q', 'Quarantine'), arrival('n', 'q', 1, 1, 'Needle'), PRODUCT, START, ...more),
  )
  const lines = () => JSON.parse(screen.getByLabelText('lines').textContent) as Content[]
  return { ...view, lines, last: () => lines().at(-1)! }
}

test('a dose stands with its amount, what it makes and its caution, and is kept by its button', async () => {
  const { user, last } = await show('ramp')
  // 64.75 L to 1.0 mg/L of a bottle of 10 mg/mL.
  expect(screen.getByText('6.5 mL')).toBeInTheDocument()
  expect(screen.getByText('0.00 → 1.00 mg/L')).toBeInTheDocument()
  expect(screen.getByText(/gloves.*Follow the label/)).toBeInTheDocument()
  await user.click(screen.getByRole('button', { name: 'Log 6.5 mL' }))
  await waitFor(() => expect(last()).toMatchObject({ kind: 'dose', amount: 6.5, massMg: 65 }))
  expect(screen.queryByRole('button', { name: 'Log 6.5 mL' })).toBeNull()
})

test('with something in the water that must never meet it, the dose waits and says why', async () => {
  const binder: Content = {
    kind: 'equipment',
    happened: ago(1),
    tankId: 'q',
    item: 'ammonia-binder',
    running: true,
  }
  await show('ramp', binder)
  expect(screen.getByText(/^An ammonia binder is in the filter in Quarantine: .*\(never\)/)).toBeInTheDocument()
  expect(screen.getByRole('button', { name: 'Log 6.5 mL' })).toBeDisabled()
})

test('a reading is typed in place, told against the range before it is kept; 21 for 2.1 is asked about', async () => {
  const dose: Content = {
    kind: 'dose',
    happened: ago(1.5),
    tankId: 'q',
    ingredient: 'cu-chelated',
    productId: 'bottle',
    amount: 14.6,
    unit: 'mL',
    massMg: 146,
  }
  const { user, lines, last } = await show('read', dose)
  const field = screen.getByLabelText(/Copper, range 2.00 to 2.50/)
  await user.type(field, '21')
  const before = lines().length
  await user.click(screen.getByRole('button', { name: /^Log/ }))
  expect(await screen.findByRole('alert')).not.toHaveTextContent(/^$/)
  expect(lines()).toHaveLength(before)
  expect(field).toHaveValue('21')
  await user.clear(field)
  await user.type(field, '1.8')
  expect(screen.getByText(/under range/)).toBeInTheDocument()
  await user.clear(field)
  await user.type(field, '2.2')
  expect(screen.getByText(/in range/)).toBeInTheDocument()
  await user.click(screen.getByRole('button', { name: 'Log 2.20 mg/L' }))
  await waitFor(() => expect(last()).toMatchObject({ kind: 'reading', result: { kind: 'value', value: 2.2 } }))
})

test('with the level down a copper test reads high: 2.1 with 6.3 of 65 L missing is under the range', async () => {
  const { user, last } = await show('read')
  await user.click(screen.getByRole('button', { name: 'Is the level down?' }))
  const level = await screen.findByLabelText('Is the level down? By how much')
  await user.type(screen.getByLabelText(/Copper, range 2.00 to 2.50/), '2.1')
  expect(await screen.findByText(/in range/)).toBeInTheDocument()
  // 3.6 cm of a floor of 50 by 35 cm.
  await user.type(level, '3.6')
  expect(await screen.findByText(/under range/)).toBeInTheDocument()
  await user.click(screen.getByRole('button', { name: 'Log 2.10 mg/L' }))
  await waitFor(() =>
    expect(last()).toMatchObject({
      kind: 'reading',
      downL: expect.closeTo(6.3, 3) as number,
      result: { kind: 'value', value: 2.1 },
    }),
  )
  expect(level).toHaveValue('')
})

test('skipping asks for a word why, and keeps it', async () => {
  const { user, last } = await show('look')
  await user.click(screen.getByRole('button', { name: /^Skip: Watch/ }))
  await user.click(await screen.findByRole('button', { name: 'Skip it' }))
  expect(await screen.findByRole('alert')).toHaveTextContent('a word why')
  await user.type(screen.getByLabelText('Why'), 'breathing fast')
  await user.click(screen.getByRole('button', { name: 'Skip it' }))
  await waitFor(() => expect(last()).toMatchObject({ kind: 'task', state: 'skipped', why: 'breathing fast' }))
})

test('a step up to the dose can wait, and cannot be left out', async () => {
  const { user, last } = await show('ramp')
  expect(screen.queryByRole('button', { name: /^Skip/ })).toBeNull()
  await user.click(screen.getByRole('button', { name: /^Put off: First step/ }))
  await user.type(await screen.findByLabelText('Why'), 'too tired')
  await user.click(screen.getByRole('button', { name: 'Put it off' }))
  await waitFor(() => expect(last()).toMatchObject({ kind: 'task', state: 'postponed', why: 'too tired' }))
})

test('a look with nothing seen is one press', async () => {
  const { user, lines } = await show('look')
  await user.click(screen.getByRole('button', { name: 'Nothing seen, all ate' }))
  await waitFor(() =>
    expect(lines()).toContainEqual(expect.objectContaining({ kind: 'sighting', animalIds: ['n'], signs: [] })),
  )
})
