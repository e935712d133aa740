import { act, fireEvent, screen, waitFor, within } from '@testing-library/react'
import type { Content } from '../../../../core/journal/entry.ts'
import { bareTank } from '../../../../core/journal/testing.ts'
import { sampleOf } from '../../../../scripts/testing/app.tsx'
import { fromNow } from '../../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../../scripts/testing/screens.tsx'
import { Look } from '../Look.tsx'
import { Microscope } from './Microscope.tsx'
import { readScore } from './score.ts'

const SCREENS = { '/diagnose/microscope/:part?': <Microscope />, '/diagnose/look': <Look /> }
const HOUR = 60
const CASE: Content = {
  kind: 'case-start',
  happened: fromNow(-24 * HOUR),
  caseId: 'k',
  tankId: 'hall',
  table: 'marine-film',
  animalIds: [],
  title: 'Brown strings',
}
const HOUSE: readonly Content[] = [bareTank('hall', 'Hall reef'), CASE]

const open = (part: string, ...more: Content[]) =>
  openScreens(SCREENS, ['case-mark', 'tally', 'clip'], sampleOf(...HOUSE, ...more), `/diagnose/microscope/${part}`)
type User = Awaited<ReturnType<typeof open>>['user']
/** Answers one question after the other, each once the one before it is down. */
async function answerAll(user: User, answers: readonly string[]) {
  for (const [i, answer] of answers.entries()) {
    await user.click(await screen.findByRole('button', { name: answer }))
    await waitFor(() =>
      expect(within(screen.getByRole('region', { name: 'Answered' })).getAllByRole('listitem')).toHaveLength(i + 1),
    )
  }
}
const button = (name: string | RegExp) => screen.getByRole('button', { name })

beforeEach(() => {
  localStorage.clear()
  // A tablet without a waking lock, and a phone that shakes: neither is in this browser.
  Object.assign(navigator, { vibrate: () => true })
})

describe('the key', () => {
  const answers = ['Yes, it moves', 'No, it swims', 'No', 'No', 'No', 'No'] as const
  test('leads to the kind; each answer becomes a sign of the case, and taking one back puts back what was there', async () => {
    const { user, lines } = await open('key?case=k')
    await answerAll(user, [...answers, 'Yes, notched and slow'])
    expect(await screen.findByRole('heading', { name: 'The Prorocentrum type.' })).toBeInTheDocument()
    const signs = () =>
      lines('case-mark').flatMap(({ signs: said = [] }) => said.map(({ sign, answer }) => [sign, answer]))
    await waitFor(() =>
      expect(signs()).toEqual([
        ['a-m-tether-spin', 'absent'],
        ['a-m-oval-beak', 'absent'],
        ['a-m-round-swirl', 'absent'],
        ['a-m-notch-slow', 'present'],
      ]),
    )
    await user.click(button('take the last answer back'))
    await waitFor(() => expect(signs().at(-1)).toEqual(['a-m-notch-slow', 'not-looked']))
    expect(screen.getByRole('heading', { name: /An oval of 30–55 µm/ })).toBeInTheDocument()
  })
  test('confirms the cause in the case, and leads on to what follows', async () => {
    const { user, lines } = await open('key?case=k')
    await answerAll(user, [...answers.slice(0, 3), 'Yes, tied and spinning'])
    await user.click(await screen.findByRole('button', { name: /^Confirm in the case: .*Ostreopsis/ }))
    await waitFor(() =>
      expect(lines('case-mark').at(-1)).toMatchObject({ mark: 'confirmed', cause: 'dino-ostreopsis' }),
    )
    expect(screen.getAllByRole('link', { name: 'What follows' }).at(-1)).toHaveAttribute(
      'href',
      expect.stringContaining('of=dino-ostreopsis'),
    )
    expect(screen.queryByRole('button', { name: /^Confirm/ })).toBeNull()
  })
  test('says in words what moves in its fields', async () => {
    await open('key?case=k')
    const [yes, no] = await screen.findAllByRole('img')
    expect(yes).toHaveAccessibleName(/Yes looks like this, at ×10.*spins once or twice a second round one point/)
    expect(no).toHaveAccessibleName(/No looks like this.*sand/i)
  })
  test('without a case the answers wait in the look, and make one there', async () => {
    const { user, unmount } = await open('key?tank=hall')
    await user.click(await screen.findByRole('button', { name: 'No, it lies still' }))
    await user.click(await screen.findByRole('button', { name: 'Yes, a glass wall' }))
    expect(await screen.findByText(/in the look: .*glass/)).toBeInTheDocument()
    const link = screen.getByRole('link', { name: /keep the case/ }).getAttribute('href')!
    window.dispatchEvent(new Event('pagehide'))
    unmount()
    await openScreens(SCREENS, [], sampleOf(...HOUSE), link)
    expect(await screen.findByRole('heading', { name: 'Diatom film' })).toBeInTheDocument()
    expect(screen.getByText(/^1 answer/)).toBeInTheDocument()
  })
  test('Amphidinium between the two sizes waits for lengths; kept ones decide it', async () => {
    const steps = ['Yes, it moves', 'No, it swims', 'No', 'No', 'Yes, between or not measured yet']
    const { user, unmount } = await open('key?case=k')
    await answerAll(user, steps)
    expect(await screen.findByText(/want different plans/)).toBeInTheDocument()
    expect(screen.queryByRole('button', { name: /^Confirm/ })).toBeNull()
    unmount()
    localStorage.clear()
    const measured: Content = {
      kind: 'tally',
      happened: fromNow(-30),
      tankId: 'hall',
      objective: 10,
      spots: [{ diatoms: 1, dinos: 20, other: 0, fields: 4 }],
      lengthsUm: [18, 19, 21],
    }
    const again = await open('key?case=k', measured)
    await answerAll(again.user, steps)
    expect(await screen.findByText(/median 19 µm of 3 cells/)).toBeInTheDocument()
    expect(button(/^Confirm in the case: .*small cell/)).toBeInTheDocument()
  })
})

