import { screen, waitFor, within } from '@testing-library/react'
import type { Content } from '../../../core/journal/entry.ts'
import { bareTank } from '../../../core/journal/testing.ts'
import { sampleOf } from '../../../scripts/testing/app.tsx'
import { fromNow } from '../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../scripts/testing/screens.tsx'
import { Corals } from './Corals.tsx'

const DAY = 24 * 60
const coral = (animalId: string, species: string, group: string, count = 1): Content => ({
  kind: 'arrival',
  happened: fromNow(-2 * DAY),
  animalId,
  tankId: 'tub',
  species,
  group,
  count,
})
const part = (partId: string, name: string, group: string): Content => ({
  kind: 'part-setup',
  happened: fromNow(-2 * DAY),
  partId,
  tankId: 'tub',
  what: 'coral',
  name,
  group,
  pieces: 1,
})
const HOSTS = [part('zoa', 'green zoanthids', 'coral-soft'), part('psammo', 'Psammocora', 'coral-sps')]

const SCREENS = { '/tanks/:tankId/corals': <Corals /> }
const open = (contents: readonly Content[], path: string) =>
  openScreens(
    SCREENS,
    ['part-setup', 'part-change', 'count'],
    sampleOf(bareTank('tub', 'Coral tub'), bareTank('hall', 'Hall'), ...contents),
    path,
  )

describe('corals and their places', () => {
  test('corals of the ledger are named at one press', async () => {
    const { user, lines } = await open([coral('acans', 'acan', 'coral-lps', 3)], '/tanks/tub/corals')
    expect(screen.getByText(/In the ledger and not named here yet: 3 acan/)).toBeVisible()
    await user.click(screen.getByRole('button', { name: 'Name it' }))
    await waitFor(() => expect(lines('part-setup')).toMatchObject([{ name: 'acan', pieces: 3, animalId: 'acans' }]))
    expect(await screen.findByRole('button', { name: 'Change acan' })).toBeVisible()
  })

  test('a coral is added with what is wrong told beside its field, and put elsewhere as a move of its own', async () => {
    const { user, lines } = await open([], '/tanks/tub/corals')
    await user.click(screen.getByRole('button', { name: 'Add a coral' }))
    await user.clear(screen.getByLabelText('Pieces'))
    await user.type(screen.getByLabelText('Pieces'), '0')
    await user.type(screen.getByLabelText('Of full light'), '140')
    await user.click(screen.getByRole('button', { name: 'Keep the coral' }))
    expect(await screen.findByText(/what you call it/)).toBeVisible()
    expect(screen.getByText('how many pieces, 1 or more')).toBeVisible()
    expect(screen.getByText('of full light, 0 to 100 %')).toBeVisible()
    await user.type(screen.getByLabelText('Coral'), 'red cap')
    await user.clear(screen.getByLabelText('Pieces'))
    await user.type(screen.getByLabelText('Pieces'), '1')
    await user.clear(screen.getByLabelText('Of full light'))
    await user.type(screen.getByLabelText('Of full light'), '40')
    await user.click(screen.getByRole('button', { name: 'Keep the coral' }))
    await waitFor(() =>
      expect(lines('part-setup')).toMatchObject([{ what: 'coral', name: 'red cap', place: { lightShare: 0.4 } }]),
    )
    expect(await screen.findByText('only one piece')).toBeVisible()

    await user.click(screen.getByRole('button', { name: 'how it looks' }))
    await user.click(screen.getByRole('button', { name: 'pale' }))
    await waitFor(() => expect(lines('count')).toMatchObject([{ measure: 'survey', parts: [{ value: 2 }] }]))
    await user.click(screen.getByRole('button', { name: 'put red cap on the drawing' }))
    await user.click(screen.getByRole('button', { name: 'right' }))
    await waitFor(() => expect(lines('part-change')).toMatchObject([{ changes: { x: 0.55, y: 0.5 } }]))
    expect(await screen.findByRole('button', { name: 'red cap, pale' })).toBeVisible()
    await user.click(screen.getByRole('button', { name: 'Change red cap' }))
    await user.type(screen.getByLabelText('Place'), 'rock, left')
    await user.click(screen.getByRole('button', { name: 'Keep the change' }))
    await waitFor(() =>
      expect(lines('part-change').slice(1)).toMatchObject([
        { changes: { place: { compartment: 'rock, left', lightShare: 0.4 } } },
      ]),
    )
    await user.click(await screen.findByRole('button', { name: '2 places so far' }))
    expect(screen.getByText(/pale before, not looked at after three days/)).toBeVisible()
  })

  test('a survey asks for each and is one entry; who went back is named', async () => {
    const { user, lines } = await open(HOSTS, '/tanks/tub/corals')
    for (const steps of [
      ['4, open', '3, normal'],
      ['1, receding', '3, normal'],
    ]) {
      await user.click(await screen.findByRole('button', { name: 'Look at all of them' }))
      for (const [i, coral] of ['green zoanthids', 'Psammocora'].entries())
        await user.click(
          within(screen.getByRole('radiogroup', { name: `How ${coral} looks` })).getByRole('radio', { name: steps[i] }),
        )
      await user.click(screen.getByRole('button', { name: 'Log the survey' }))
    }
    await waitFor(() =>
      expect(lines('count').at(-1)).toMatchObject({
        measure: 'survey',
        parts: [
          { partId: 'zoa', value: 1 },
          { partId: 'psammo', value: 3 },
        ],
      }),
    )
    expect(await screen.findByText('1 normal, 1 receding')).toBeVisible()
  })

  test('one that is gone leaves the list, and the spare copies tell what is left of it', async () => {
    const other: Content = { ...HOSTS[0]!, partId: 'zoa-2', tankId: 'hall' } as Content
    const { user } = await open([HOSTS[0]!, other], '/tanks/tub/corals')
    await user.click(screen.getByRole('button', { name: 'how it looks' }))
    await user.click(screen.getByRole('button', { name: 'gone' }))
    expect(await screen.findByText('None yet.')).toBeVisible()
    expect(screen.getByText(/Hall 1, lost in another place/)).toBeVisible()
  })
})
