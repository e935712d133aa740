import { screen, waitFor, within } from '@testing-library/react'
import { arrival, bareTank, copper } from '../../../core/journal/testing.ts'
import type { Content } from '../../../core/journal/entry.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { renderInHousehold, sampleOf } from '../../../scripts/testing/app.tsx'
import { useBeside, type FormKind } from './opened.ts'
import { Panel } from './Panel.tsx'

const PRODUCT: Content = {
  kind: 'product-setup',
  happened: '2026-07-01T00:00:00Z',
  productId: 'cu',
  name: 'copper bottle',
  ingredient: 'cu-chelated',
  strength: { kind: 'solution', mgPerMl: 10 },
}

/** A panel on a slow page: it stands a while longer after its form was kept. */
function Standing() {
  const { journal } = useHousehold()
  const [beside, open] = useBeside()
  return (
    <>
      {beside && <Panel beside={beside} onOpen={open} onClose={() => undefined} />}
      <output>{journal.ofKind('note').length}</output>
    </>
  )
}

/** The panel as the ledger holds it, and the journal's lines of the tank as words to look at. */
function Beside() {
  const { journal } = useHousehold()
  const [beside, open] = useBeside()
  return (
    <>
      {beside && <Panel beside={beside} onOpen={open} onClose={() => open(null)} />}
      <output>{JSON.stringify(journal.about('tank:q').map(({ content, struck }) => ({ ...content, struck })))}</output>
    </>
  )
}

async function open(form: FormKind | null, ...more: Content[]) {
  const path = form ? `/?tank=q&form=${form}` : '/?tank=q&day=2026-07-03'
  const entries = sampleOf(
    bareTank('q', 'Quarantine'),
    bareTank('h', 'Hall reef'),
    arrival('n', 'q', 1, 1, 'Needle'),
    arrival('t', 'q', 1, 9),
    copper('q', 2, 2.1),
    PRODUCT,
    ...more,
  )
  const view = await renderInHousehold(<Beside />, entries, path)
  const aside = await screen.findByRole('complementary')
  const lines = () =>
    JSON.parse(screen.getByRole('status', { name: '' }).textContent) as (Content & { struck: boolean })[]
  const last = () => lines().at(-1)!
  return { ...view, aside, last, lines }
}

test('a form that was kept is not kept again while it still stands', async () => {
  const entries = sampleOf(bareTank('q', 'Quarantine'))
  const { user } = await renderInHousehold(<Standing />, entries, '/?tank=q&form=note')
  const aside = await screen.findByRole('complementary')
  await user.type(within(aside).getByRole('textbox', { name: /^Note/ }), 'cover glass wiped')
  const send = within(aside).getByRole('button', { name: 'Keep the note' })
  await user.click(send)
  await waitFor(() => expect(screen.getByRole('status', { name: '' })).toHaveTextContent('1'))
  // Longer than equal entries are taken for one press.
  await new Promise((resolve) => setTimeout(resolve, 1500))
  await user.click(send)
  await user.click(send)
  expect(screen.getByRole('status', { name: '' })).toHaveTextContent('1')
})