describe('the tally', () => {
  const press = (keys: string) => [...keys].forEach((key) => fireEvent.keyDown(document.body, { key }))
  test('counts by keys at the eyepiece, spot by spot, says how sure it is, and is kept with the case', async () => {
    const { user, lines } = await open('tally?case=k')
    expect(await screen.findByText(/Count diatoms and dinoflagellates in the same fields/)).toBeInTheDocument()
    press('ffjjjjjj')
    expect(await screen.findByText('25 %')).toBeInTheDocument()
    expect(screen.getByText('Count 92 more to be sure.')).toBeInTheDocument()
    press('n')
    press('k')
    expect(await screen.findByText('Spot 1, field 2')).toBeInTheDocument()
    await user.click(button('Next spot'))
    press('fjj')
    expect(await screen.findByText('27 %')).toBeInTheDocument()
    // A slip of the finger is taken back.
    press('f')
    fireEvent.keyDown(document.body, { key: 'Backspace' })
    expect(await screen.findByText('27 %')).toBeInTheDocument()
    await waitFor(() => expect(button('Keep the tally with the case')).toBeEnabled())
    await user.click(button('Keep the tally with the case'))
    await waitFor(() => expect(lines('tally')).toHaveLength(1))
    expect(lines('tally')[0]).toMatchObject({
      caseId: 'k',
      tankId: 'hall',
      objective: 10,
      spots: [
        { diatoms: 2, dinos: 6, other: 1, fields: 2 },
        { diatoms: 1, dinos: 2, other: 0, fields: 1 },
      ],
    })
    // The pad is clean for the next one, and the kept one stands in the list.
    expect(screen.getByText('Spot 1, field 1')).toBeInTheDocument()
    expect(screen.getByRole('row', { name: /today 27 %/ })).toBeInTheDocument()
    expect(button(/Keep a clip/)).toBeInTheDocument()
  })
  test('presses that come faster than the page is drawn are all counted; a screen reader’s press counts too', async () => {
    await open('tally?case=k')
    await screen.findByText('Spot 1, field 1')
    act(() => {
      for (const key of 'fjfjfjfjjj') window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
    })
    expect(await screen.findByText('40 %')).toBeInTheDocument()
    fireEvent.click(button(/^Diatom/))
    expect(await screen.findByText('45 %')).toBeInTheDocument()
  })
  test('a division that is no number is said, and nothing is measured by it', async () => {
    const { user } = await open('tally?case=k')
    await user.type(await screen.findByLabelText('A division of the eyepiece'), 'ten')
    expect(screen.getByText('what one division is worth, such as 2.5')).toBeInTheDocument()
    press('f')
    expect(button('Keep the tally with the case')).toBeDisabled()
  })
  test('keys that are typed into a field count nothing', async () => {
    const { user } = await open('tally?case=k')
    await user.type(await screen.findByLabelText('Lengths, apart by spaces'), '26 27 28 f j')
    expect(screen.getByText(/“f” is no length/)).toBeInTheDocument()
    expect(screen.getByText(/Count diatoms and dinoflagellates/)).toBeInTheDocument()
  })
  test('lengths come to a median, and answer the sign that asks for them', async () => {
    const { user, lines } = await open('tally?case=k')
    const field = await screen.findByLabelText('Lengths, apart by spaces')
    await user.type(field, '26 27 28')
    expect(await screen.findByText(/measure 17 more/)).toBeInTheDocument()
    await user.clear(field)
    await user.type(field, '18 20 22')
    await user.click(await screen.findByRole('button', { name: /Answer the sign: shorter than 25 µm/ }))
    await waitFor(() =>
      expect(lines('case-mark').at(-1)).toMatchObject({ signs: [{ sign: 'a-m-under-25um', answer: 'present' }] }),
    )
  })
  test('over time: a real rise is told from chance', async () => {
    const tally = (days: number, diatoms: number, dinos: number): Content => ({
      kind: 'tally',
      happened: fromNow(-days * 24 * HOUR),
      tankId: 'hall',
      objective: 10,
      spots: [{ diatoms, dinos, other: 0, fields: 10 }],
    })
    await open('tally?tank=hall', tally(8, 21, 102), tally(1, 55, 61))
    expect(await screen.findByText('a real rise')).toBeInTheDocument()
    expect(screen.getByText(/Dinoflagellates a field are 60 % of then\./)).toBeInTheDocument()
    expect(screen.getByText(/Neither leads for sure/)).toBeInTheDocument()
  })
})

