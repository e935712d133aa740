import { screen, waitFor, within } from '@testing-library/react'
import type { Content, ContentOf } from '../../../core/journal/entry.ts'
import { arrival, bareTank } from '../../../core/journal/testing.ts'
import { sampleOf } from '../../../scripts/testing/app.tsx'
import { fromNow } from '../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../scripts/testing/screens.tsx'
import { CasePage } from './CasePage.tsx'
import { Diagnose } from './Diagnose.tsx'
import { LOOK_ALIKES, lookAlikesOf } from './drawings/look-alikes.tsx'
import { SPOTS } from './drawings/subjects.tsx'
import { SIGN_REGIONS } from '../../../core/catalogue/diagnosis/sign-regions.data.ts'
import { conditionFacts } from '../../../core/diagnosis/condition-facts.ts'
import { Look } from './Look.tsx'

const DAY = 24 * 60
const SCREENS = { '/diagnose': <Diagnose />, '/diagnose/look': <Look />, '/diagnose/:caseId': <CasePage /> }

const HOUSE: readonly Content[] = [
  bareTank('hall', 'Hall reef'),
  bareTank('quar', 'Quarantine'),
  { ...arrival('tang', 'quar', 1, 1, 'Sky'), species: 'blue tang', group: 'surgeonfish' } as Content,
  { ...arrival('chip', 'quar', 1, 1, 'Chip'), species: 'green chromis', group: 'damsel-chromis' } as Content,
]
const open = (path: string, ...more: Content[]) =>
  openScreens(SCREENS, ['case-start', 'case-mark', 'case-end'], sampleOf(...HOUSE, ...more), path)
const CASE: Content = {
  kind: 'case-start',
  happened: fromNow(-3 * DAY),
  caseId: 'k',
  tankId: 'quar',
  table: 'marine-fish',
  animalIds: ['tang'],
}
/** What was marked of the case an hour after it was opened. */
const marked = (mark: Omit<ContentOf<'case-mark'>, 'kind' | 'happened' | 'caseId' | 'tankId'>): Content => ({
  kind: 'case-mark',
  happened: fromNow(-3 * DAY + 60),
  caseId: 'k',
  tankId: 'quar',
  ...mark,
})
const answer = (sign: string, words: string) =>
  within(screen.getByRole('group', { name: sign })).getByRole('radio', { name: words })