describe('forms beside the ledger', () => {
  test('a figure that could mean two things is asked about beside its field, and stays', async () => {
    const { user, aside } = await open('reading')
    await user.type(within(aside).getByLabelText('copper'), '2,1')
    await user.click(within(aside).getByRole('button', { name: 'Log the readings' }))
    expect(await within(aside).findByRole('alert')).toHaveTextContent('which number?')
    await user.click(within(aside).getByRole('button', { name: '2.1' }))
    expect(within(aside).getByLabelText('copper')).toHaveValue('2.1')
  })

  test('copper of 21 is refused, with 2.1 offered; nothing is kept', async () => {
    const { user, aside, lines } = await open('reading')
    const before = lines().length
    await user.type(within(aside).getByLabelText('copper'), '21')
    await user.click(within(aside).getByRole('button', { name: 'Log the readings' }))
    expect(await within(aside).findByRole('alert')).toHaveTextContent('outside what is plausible')
    expect(within(aside).getByRole('button', { name: '2.1 mg/L' })).toBeInTheDocument()
    expect(lines()).toHaveLength(before)
  })

  test('what was typed and not logged is there when the form is opened again, until it is cleared or logged', async () => {
    const first = await open('reading')
    await first.user.type(within(first.aside).getByLabelText('copper'), '2.19')
    await first.user.type(within(first.aside).getByLabelText('Note'), 'new reagent')
    first.unmount()
    const { user, aside, last, unmount } = await open('reading')
    expect(within(aside).getByLabelText('copper')).toHaveValue('2.19')
    expect(within(aside).getByRole('status')).toHaveTextContent(/^Typed .* and not kept yet/)
    await user.click(within(aside).getByRole('button', { name: 'Log the readings' }))
    await waitFor(() => expect(last()).toMatchObject({ kind: 'reading', note: 'new reagent' }))
    unmount()
    const later = await open('reading')
    expect(within(later.aside).getByLabelText('copper')).toHaveValue('')
    expect(within(later.aside).queryByText(/not kept yet/)).toBeNull()
  })

  test('a restored form names no animal that has left, and can be cleared', async () => {
    const first = await open('sighting')
    await first.user.click(within(first.aside).getByLabelText('Needle'))
    await first.user.click(within(first.aside).getByLabelText('scratching'))
    first.unmount()
    const gone: Content = { kind: 'departure', happened: '2026-07-02T12:00:00Z', animalId: 'n', tankId: 'q' }
    const { user, aside } = await open('sighting', gone)
    expect(within(aside).getByLabelText('scratching')).toBeChecked()
    expect(within(aside).queryByLabelText('Needle')).toBeNull()
    await user.click(within(aside).getByRole('button', { name: 'clear it' }))
    expect(within(aside).getByLabelText('scratching')).not.toBeChecked()
  })

  test('how far the level is down goes with the tests, and stays when one is corrected', async () => {
    const { user, aside, last } = await open('reading')
    await user.type(within(aside).getByLabelText('copper'), '2.1')
    await user.click(within(aside).getByRole('button', { name: 'Is the level down?' }))
    const level = await within(aside).findByLabelText('Is the level down? By how much')
    await user.type(level, 'two')
    await user.click(within(aside).getByRole('button', { name: 'Log the readings' }))
    expect(within(aside).getByText('how far under the line, such as 1.5')).toBeInTheDocument()
    await user.clear(level)
    await user.type(level, '2')
    expect(within(aside).getByText(/^3.5 L evaporated: a test now reads/)).toBeInTheDocument()
    await user.click(within(aside).getByRole('button', { name: 'Log the readings' }))
    await waitFor(() => expect(last()).toMatchObject({ kind: 'reading', downL: 3.5 }))
  })

  test('an empty form says what is needed', async () => {
    const { user, aside } = await open('reading')
    await user.click(within(aside).getByRole('button', { name: 'Log the readings' }))
    expect(await within(aside).findByRole('alert')).toHaveTextContent('at least one test')
  })

  test('a dose stands with its caution and says what it adds before it is logged', async () => {
    const { user, aside, last } = await open('dose')
    expect(aside).toHaveTextContent('Never with an ammonia-binding conditioner')
    await user.type(within(aside).getByLabelText('Amount'), '3.2')
    expect(aside).toHaveTextContent('32 mg of copper: adds 0.494 mg/L to 64.8 L net')
    // With the 2.11 read before, that is over the band: the right amount is one tap away.
    await user.click(within(aside).getByRole('button', { name: 'Log 3.2 mL' }))
    expect(await within(aside).findByRole('alert')).toHaveTextContent(/^That makes \d\.\d\d mg\/L, above the 2\.50/)
    await user.clear(within(aside).getByLabelText('Amount'))
    await user.type(within(aside).getByLabelText('Amount'), '1')
    await user.click(within(aside).getByRole('button', { name: 'Log 1 mL' }))
    await waitFor(() => expect(last()).toMatchObject({ kind: 'dose', amount: 1, unit: 'mL', massMg: 10 }))
  })

  test('part of a group moves: the rest stays', async () => {
    const { user, aside, last } = await open('move')
    await user.click(within(aside).getByLabelText('9 longnose hawkfish'))
    await user.type(within(aside).getByLabelText('How many of them'), '12')
    await user.click(within(aside).getByRole('button', { name: 'Move' }))
    expect(await within(aside).findByRole('alert')).toHaveTextContent('1 to 9')
    await user.clear(within(aside).getByLabelText('How many of them'))
    await user.type(within(aside).getByLabelText('How many of them'), '3')
    await user.click(within(aside).getByRole('button', { name: 'Move' }))
    await waitFor(() => expect(last()).toMatchObject({ kind: 'move', animalId: 't', count: 3, toTankId: 'h' }))
    expect(last()).toHaveProperty('newAnimalId')
  })

  test('a death with its count and cause', async () => {
    const { user, aside, last } = await open('death')
    await user.selectOptions(within(aside).getByLabelText('Who'), 't')
    await user.type(within(aside).getByLabelText('How many'), '2')
    await user.type(within(aside).getByLabelText('Cause, if known'), 'jumped')
    await user.click(within(aside).getByRole('button', { name: 'Log the death' }))
    await waitFor(() => expect(last()).toMatchObject({ kind: 'death', animalId: 't', count: 2, cause: 'jumped' }))
  })

  test('a sighting keeps signs, appetite and breaths; a count of breaths that cannot be is refused', async () => {
    const { user, aside, last } = await open('sighting')
    await user.click(within(aside).getByLabelText('Needle'))
    await user.click(within(aside).getByLabelText('ignores food'))
    await user.click(within(aside).getByLabelText('breathing fast'))
    await user.type(within(aside).getByLabelText('Gill beats'), '900')
    await user.click(within(aside).getByRole('button', { name: 'Log what was seen' }))
    expect(await within(aside).findByRole('alert')).toHaveTextContent('5 to 400')
    await user.clear(within(aside).getByLabelText('Gill beats'))
    await user.type(within(aside).getByLabelText('Gill beats'), '92')
    await user.click(within(aside).getByRole('button', { name: 'Log what was seen' }))
    await waitFor(() =>
      expect(last()).toMatchObject({
        kind: 'sighting',
        animalIds: ['n'],
        appetite: 0,
        breathsPerMinute: 92,
        signs: [
          { sign: 'breathing-fast', present: true },
          { sign: 'not-eating', present: true },
        ],
      }),
    )
  })

  test('a water change over what the tank holds is refused', async () => {
    const { user, aside } = await open('water-change')
    await user.type(within(aside).getByLabelText('Water changed'), '200')
    await user.click(within(aside).getByRole('button', { name: 'Log the change' }))
    expect(await within(aside).findByRole('alert')).toHaveTextContent('cannot be more')
  })
})

