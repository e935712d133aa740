import { screen, waitFor, within } from '@testing-library/react'
import { arrival, bareTank, copper } from '../../core/journal/testing.ts'
import type { Content } from '../../core/journal/entry.ts'
import { renderInHousehold, sampleOf } from '../../scripts/testing/app.tsx'
import { useKeeping } from '../journal/keeping.tsx'
import { useHousehold } from '../journal/provider.tsx'

const SHRIMP: Content = {
  ...(arrival('pip', 'reef', 1, 1, 'Pip') as Content & { kind: 'arrival' }),
  species: 'cleaner shrimp',
  group: 'shrimp',
}
const COPPER: Content = {
  kind: 'dose',
  happened: '2026-07-03T10:00:00Z',
  tankId: 'reef',
  ingredient: 'cu-chelated',
  amount: 1,
  unit: 'mL',
  massMg: 10,
}
const DRY: Content = { ...COPPER, ingredient: 'sodium-bicarbonate', massMg: 1000 }

/** A button that keeps something without asking beside itself, as a device or a small form does, and what was kept. */
function Door({ contents }: { contents: Content[] }) {
  const { journal } = useHousehold()
  const { keep } = useKeeping()
  return (
    <>
      <button type="button" onClick={() => void keep(contents)}>
        keep it
      </button>
      <output>{JSON.stringify(journal.ofKind('dose').map(({ content }) => content))}</output>
    </>
  )
}

async function press(...contents: Content[]) {
  const view = await renderInHousehold(
    <Door contents={contents} />,
    sampleOf(bareTank('reef', 'Reef'), SHRIMP, copper('other', 1, 0)),
  )
  const kept = () => JSON.parse(screen.getByRole('status').textContent) as (Content & { kind: 'dose' })[]
  await view.user.click(await screen.findByRole('button', { name: 'keep it' }))
  return { ...view, kept }
}

test('whatever door it comes by, what kills is asked about first, and going back keeps nothing', async () => {
  const { user, kept } = await press(COPPER)
  const dialog = await screen.findByRole('dialog', { name: 'Before you log this' })
  expect(within(dialog).getByRole('alert')).toHaveTextContent('Pip, cleaner shrimp in Reef')
  expect(await within(dialog).findByText('This cannot be overridden.')).toBeInTheDocument()
  expect(within(dialog).getByRole('button', { name: 'Log it' })).toBeDisabled()
  await user.click(within(dialog).getByRole('button', { name: 'Go back' }))
  expect(screen.queryByRole('dialog')).not.toBeInTheDocument()
  expect(kept()).toEqual([])
})

test('what has happened already is recorded with what happened, as an accident and without a veterinarian', async () => {
  const { user, kept } = await press(COPPER)
  const dialog = await screen.findByRole('dialog')
  const words = await within(dialog).findByLabelText(/^What happened/)
  expect(within(dialog).queryByLabelText('It has already happened: record it')).not.toBeInTheDocument()
  await user.type(words, 'the wrong bottle')
  expect(within(dialog).getByRole('button', { name: 'Log it' })).toBeDisabled()
  await user.click(within(dialog).getByLabelText('It has already happened: record it'))
  await user.click(within(dialog).getByRole('button', { name: 'Log it' }))
  await waitFor(() => expect(kept()).toHaveLength(1))
  expect(kept()[0]!.overrides).toEqual([
    { rule: 'drug-invert', why: 'the wrong bottle', vetAgreed: false, answer: 'happened' },
  ])
})

test('what speaks against nothing is kept without a question', async () => {
  const { kept } = await press(DRY)
  await waitFor(() => expect(kept()).toHaveLength(1))
  expect(screen.queryByRole('dialog')).not.toBeInTheDocument()
})