describe('a look', () => {
  test('begins with the tank and who shows it', async () => {
    const { user } = await open('/diagnose')
    await user.selectOptions(await screen.findByLabelText('Tank'), 'Quarantine')
    await user.click(screen.getByRole('button', { name: /A fish is ill/ }))
    await user.click(screen.getByRole('checkbox', { name: 'Sky' }))
    expect(screen.getByRole('link', { name: 'Look at it' })).toHaveAttribute(
      'href',
      '/diagnose/look?tank=quar&at=fish&animals=tang',
    )
    // All of them gasp: one tap, with what is seen answered already.
    expect(screen.getByRole('link', { name: 'Fish gasp at the surface' })).toHaveAttribute(
      'href',
      expect.stringMatching(/animals=(tang%2Cchip|chip%2Ctang)&seen=surface-gasping%2Cseveral-fish$/),
    )
  })

  test('its ranking moves with each answer, and it is kept as a case', async () => {
    localStorage.clear()
    const { user, lines, address } = await open('/diagnose/look?tank=quar&at=fish&animals=tang')
    expect(await screen.findByRole('heading', { name: 'Sky' })).toBeVisible()
    expect(screen.getByText('nothing answered yet', { exact: false })).toBeVisible()
    // The surgeonfish is known from the ledger, and shown as such.
    expect(screen.getByText('From the journal: Sky.')).toBeVisible()
    await user.click(answer('White grains', 'seen'))
    await user.click(answer('Fine dust', 'not seen'))
    const ranked = screen.getByRole('region', { name: 'What it may be' })
    expect(within(ranked).getAllByRole('heading', { level: 3 })[0]).toHaveTextContent('Marine ich')
    expect(within(ranked).getByText(/For it: white grains/)).toBeVisible()
    // Countable grains and dust side by side.
    expect(screen.getByText('Countable grains, or fine dust')).toBeVisible()
    await user.click(screen.getByRole('button', { name: 'Keep as a case' }))
    await waitFor(() => expect(lines('case-start')).toMatchObject([{ table: 'marine-fish', animalIds: ['tang'] }]))
    expect(lines('case-mark')).toMatchObject([
      {
        mark: 'signs',
        signs: [
          { sign: 'white-grains-countable', answer: 'present' },
          { sign: 'fine-dust-sheen', answer: 'absent' },
        ],
      },
    ])
    await waitFor(() => expect(address()).toBe(`/diagnose/${lines('case-start')[0]!.caseId}`))
  })

  test('plain words find a sign; one taken back counts no longer', async () => {
    localStorage.clear()
    const { user } = await open('/diagnose/look?tank=hall&at=coral')
    await user.type(await screen.findByLabelText('Or in your own words'), 'brown jelly')
    const found = await screen.findByRole('region', { name: 'Signs found' })
    await user.click(within(found).getAllByRole('radio', { name: 'seen' })[0]!)
    // A matter of the hour says what to do, and what not, before anything is certain.
    expect(await screen.findByRole('alert', { name: 'What to do now' })).toHaveTextContent(
      /Pumps off.*goggles.*Do not blow/s,
    )
    await user.click(within(found).getAllByRole('radio', { name: 'not looked' })[0]!)
    await waitFor(() => expect(screen.queryByRole('alert', { name: 'What to do now' })).toBeNull())
    await user.clear(screen.getByLabelText('Or in your own words'))
    await user.type(screen.getByLabelText('Or in your own words'), 'xylophone')
    expect(await screen.findByText(/No sign is called that/)).toBeVisible()
  })

  test('a behaviour is pointed at on its moving drawing', async () => {
    localStorage.clear()
    const { user } = await open('/diagnose/look?tank=quar&at=fish&animals=tang&seen=breathing-fast')
    const tile = await screen.findByRole('button', { name: 'Sits in the flow' })
    await user.click(tile)
    expect(tile).toHaveAttribute('aria-pressed', 'true')
    expect(screen.getByRole('alert', { name: 'What to do now' })).toHaveTextContent(/before the ranking.*Extra air/s)
    await user.click(tile)
    expect(tile).toHaveAttribute('aria-pressed', 'false')
    expect(screen.queryByText(/before the ranking/)).toBeNull()
  })

  test('an address without a tank says what is missing', async () => {
    await open('/diagnose/look?tank=none&at=fish')
    expect(await screen.findByRole('heading', { name: 'Nothing to look at' })).toBeVisible()
  })
})