test('a water change keeps what the new water holds, in the keeper’s units', async () => {
  const { user, aside, last } = await open('water-change')
  await user.type(within(aside).getByLabelText('Water changed'), '5')
  await user.type(within(aside).getByLabelText('Salinity of the new water'), '34')
  await user.type(within(aside).getByLabelText('Temperature of the new water'), '24.5')
  await user.click(within(aside).getByRole('button', { name: 'Log the change' }))
  await waitFor(() =>
    expect(last()).toMatchObject({ kind: 'water-change', replacement: { salinityPsu: 34, temperatureC: 24.5 } }),
  )
})

describe('forms of what is done beside dosing and testing', () => {
  const PEROXIDE: Content = {
    kind: 'product-setup',
    happened: '2026-07-01T00:00:00Z',
    productId: 'perox',
    name: 'peroxide 3 %',
    ingredient: 'peroxide',
    strength: { kind: 'solution', mgPerMl: 30 },
  }
  const PATCHES: Content[] = ['A', 'B'].map((partId) => ({
    kind: 'part-setup',
    happened: '2026-07-01T00:00:00Z',
    partId,
    tankId: 'q',
    what: 'patch',
    name: `patch ${partId}`,
  }))

  test('a bath: empty fields say what would be right, too long is asked about, and what is kept is a bath', async () => {
    const { user, aside, last } = await open('bath', PEROXIDE)
    await user.selectOptions(within(aside).getByLabelText('In the bath'), 'perox')
    await user.click(within(aside).getByRole('button', { name: 'Log the bath' }))
    expect(await within(aside).findByText('minutes, such as 8')).toBeInTheDocument()
    await user.type(within(aside).getByLabelText('How much of it'), '10')
    await user.type(within(aside).getByLabelText('Water of the bath'), '4')
    await user.type(within(aside).getByLabelText('Minutes'), '45')
    await user.click(within(aside).getByRole('button', { name: 'Log the bath' }))
    expect(await within(aside).findByText(/more than the 30 min/)).toBeInTheDocument()
    await user.clear(within(aside).getByLabelText('Minutes'))
    await user.type(within(aside).getByLabelText('Minutes'), '30')
    await user.click(within(aside).getByRole('button', { name: 'Log the bath' }))
    await waitFor(() =>
      expect(last()).toMatchObject({ kind: 'bath', animalIds: ['n', 't'], massMg: 300, litres: 4, minutes: 30 }),
    )
  })

  test('stages of patches, those not scored left out', async () => {
    const { user, aside, last } = await open('count', ...PATCHES)
    await user.selectOptions(within(aside).getByLabelText('patch A'), '2')
    await user.click(within(aside).getByRole('button', { name: 'Log the stages' }))
    await waitFor(() =>
      expect(last()).toMatchObject({ kind: 'count', measure: 'patch-stage', parts: [{ partId: 'A', value: 2 }] }),
    )
  })

  test('food, a top-off over what the tank holds, and a contact', async () => {
    const feed = await open('feed')
    await feed.user.type(within(feed.aside).getByLabelText('Food'), '2')
    await feed.user.click(within(feed.aside).getByRole('button', { name: 'Log the food' }))
    await waitFor(() => expect(feed.last()).toMatchObject({ kind: 'feed', foodG: 2 }))
    feed.unmount()
    const topOff = await open('top-off')
    await topOff.user.type(within(topOff.aside).getByLabelText('Fresh water filled up'), '900')
    await topOff.user.click(within(topOff.aside).getByRole('button', { name: 'Log the top-off' }))
    expect(await within(topOff.aside).findByText(/does not hold so much/)).toBeInTheDocument()
    topOff.unmount()
    const contact = await open('contact')
    await contact.user.selectOptions(within(contact.aside).getByLabelText('From'), 'Hall reef')
    await contact.user.click(within(contact.aside).getByRole('button', { name: 'Log the contact' }))
    await waitFor(() => expect(contact.last()).toMatchObject({ kind: 'contact', what: 'tool', from: 'h' }))
  })
})

