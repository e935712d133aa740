import { screen, waitFor, within } from '@testing-library/react'
import type { Content } from '../../../core/journal/entry.ts'
import { arrival, bareTank } from '../../../core/journal/testing.ts'
import { sampleOf } from '../../../scripts/testing/app.tsx'
import { openScreens } from '../../../scripts/testing/screens.tsx'
import { AddAnimal } from './AddAnimal.tsx'
import { NewTank } from './NewTank.tsx'
import { TankPage } from './TankPage.tsx'
import { Tanks } from './Tanks.tsx'

// Charts of a library: looked at in a browser.
jest.mock('../../water/TankCharts.tsx', () => ({ __esModule: true, TankCharts: () => null }))

const KINDS = [
  'tank-setup',
  'tank-change',
  'arrival',
  'animal-change',
  'equipment',
  'kit-setup',
  'kit-change',
] as const satisfies Content['kind'][]

const SCREENS = {
  '/tanks': <Tanks />,
  '/tanks/new': <NewTank />,
  '/tanks/:tankId': <TankPage />,
  '/tanks/:tankId/add-animal': <AddAnimal />,
}

async function open(path: string, ...contents: Content[]) {
  const view = await openScreens(SCREENS, KINDS, sampleOf(...contents), path)
  const last = <K extends Content['kind']>(kind: K) => view.lines(kind).at(-1)
  const type = async (label: string | RegExp, text: string) => {
    const field = screen.getByLabelText(label)
    await view.user.clear(field)
    if (text) await view.user.type(field, text)
  }
  return { ...view, last, type }
}

const QUARANTINE = bareTank('q', 'Quarantine')
/** 50 × 35 × 37 cm of water. */
const NET_L = 64.75

describe('setting a tank up', () => {
  test('the sheet makes the net volume: water less sand less rock, and the sump', async () => {
    const { user, type, last, address } = await open('/tanks/new')
    await type('Name', 'Hall reef')
    await user.selectOptions(screen.getByLabelText('Shape'), 'box')
    await type('Length', '110')
    await type(/^Width|^Depth, front/, '55')
    await type('Height', '60')
    await type(/^Water line/, '55')
    await type(/^Rock, dry/, '28')
    await type(/^Sump/, '40')
    await user.click(screen.getByRole('button', { name: 'Set up the tank' }))
    await waitFor(() =>
      expect(last('tank-setup')).toMatchObject({ name: 'Hall reef', role: 'display', water: 'marine' }),
    )
    await waitFor(() => expect(address()).toMatch(/^\/tanks\/[0-9a-f-]+$/))
    // 110 × 55 × 55 cm is 332.75 L; 28 kg of rock at 2.8 kg/L takes 10 L of it; the sump adds 40.
    expect((await screen.findAllByText('363 L'))[0]!.parentElement).toHaveTextContent('net')
  })

  test('a name is needed, and one that no other tank has; what was typed stays', async () => {
    const { user, type, last } = await open('/tanks/new', QUARANTINE)
    await user.click(screen.getByRole('button', { name: 'Set up the tank' }))
    expect(await screen.findByText('a name, as you call it')).toBeInTheDocument()
    await type('Name', 'quarantine')
    await type('Short name for the log line', 'two words')
    await user.click(screen.getByRole('button', { name: 'Set up the tank' }))
    expect(await screen.findByText('another tank has this name')).toBeInTheDocument()
    expect(screen.getByText('one word of up to 20 letters and digits')).toBeInTheDocument()
    expect(screen.getByLabelText('Name')).toHaveValue('quarantine')
    expect(last('tank-setup')).toMatchObject({ name: 'Quarantine' })
  })
})