describe('a case', () => {
  test('causes are noted, ruled out with a reason, and one thing is changed at a time', async () => {
    const { user, lines } = await open(
      '/diagnose/k',
      CASE,
      marked({
        mark: 'signs',
        signs: [{ sign: 'flashing', answer: 'present' }],
      }),
    )
    await user.click(await screen.findByRole('button', { name: 'Skin flukes' }))
    await waitFor(() => expect(lines('case-mark').at(-1)).toMatchObject({ mark: 'thought-of', cause: 'skin-flukes' }))
    await user.click(screen.getByRole('button', { name: 'rule out' }))
    await user.click(screen.getByRole('button', { name: 'Rule it out' }))
    expect(await screen.findByText(/what spoke against it/)).toBeVisible()
    await user.type(screen.getByLabelText('Why'), 'no flecks in the dip')
    await user.click(screen.getByRole('button', { name: 'Rule it out' }))
    await waitFor(() =>
      expect(lines('case-mark').at(-1)).toMatchObject({ mark: 'ruled-out', words: 'no flecks in the dip' }),
    )
    await user.click(screen.getByRole('button', { name: 'change one thing' }))
    await user.clear(screen.getByLabelText('Looked at after'))
    await user.type(screen.getByLabelText('Looked at after'), '0')
    await user.click(screen.getByRole('button', { name: 'Keep the change' }))
    expect(await screen.findByText(/days until you look, 1 to 90/)).toBeVisible()
    expect(screen.getByText(/the one thing that is changed/)).toBeVisible()
    await user.type(screen.getByLabelText('What is changed'), 'pump turned away')
    await user.clear(screen.getByLabelText('Looked at after'))
    await user.type(screen.getByLabelText('Looked at after'), '4')
    await user.click(screen.getByRole('button', { name: 'Keep the change' }))
    await waitFor(() =>
      expect(lines('case-mark').at(-1)).toMatchObject({ mark: 'experiment', words: 'pump turned away' }),
    )
    await user.type(await screen.findByLabelText('What was seen'), 'scratches as before')
    await user.click(screen.getByRole('button', { name: 'Keep it' }))
    expect(await screen.findByText('Seen then: scratches as before')).toBeVisible()
  })

  test('what the log line said of its fish stands in it, with its words', async () => {
    await open('/diagnose/k', CASE, {
      kind: 'sighting',
      happened: fromNow(-1 * DAY),
      tankId: 'quar',
      animalIds: ['tang'],
      signs: [{ sign: 'white-grains-countable', present: true }],
      words: 'white grains 12 left flank',
    })
    expect(await screen.findByText('“white grains 12 left flank”')).toBeVisible()
    expect(screen.getByText(/For it: white grains/)).toBeVisible()
  })

  test('is named, closed with what it was, and opened again where its signs come back', async () => {
    const { user, lines } = await open(
      '/diagnose/k',
      CASE,
      marked({
        mark: 'confirmed',
        cause: 'marine-ich',
      }),
    )
    await user.click(await screen.findByRole('button', { name: 'name it' }))
    await user.type(screen.getByLabelText('What you call it'), 'Sky, spotted')
    await user.click(screen.getByRole('button', { name: 'Keep the name' }))
    expect(await screen.findByRole('heading', { name: 'Sky, spotted' })).toBeVisible()
    await user.click(screen.getByRole('button', { name: 'Close the case' }))
    expect(screen.getByLabelText('It was')).toHaveValue('marine-ich')
    await user.type(screen.getByLabelText('What was learnt'), 'copper sooner')
    await user.click(screen.getByRole('button', { name: 'Close it' }))
    await waitFor(() =>
      expect(lines('case-end')).toMatchObject([{ outcome: 'healed', cause: 'marine-ich', words: 'copper sooner' }]),
    )
    await user.click(await screen.findByRole('button', { name: 'Open it again' }))
    await waitFor(() => expect(lines('case-mark').at(-1)).toMatchObject({ mark: 'reopened' }))
    expect(screen.getByRole('button', { name: 'Close the case' })).toBeVisible()
  })

  test('of an animal that died says so and asks nothing more, but can be closed', async () => {
    const died: Content = {
      kind: 'death',
      happened: fromNow(-DAY / 2),
      animalId: 'tang',
      tankId: 'quar',
      count: 1,
    }
    await open('/diagnose/k', CASE, died)
    expect(await screen.findByText(/^Sky died .* Nothing more is asked here/)).toBeVisible()
    expect(screen.queryByRole('button', { name: /Look again/ })).toBeNull()
    expect(screen.queryByText(/most telling/i)).toBeNull()
    expect(screen.getByRole('button', { name: 'Close the case' })).toBeVisible()
  })

  test('what has no cure is said plainly, and both views stand', async () => {
    await open(
      '/diagnose/k',
      { ...CASE, animalIds: ['chip'] },
      {
        kind: 'case-mark',
        happened: fromNow(-3 * DAY + 1),
        caseId: 'k',
        tankId: 'quar',
        mark: 'signs',
        signs: [
          { sign: 'red-sore-flank', answer: 'present' },
          { sign: 'open-ulcer', answer: 'present' },
          { sign: 'scales-missing', answer: 'present' },
          { sign: 'rapid-course', answer: 'present' },
        ],
      },
    )
    expect(await screen.findByText(/Advanced red sores are rarely curable/)).toBeVisible()
    expect(screen.getByText(/Treat: formalin baths/)).toBeVisible()
    expect(screen.getByText(/A humane end, with a veterinarian/)).toBeVisible()
  })

  test('one step leads to the school, for this tank and as the answer to this case', async () => {
    const { user } = await open(
      '/diagnose/k',
      CASE,
      marked({
        mark: 'signs',
        signs: [{ sign: 'white-grains-countable', answer: 'present' }],
      }),
    )
    const ich = (await screen.findByRole('heading', { name: 'Marine ich' })).closest('article')!
    await user.click(within(ich).getByRole('button', { name: /what helps/ }))
    const links = within(ich)
      .getAllByRole('link')
      .map((link) => link.getAttribute('href')!)
    expect(links.some((href) => /definition=qt-a-cu30.*tank=quar.*case=k/.test(href))).toBe(true)
  })

  test('hand, spot or tank: what is seen decides, and the plans that fit stand first', async () => {
    const film: Content = { ...CASE, tankId: 'hall', table: 'marine-film', animalIds: [] }
    const { user } = await open('/diagnose/k', film, {
      ...(marked({ mark: 'confirmed', cause: 'turf-algae' }) as ContentOf<'case-mark'>),
      tankId: 'hall',
    })
    const turf = (await screen.findByRole('heading', { name: /^Turf/ })).closest('article')!
    await user.click(within(turf).getByRole('button', { name: /what helps/ }))
    const first = () => within(turf).getAllByRole('link')[0]!.getAttribute('href')
    expect(within(turf).getByRole('status')).toHaveTextContent('What you see decides')
    await user.type(within(turf).getByLabelText('How much it covers'), '5')
    expect(within(turf).getByRole('status')).toHaveTextContent('Treat it on the spot')
    expect(first()).toMatch(/definition=peroxide-bench/)
    await user.click(within(turf).getByRole('checkbox', { name: 'what it sits on can come out' }))
    expect(within(turf).getByRole('status')).toHaveTextContent(/^By hand.*And its cause/)
    expect(first()).toMatch(/definition=algae-manual-grazers/)
    await user.clear(within(turf).getByLabelText('How much it covers'))
    await user.type(within(turf).getByLabelText('How much it covers'), '45')
    expect(within(turf).getByRole('status')).toHaveTextContent('Treat the tank: it covers 30 % or more')
  })

  test('one that is not there says so', async () => {
    await open('/diagnose/nobody')
    expect(await screen.findByRole('heading', { name: 'No such case' })).toBeVisible()
  })
})