describe('a day and its entries', () => {
  test('an entry is corrected in place of the first, struck out, and let stand again', async () => {
    const { user, last } = await open(null)
    await user.click(await screen.findByRole('button', { name: /Cu 2.10/ }))
    await user.click(screen.getByRole('button', { name: 'Correct it' }))
    const field = screen.getByLabelText('copper')
    expect(field).toHaveValue('2.10')
    await user.clear(field)
    await user.type(field, '2.2')
    await user.click(screen.getByRole('button', { name: 'Keep the correction' }))
    expect(await screen.findByText(/first written as Cu 2.10/)).toBeInTheDocument()
    expect(last()).toMatchObject({ result: { value: 2.2 }, happened: '2026-07-03T08:00:00.000Z' })
    await user.click(screen.getByRole('button', { name: 'Strike it out' }))
    await waitFor(() => expect(last()).toMatchObject({ struck: true }))
    await user.click(screen.getByRole('button', { name: 'Let it stand again' }))
    await waitFor(() => expect(last()).toMatchObject({ struck: false, result: { value: 2.2 } }))
  })

  test('an entry says what was set aside when it was kept, an old mark of care as read', async () => {
    const dose: Content = {
      kind: 'dose',
      happened: '2026-07-03T09:00:00Z',
      tankId: 'q',
      ingredient: 'cu-chelated',
      productId: 'cu',
      amount: 1,
      unit: 'mL',
      massMg: 10,
      overrides: [{ rule: 'read-first', why: 'read and confirmed', vetAgreed: true }],
    }
    const { user } = await open(null, dose)
    await user.click(await screen.findByRole('button', { name: /1 mL/ }))
    expect(screen.getByText('set aside: copper dosed without a recent test: read and confirmed')).toBeInTheDocument()
  })

  test('a day without anything says so, and offers every form', async () => {
    const { aside } = await open(null)
    expect(
      within(aside)
        .getAllByRole('button')
        .map((button) => button.textContent),
    ).toEqual(expect.arrayContaining(['Readings', 'Water change', 'Dose', 'Seen', 'Move', 'Loss', 'Note']))
  })
})