describe('what follows', () => {
  test('from the confirmed kind to its plan, and the dark jar decides', async () => {
    const confirmed: Content = {
      kind: 'case-mark',
      happened: fromNow(-5 * HOUR),
      caseId: 'k',
      tankId: 'hall',
      mark: 'confirmed',
      cause: 'dino-amphidinium-small',
    }
    const { user, lines } = await open('next?case=k', confirmed)
    expect(await screen.findByText(/reports differ/)).toBeInTheDocument()
    const plans = () =>
      screen.getAllByRole('link', { name: /against dinoflagellates/ }).map(({ textContent }) => textContent)
    expect(plans()[0]).toMatch(/^Silicate/)
    await user.click(button('The jar is in the dark now'))
    await waitFor(() => expect(lines('case-mark').at(-1)).toMatchObject({ mark: 'night-test' }))
    expect(await screen.findByText(/^In the dark since .*; look /)).toBeInTheDocument()
    await user.click(await screen.findByRole('button', { name: /^brown evenly through the water/ }))
    await waitFor(() => expect(plans()[0]).toMatch(/UV/))
    expect(screen.queryByText(/does not fit/)).toBeNull()
  })
  test('a jar that speaks against the kind sends back to the key', async () => {
    const marks = [
      { mark: 'confirmed', cause: 'dino-ostreopsis' },
      { mark: 'night-test' },
      { mark: 'night-test', night: 'sand' },
    ]
    await open(
      'next?case=k',
      ...marks.map(
        (mark, i): Content =>
          ({ kind: 'case-mark', happened: fromNow(-300 + i), caseId: 'k', tankId: 'hall', ...mark }) as Content,
      ),
    )
    expect(await screen.findByText(/That does not fit/)).toBeInTheDocument()
  })
  test('without a kind it asks for one', async () => {
    const { user } = await open('next?tank=hall')
    await user.click(await screen.findByRole('button', { name: 'Amphidinium, large cell' }))
    expect(await screen.findByText(/stays in the sand at night/)).toBeInTheDocument()
    expect(screen.getByText(/Do not: rely on UV alone/)).toBeInTheDocument()
  })
})