describe('a tank’s page', () => {
  test('of no such tank it says so', async () => {
    await open('/tanks/ghost')
    expect(screen.getByRole('heading', { name: 'No such tank' })).toBeInTheDocument()
  })

  test('a tank without a sheet cannot be dosed, and says so before anything else', async () => {
    const { sheet, ...without } = QUARANTINE as Extract<Content, { kind: 'tank-setup' }>
    expect(sheet).toBeDefined()
    await open('/tanks/q', without)
    expect(
      screen.getByText('The net volume is not worked out yet, and without it nothing can be dosed.'),
    ).toBeInTheDocument()
    expect(screen.getByRole('button', { name: 'Fill in the volume sheet' })).toBeInTheDocument()
  })

  test('a volume that doses have shown stands beside the sheet’s own, and can be left again', async () => {
    const learnt: Content = {
      kind: 'tank-change',
      happened: '2026-07-03T10:00:00Z',
      tankId: 'q',
      changes: { learntL: 60 },
    }
    const { user, last } = await open('/tanks/q', QUARANTINE, learnt)
    expect(screen.getByText(new RegExp(`The sheet alone comes to ${NET_L.toFixed(1)} L`))).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'Go by the sheet again' }))
    await waitFor(() => expect(last('tank-change')!.changes).toHaveProperty('sheet'))
    expect(screen.queryByText(/The sheet alone comes to/)).not.toBeInTheDocument()
  })

  test('what runs there is switched, taken away and added, each an entry', async () => {
    const carbon: Content = {
      kind: 'equipment',
      happened: '2026-07-03T10:00:00Z',
      tankId: 'q',
      item: 'carbon',
      running: true,
    }
    const { user, last } = await open('/tanks/q', QUARANTINE, carbon)
    await user.click(screen.getByRole('button', { name: /^Switch .*carbon.* off$/ }))
    await waitFor(() => expect(last('equipment')).toMatchObject({ item: 'carbon', running: false }))
    await user.click(await screen.findByRole('button', { name: /^Take .*carbon.* away$/ }))
    await waitFor(() => expect(last('equipment')).toMatchObject({ item: 'carbon', removed: true }))
    expect(await screen.findByText(/^None on record\. What runs here/)).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'Add equipment' }))
    await user.click(screen.getByRole('button', { name: /skimmer/ }))
    await waitFor(() => expect(last('equipment')).toMatchObject({ item: 'skimmer', running: true }))
  })

  test('a kit keeps how sure it is and whose vials it has; a wrong share is told beside it', async () => {
    const { user, type, last } = await open('/tanks/q', QUARANTINE)
    await user.click(screen.getByRole('button', { name: 'Add a kit' }))
    await type('Kit or meter', 'copper photometer')
    await type('Uncertainty, plus or minus', '0.05')
    await type('and a share of the value', '500')
    await user.click(screen.getByRole('button', { name: 'Keep the kit' }))
    expect(await screen.findByText('a share of the value, 0 to 100 %')).toBeInTheDocument()
    expect(last('kit-setup')).toBeUndefined()
    await type('and a share of the value', '5')
    await user.click(screen.getByLabelText(/Belongs to Quarantine alone/))
    await user.click(screen.getByRole('button', { name: 'Keep the kit' }))
    await waitFor(() =>
      expect(last('kit-setup')).toMatchObject({
        parameter: 'copper',
        tankId: 'q',
        uncertainty: { abs: 0.05, rel: 0.05 },
      }),
    )
    expect(screen.getByText(/± 0\.05 mg\/L ± 5 %; belongs to this tank/)).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'Change copper photometer' }))
    await user.click(screen.getByRole('button', { name: 'no longer used' }))
    await waitFor(() => expect(last('kit-change')).toMatchObject({ changes: { retired: true } }))
    expect(screen.getByText(/^None on record: readings take a typical kit/)).toBeInTheDocument()
  })

  test('an ammonia kit is asked what it states its value as', async () => {
    const { user, type, last } = await open('/tanks/q', QUARANTINE)
    await user.click(screen.getByRole('button', { name: 'Add a kit' }))
    await type('Kit or meter', 'ammonia drops')
    expect(screen.queryByLabelText('States its value as')).not.toBeInTheDocument()
    await user.selectOptions(screen.getByLabelText('Reads'), screen.getByRole('option', { name: /total ammonia/i }))
    await user.selectOptions(screen.getByLabelText('States its value as'), 'NH3')
    await user.click(screen.getByRole('button', { name: 'Keep the kit' }))
    await waitFor(() => expect(last('kit-setup')).toMatchObject({ parameter: 'tan', basis: 'NH3' }))
  })

  test('who lives there is put right; who died there is not forgotten', async () => {
    const death: Content = {
      kind: 'death',
      happened: '2026-07-04T10:00:00Z',
      animalId: 'b',
      tankId: 'q',
      cause: 'jumped',
    }
    const { user, type, last } = await open(
      '/tanks/q',
      QUARANTINE,
      arrival('n', 'q', 1, 1, 'Needle'),
      arrival('b', 'q', 1, 1, 'Burr'),
      death,
    )
    expect(screen.getByText(/✕ Burr, died .*, jumped/)).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'Change Needle' }))
    await type('Species', '')
    await user.click(screen.getByRole('button', { name: 'Keep the change' }))
    expect(await screen.findByText('what it is, as you call it')).toBeInTheDocument()
    await type('Species', 'flame hawkfish')
    await user.click(screen.getByRole('button', { name: 'Keep the change' }))
    await waitFor(() =>
      expect(last('animal-change')).toMatchObject({ animalId: 'n', changes: { species: 'flame hawkfish' } }),
    )
    expect(screen.getByText(/^flame hawkfish, /)).toBeInTheDocument()
  })
})

describe('an animal into a tank', () => {
  test('half an animal, or a fortnight on the way, is asked about; then it is there', async () => {
    const { user, type, last, address } = await open('/tanks/q/add-animal', QUARANTINE)
    await type('How many', '1.5')
    await type('Hours in transit', '400')
    await user.click(screen.getByRole('button', { name: 'Log the arrival' }))
    expect(await screen.findByText('a whole number, 1 or more')).toBeInTheDocument()
    expect(screen.getByText('hours on the way, 0 to 240')).toBeInTheDocument()
    expect(screen.getByText('what it is, as you call it')).toBeInTheDocument()
    expect(screen.getByText('which group: it decides what the animal does not tolerate')).toBeInTheDocument()
    await type('What it is', 'blue chromis')
    await type('How many', '5')
    await type('Hours in transit', '18')
    await user.click(screen.getByRole('button', { name: 'Log the arrival' }))
    await waitFor(() =>
      expect(last('arrival')).toMatchObject({
        species: 'blue chromis',
        group: 'damsel-chromis',
        count: 5,
        hoursInTransit: 18,
        tankId: 'q',
      }),
    )
    await waitFor(() => expect(address()).toBe('/tanks/q'))
    expect(screen.getByText('5 blue chromis')).toBeInTheDocument()
  })
})