describe('drawings', () => {
  test('every region that is pointed at has its place on the drawing', () => {
    for (const regions of Object.values(SIGN_REGIONS))
      for (const { id, drawing } of regions)
        if (drawing !== null && drawing !== 'behaviour') {
          const [x, y] = SPOTS[drawing][id]!
          expect([x > 0 && x < 100, y > 0 && y < 100]).toEqual([true, true])
        }
  })
  test('look-alikes are of conditions that the tables know, and are shown with either of two', () => {
    for (const { panels } of LOOK_ALIKES)
      for (const { of } of panels) if (of !== undefined) expect(conditionFacts(of)).not.toBeNull()
    expect(lookAlikesOf(['marine-velvet', 'gill-flukes']).map(({ id }) => id)).toEqual(['grains-dust'])
    expect(lookAlikesOf(['gill-flukes', 'marine-velvet']).map(({ id }) => id)).toEqual([])
    expect(lookAlikesOf(['gill-flukes', 'brooklynella', 'skin-flukes']).map(({ id }) => id)).toEqual(['slime-fluke'])
  })
})

test('a jar in the dark is looked at on the page of its case, and what it showed stays there', async () => {
  const film: Content = { ...CASE, caseId: 'film', table: 'marine-film', tankId: 'hall', animalIds: [] }
  const jar: Content = {
    kind: 'case-mark',
    happened: fromNow(-150),
    caseId: 'film',
    tankId: 'hall',
    mark: 'night-test',
    lookAt: fromNow(-30),
  }
  const { user, lines } = await open('/diagnose/film', film, jar)
  expect(await screen.findByText(/look now/)).toBeInTheDocument()
  await user.click(screen.getByRole('button', { name: /^clear water over a brown bottom/ }))
  await waitFor(() => expect(lines('case-mark').at(-1)).toMatchObject({ mark: 'night-test', night: 'sand' }))
  expect(await screen.findByText(/^It was clear water over a brown bottom/)).toBeInTheDocument()
  expect(screen.getByRole('link', { name: 'Microscope' })).toHaveAttribute(
    'href',
    '/diagnose/microscope/sample?case=film',
  )
})