describe('the sample', () => {
  test('stands its caution first, settles five minutes, and loses no clock to a reload', async () => {
    const { user, unmount } = await open('sample?case=k')
    expect(await screen.findByRole('note')).toHaveTextContent(/Gloves and goggles/)
    await user.click(button('Done: next'))
    await user.click(await screen.findByRole('button', { name: 'Shaken: let it stand five minutes' }))
    expect(await screen.findByRole('timer')).toHaveTextContent(/0[45]:\d\d until it has settled/)
    expect(screen.queryByRole('button', { name: 'Done: next' })).toBeNull()
    window.dispatchEvent(new Event('pagehide'))
    unmount()
    const again = await open('sample?case=k')
    expect(await screen.findByRole('timer')).toHaveTextContent(/0[45]:\d\d/)
    await again.user.click(button('go on before it has settled'))
    expect(await screen.findByRole('heading', { name: 'Draw the light brown layer' })).toBeInTheDocument()
  })
  test('once the drop is on, the time left to judge motion is said; a sample of yesterday begins again', async () => {
    const draft = (values: object) =>
      localStorage.setItem('brinvo-draft-sample-sample-hall', JSON.stringify({ values, at: 0 }))
    draft({ step: '3', at: String(Date.now()) })
    const { user, unmount } = await open('sample?case=k')
    await user.click(await screen.findByRole('button', { name: 'The drop is on: look' }))
    expect(await screen.findByText(/left to judge the motion/)).toBeInTheDocument()
    unmount()
    draft({ step: '4', slideFrom: String(Date.now() - 11 * 60_000), at: String(Date.now()) })
    const warm = await open('sample?case=k')
    expect(await screen.findByText(/The drop is warm by now/)).toBeInTheDocument()
    warm.unmount()
    draft({ step: '4', slideFrom: String(Date.now() - 25 * 3_600_000), at: String(Date.now() - 25 * 3_600_000) })
    await open('sample?case=k')
    expect(await screen.findByRole('heading', { name: 'Take the brown' })).toBeInTheDocument()
  })
})

describe('practice and the mesh', () => {
  test('a guess is judged, with what gave it away, and scored on this device', async () => {
    const { user } = await open('practice')
    const field = await screen.findByRole('img')
    const kinds = field
      .getAttribute('data-kinds')!
      .split(',')
      .filter((kind) => kind !== 'sand')
    expect(button('That is it')).toBeDisabled()
    const boxes = within(screen.getByRole('group', { name: 'Kinds' })).getAllByRole('checkbox')
    // A guess of everything is right in nothing.
    for (const box of boxes) await user.click(box)
    await user.click(button('That is it'))
    expect(await screen.findByText('Not quite.')).toBeInTheDocument()
    expect(screen.getAllByText('seen')).toHaveLength(kinds.length)
    expect(screen.getAllByText('is not there')).toHaveLength(boxes.length - kinds.length)
    expect(readScore()).toMatchObject({ rounds: 1, right: 0 })
    await user.click(button('The next field'))
    expect(button('That is it')).toBeDisabled()
    await user.click(button('from nothing again'))
    expect(readScore().rounds).toBe(0)
  })
  test('what another version stored is no score', () => {
    localStorage.setItem('brinvo-microscope-practice', '{"rounds":"many"}')
    expect(readScore().rounds).toBe(0)
    localStorage.setItem('brinvo-microscope-practice', 'not json')
    expect(readScore().rounds).toBe(0)
  })
  test('kinds are chosen one by one; a mesh says what it holds', async () => {
    const { user } = await open('kinds')
    expect(await screen.findAllByRole('img')).toHaveLength(3)
    await user.click(screen.getByRole('checkbox', { name: 'Diatoms' }))
    expect(screen.getAllByRole('img')).toHaveLength(4)
    const row = (name: RegExp) => screen.getByRole('row', { name })
    await user.click(button('mat or sock, 200 µm'))
    expect(row(/^Prorocentrum type/)).toHaveTextContent('goes through singly')
    await user.click(button('sock, 10 µm'))
    expect(row(/^Prorocentrum type/)).toHaveTextContent(/held$/)
    const opening = screen.getByLabelText('Other opening')
    await user.clear(opening)
    await user.type(opening, '0')
    expect(screen.getByText('an opening of 1 to 1000 µm')).toBeInTheDocument()
    expect(screen.queryByRole('row', { name: /^Prorocentrum/ })).toBeNull()
  })
  test('a part that is none leads back', async () => {
    await open('lens')
    expect(await screen.findByText('No such part')).toBeInTheDocument()
  })
})