describe('water under copper', () => {
  const COPPER: Content[] = [
    QUARANTINE,
    {
      kind: 'dose',
      happened: '2026-07-04T10:00:00Z',
      tankId: 'q',
      ingredient: 'cu-chelated',
      amount: 14,
      unit: 'mL',
      massMg: 140,
    },
  ]

  test('says what stands in it before an animal is logged, and keeps that it was read', async () => {
    const { user, type, last } = await open('/tanks/q/add-animal', ...COPPER)
    await type('What it is', 'pipefish')
    await user.selectOptions(screen.getByLabelText('Group'), 'seahorses, pipefish')
    expect(await screen.findByText(/2\.16 mg\/L, is in this water/)).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'Log the arrival' }))
    expect(await screen.findByText('answer what stands below first')).toBeInTheDocument()
    expect(last('arrival')).toBeUndefined()
    await user.type(screen.getByLabelText('Reason for continuing anyway'), 'no other water in the house')
    await user.click(screen.getByLabelText('No'))
    await user.click(screen.getByRole('button', { name: 'Log the arrival' }))
    await waitFor(() =>
      expect(last('arrival')).toMatchObject({
        overrides: [{ rule: 'syngnathid', why: 'no other water in the house', vetAgreed: false, answer: 'reason' }],
      }),
    )
  })

  test('an invertebrate has no way in', async () => {
    const { user, type, last } = await open('/tanks/q/add-animal', ...COPPER)
    await type('What it is', 'urchin')
    await user.selectOptions(screen.getByLabelText('Group'), 'sea stars, urchins, sea cucumbers')
    expect(await screen.findByText('This cannot be overridden.')).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'Log the arrival' }))
    expect(last('arrival')).toBeUndefined()
  })

  test('carbon is switched on only with a reason while a drug works; what is left over of copper it may take out', async () => {
    const drug: Content = {
      kind: 'dose',
      happened: new Date(Date.now() - 3_600_000).toISOString(),
      tankId: 'q',
      ingredient: 'praziquantel',
      amount: 0.16,
      unit: 'g',
      massMg: 160,
    }
    const { user, last } = await open('/tanks/q', ...COPPER, drug)
    await user.click(screen.getByRole('button', { name: 'Add equipment' }))
    await user.click(screen.getByRole('button', { name: 'carbon' }))
    expect(await screen.findByText(/remove before dosing; return only to end a course/)).toBeInTheDocument()
    expect(last('equipment')).toBeUndefined()
    await user.type(screen.getByLabelText('Reason for continuing anyway'), 'the fish is ill of it')
    await user.click(screen.getByLabelText('Yes'))
    await user.click(screen.getByRole('button', { name: 'Switch carbon on all the same' }))
    await waitFor(() => expect(last('equipment')).toMatchObject({ item: 'carbon', running: true }))
  })
})

test('all tanks: how much water, who lives there; those taken down apart', async () => {
  const down: Content = {
    kind: 'tank-change',
    happened: '2026-07-05T10:00:00Z',
    tankId: 'old',
    changes: { retired: true },
  }
  await open('/tanks', QUARANTINE, arrival('n', 'q', 1, 1, 'Needle'), bareTank('old', 'Old tub'), down)
  expect(screen.getByRole('link', { name: /^Quarantine/ })).toHaveTextContent(`${NET_L.toFixed(1)} L net`)
  expect(screen.getByRole('link', { name: /^Quarantine/ })).toHaveTextContent('Needle')
  const apart = screen.getByRole('heading', { name: 'Taken down' }).closest('section')!
  expect(within(apart).getByRole('link', { name: /^Old tub/ })).toBeInTheDocument()
})

describe('who lives here, and what each has behind it', () => {
  const day = (n: number) => ({ happened: new Date(Date.now() + n * 86_400_000).toISOString() })
  const fallow: Content = {
    kind: 'course-start',
    ...day(-100),
    courseId: 'f',
    definition: 'fallow-76',
    tanks: { main: 'q' },
    animalIds: [],
  }

  test('a tank that stood its days says so; who came in unproven is named with the days of looks', async () => {
    await open('/tanks/q', QUARANTINE, fallow)
    expect(await screen.findByText(/^Quarantine is proven since/)).toBeInTheDocument()
  })

  test('after somebody unproven', async () => {
    const loose: Content = { ...arrival('loose', 'q', 0, 1, 'Loose'), ...day(-2) }
    await open('/tanks/q', QUARANTINE, fallow, loose)
    expect(await screen.findByText(/^Quarantine is unproven since .*Loose on .*A look a day until/)).toBeInTheDocument()
  })
})
